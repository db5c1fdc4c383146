/** What the file says of harm and nobody could place: no version is made before the coach has answered it, with what it spares or that it was read. */
import { avoidNames } from '@gambito/core';
import { useState } from 'react';
import { Button } from '../ui/button';
import { avoidWords } from './roster';
import type { PersonForm } from './use-person';

export function HarmWaiting({ person }: { person: PersonForm }) {
  const { unanswered } = person.athlete;
  if (unanswered.length === 0) return null;
  return (
    <section aria-label="To be answered" className="rounded-md border-2 border-bad p-3">
      <h2 className="text-base">To be answered</h2>
      <p className="text-sm text-soft">
        No version is made for this athlete before you have answered. Gambito clears nobody: when in doubt, ask a licensed professional.
      </p>
      <ul className="mt-2 flex flex-col gap-3">
        {unanswered.map(({ path, text }) => (
          <Waiting key={`${path} ${text}`} text={text} person={person} />
        ))}
      </ul>
    </section>
  );
}

function Waiting({ text, person: { form, change, coach, today } }: { text: string; person: PersonForm }) {
  const [spares, setSpares] = useState<readonly string[]>([]);
  const turn = (tag: string): void => setSpares(spares.includes(tag) ? spares.filter((other) => other !== tag) : [...spares, tag]);
  const answer = (): void =>
    change({
      // an unread word of the avoid-list is answered, and so no word of it any more
      avoid: [...new Set([...form.avoid.filter((word) => word !== text), ...spares])],
      answers: [...form.answers, { text, by: coach, date: today, spares }],
    });
  return (
    <li>
      <p className="font-medium">“{avoidWords(text)}”</p>
      <div role="group" aria-label={`What “${avoidWords(text)}” spares`} className="mt-1 flex flex-wrap gap-1.5">
        {avoidNames.map((tag) => (
          <button
            key={tag}
            type="button"
            aria-pressed={spares.includes(tag)}
            onClick={() => turn(tag)}
            className={`rounded-full border px-2 py-0.5 text-sm ${spares.includes(tag) ? 'border-ink bg-ink text-paper' : 'border-line bg-sheet'}`}
          >
            {avoidWords(tag)}
          </button>
        ))}
      </div>
      <Button className="mt-1.5" onClick={answer}>
        {spares.length > 0 ? `Spare ${spares.map(avoidWords).join(', ')}` : 'Read, nothing to spare'}
      </Button>
    </li>
  );
}
