/** What a workout said before: each text beside the one that stands, what came and went marked, and taken again with one click. */
import { diffWordsWithSpace } from 'diff';
import { format, parseISO } from 'date-fns';
import { History } from 'lucide-react';
import { useState } from 'react';
import { useByWhom } from '../api/by-whom';
import { useRevisions, useRevisionText } from '../api/queries';
import { Button } from '../ui/button';
import { Modal } from '../ui/modal';

interface Props {
  readonly workoutId: number;
  /** as it stands */
  readonly text: string;
  readonly take: (text: string) => void;
}

export function EarlierTexts(props: Props) {
  const [open, setOpen] = useState(false);
  return (
    <Modal
      open={open}
      setOpen={setOpen}
      title="What it said before"
      className="w-[min(56rem,94vw)]"
      trigger={
        <Button look="bare" title="What it said before">
          <History size={15} /> Earlier
        </Button>
      }
    >
      <Revisions
        {...props}
        take={(text) => {
          props.take(text);
          setOpen(false);
        }}
      />
    </Modal>
  );
}

function Revisions({ workoutId, text, take }: Props) {
  const { data: revisions } = useRevisions(workoutId);
  const byWhom = useByWhom();
  const [chosen, setChosen] = useState<number | null>(null);
  const open = chosen ?? revisions?.[0]?.revision ?? null;
  if (!revisions) return <p className="text-soft">Loading …</p>;
  if (open === null) return <p className="mt-2 text-soft">Nothing yet: of each spell of typing, the text it began from is kept.</p>;
  return (
    <div className="mt-3 grid min-h-0 gap-4 overflow-auto sm:grid-cols-[15rem_1fr]">
      <ul className="text-sm">
        {revisions.map(({ revision, savedAt, by, preview }) => (
          <li key={revision}>
            <button
              type="button"
              aria-pressed={revision === open}
              className="block w-full rounded px-2 py-1.5 text-left hover:bg-wash aria-pressed:bg-wash aria-pressed:font-semibold"
              onClick={() => setChosen(revision)}
            >
              until {format(parseISO(savedAt), 'EEE d MMM HH:mm')}
              {byWhom(by) && `, by ${byWhom(by)}`}
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
