/** What a workout said before: each text beside the one that stands, what came and went marked, and taken again with one click. */
import { diffWordsWithSpace } from 'diff';
import { format, parseISO } from 'date-fns';
import { History, X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useRevisions, useRevisionText } from '../api/queries';
import { Button } from '../ui/button';

interface Props {
  readonly workoutId: number;
  /** as it stands */
  readonly text: string;
  readonly take: (text: string) => void;
}

export function EarlierTexts(props: Props) {
  const [open, setOpen] = useState(false);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button look="bare" title="What it said before">
          <History size={15} /> Earlier
        </Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 flex max-h-[86dvh] w-[min(56rem,94vw)] -translate-x-1/2 -translate-y-1/2 flex-col rounded-md border border-line bg-sheet p-5"
        >
          <div className="flex items-center">
            <Dialog.Title className="text-xl">What it said before</Dialog.Title>
            <Dialog.Close className="ml-auto rounded p-2 hover:bg-wash" aria-label="Close">
              <X size={16} />
            </Dialog.Close>
          </div>
          <Revisions
            {...props}
            take={(text) => {
              props.take(text);
              setOpen(false);
            }}
          />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Revisions({ workoutId, text, take }: Props) {
  const { data: revisions } = useRevisions(workoutId);
  const [chosen, setChosen] = useState<number | null>(null);
  const open = chosen ?? revisions?.[0]?.revision ?? null;
  if (!revisions) return <p className="text-soft">Loading …</p>;
  if (open === null) return <p className="mt-2 text-soft">Nothing yet: of each spell of typing, the text it began from is kept.</p>;
  return (
    <div className="mt-3 grid min-h-0 gap-4 overflow-auto sm:grid-cols-[15rem_1fr]">
      <ul className="text-sm">
        {revisions.map(({ revision, savedAt, preview }) => (
          <li key={revision}>
            <button
              type="button"
              aria-pressed={revision === open}
              className="block w-full rounded px-2 py-1.5 text-left hover:bg-wash aria-pressed:bg-wash aria-pressed:font-semibold"
              onClick={() => setChosen(revision)}
            >
              until {format(parseISO(savedAt), 'EEE d MMM HH:mm')}
              <span className="block truncate text-xs font-normal text-soft">{preview}</span>
            </button>
          </li>
        ))}
      </ul>
      <Compared workoutId={workoutId} revision={open} text={text} take={take} />
    </div>
  );
}

function Compared({ workoutId, revision, text, take }: Props & { readonly revision: number }) {
  const { data: before } = useRevisionText(workoutId, revision);
  if (before === undefined) return <p className="text-soft">Loading …</p>;
  return (
    <div>
      <pre aria-label="That text, beside the one that stands" className="whitespace-pre-wrap rounded border border-line p-3 font-sans text-sm">
        {diffWordsWithSpace(text, before).map(({ value, added, removed }, index) =>
          added ? (
            <ins key={index} className="bg-amber-wash no-underline">
              {value}
            </ins>
          ) : removed ? (
            <del key={index} className="text-soft">
              {value}
            </del>
          ) : (
            <span key={index}>{value}</span>
          ),
        )}
      </pre>
      <p className="mt-1 text-xs text-soft">On amber: only in that text. Struck: only in the one that stands.</p>
      <Button look="main" className="mt-2" disabled={before === text} onClick={() => take(before)}>
        Take this text again
      </Button>
    </div>
  );
}
