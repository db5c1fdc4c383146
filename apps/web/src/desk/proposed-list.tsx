/** Who proposes something, on the desk: one line each, to be looked at beside the file. */
import { Link } from 'react-router';
import { useRoster } from '../api/queries';
import { proposalLines, useProposals } from '../people/proposals';

export function ProposedList() {
  const { data: proposals = [] } = useProposals();
  const { data: people = [] } = useRoster();
  if (proposals.length === 0) return null;
  return (
    <section aria-label="Proposed" className="border-l-4 border-amber pl-3">
      <h2 className="text-lg">Proposed</h2>
      <ul>
        {proposals.map(({ id, athleteId, change }) => (
          <li key={id} className="py-0.5 text-sm">
            <Link to={`/people/${athleteId}`} className="font-medium hover:underline">
              {people.find((person) => person.id === athleteId)?.name ?? 'Somebody'}
            </Link>{' '}
            <span className="text-soft">
              {proposalLines(change)
                .map(([what]) => what)
                .join(', ')}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
