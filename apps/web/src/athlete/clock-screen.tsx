/** The clock: readable from two metres, one big tap to count, everything else small. */
import { countInSeconds, formatClock } from '@gambito/core';
import { ArrowLeft, Undo2, Volume2, VolumeX } from 'lucide-react';
import { Link, useNavigate, useParams } from 'react-router';
import { useAthletePage } from '../api/queries';
import type { AthletePage } from '../api/types';
import { Button } from '../ui/button';
import { Failed, Loading } from '../ui/states';
import { freshClock, scoreDraftKey, scoreOfClock, secondsOf, viewOf } from './clock-state';
import { useClock } from './use-clock';

export function ClockScreen() {
  const token = useParams()['token']!;
  const { data, error, refetch } = useAthletePage(token);
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  return data ? <Clock token={token} page={data} /> : <Loading />;
}

const toneOf: Readonly<Record<string, string>> = { rest: 'bg-wash text-ink', end: 'bg-sheet text-ink' };

function Clock({ token, page }: { token: string; page: AthletePage }) {
  const { cues } = page.brief.clock;
  const { state, change, now, muted, mute, unlockSound, running } = useClock(token, page.sentAt, cues);
  const navigate = useNavigate();
  const seconds = secondsOf(state, now);
  const started = state.startedAt !== null;
  const countingIn = started && seconds < 0;
  const view = viewOf(cues, state, now);
  const over = started && (view.over || state.finishedAt !== null);
  const counts = view.cue.kind === 'work' || view.cue.kind === 'interval';
  const endable = view.cue.kind === 'open' || view.cue.kind === 'cap';
  const part = page.brief.parts[view.cue.part];
  const tapsHere = state.taps.filter((tap) => tap.part === view.cue.part).length;

  const start = (): void => {
    unlockSound();
    change(() => ({ ...freshClock, startedAt: Date.now() + countInSeconds * 1000 }));
  };
  const pause = (): void =>
    change((before) =>
      before.pausedAt === null ? { ...before, pausedAt: Date.now() } : { ...before, pausedAt: null, pausedMs: before.pausedMs + Date.now() - before.pausedAt },
    );
  const tap = (): void => {
    unlockSound();
    change((before) => ({ ...before, taps: [...before.taps, { at: secondsOf(before, Date.now()), part: view.cue.part }] }));
  };
  const endPiece = (): void => change((before) => ({ ...before, ended: { ...before.ended, [view.index]: secondsOf(before, Date.now()) } }));
  const takeBack = (): void =>
    change((before) => {
      const last = before.taps[before.taps.length - 1];
      const ends = Object.entries(before.ended).sort((a, b) => b[1] - a[1]);
      const newest = ends[0];
      if (newest && (!last || newest[1] > last.at)) return { ...before, ended: Object.fromEntries(ends.slice(1)) };
      return { ...before, taps: before.taps.slice(0, -1) };
    });
  const again = (): void => change(() => freshClock);
  const carry = (): void => {
    const score = scoreOfClock(cues, state, page.brief.scoreKind);
    if (score) localStorage.setItem(scoreDraftKey(token), score);
    void navigate(`/a/${token}`);
  };

  const big = countingIn
    ? String(Math.ceil(-seconds))
    : !started
      ? formatClock(page.brief.clock.totalSeconds ?? view.cue.lengthSeconds ?? 0)
      : over
        ? formatClock(state.finishedAt ?? seconds)
        : view.left === null || view.cue.kind === 'cap'
          ? formatClock(view.into)
          : formatClock(Math.ceil(view.left));
  return (
    <main className={`flex min-h-dvh flex-col p-4 ${countingIn ? 'bg-amber-wash text-amber-ink' : (toneOf[view.cue.kind] ?? 'bg-paper text-ink')}`}>
      <div className="flex items-center gap-2">
        <Link to={`/a/${token}`} className="rounded p-2" aria-label="Back to the workout">
          <ArrowLeft size={20} />
        </Link>
        <h1 className="text-lg">{page.brief.title}</h1>
        <button type="button" className="ml-auto rounded p-2" aria-label={muted ? 'Sound on' : 'Sound off'} aria-pressed={muted} onClick={() => mute(!muted)}>
          {muted ? <VolumeX size={20} /> : <Volume2 size={20} />}
        </button>
      </div>
      <div className="flex flex-1 flex-col items-center justify-center gap-2 text-center">
        <p className="text-2xl">
          {countingIn
            ? 'Get ready'
            : !started
              ? page.brief.clock.totalSeconds === null
                ? 'Open end'
                : 'In all'
              : state.pausedAt !== null
                ? 'Paused'
                : view.cue.text}
        </p>
        <p role="timer" aria-live="off" className="font-serif text-[27vw] font-semibold leading-none sm:text-[180px]">
          {big}
        </p>
        {started && !over && !countingIn && <p className="text-soft">on the clock {formatClock(Math.max(0, seconds))}</p>}
        {!over && (
          <ul className="mt-2 text-2xl leading-snug">
            {(view.cue.lines.length > 0
              ? view.cue.lines
              : view.cue.kind === 'rest' && view.next
                ? [`next: ${view.next.text}`, ...view.next.lines]
                : (part?.lines.map((line) => line.text) ?? [])
            ).map((line, index) => (
              <li key={index}>{line}</li>
            ))}
          </ul>
        )}
        {counts && started && <p className="mt-2 text-3xl font-semibold">{tapsHere} rounds</p>}
      </div>
      <div className="flex flex-col gap-2">
        {!started && (
          <button type="button" onClick={start} className="rounded-xl bg-ink py-6 text-3xl font-semibold text-paper">
            Start
          </button>
        )}
        {started && !over && !countingIn && counts && (
          <button type="button" onClick={tap} disabled={!running} className="rounded-xl bg-ink py-8 text-3xl font-semibold text-paper disabled:opacity-50">
            Round done
          </button>
        )}
        {started && !over && !countingIn && endable && (
          <button type="button" onClick={endPiece} disabled={!running} className="rounded-xl bg-ink py-8 text-3xl font-semibold text-paper disabled:opacity-50">
            Done
          </button>
        )}
        {over && (
          <button type="button" onClick={carry} className="rounded-xl bg-amber py-6 text-2xl font-semibold text-[#1f2733]">
            {scoreOfClock(cues, state, page.brief.scoreKind) ? `Log ${scoreOfClock(cues, state, page.brief.scoreKind)}` : 'To the score'}
          </button>
        )}
        {started && (
          <div className="grid grid-cols-3 gap-2">
            <Button className="min-h-12 justify-center" onClick={pause} disabled={over}>
              {state.pausedAt === null ? 'Pause' : 'Go on'}
            </Button>
            <Button className="min-h-12 justify-center" onClick={takeBack} disabled={state.taps.length === 0 && Object.keys(state.ended).length === 0}>
              <Undo2 size={16} /> Undo tap
            </Button>
            {over ? (
              <Button className="min-h-12 justify-center" onClick={again}>
                Again
              </Button>
            ) : (
              <Button className="min-h-12 justify-center" onClick={carry}>
                Finish
              </Button>
            )}
          </div>
        )}
      </div>
    </main>
  );
}
