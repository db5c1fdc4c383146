/** The face of a clock: readable from two metres, one big tap to count, everything else small. */
import { formatClock } from '@gambito/core';
import { ArrowLeft, MessageCircle, MessageCircleOff, Undo2, Volume2, VolumeX } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { Button } from '../ui/button';
import { isOpen, isWork, ticksNeeded, type ClockView } from './clock-state';
import { useClockKeys } from './use-clock-keys';
import type { ClockModel } from './use-clock-view';

/** Where it leads when it is over, or finished before. */
export interface ClockEnd {
  readonly word: string;
  readonly ask: string;
  readonly go: () => void;
}

const toneOf: Readonly<Record<string, string>> = { rest: 'bg-wash text-ink', end: 'bg-sheet text-ink' };

export function ClockFace({
  title,
  back,
  clock,
  end,
  note,
  gauges,
}: {
  title: string;
  back: string;
  clock: ClockModel;
  end: ClockEnd;
  note?: string;
  gauges?: React.ReactNode;
}) {
  useClockKeys(clock);
  const tone = clock.countingIn ? 'bg-amber-wash text-amber-ink' : (toneOf[clock.view.cue.kind] ?? 'bg-paper text-ink');
  return (
    <main className={`flex min-h-dvh flex-col p-4 short:p-2 ${tone}`}>
      <div className="flex items-center gap-2">
        <Link to={back} className="rounded p-2" aria-label="Back to the workout">
          <ArrowLeft size={20} />
        </Link>
        <h1 className="text-lg">{title}</h1>
        <button
          type="button"
          className="ml-auto rounded p-2"
          aria-label={clock.speaks ? 'Say nothing' : 'Say what comes'}
          aria-pressed={clock.speaks}
          onClick={() => clock.speak(!clock.speaks)}
        >
          {clock.speaks ? <MessageCircle size={20} /> : <MessageCircleOff size={20} />}
        </button>
        <button
          type="button"
          className="rounded p-2"
          aria-label={clock.muted ? 'Sound on' : 'Sound off'}
          aria-pressed={clock.muted}
          onClick={() => clock.mute(!clock.muted)}
        >
          {clock.muted ? <VolumeX size={20} /> : <Volume2 size={20} />}
        </button>
      </div>
      {note && (
        <p role="status" aria-label="The clock’s connection" className="text-sm text-soft">
          {note}
        </p>
      )}
      {gauges}
      <div className="flex flex-1 flex-col short:grid short:grid-cols-[minmax(0,1fr)_minmax(0,17rem)] short:gap-3">
        <Face clock={clock} />
        <Buttons clock={clock} end={end} />
      </div>
    </main>
  );
}

function titleOf({ countingIn, started, paused, led, totalSeconds, view }: ClockModel): string {
  if (countingIn) return 'Get ready';
  if (!started && led) return 'Waiting for your coach';
  if (!started) return totalSeconds === null ? 'Open end' : 'In all';
  if (paused) return led ? 'Paused by your coach' : 'Paused';
  return view.cue.text;
}
function figureOf({ countingIn, started, over, finishedAt, totalSeconds, seconds, view }: ClockModel): string {
  if (countingIn) return String(Math.ceil(-seconds));
  if (!started) return formatClock(totalSeconds ?? view.cue.lengthSeconds ?? 0);
  if (over) return formatClock(finishedAt ?? seconds);
  return view.left === null || view.cue.kind === 'cap' ? formatClock(Math.floor(view.into)) : formatClock(Math.ceil(view.left));
}

function Face({ clock }: { clock: ClockModel }) {
  const { view, started, over, countingIn, seconds } = clock;
  return (
    <div className="flex flex-1 flex-col items-center justify-center gap-2 text-center short:gap-0">
      <p className="text-2xl">{titleOf(clock)}</p>
      <p role="timer" aria-live="off" className="font-serif text-[27vw] font-semibold leading-none sm:text-[180px] short:text-[36vh]">
        {figureOf(clock)}
      </p>
      {started && !over && !countingIn && <p className="text-soft">on the clock {formatClock(Math.max(0, Math.floor(seconds)))}</p>}
      {!over && <Now view={view} />}
      {started && !over && <Boxes view={view} />}
      {started && view.cue.repeats && <p className="mt-2 text-3xl font-semibold">{view.rounds === 1 ? '1 round' : `${view.rounds} rounds`}</p>}
    </div>
  );
}

/** more are no grid to look at */
const mostBoxes = 60;
/** The rounds of a piece as boxes, ticked off one by one. */
function Boxes({ view: { cue, taps } }: { view: ClockView }) {
  const { length } = cue.ticks;
  if (cue.repeats || length < 2 || length > mostBoxes) return null;
  return (
    <div role="img" aria-label={`${taps} of ${length} done`} className="mt-3 flex max-w-80 flex-wrap justify-center gap-1.5">
      {cue.ticks.map((_tick, at) => (
        <span key={at} className={`size-5 rounded-sm border border-ink ${at < taps ? 'bg-ink' : at === taps ? 'bg-amber-wash' : ''}`} />
      ))}
    </div>
  );
}

const List = ({ lines, className }: { lines: readonly string[]; className: string }) => (
  <ul className={className}>
    {lines.map((line, index) => (
      <li key={index}>{line}</li>
    ))}
  </ul>
);

/** What to do now, and small below it what comes after. */
function Now({ view }: { view: ClockView }) {
  const { cue, now, upcoming, next, done, prompt } = view;
  const resting = cue.kind === 'rest' || done;
  const after =
    !resting && upcoming
      ? { text: upcoming.text || 'again', lines: upcoming.lines }
      : next && next.kind !== 'end'
        ? { text: next.text, lines: next.ticks[0]?.lines ?? next.lines }
        : null;
  return (
    <div className="mt-2" aria-live="polite">
      {!resting && now.text && <p className="text-3xl font-semibold">{now.text}</p>}
      {done && cue.kind !== 'rest' && <p className="text-2xl text-soft">Done. Rest what is left.</p>}
      {!resting && prompt && <p className="rounded bg-amber-wash px-3 py-1 text-2xl font-semibold text-amber-ink">{prompt}</p>}
      {!resting && <List lines={now.lines} className="text-2xl leading-snug" />}
      {after && !cue.repeats && (
        <div className={resting ? 'mt-2 text-2xl' : 'mt-3 text-base text-soft'}>
          <p>next: {after.text}</p>
          <List lines={after.lines} className="leading-snug" />
        </div>
      )}
      {after && cue.repeats && upcoming && upcoming.lines.join() !== now.lines.join() && (
        <List lines={['next:', ...upcoming.lines]} className="mt-3 text-base text-soft" />
      )}
    </div>
  );
}

function tapWord({ view }: ClockModel): string | null {
  const { cue, taps, done } = view;
  if (cue.kind === 'end' || done) return null;
  if (cue.kind === 'rest') return isOpen(cue) ? 'Go' : null;
  if (!isWork(cue)) return null;
  const needed = ticksNeeded(cue);
  if (needed === null) return cue.ticks.length > 1 ? 'Next' : 'Round done';
  return taps + 1 >= needed ? 'Done' : 'Round done';
}

function Buttons({ clock, end }: { clock: ClockModel; end: ClockEnd }) {
  const [asking, setAsking] = useState(false);
  const { started, over, countingIn, running } = clock;
  const word = started && !over && !countingIn ? tapWord(clock) : null;
  return (
    <div className="flex flex-col gap-2 short:justify-end">
      {!started && !clock.led && (
        <button type="button" onClick={clock.start} className="rounded-xl bg-ink py-6 text-3xl font-semibold text-paper">
          Start
        </button>
      )}
      {word && (
        <button type="button" onClick={clock.tap} disabled={!running} className="rounded-xl bg-ink py-8 text-3xl font-semibold text-paper disabled:opacity-50">
          {word}
        </button>
      )}
      {word === 'Round done' && !clock.view.cue.repeats && (
        <Button className="min-h-12 justify-center" onClick={clock.allDone} disabled={!running}>
          All of it done
        </Button>
      )}
      {over && (
        <button type="button" onClick={end.go} className="rounded-xl bg-amber py-6 text-2xl font-semibold text-[#1f2733]">
          {end.word}
        </button>
      )}
      {asking && !over && (
        <div role="alertdialog" aria-label="Finish" className="flex flex-wrap items-center gap-2 rounded-lg border border-line bg-sheet p-3">
          <p className="flex-1">{end.ask}</p>
          <Button look="main" className="min-h-12" onClick={end.go} autoFocus>
            Finish
          </Button>
          <Button className="min-h-12" onClick={() => setAsking(false)}>
            Go on
          </Button>
        </div>
      )}
      {started && (
        <div className={`grid gap-2 ${clock.led ? 'grid-cols-2' : 'grid-cols-3'}`}>
          {!clock.led && (
            <Button className="min-h-12 justify-center" onClick={clock.pause} disabled={over}>
              {clock.paused ? 'Go on' : 'Pause'}
            </Button>
          )}
          <Button className="min-h-12 justify-center" onClick={clock.takeBack} disabled={!clock.canUndo}>
            <Undo2 size={16} /> Undo tap
          </Button>
          <Button className="min-h-12 justify-center" onClick={over && !clock.led ? clock.again : () => setAsking(true)} disabled={over && clock.led}>
            {over && !clock.led ? 'Again' : 'Finish'}
          </Button>
        </div>
      )}
    </div>
  );
}
