/** Send: one link an athlete, copied all at once; who has it, who got an older text, and how to withdraw it. */
import { useParams } from 'react-router';
import type { StoredSend } from '../api/types';
import { Page } from '../shell/frame';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { Failed, Loading, Progress } from '../ui/states';
import { SendLine } from './send-line';
import { useSend } from './use-send';

type SendModel = ReturnType<typeof useSend>;

const headings = ['Athlete', 'State', 'Link'] as const;

function wordsFor(waiting: number, shown: number, narrowed: boolean): string {
  if (waiting === 0) return narrowed ? 'All of these sent' : 'All sent';
  if (narrowed) return `Send to these ${waiting}`;
  return `Send ${waiting === shown ? 'all' : `the other ${waiting}`}`;
}

export function SendScreen() {
  const { people, links, job, waiting } = useSend(Number(useParams()['id']));
  if (links.error) return <Failed error={links.error} retry={() => void links.refetch()} />;
  if (people.error) return <Failed error={people.error} retry={() => void people.refetch()} />;
  if (!links.sends || !people.rows) return <Loading />;
  const { sends } = links;
  const { shown, rows, search, setSearch } = people;
  return (
    <Page
      title="Send"
      aside={
        <>
          <Progress done={job.progress.done} of={job.progress.of} what="Preparing" />
          {job.isSending && <Button onClick={job.stop}>Stop</Button>}
          <input
            aria-label="Who"
            placeholder="Who: name, place, kit, note"
            className={inputLook}
            value={search}
            onChange={(event) => setSearch(event.target.value)}
          />
          <Button onClick={() => void links.copyAll()} disabled={links.alive.length === 0}>
            Copy all links
          </Button>
          <Button look="main" onClick={() => job.send(waiting.map(({ id }) => id))} disabled={waiting.length === 0 || job.isSending}>
            {wordsFor(waiting.length, shown.length, shown.length < rows.length)}
          </Button>
        </>
      }
    >
      {links.byHand && <ByHand text={links.byHand} />}
      <Lines shown={shown} sends={sends} links={links} job={job} />
      {people.notMeant > 0 && <p className="mt-3 text-sm text-soft">Not meant for {people.notMeant} more: change whom it is for above.</p>}
      {shown.length === 0 && <p className="mt-4 text-soft">{rows.length === 0 ? 'Nobody to send to yet.' : 'Nobody with these words.'}</p>}
    </Page>
  );
}

/** Who has which link. */
function Lines({ shown, sends, links, job }: Pick<SendModel, 'links' | 'job'> & { shown: SendModel['people']['shown']; sends: readonly StoredSend[] }) {
  return (
    <table className="w-full border-collapse">
      <thead>
        <tr className="border-b-2 border-ink text-left text-sm">
          {headings.map((heading) => (
            <th key={heading} className="py-1 font-medium">
              {heading}
            </th>
          ))}
          <th className="py-1">
            <span className="sr-only">Actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {shown.map(({ id, name }) => (
          <SendLine
            key={id}
            name={name}
            sent={sends.find(({ athleteId }) => athleteId === id)}
            links={links}
            busy={job.isSending}
            send={() => job.send([id])}
          />
        ))}
      </tbody>
    </table>
  );
}

function ByHand({ text }: { text: string }) {
  return (
    <div className="mb-4">
      <p className="text-sm">The browser does not let Gambito copy; select and copy by hand:</p>
      <textarea
        aria-label="Links"
        readOnly
        className="mt-1 h-40 w-full rounded border border-line bg-sheet p-2 text-sm"
        value={text}
        onFocus={(event) => event.currentTarget.select()}
      />
    </div>
  );
}
