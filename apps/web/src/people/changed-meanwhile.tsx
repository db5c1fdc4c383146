/** What another window, an import or the athlete changed while this form was open or kept: merged, and said. */
import { Button } from '../ui/button';
import type { PersonForm } from './use-person';

const labels: Readonly<Record<string, string>> = {
  avoid: 'what is avoided',
  bodyMass: 'body mass',
  bestSets: 'best sets',
  squatDepth: 'squat depth',
  reachLimit: 'how low the hands reach',
  timeAvailable: 'time available',
  lifts: 'lifts',
  places: 'places and kit',
};
const labelOf = (field: string): string => labels[field] ?? field;
const wordsOf = (value: unknown): string => (typeof value === 'string' ? value || 'nothing' : 'other places or kit');

export function ChangedMeanwhile({ person: { merged, takeTheirs } }: { person: PersonForm }) {
  if (merged.taken.length === 0 && merged.clashes.length === 0) return null;
  return (
    <div role="status" aria-label="Changed elsewhere" className="border-l-4 border-amber bg-wash p-2.5 text-sm">
      {merged.taken.length > 0 && <p>Changed elsewhere meanwhile, and taken into this form: {merged.taken.map(labelOf).join(', ')}.</p>}
      {merged.clashes.map((clash) => (
        <p key={clash.field} className="mt-1 flex flex-wrap items-center gap-2">
          <span>
            Changed here and elsewhere: {labelOf(clash.field)}. Elsewhere it says “{wordsOf(clash.theirs)}”.
          </span>
          <Button className="!min-h-7 !py-0" onClick={() => takeTheirs(clash)}>
            Take that one
          </Button>
        </p>
      ))}
    </div>
  );
}
