/** A class as lanes: what each phone told, on the coach's clock. Pure, so that it can be tested without a page. */
import type { ClassLane, ClassRoom, ClassRun } from '@gambito/contract';
import { formatClock, type ClassClock, type ScoreField } from '@gambito/core';
import { clockBegunWith, freshClock, isWork, scoreOfClock, startsOf, viewOf, type ClockState } from '../athlete/clock-state';

/** Somebody in the class: their lane, by how many seconds they begin after the others, and with what. */
export interface Member extends ClassLane {
  readonly later: number;
  /** the movement they begin with; null: the first */
  readonly begin: string | null;
}
export const membersOf = ({ lanes, later, begins }: Pick<ClassRoom, 'lanes' | 'later' | 'begins'>): Member[] =>
  lanes.map((lane) => {
    const begin = begins[lane.athleteId] ?? null;
    return { ...lane, clock: clockBegunWith(lane, begin), later: later[lane.athleteId] ?? 0, begin };
  });

export interface HeardRun {
  readonly run: ClassRun;
  /** ms by the server */
  readonly seenAt: number;
}
export interface LaneView {
  readonly athleteId: number;
  readonly name: string;
  /** what they do now, in a few words */
  readonly doing: string;
  /** s on the class's clock at which something was tapped */
  readonly marks: readonly number[];
  /** s on the class's clock until which the lane is filled, and at which it is expected to be done; null where the clock fixes it */
  readonly filled: number;
  readonly expected: number | null;
  readonly state: 'away' | 'silent' | 'working' | 'done';
  /** what the taps come to; null before it is done */
  readonly score: string | null;
  readonly logged: string | null;
  readonly later: number;
}

/** ms without a sign of life after which a phone is said to be silent */
const silentMs = 45_000;

function stateOf({ startedAt, pausedAt, pausedMs }: ClassClock, lane: Member, heard: HeardRun | undefined): ClockState {
  const begun: ClockState = { ...freshClock, startedAt: startedAt === null ? null : startedAt + lane.later * 1000, pausedAt, pausedMs };
  // what was tapped in an earlier start belongs to that one
  return heard && heard.run.startedAt === startedAt ? { ...begun, taps: heard.run.taps, ended: heard.run.ended } : begun;
}

function wordsOf(lane: Member, state: ClockState, now: number): string {
  const { cue, now: due, rounds, done } = viewOf(lane.clock.cues, state, now);
  if (cue.kind === 'rest') return cue.text;
  if (done) return 'rests';
  const count = cue.repeats ? `${rounds} ${rounds === 1 ? 'round' : 'rounds'} done` : due.text;
  return [count, due.lines.join(', ')].filter(Boolean).join(' · ');
}

/** s after which this version is expected to be done, where the athlete and not the clock ends it */
function expectedEnd({ clock, predicted, later }: Member): number | null {
  const single = clock.cues.filter(isWork).length === 1;
  return single && predicted.unit === 'seconds' ? predicted.median + later : null;
}

/** When the last of it was tapped, or the clock has run out; null while somebody works. */
function endOf(lane: Member, state: ClockState, heard: HeardRun | undefined, now: number): number | null {
  const { cues } = lane.clock;
  if (heard && heard.run.startedAt === state.startedAt! - lane.later * 1000 && heard.run.finishedAt !== null) return heard.run.finishedAt + lane.later;
  const { over } = viewOf(cues, state, now);
  const end = startsOf(cues, state.ended).at(-1)!;
  return over && Number.isFinite(end) ? end + lane.later : null;
}

/** @param now ms by the server */
export function laneView(lane: Member, clock: ClassClock, heard: HeardRun | undefined, now: number): LaneView {
  const state = stateOf(clock, lane, heard);
  const here = heard !== undefined && heard.run.startedAt === clock.startedAt;
  const begun = clock.startedAt !== null && now >= clock.startedAt + lane.later * 1000;
  const end = begun ? endOf(lane, state, heard, now) : null;
  const seconds = clock.startedAt === null ? 0 : Math.max(0, ((clock.pausedAt ?? now) - clock.startedAt - clock.pausedMs) / 1000);
  return {
    athleteId: lane.athleteId,
    name: lane.name,
    doing: !begun ? (lane.later > 0 ? `begins at ${formatClock(lane.later)}` : '') : end === null ? wordsOf(lane, state, now) : 'done',
    marks: state.taps.map(({ at }) => at + lane.later),
    filled: Math.min(seconds, end ?? Infinity),
    expected: expectedEnd(lane),
    state: end !== null && here ? 'done' : !here ? 'away' : now - heard.seenAt > silentMs ? 'silent' : 'working',
    score: here && end !== null ? scoreOfClock(lane.clock.cues, state, lane.fields as readonly ScoreField[]) : null,
    logged: lane.score,
    later: lane.later,
  };
}

/** s of the axis that all lanes share */
export function axisOf(lanes: readonly Member[], seconds: number): number {
  const lengths = lanes.map(({ clock, predicted, later }) => later + (clock.totalSeconds ?? (predicted.unit === 'seconds' ? predicted.high : 0)));
  return Math.max(60, seconds, ...lengths);
}
