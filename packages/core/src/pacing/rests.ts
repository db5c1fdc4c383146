/** What to do in the rests of a workout, in a sentence for each length there is (common practice; the limits are round figures). */
import { formatClock } from '../units/duration';
import { schedule, ticksOf, type Piece } from '../workout/schedule';
import type { Rest, Workout } from '../workout/workout';

/** s up to which a rest is a breath, a walk, a pause; a longer one cools down */
const lengths = { breath: 30, walk: 100, pause: 270 } as const;

function adviceFor({ low, high, open }: Rest): string | null {
  if (open === 'recovered' || open === 'asNeeded') return 'Rest until recovered: walk, and go on when you can speak in whole sentences again';
  if (open === 'ratio') return 'Rest as long as the work took, or the share of it that is written: walk, and look at the clock when you stop';
  if (open === 'left') return 'What is left of each interval is rest: stand by the first movement before it is over';
  if (high <= 0) return null;
  const of = low === high ? formatClock(high) : `${formatClock(low)}–${formatClock(high)}`;
  if (high < lengths.breath) return `In rests of ${of}: stay standing, breathe out long twice, go`;
  if (high <= lengths.walk) return `In rests of ${of}: walk, breathe out long, shake out what burns; at the first movement ten seconds before it goes on`;
  if (high <= lengths.pause) return `In rests of ${of}: walk all of it, a sip of water, set up what comes next; ready fifteen seconds before`;
  return `In the rest of ${of}: walk, drink, keep warm; a few easy reps of what comes next in its last minute`;
}

/** Of a piece: itself, or the rests between its rounds and behind its movements. */
const restsIn = (piece: Piece): Rest[] =>
  piece.kind === 'rest'
    ? [piece.rest]
    : ticksOf(piece.items, piece.pass).flatMap(({ steps }) => steps.flatMap((step) => (step.kind === 'pause' ? [step.rest] : [])));

/** Rests of every part, in its rounds, between its sets and between the parts; each sentence once, in the order they come. */
export function restAdvice({ parts }: Pick<Workout, 'parts'>): string[] {
  const rests = parts.flatMap((part) => schedule(part).flatMap(restsIn));
  // an interval clock leaves what its work leaves
  const left: Rest[] = parts.some(({ kind }) => kind === 'every' || kind === 'windows') ? [{ low: 0, high: 0, open: 'left' }] : [];
  return [...new Set([...rests, ...left].flatMap((rest) => adviceFor(rest) ?? []))];
}
