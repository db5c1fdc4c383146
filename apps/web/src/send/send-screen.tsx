/** Send: one link an athlete, copied all at once; who has it, who got an older text, and how to withdraw it. */
import type { Delivery } from '@gambito/contract';
import { useParams } from 'react-router';
import type { StoredSend } from '../api/types';
import { Page } from '../shell/frame';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { Failed, Loading, Progress } from '../ui/states';
import { MessageSheet } from './message-sheet';
import { SendLine } from './send-line';
import { useKeptAgainst } from './use-kept-against';
import { useDeliveries } from './use-messages';
import { useSend } from './use-send';

type SendModel = ReturnType<typeof useSend>;

const headings = ['Athlete', 'State', 'Link'] as const;

function wordsFor(waiting: number, shown: number, narrowed: boolean): string {
  if (waiting === 0) return narrowed ? 'All of these sent' : 'All sent';
  if (narrowed) return `Send to these ${waiting}`;
  return `Send ${waiting === shown ? 'all' : `the other ${waiting}`}`;
}

export function SendScreen() {
  const id = Number(useParams()['id']);
  const { people, links, job, waiting } = useSend(id);
  const { data: written } = useDeliveries(id);
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
          <MessageSheet workoutId={id} athleteIds={links.alive.map(({ athleteId }) => athleteId)} />
          <Button onClick={() => void links.copyAll()} disabled={links.alive.length === 0}>
            Copy all links
          </Button>
          <Button look="main" onClick={() => job.send(waiting.map(({ id }) => id))} disabled={waiting.length === 0 || job.isSending}>
            {wordsFor(waiting.length, shown.length, shown.length < rows.length)}
          </Button>
        </>
      }
    >
      <p className="mb-2 text-sm text-soft">Sending makes a version and a link for each. Nothing leaves by itself: copy the links, or write to them.</p>
      {links.byHand && <ByHand text={links.byHand} />}
      <Lines workoutId={id} shown={shown} sends={sends} links={links} job={job} deliveries={written?.deliveries ?? []} />
      {people.notMeant > 0 && <p className="mt-3 text-sm text-soft">Not meant for {people.notMeant} more: change whom it is for above.</p>}
      {shown.length === 0 && <p className="mt-4 text-soft">{rows.length === 0 ? 'Nobody to send to yet.' : 'Nobody with these words.'}</p>}
    </Page>
  );
}

/** Who has which link. */
interface LinesProps extends Pick<SendModel, 'links' | 'job'> {
  readonly workoutId: number;
  readonly shown: SendModel['people']['shown'];
  readonly sends: readonly StoredSend[];
  /** the newest first */
  readonly deliveries: readonly Delivery[];
}
function Lines({ workoutId, shown, sends, links, job, deliveries }: LinesProps) {
  const kept = useKeptAgainst(workoutId);
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
            delivery={deliveries.find(({ athleteId }) => athleteId === id)}
            links={links}
            busy={job.isSending}
            kept={kept.get(id)?.lines ?? []}
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
