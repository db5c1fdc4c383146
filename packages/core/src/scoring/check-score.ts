/** One field a scored part: what it asks for, what was read of an entry, and what cannot be. Made from the part's schedule. */
import { headOf } from '../clock/words';
import { scoredParts } from '../simulate/predict';
import { formatClock } from '../units/duration';
import { kilogramsToPounds, trimNumber, type MassUnit } from '../units/mass';
import { amountOf, schedule, stepsOfPass, type Move } from '../workout/schedule';
import { slotsOfItems } from '../workout/walk';
import type { Category, Part, ScoreKind, Workout } from '../workout/workout';
import { expectedScore, fitsKind, formatScore, readScoreAs, type Score } from './score-text';

export interface ScoreField {
  /** number of the part in the workout */
  readonly part: number;
  readonly label: string;
  readonly kind: ScoreKind;
  readonly placeholder: string;
}

const placeholders: Readonly<Record<ScoreKind, string>> = {
  time: '8:41 or CAP+14',
  rounds: '7+12',
  sum: '7+12',
  eachSet: '4:02 3:58 4:10',
  load: '92.5 kg',
  done: 'done',
  reps: '182',
  distance: '182',
  calories: '182',
};

/** The fields of a workout's scores, in the order of its parts. */
export function scoreFields(workout: Pick<Workout, 'parts'>): ScoreField[] {
  const scored = scoredParts(workout);
  return scored.map((index) => {
    const part = workout.parts[index]!;
    const label = part.name ?? (scored.length > 1 ? `Part ${numberOf(workout, index)}: ${headOf(part)}` : headOf(part));
    return { part: index, label, kind: part.score, placeholder: placeholderOf(part) };
  });
}
/** As one counts aloud: a rest between is no part. */
const numberOf = ({ parts }: Pick<Workout, 'parts'>, index: number): number => parts.slice(0, index + 1).filter(({ kind }) => kind !== 'rest').length;
function placeholderOf(part: Part): string {
  if (part.score !== 'eachSet') return placeholders[part.score];
  const sets = setCount(part);
  const one = part.kind === 'amrap' ? ['5+3', '5+1', '4+12'] : ['4:02', '3:58', '4:10'];
  return Array.from({ length: Math.min(6, sets) }, (_, at) => one[at % one.length]).join(' ');
}

const workPieces = (part: Part) => schedule(part).flatMap((piece) => (piece.kind === 'work' ? [piece] : []));
const setCount = (part: Part): number => workPieces(part).length;
/** s of rests between the sets, which one clock time holds */
const restsOf = (part: Part): number => schedule(part).reduce((sum, piece) => sum + (piece.kind === 'rest' ? piece.rest.high : 0), 0);

/** What a step is worth in a score of reps: 1 a rep, 1 each 10 m, 1 a calorie, nothing for held seconds; a bracket is one rep, whatever is in it. */
function worthOf(move: Move, brackets: ReadonlyMap<number, number>, category: Category): number {
  const amount = amountOf(move, category) ?? 0;
  if (move.slot.bracket) return amount / Math.max(1, brackets.get(move.slot.bracket.id) ?? 1);
  return move.slot.unit === 'm' ? amount / 10 : move.slot.unit === 's' ? 0 : amount;
}
/** Score reps of one pass. */
export function worthOfPass(part: Part, list: number, pass: number, category: Category): number {
  const piece = workPieces(part).find((each) => each.list === list);
  if (!piece) return 0;
  const moves = stepsOfPass(piece.items, pass).flatMap((step) => (step.kind === 'move' ? [step] : []));
  const brackets = new Map<number, number>();
  for (const slot of slotsOfItems(piece.items))
    if (slot.bracket)
      brackets.set(slot.bracket.id, (brackets.get(slot.bracket.id) ?? 0) + (slot.count.kind === 'fixed' ? slot.count[category] * (slot.perSide ? 2 : 1) : 1));
  return moves.reduce((sum, move) => sum + worthOf(move, brackets, category), 0);
}
/** Score reps of everything a for-time part asks. */
const worthOfAll = (part: Part, category: Category): number =>
  workPieces(part).reduce((sum, piece) => sum + worthOfPass(part, piece.list, piece.pass, category), 0);

export type CheckedScore =
  | { readonly status: 'empty' }
  | { readonly status: 'bad'; readonly message: string }
  /** `told`: what was read, in words; `text`: how it is kept */
  | { readonly status: 'ok'; readonly score: Score; readonly told: string; readonly text: string };

interface Asked {
  readonly part: Part;
  readonly category: Category;
  readonly units: MassUnit;
}
const bad = (message: string): CheckedScore => ({ status: 'bad', message });
const plural = (count: number, one: string): string => `${trimNumber(count, 1)} ${one}${count === 1 ? '' : 's'}`;

/**
 * @param text as typed
 * @returns what was read of it, or why it cannot be a score of this part
 */
export function checkScore(text: string, part: Part, { category = 'men', units = 'kg' }: { category?: Category; units?: MassUnit } = {}): CheckedScore {
  if (text.trim() === '') return { status: 'empty' };
  const each = part.kind === 'amrap' && part.score === 'eachSet' ? checkRoundsEach(text, { part, category, units }) : null;
  if (each) return each;
  const score = readScoreAs(text, part.score, units);
  if (!score || !fitsKind(score, part.score)) return bad(`“${text.trim()}”: expected ${expectedScore(part.score)}.`);
  const problem = impossible(score, { part, category, units });
  if (problem) return bad(`“${text.trim()}”: ${problem}`);
  return { status: 'ok', score, told: tell(score, { part, category, units }), text: formatScore(score) };
}

/** `5+3 4+10` for the sets of an AMRAP; kept as their sum, which is what the model compares. */
function checkRoundsEach(text: string, asked: Asked): CheckedScore | null {
  const entries = text.trim().split(/[\s,;/]+(?=\d+\s*\+|\d+$)/);
  const scores = entries.map((entry) => readScoreAs(entry, 'rounds'));
  if (scores.some((score) => score?.kind !== 'rounds')) return null;
  const sets = setCount(asked.part);
  if (scores.length !== sets && scores.length !== 1) return bad(`“${text.trim()}”: ${plural(scores.length, 'score')} for ${plural(sets, 'set')}.`);
  const rounds = scores.flatMap((score) => (score?.kind === 'rounds' ? [score] : []));
  const over = rounds.map((score) => impossible(score, asked)).find((problem) => problem !== null);
  if (over) return bad(`“${text.trim()}”: ${over}`);
  const size = worthOfPass(asked.part, 0, 0, asked.category);
  const total = rounds.reduce((sum, { rounds: whole, reps }) => sum + whole * size + reps, 0) / rounds.length;
  const score: Score = { kind: 'rounds', rounds: size > 0 ? Math.floor(total / size) : 0, reps: size > 0 ? total % size : total };
  return { status: 'ok', score, told: `${rounds.map(formatScore).join(', ')}; on average ${formatScore(score)}`, text: rounds.map(formatScore).join(' ') };
}

/** Why a score cannot be; null when it can. */
function impossible(score: Score, asked: Asked): string | null {
  switch (score.kind) {
    case 'rounds':
      return roundsProblem(score.rounds, score.reps, asked);
    case 'time':
      return timeProblem(score.seconds, asked);
    case 'sets':
      return setsProblem(score.seconds, asked);
    case 'capped':
      return cappedProblem(score.repsLeft, asked);
    case 'load':
      return score.kg > 0 && score.kg <= 600 ? null : 'nobody lifts that; expected a load above 0 and up to 600 kg.';
    case 'reps':
      return score.reps >= 0 && score.reps <= 100_000 ? null : 'more than anybody does.';
    case 'done':
      return null;
  }
}

function roundsProblem(rounds: number, reps: number, { part, category }: Asked): string | null {
  if (rounds > 1000) return 'more rounds than fit into any clock.';
  if (part.kind !== 'amrap') return null;
  const size = worthOfPass(part, 0, rounds, category);
  if (size <= 0 || reps < size) return null;
  const more = Math.floor(reps / size);
  const hint = part.score === 'sum' || workPieces(part).length > 1 ? '' : ` Is ${rounds + more}+${trimNumber(reps - more * size, 1)} meant?`;
  return `a round has ${plural(size, 'rep')} here, so ${trimNumber(reps, 1)} more are another round.${hint}`;
}

function timeProblem(seconds: number, { part }: Asked): string | null {
  if (seconds <= 0) return 'a time above 0:00 is expected.';
  if (part.kind === 'forTime' && part.score === 'eachSet' && part.sets > 1) {
    const rests = restsOf(part);
    return seconds > rests
      ? null
      : `one clock time for ${plural(part.sets, 'set')} holds ${formatClock(rests)} of rest; expected more than that, or each set’s time.`;
  }
  const cap = part.kind === 'forTime' ? part.capSeconds : null;
  if (cap !== null && seconds > cap) return `the cap is ${formatClock(cap)}; write CAP+ and the reps left, such as CAP+14.`;
  if (part.kind === 'windows' && part.score === 'eachSet') return `one time for ${plural(part.count, 'window')}; expected each window’s time.`;
  return null;
}

function setsProblem(times: readonly number[], { part }: Asked): string | null {
  const sets = setCount(part);
  if (times.length !== sets) return `${plural(times.length, 'time')} for ${plural(sets, 'set')}.`;
  if (times.some((seconds) => seconds <= 0)) return 'every set takes some time.';
  const cap = part.kind === 'windows' ? (part.capSeconds ?? part.intervalSeconds) : part.kind === 'forTime' && part.capPerSet ? part.capSeconds : null;
  const over = cap === null ? undefined : times.find((seconds) => seconds > cap);
  return over === undefined ? null : `${formatClock(over)} is over the ${formatClock(cap!)} a set has.`;
}

function cappedProblem(left: number, { part, category }: Asked): string | null {
  const cap = part.kind === 'forTime' ? part.capSeconds : null;
  if (cap === null) return 'this part has no cap.';
  const all = worthOfAll(part, category);
  if (left <= 0) return 'at least one rep is left at the cap; otherwise write the time.';
  return left <= all ? null : `only ${plural(all, 'rep')} are asked for in all.`;
}

/** What was read, in words: "7 rounds and 3 reps = 87 reps". */
function tell(score: Score, asked: Asked): string {
  switch (score.kind) {
    case 'rounds':
      return tellRounds(score.rounds, score.reps, asked);
    case 'time':
      return tellTime(score.seconds, asked);
    case 'sets':
      return `${score.seconds.map(formatClock).join(', ')}; ${formatClock(score.seconds.reduce((sum, seconds) => sum + seconds, 0))} of work in all`;
    case 'capped':
      return `${plural(score.repsLeft, 'rep')} left when the cap came`;
    case 'load':
      return asked.units === 'lb' ? `${trimNumber(kilogramsToPounds(score.kg), 1)} lb (${trimNumber(score.kg, 1)} kg)` : `${trimNumber(score.kg, 2)} kg`;
    case 'reps':
      return asked.part.score === 'distance'
        ? `${trimNumber(score.reps, 0)} m`
        : asked.part.score === 'calories'
          ? plural(score.reps, 'calorie')
          : plural(score.reps, 'rep');
    case 'done':
      return score.done ? 'done' : 'not done';
  }
}
function tellRounds(rounds: number, reps: number, { part, category }: Asked): string {
  const words = `${plural(rounds, 'round')}${reps > 0 ? ` and ${plural(reps, 'rep')}` : ''}`;
  if (part.kind !== 'amrap') return words;
  const whole = Array.from({ length: Math.min(rounds, 1000) }, (_, at) => worthOfPass(part, 0, at, category)).reduce((sum, size) => sum + size, 0);
  return `${words} = ${plural(whole + reps, 'rep')}`;
}
function tellTime(seconds: number, { part }: Asked): string {
  if (part.kind !== 'forTime' || part.score !== 'eachSet' || part.sets === 1) return formatClock(seconds);
  const rests = restsOf(part);
  return `${formatClock(seconds)} on the clock, ${formatClock(rests)} of it rest: ${formatClock((seconds - rests) / part.sets)} a set on average`;
}

/** Parts of a workout's score are kept in one text, in the order of the parts; `-` where one was left out. */
const separator = ' | ';
export const joinScores = (texts: readonly string[]): string => {
  const filled = texts.map((text) => (text.trim() === '' ? '-' : text.trim()));
  while (filled.length > 1 && filled[filled.length - 1] === '-') filled.pop();
  return filled.join(separator);
};
export const splitScores = (text: string, fields: number): string[] => {
  const parts = text.split('|').map((each) => (each.trim() === '-' ? '' : each.trim()));
  return Array.from({ length: fields }, (_, at) => parts[at] ?? '');
};

export interface CheckedScores {
  /** how the whole is kept; null when a part is bad or all are empty */
  readonly text: string | null;
  readonly fields: readonly (ScoreField & { readonly typed: string; readonly checked: CheckedScore })[];
}
/** A whole entry, a text a scored part. */
export function checkScores(text: string, workout: Pick<Workout, 'parts'>, asked: { category?: Category; units?: MassUnit } = {}): CheckedScores {
  const fields = scoreFields(workout);
  const typed = fields.length > 1 ? splitScores(text, fields.length) : [text];
  const checked = fields.map((field, at) => ({ ...field, typed: typed[at]!, checked: checkScore(typed[at]!, workout.parts[field.part]!, asked) }));
  const surplus = fields.length > 1 && text.split('|').length > fields.length;
  const fine = !surplus && checked.every((field) => field.checked.status !== 'bad') && checked.some((field) => field.checked.status === 'ok');
  return { text: fine ? joinScores(checked.map(({ checked: each }) => (each.status === 'ok' ? each.text : ''))) : null, fields: checked };
}

/** The first sentence that says why an entry cannot be taken; null when it can. */
export function scoresProblem({ text, fields }: CheckedScores): string | null {
  if (text !== null) return null;
  const first = fields.find(({ checked }) => checked.status === 'bad');
  if (first?.checked.status === 'bad') return fields.length > 1 ? `${first.label}: ${first.checked.message}` : first.checked.message;
  return fields[0] ? `Expected ${expectedScore(fields[0].kind)}.` : 'This workout has no score.';
}

/** The score a workout is compared by, out of a kept text: its leading part's, or the sum where several parts are summed. */
export function leadingScore(text: string, workout: Pick<Workout, 'parts'>): Score | null {
  const fields = scoreFields(workout);
  const lead = fields[0];
  if (!lead) return null;
  const typed = fields.length > 1 ? splitScores(text, fields.length) : [text];
  const of = (at: number): Score | null => {
    const checked = checkScore(typed[at]!, workout.parts[fields[at]!.part]!);
    return checked.status === 'ok' ? checked.score : readScoreAs(typed[at]!, fields[at]!.kind);
  };
  const summed = fields.flatMap(({ kind }, at) => (kind === 'sum' ? [at] : []));
  if (lead.kind !== 'sum' || summed.length < 2) return of(0);
  return sumOf(summed.map(of));
}
function sumOf(scores: readonly (Score | null)[]): Score | null {
  const [first] = scores;
  if (first?.kind === 'rounds')
    return scores.reduce<Score | null>(
      (sum, score) =>
        sum?.kind === 'rounds' && score?.kind === 'rounds' ? { kind: 'rounds', rounds: sum.rounds + score.rounds, reps: sum.reps + score.reps } : null,
      { kind: 'rounds', rounds: 0, reps: 0 },
    );
  if (first?.kind === 'time')
    return scores.reduce<Score | null>(
      (sum, score) => (sum?.kind === 'time' && score?.kind === 'time' ? { kind: 'time', seconds: sum.seconds + score.seconds } : null),
      { kind: 'time', seconds: 0 },
    );
  if (first?.kind === 'reps')
    return scores.reduce<Score | null>(
      (sum, score) => (sum?.kind === 'reps' && score?.kind === 'reps' ? { kind: 'reps', reps: sum.reps + score.reps } : null),
      { kind: 'reps', reps: 0 },
    );
  return null;
}

export interface Expected {
  readonly unit: 'seconds' | 'rounds' | 'reps' | 'kg';
  readonly low: number;
  readonly high: number;
}
/** so many times beyond the band before it is asked about; a round figure */
const farBeyond = 1.6;
/** A question where a score is possible and far from what was expected; null where it is not. */
export function doubtOf(score: Score, part: Part, expected: Expected | null, category: Category = 'men'): string | null {
  const value = valueIn(score, part, category);
  if (!expected || !value || value.unit !== expected.unit || value.value <= 0) return null;
  if (value.value <= expected.high * farBeyond && value.value >= expected.low / farBeyond) return null;
  const show = (figure: number): string => (expected.unit === 'seconds' ? formatClock(figure) : trimNumber(figure, 1));
  return `Expected ${show(expected.low)} to ${show(expected.high)}${expected.unit === 'seconds' ? '' : ` ${expected.unit}`}. Sure?`;
}
function valueIn(score: Score, part: Part, category: Category): { unit: Expected['unit']; value: number } | null {
  switch (score.kind) {
    case 'time': {
      const sets = part.kind === 'forTime' && part.score === 'eachSet' ? part.sets : 1;
      return { unit: 'seconds', value: sets > 1 ? (score.seconds - restsOf(part)) / sets : score.seconds };
    }
    case 'sets':
      return { unit: 'seconds', value: score.seconds.reduce((sum, seconds) => sum + seconds, 0) / score.seconds.length };
    case 'rounds':
      return { unit: 'rounds', value: score.rounds + score.reps / Math.max(1, worthOfPass(part, 0, score.rounds, category)) };
    case 'reps':
      return { unit: 'reps', value: score.reps };
    case 'load':
      return { unit: 'kg', value: score.kg };
    default:
      return null;
  }
}
