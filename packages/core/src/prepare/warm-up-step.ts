/** A line of a warm-up, Gambito's or a coach's, read as what the clock plays: what runs down, what is ticked off, what is rested. Any line is taken; what is not understood is one step. */
import { bareCue, type ClockPlan, type Cue, type CueTick } from '../clock/plan-clock';

export interface WarmUpStep {
  /** as it stands on the page */
  readonly text: string;
  /** over its sets; empty where the step is one line */
  readonly name: string;
  /** what is ticked off one after the other, each in its lines: rounds, or sets of a ramp; empty: the whole at once */
  readonly sets: readonly (readonly string[])[];
  /** s by the clock; null: the athlete ends it */
  readonly seconds: number | null;
  /** s it is expected to take */
  readonly expectedSeconds: number;
  /** nothing is done in it */
  readonly isRest: boolean;
}

/** s for a few reps or a drill, to get to the next one, and to make the next set's load ready (round figures) */
const drillSeconds = 15;
const changeSeconds = 5;
const loadingSeconds = 30;
/** s for half the reps of a movement of the workout (round figure) */
const halfRoundSeconds = 45;
/** s for a line that says neither counts nor minutes (round figure) */
const unsaidSeconds = 60;
/** rounds and sets that are ticked off one by one; more are one step */
const mostSets = 20;
/** s; a longer drill is no drill */
const longestSeconds = 3600;

const clockTime = /^(?:then )?(?:(\d{1,2}):([0-5]\d)|(\d{1,2})(?:\s*[–-]\s*\d{1,2})?\s*(min(?:s|utes?)?|s|secs?|seconds?)\b)\s*(.*)$/i;
/** A line that begins with its time. @returns null where it does not */
function timeOf(line: string): { readonly seconds: number; readonly what: string } | null {
  const [, minutes, seconds, count, unit, what = ''] = clockTime.exec(line.trim()) ?? [];
  const found = minutes !== undefined ? Number(minutes) * 60 + Number(seconds) : Number(count) * (unit?.startsWith('m') ? 60 : 1);
  return found > 0 && found <= longestSeconds ? { seconds: found, what } : null;
}
const secondsOf = (line: string): number => (timeOf(line)?.seconds ?? drillSeconds) + changeSeconds;
const partsOf = (list: string): string[] =>
  list
    .split(/,\s*(?:then\s+)?/)
    .map((part) => part.trim())
    .filter((part) => part !== '');

type SeveralSets = Pick<WarmUpStep, 'name' | 'sets' | 'expectedSeconds'>;
const repeated = /^(\d{1,2}) ((?:easy )?)(rounds?|sets?)(?: of|:) (.+)$/i;
/** `3 rounds: …` and `2 easy sets of …`: each round its lines. */
function repeatedOf(text: string): SeveralSets | null {
  const [, count, easy, word, list] = repeated.exec(text) ?? [];
  if (count === undefined || list === undefined || Number(count) > mostSets) return null;
  const sets = Array.from({ length: Number(count) }, () => partsOf(list));
  return { name: `${count} ${easy}${word}`, sets, expectedSeconds: sets.flat().reduce((sum, part) => sum + secondsOf(part), 0) };
}
/** `front squat: 5 with the empty bar, 3 at 60 kg`: a set each. `One round …: run, squat` is one round of it all. */
function listedOf(text: string): SeveralSets | null {
  const at = text.indexOf(': ');
  const parts = at > 0 ? partsOf(text.slice(at + 2)) : [];
  const name = text.slice(0, at);
  if (/^one round\b/i.test(name)) return { name, sets: [parts], expectedSeconds: parts.length * halfRoundSeconds };
  if (parts.length < 2 || parts.length > mostSets) return null;
  return { name, sets: parts.map((part) => [part]), expectedSeconds: parts.reduce((sum, part) => sum + secondsOf(part) + loadingSeconds, 0) };
}

/** @param line as it is written */
export function readStep(line: string): WarmUpStep {
  const text = line.trim();
  const timed = timeOf(text);
  const bare = { text, name: '', sets: [], seconds: null, isRest: false };
  if (timed) return { ...bare, seconds: timed.seconds, expectedSeconds: timed.seconds, isRest: /^(?:off|rest)\b/i.test(timed.what) };
  return { ...bare, expectedSeconds: /\d/.test(text) ? secondsOf(text) : unsaidSeconds, ...(repeatedOf(text) ?? listedOf(text)) };
}
/** One step a line, blank ones left out. */
export const readSteps = (text: string): WarmUpStep[] =>
  text
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map(readStep);

/** s of what is done; what is rested afterwards is left out. */
export const lengthOfSteps = (steps: readonly WarmUpStep[]): number =>
  steps.reduce((sum, { expectedSeconds, isRest }) => sum + (isRest ? 0 : expectedSeconds), 0);

function cueOf({ text, name, sets, seconds, isRest }: WarmUpStep, atSeconds: number): Cue {
  const kind = isRest ? 'rest' : seconds === null ? 'open' : 'work';
  const ticks = sets.length > 1 ? sets.map((lines, at): CueTick => ({ text: `${at + 1} of ${sets.length}`, lines })) : [];
  const lines = isRest ? [] : sets.length > 0 ? [...new Set(sets.flat())] : [text];
  return { ...bareCue, atSeconds, kind, text: isRest ? text : name, lengthSeconds: seconds, lines, ticks };
}

/** The warm-up as the clock plays it: what has a time runs down, the rest the athlete taps away. */
export function warmUpClock(steps: readonly WarmUpStep[]): ClockPlan {
  let at = 0;
  const cues = steps.map((step): Cue => {
    const cue = cueOf(step, at);
    at += step.seconds ?? 0;
    return cue;
  });
  return {
    cues: [...cues, { ...bareCue, atSeconds: at, kind: 'end', text: 'Ready' }],
    totalSeconds: steps.every(({ seconds }) => seconds !== null) ? at : null,
  };
}
