import { avoidNames } from '@gambito/core';
import { avoidWords } from './roster';
import type { PersonForm } from './use-person';

const isKnown = (tag: string): boolean => (avoidNames as readonly string[]).includes(tag);
const lookOf = (tag: string, chosen: boolean): string =>
  !isKnown(tag) ? 'border-bad text-bad line-through' : chosen ? 'border-ink bg-ink text-paper' : 'border-line bg-sheet';

/** What an athlete must be spared; a word that is not in the list is shown, and blocks the versions until it is settled. */
export function AvoidField({ person: { form, problems, change } }: { person: PersonForm }) {
  const turn = (tag: string): void => change({ avoid: form.avoid.includes(tag) ? form.avoid.filter((other) => other !== tag) : [...form.avoid, tag] });
  return (
    <fieldset>
      <legend className="text-sm font-medium">Avoids</legend>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {[...avoidNames, ...form.avoid.filter((tag) => !isKnown(tag))].map((tag) => (
          <button
            key={tag}
            type="button"
            aria-pressed={form.avoid.includes(tag)}
            onClick={() => turn(tag)}
            className={`rounded-full border px-2.5 py-1 text-sm ${lookOf(tag, form.avoid.includes(tag))}`}
          >
            {avoidWords(tag)}
          </button>
        ))}
      </div>
      {problems['avoid'] && (
        <p role="alert" className="mt-1 text-sm text-bad">
          {problems['avoid']} No version is sent to this athlete before it is settled.
        </p>
      )}
    </fieldset>
  );
}
