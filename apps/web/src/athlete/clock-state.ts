/**
 * The clock as a value: when it was started, what was paused, what was tapped. The display is computed from it and the time of day,
 * so it survives a reload and a locked phone, and every change can be undone.
 */
import type { Brief } from '@gambito/contract';
import type { ClockCue } from '../api/types';
import { formatClock, joinScores, type ScoreField } from '@gambito/core';

export interface Tap {
  readonly at: number;
  readonly cue: number;
}
export interface ClockState {
  /** ms since the epoch; null before the start. The count-in runs before it */
  readonly startedAt: number | null;
  readonly pausedAt: number | null;
  readonly pausedMs: number;
  /** seconds on the clock at which each open piece was ended by the athlete, by cue index */
  readonly ended: Readonly<Record<number, number>>;
  readonly taps: readonly Tap[];
  readonly finishedAt: number | null;
}
export const freshClock: ClockState = { startedAt: null, pausedAt: null, pausedMs: 0, ended: {}, taps: [], finishedAt: null };
export const clockKey = (token: string, version: string): string => `gambito.clock.${token}.${version}`;
export const scoreDraftKey = (token: string): string => `gambito.score.${token}`;
/** A second tap within this time is the same tap. */
export const doubleTapSeconds = 0.5;

/** Seconds since the start, count-in negative. */
export function secondsOf(state: ClockState, now: number): number {
  if (state.startedAt === null) return 0;
  return ((state.pausedAt ?? now) - state.startedAt - state.pausedMs) / 1000;
}

export interface ClockView {
  readonly index: number;
  readonly cue: ClockCue;
  /** seconds into the piece */
  readonly into: number;
  /** seconds left in it; null when the athlete ends it */
  readonly left: number | null;
  readonly next: ClockCue | null;
  readonly over: boolean;
  /** ticks of this piece done so far */
  readonly taps: number;
  /** rounds done; a round may have several ticks */
  readonly rounds: number;
  /** the work of the piece is done, though its time may still run */
  readonly done: boolean;
  /** what to do now: the tick that is due, or all of it */
  readonly now: { readonly text: string; readonly lines: readonly string[] };
  /** said last in the course of this piece; null before the first */
  readonly prompt: string | null;
  /** what comes after it in this piece */
  readonly upcoming: { readonly text: string; readonly lines: readonly string[] } | null;
}

/** When each cue begins, open pieces and early finishes counted in. Infinity: not yet known. */
export function startsOf(cues: readonly ClockCue[], ended: ClockState['ended']): number[] {
  const starts: number[] = [];
  let at = 0;
  cues.forEach((cue, index) => {
    starts.push(at);
    const stopped = ended[index];
    if (stopped !== undefined) at = Math.max(at, stopped);
    else at = cue.kind === 'end' ? at : cue.lengthSeconds === null ? Infinity : at + cue.lengthSeconds;
  });
  return starts;
}

/** Ticks a piece has before its work is done; 1 where there is nothing to tick but the whole, null for work that repeats. */
export const ticksNeeded = (cue: ClockCue): number | null => (cue.repeats ? null : Math.max(1, cue.ticks.length));
/** The athlete ends it: work without a fixed time, and open rests. */
export const isOpen = (cue: ClockCue): boolean => cue.kind === 'open' || cue.kind === 'cap' || (cue.kind === 'rest' && cue.lengthSeconds === null);
export const isWork = (cue: ClockCue): boolean => cue.kind !== 'rest' && cue.kind !== 'end';
const tapsIn = (state: ClockState, cue: number): readonly Tap[] => state.taps.filter((tap) => tap.cue === cue);

function tickAt(cue: ClockCue, at: number): ClockView['now'] | null {
  if (cue.ticks.length === 0) return null;
  return cue.ticks[cue.repeats ? at % cue.ticks.length : at] ?? null;
}

/** A page that was kept from before there were prompts has none. */
const promptsOf = (cue: ClockCue): ClockCue['prompts'] => (cue as Partial<ClockCue>).prompts ?? [];

export function viewOf(cues: readonly ClockCue[], state: ClockState, now: number): ClockView {
  const seconds = Math.max(0, secondsOf(state, now));
  const starts = startsOf(cues, state.ended);
  let index = 0;
  for (let each = 0; each < cues.length; each++) if (starts[each]! <= seconds) index = each;
  const cue = cues[index]!;
  const into = seconds - starts[index]!;
  const taps = tapsIn(state, index).length;
  const needed = ticksNeeded(cue);
  return {
    index,
    cue,
    into,
    left: cue.lengthSeconds === null ? null : Math.max(0, cue.lengthSeconds - into),
    next: cues[index + 1] ?? null,
    over: cue.kind === 'end',
    taps,
    rounds: cue.repeats ? Math.floor(taps / cue.ticksARound) : taps,
    done: needed !== null && taps >= needed,
    now: tickAt(cue, taps) ?? { text: '', lines: cue.lines },
    prompt: promptsOf(cue).findLast(({ atSeconds }) => atSeconds <= into)?.text ?? null,
    upcoming: tickAt(cue, taps + 1),
  };
}

/** A tap on the big button. The last tick of an open piece ends it; a second tap within half a second is the same one. */
export function tapped(cues: readonly ClockCue[], state: ClockState, now: number): ClockState {
  const seconds = secondsOf(state, now);
  const last = state.taps[state.taps.length - 1];
  if (last && seconds - last.at < doubleTapSeconds) return state;
  const { index, cue, taps, done } = viewOf(cues, state, now);
  if (done || cue.kind === 'end') return state;
  const next = { ...state, taps: [...state.taps, { at: seconds, cue: index }] };
  const needed = ticksNeeded(cue);
  return isOpen(cue) && needed !== null && taps + 1 >= needed ? { ...next, ended: { ...state.ended, [index]: seconds } } : next;
}

/** All that is left of a piece done at once, for who did not tap its rounds. */
export function allDone(cues: readonly ClockCue[], state: ClockState, now: number): ClockState {
  const { index, cue, taps } = viewOf(cues, state, now);
  const needed = ticksNeeded(cue);
  if (needed === null || taps >= needed) return state;
  const at = secondsOf(state, now);
  const rest = Array.from({ length: needed - taps }, () => ({ at, cue: index }));
  return { ...state, taps: [...state.taps, ...rest], ...(isOpen(cue) ? { ended: { ...state.ended, [index]: at } } : {}) };
}

/** Takes back the last tap, and with it the end it may have brought. */
export function untapped(state: ClockState): ClockState {
  const last = state.taps[state.taps.length - 1];
  if (!last) return state;
  // what one press brought goes with one press
  const kept = state.taps.filter((tap) => !(tap.cue === last.cue && tap.at === last.at));
  const ended = Object.fromEntries(Object.entries(state.ended).filter(([cue, at]) => !(Number(cue) === last.cue && at === last.at)));
  return { ...state, taps: kept, ended };
}

/** What is heard: the seconds before a piece, and each kind of beginning with a sound of its own. */
export type Sound = 'count' | 'work' | 'rest' | 'prompt' | 'end';
const soundOf = (cue: ClockCue): Sound => (cue.kind === 'rest' || cue.kind === 'end' ? cue.kind : 'work');
/** What is said in the course of each piece, by when on the clock; what it begins with is told with its beginning. */
function promptTimes(cues: readonly ClockCue[], starts: readonly number[]): { readonly at: number; readonly text: string }[] {
  return cues.flatMap((cue, index) =>
    promptsOf(cue)
      .map(({ atSeconds, text }) => ({ at: starts[index]! + atSeconds, text }))
      .filter(({ at }) => at > starts[index]! && at < (starts[index + 1] ?? Infinity)),
  );
}
/** Sounds due between two looks at the clock: at every piece's start, 3-2-1 before one that the clock begins, and what is said in the course of one. */
export function soundsBetween(cues: readonly ClockCue[], state: ClockState, from: number, to: number): Sound[] {
  const isDue = (at: number): boolean => from < at && at <= to;
  const starts = startsOf(cues, state.ended);
  const begun = starts.flatMap((start, index): Sound[] => {
    if (!Number.isFinite(start)) return [];
    const counts = [3, 2, 1].filter((before) => isDue(start - before)).map((): Sound => 'count');
    return isDue(start) ? [...counts, soundOf(cues[index]!)] : counts;
  });
  return [...begun, ...promptTimes(cues, starts).flatMap(({ at }): Sound[] => (isDue(at) ? ['prompt'] : []))];
}
/** What a voice says between two looks, beside the beginnings. */
export const promptsBetween = (cues: readonly ClockCue[], state: ClockState, from: number, to: number): string[] =>
  promptTimes(cues, startsOf(cues, state.ended)).flatMap(({ at, text }) => (from < at && at <= to ? [text] : []));

/** The piece that began between two looks at the clock; of several the last. */
export function begunBetween(cues: readonly ClockCue[], state: ClockState, from: number, to: number): ClockCue | null {
  const starts = startsOf(cues, state.ended);
  return cues.reduce<ClockCue | null>((found, cue, index) => (from < starts[index]! && starts[index]! <= to ? cue : found), null);
}
/** What a voice says at its start: what it is, and what to do first. */
export function wordsOf(cue: ClockCue): string {
  if (cue.kind === 'rest' || cue.kind === 'end') return cue.text;
  const [first] = cue.ticks;
  const [begun] = promptsOf(cue).filter(({ atSeconds }) => atSeconds === 0);
  return [cue.text, ...(first ? first.lines : cue.lines), ...(begun ? [begun.text] : [])].join('. ').replace(/ @ /g, ' at ');
}

/** s each work piece of a part took, where it was tapped as done; null where it was not. */
function setTimes(cues: readonly ClockCue[], state: ClockState, part: number): (number | null)[] {
  const starts = startsOf(cues, state.ended);
  return cues.flatMap((cue, index) => {
    if (cue.part !== part || !isWork(cue)) return [];
    const needed = ticksNeeded(cue);
    const done = needed === null ? undefined : tapsIn(state, index)[needed - 1];
    return [done && Number.isFinite(starts[index]) ? done.at - starts[index]! : null];
  });
}

/** The score of one part that the clock can tell: a time, each set's time, or rounds tapped. Empty where it cannot. */
function scoreOfPart(cues: readonly ClockCue[], state: ClockState, { part, kind }: ScoreField): string {
  const times = setTimes(cues, state, part);
  const known = times.filter((time) => time !== null);
  const own = cues.flatMap((cue, index) => (cue.part === part && isWork(cue) ? [{ cue, index }] : []));
  const repeating = own.filter(({ cue }) => cue.repeats);
  if (repeating.length > 0 && (kind === 'rounds' || kind === 'sum' || kind === 'eachSet')) {
    const rounds = repeating.map(({ cue, index }) => Math.floor(tapsIn(state, index).length / cue.ticksARound));
    if (rounds.every((count) => count === 0)) return '';
    return kind === 'eachSet' ? rounds.map((count) => `${count}+0`).join(' ') : `${rounds.reduce((sum, count) => sum + count, 0)}+0`;
  }
  if (kind === 'eachSet') return known.map((time) => formatClock(time)).join(' ');
  if (kind !== 'time') return '';
  if (known.length === times.length && known.length > 0) return formatClock(partSeconds(cues, state, part));
  return own.some(({ cue }) => cue.kind === 'cap') ? 'CAP+' : '';
}
/** From a part's first work to its last tap, rests between included. */
function partSeconds(cues: readonly ClockCue[], state: ClockState, part: number): number {
  const starts = startsOf(cues, state.ended);
  const first = cues.findIndex((cue) => cue.part === part && isWork(cue));
  const taps = state.taps.filter((tap) => cues[tap.cue]?.part === part);
  return Math.max(0, (taps[taps.length - 1]?.at ?? 0) - (starts[first] ?? 0));
}

/** What the clock can tell of every part's score; null when nothing. */
export function scoreOfClock(cues: readonly ClockCue[], state: ClockState, fields: readonly ScoreField[]): string | null {
  const texts = fields.map((field) => scoreOfPart(cues, state, field));
  return texts.every((text) => text === '') ? null : joinScores(texts);
}

/** A page that was kept from before there were orders has none. */
interface Ordered extends Pick<Brief, 'clock'> {
  readonly orders?: Brief['orders'];
}
/** What the clock plays of a version begun with that movement; as it is written where there is no such order. */
export const clockBegunWith = ({ clock, orders = [] }: Ordered, begin: string | null): Brief['clock'] =>
  orders.find((order) => order.begin === begin)?.clock ?? clock;
