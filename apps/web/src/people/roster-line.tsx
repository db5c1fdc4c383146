import clsx from 'clsx';
import { Trash2 } from 'lucide-react';
import { Link } from 'react-router';
import { Button } from '../ui/button';
import { avoidWords, type RosterRow } from './roster';
import { choiceWords } from './choice-words';

/** One person of the roster. */
export function RosterLine({ row, chosen, choose, remove }: { row: RosterRow; chosen: boolean; choose: () => void; remove: () => void }) {
  const { id, name, notes, athlete, kit, measures, groups } = row;
  const place = athlete.places[0]!;
  return (
    <tr className={clsx('border-b border-line align-top hover:bg-wash', chosen && 'bg-wash')}>
      <td className="py-2">
        <input type="checkbox" aria-label={`Choose ${name}`} className="size-6 accent-ink" checked={chosen} onChange={choose} />
      </td>
      <td className="py-1.5 pr-4">
        <Link to={`/people/${id}`} className="font-serif text-lg hover:underline">
          {name}
        </Link>
        <span className="block text-sm text-soft">
          {notes}
          {groups.length > 0 && <span className="block text-xs">{groups.join(' · ')}</span>}
        </span>
      </td>
      <td className="hidden py-2 pr-4 text-sm sm:table-cell">
        {choiceWords(athlete.level)}
        <span className="block text-soft">{athlete.category}</span>
      </td>
      <td className="hidden py-2 pr-4 text-sm whitespace-nowrap sm:table-cell">
        {athlete.ageYears ?? '–'}
        <span className="block text-soft">{measures}</span>
      </td>
      <td className="w-1/2 py-2 pr-4 text-sm">
        <b>{place.name}</b>
        {athlete.places.length > 1 && <span className="text-soft"> and {athlete.places.length - 1} more</span>}, {place.floor.lengthM} × {place.floor.widthM} m,
        ceiling {place.ceilingM} m{place.noise === 'quiet' && ', quiet'}
        <span className="line-clamp-2 text-soft">{kit || 'no kit'}</span>
      </td>
      <td className="hidden py-2 pr-4 text-sm text-amber-ink md:table-cell">{athlete.avoid.map(avoidWords).join(', ')}</td>
      <td className="py-1 text-right">
        <Button look="danger" onClick={remove} aria-label={`Delete ${name}`}>
          <Trash2 size={16} />
        </Button>
      </td>
    </tr>
  );
}
