/** What somebody proposes through their own door: taken into the form, where it is read and can be changed before it is saved, or left. */
import { Button } from '../ui/button';
import { proposalLines, useProposals, useSettle, withProposal } from './proposals';
import type { PersonForm } from './use-person';

export function ProposalsOf({ athleteId, person }: { athleteId: number; person: PersonForm }) {
  const { data: proposals = [] } = useProposals();
  const settle = useSettle();
  return proposals
    .filter((proposal) => proposal.athleteId === athleteId)
    .map(({ id, change }) => (
      <section key={id} aria-label="Proposed" className="mb-4 border-l-4 border-amber pl-3 text-sm">
        <h2 className="font-serif text-base font-semibold">Proposed</h2>
        <dl>
          {proposalLines(change).map(([what, words]) => (
            <div key={what}>
              <dt className="text-soft">{what}</dt>
              <dd>{words}</dd>
            </div>
          ))}
        </dl>
        <div className="mt-1 flex gap-2">
          <Button
            onClick={() => {
              person.change(withProposal(person.form, change));
              settle({ id, taken: true });
            }}
          >
            Take into the form
          </Button>
          <Button look="bare" onClick={() => settle({ id, taken: false })}>
            Leave
          </Button>
        </div>
      </section>
    ));
}
