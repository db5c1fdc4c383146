/** The athlete's page, for a phone: today's version in the athlete's own units, the original beside it, the clock, the score. */
import { Play, Printer, Timer, Users } from 'lucide-react';
import { Suspense, useEffect } from 'react';
import { Link, useParams } from 'react-router';
import { ApiError } from '../api/client';
import { useAthletePage } from '../api/athlete-page';
import type { AthletePage } from '../api/types';
import { ThemeButton } from '../ui/theme-button';
import { showScore } from '../ui/scores';
import { Failed, Loading } from '../ui/states';
import { BriefPartView } from './brief-part';
import { FeltForm } from './felt-form';
import { scoreDraftKey } from './clock-state';
import { TodayPart } from './today-form';
import { readWaiting, waitingKey } from './waiting-score';
import { part } from '../ui/part';

// scores are read by the core, which is large: the workout is there before it
const ScoreForm = part('the form for your score', async () => (await import('./score-form')).ScoreForm);

export function AthleteScreen() {
  const token = useParams()['token']!;
  const { data, error, refetch } = useAthletePage(token);
  if (error) {
    const gone = error instanceof ApiError && (error.problem.status === 404 || error.problem.status === 410);
    return gone ? (
      <main className="mx-auto max-w-md p-6">
        <h1 className="text-2xl">This link is not open</h1>
        <p className="mt-2">{error.message}</p>
        <Unsent token={token} />
      </main>
    ) : (
      <Failed error={error} retry={() => void refetch()} />
    );
  }
  if (!data) return <Loading what="Fetching your workout" />;
  return data.held ? <Held token={token} page={data} /> : <Brief token={token} page={data} />;
}

/** What was typed and never reached the coach: shown for copying where the link takes nothing any more. */
function Unsent({ token }: { token: string }) {
  const waiting = readWaiting(localStorage.getItem(waitingKey(token)));
  const typed = waiting?.score ?? localStorage.getItem(scoreDraftKey(token));
  if (!typed) return null;
  return (
    <p className="mt-3 border-l-4 border-amber pl-3">
      Your score <b className="select-all">{[typed, waiting?.note].filter(Boolean).join(' · ')}</b> has not reached your coach. Copy it, and send it to them
      another way.
    </p>
  );
}

/** Something that it asks for is to be spared since it was sent: it is not offered as it was. */
function Held({ token, page }: { token: string; page: AthletePage }) {
  return (
    <main className="mx-auto max-w-xl px-4 py-4">
      <h1 className="text-2xl">{page.brief.title}</h1>
      <p role="status" aria-label="Held" className="mt-3 border-l-4 border-amber pl-3">
        Your coach is looking at this again: something changed since it was sent. Do not start it before you hear from them.
      </p>
      <Suspense fallback={<Loading what="Fetching the form for your score" />}>
        <ScoreForm token={token} page={page} />
      </Suspense>
    </main>
  );
}

const faces = [
  ['pdf', 'PDF'],
  ['md', 'Markdown'],
  ['txt', 'text'],
] as const;

/** On paper everything is open: a folded section cannot be clicked there. */
function useUnfoldedPrint(): void {
  useEffect(() => {
    const unfold = (): void => document.querySelectorAll('details').forEach((each) => each.setAttribute('open', ''));
    window.addEventListener('beforeprint', unfold);
    return () => window.removeEventListener('beforeprint', unfold);
  }, []);
}

function Brief({ token, page }: { token: string; page: AthletePage }) {
  const { brief } = page;
  useUnfoldedPrint();
  return (
    <main className="mx-auto max-w-xl px-4 py-4 print:max-w-none">
      <Opening page={page} />
      <TodayPart token={token} page={page} />
      <section aria-label="Your version" className="mt-3">
        {brief.parts.map((part, index) => (
          <BriefPartView key={index} part={part} several={brief.parts.filter(({ predicted }) => predicted !== null).length > 1} />
        ))}
      </section>
      <div className="no-print sticky bottom-2 z-10 my-3">
        {page.together && (
          <Link
            to={`/a/${token}/class`}
            className="mb-2 flex items-center justify-center gap-2 rounded-lg bg-amber py-3 text-lg font-semibold text-[#1f2733] shadow"
          >
            <Users size={20} /> Join the class
          </Link>
        )}
        <Link to={`/a/${token}/clock`} className="flex items-center justify-center gap-2 rounded-lg bg-ink py-3 text-lg font-semibold text-paper shadow">
          <Play size={20} /> Start the clock{page.together ? ' alone' : ''}
        </Link>
      </div>
      <p className="no-print text-sm">
        <a className="underline" href={`/api/a/${token}/calendar.ics`} download>
          Put it in the calendar
        </a>
        <span className="text-soft"> · on paper: </span>
        {faces.map(([face, words], index) => (
          <span key={face}>
            {index > 0 && ', '}
            <a className="underline" href={`/api/a/${token}/version/${face}`} target="_blank" rel="noreferrer">
              {words}
            </a>
          </span>
        ))}
      </p>
      <Suspense fallback={<Loading what="Fetching the score sheet" />}>
        <ScoreForm token={token} page={page} />
      </Suspense>
      <Folds token={token} page={page} />
    </main>
  );
}

/** Whose it is, what it is called, what the coach says with it and what it may come to. */
function Opening({ page: { brief, changed } }: { page: AthletePage }) {
  return (
    <>
      <div className="flex items-center gap-2">
        <p className="text-sm text-soft">
          {brief.athlete}, {brief.place}
        </p>
        <span className="no-print ml-auto flex">
          <ThemeButton />
          <button type="button" className="rounded p-2 hover:bg-wash" aria-label="Print" onClick={() => window.print()}>
            <Printer size={17} />
          </button>
        </span>
      </div>
      <h1 className="text-3xl">{brief.title}</h1>
      {changed && <p className="mt-2 border-l-4 border-amber pl-3 text-sm">Your coach changed this workout after sending it. A new version may follow.</p>}
      {brief.note && <p className="mt-2 border-l-4 border-ink bg-wash p-2">{brief.note}</p>}
      <p className="mt-1">
        Expect <b>{showScore(brief.predicted.median, brief.predicted.unit)}</b>{' '}
        <span className="text-soft">
          ({showScore(brief.predicted.low, brief.predicted.unit)} to {showScore(brief.predicted.high, brief.predicted.unit)})
        </span>
        {brief.window && <span className="ml-2 rounded bg-amber-wash px-1.5 text-amber-ink">window {brief.window}</span>}
      </p>
    </>
  );
}

const warmUpTitle = ({ warmUpSeconds }: AthletePage['brief']): string =>
  warmUpSeconds < 60 ? 'Warm-up' : `Warm-up, about ${Math.round(warmUpSeconds / 60)} min`;

/** What stands around the work: before it, how to do it, after it. */
function Folds({ token, page }: { token: string; page: AthletePage }) {
  const { brief } = page;
  return (
    <>
      {brief.warmUp.length > 0 && (
        <Fold title={warmUpTitle(brief)} open>
          <List lines={brief.warmUp} />
          {brief.warmUpClock && (
            <Link
              to={`/a/${token}/warm-up`}
              className="no-print mt-2 inline-flex min-h-11 items-center gap-2 rounded border border-line bg-sheet px-3 font-semibold"
            >
              <Timer size={17} /> Warm up by the clock
            </Link>
          )}
        </Fold>
      )}
      <Fold title="Pacing">
        <List lines={brief.pacing} />
      </Fold>
      <Fold title="Standards">
        {brief.standards.map((each) => (
          <div key={each.movement} className="mb-2">
            <h3 className="text-base">{each.movement}</h3>
            <List lines={each.points} />
            {each.link && (
              <a className="text-sm underline" href={each.link} target="_blank" rel="noreferrer">
                How it looks
              </a>
            )}
            {each.noReps.length > 0 && <p className="text-sm text-soft">No rep: {each.noReps.join('; ').toLowerCase()}.</p>}
          </div>
        ))}
      </Fold>
      <Fold title="Cautions" open>
        <List lines={[...brief.warnings, ...brief.cautions]} />
      </Fold>
      <Fold title="Something hurt" open={page.felt !== null}>
        <FeltForm token={token} page={page} />
      </Fold>
      <Fold title="Cool-down">
        <List lines={brief.coolDown} />
      </Fold>
      <Fold title="The workout as written">
        <pre className="whitespace-pre-wrap font-sans">{page.originalText}</pre>
      </Fold>
    </>
  );
}

const List = ({ lines }: { lines: readonly string[] }) => (
  <ul className="list-disc pl-5">
    {lines.map((line) => (
      <li key={line}>{line}</li>
    ))}
  </ul>
);
function Fold({ title, open = false, children }: { title: string; open?: boolean; children: React.ReactNode }) {
  return (
    <details open={open} className="border-t border-line py-2">
      <summary className="cursor-pointer font-serif text-lg font-semibold">{title}</summary>
      <div className="mt-1">{children}</div>
    </details>
  );
}
