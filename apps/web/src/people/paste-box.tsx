/** What an athlete wrote, pasted: each sentence beside what it would become in the form. Nothing is taken by itself; what is not there is struck through; what was not understood is listed. */
import { readAthleteMessage, type AthleteMessage, type MessageChange, type MessageProposal } from '@gambito/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { toast } from '../ui/toast';
import { withPasted } from './pasted-changes';
import type { PersonForm } from './use-person';

const keyOf = ({ words, choices }: MessageProposal): string => `${words}: ${choices[0]?.says ?? ''}`;

/** The sentences, what was already decided of them, and taking with one undo. */
function usePasted({ form, change, places }: PersonForm) {
  const [text, setText] = useState('');
  const [settled, setSettled] = useState<ReadonlySet<string>>(new Set());
  const read = useDeferredValue(text);
  const message = useMemo(() => readAthleteMessage(read), [read]);
  const open = message.proposals.filter((proposal) => !settled.has(keyOf(proposal)));
  const settle = (proposals: readonly MessageProposal[]): void => setSettled(new Set([...settled, ...proposals.map(keyOf)]));
  const take = (proposals: readonly MessageProposal[], changes: readonly MessageChange[]): void => {
    const [before, decided] = [form, settled];
    change(changes.reduce((next, each) => withPasted(next, places.at, each), form));
    settle(proposals);
    toast(changes.length === 1 ? 'Taken into the form.' : `${changes.length} taken into the form.`, {
      action: {
        label: 'Undo',
        onClick: () => {
          change(before);
          setSettled(decided);
        },
      },
    });
  };
  return { text, setText, message, open, take, leave: (proposal: MessageProposal) => settle([proposal]) };
}
type Pasted = ReturnType<typeof usePasted>;

export function PasteBox({ person }: { person: PersonForm }) {
  const pasted = usePasted(person);
  const { text, setText, message, open, take } = pasted;
  const clear = open.filter(({ choices, harm }) => choices.length === 1 && !harm);
  return (
    <details className="mb-4 border-l-4 border-block bg-wash p-3 text-sm">
      <summary className="cursor-pointer font-medium">Paste what they wrote</summary>
      <label className="mt-2 block">
        <span className="text-soft">Sentences as they came: what they have at home, the room, what hurts, what they can do.</span>
        <textarea
          className={`${inputLook} mt-1 block min-h-20 w-full`}
          aria-label="What they wrote"
          rows={3}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      {open.length > 0 && (
        <ul aria-label="Proposed from the text" className="mt-2 divide-y divide-line border-y border-line">
          {open.map((proposal) => (
            <ProposalRow key={keyOf(proposal)} proposal={proposal} pasted={pasted} />
          ))}
        </ul>
      )}
      {clear.length > 1 && (
        <Button
          className="mt-2"
          look="main"
          onClick={() =>
            take(
              clear,
              clear.map(({ choices }) => choices[0]!.change),
            )
          }
        >
          Take the {clear.length} that are clear
        </Button>
      )}
      <NotThere message={message} />
    </details>
  );
}

function ProposalRow({ proposal, pasted: { take, leave } }: { proposal: MessageProposal; pasted: Pasted }) {
  const { words, choices, harm } = proposal;
  return (
    <li className={`flex flex-wrap items-center gap-x-4 gap-y-1 py-1.5 ${harm ? 'border-l-4 border-l-bad pl-2' : ''}`}>
      <q className="min-w-40 flex-1 text-soft">{words}</q>
      <span className="flex flex-wrap items-center gap-2">
        {choices.map(({ says, change }) => (
          <Button key={says} onClick={() => take([proposal], [change])}>
            {says}
          </Button>
        ))}
        <Button look="bare" onClick={() => leave(proposal)} aria-label={`Leave “${words}”`}>
          Leave it
        </Button>
      </span>
    </li>
  );
}

function NotThere({ message: { absent, left } }: { message: AthleteMessage }) {
  return (
    <>
      {absent.length > 0 && (
        <p className="mt-2">
          They do not have:{' '}
          {absent.map(({ thing, words }, at) => (
            <span key={thing}>
              {at > 0 && ', '}
              <s title={words}>{thing}</s>
            </span>
          ))}
        </p>
      )}
      {left.length > 0 && <p className="mt-2 text-soft">Not understood: “{left.join('”, “')}”. Look whether any of it matters.</p>}
    </>
  );
}
