/** The sentence, the level and the fix of everything the reader can find. One exhaustive switch: a new code does not compile without its sentence. */
import { assertNever } from '../units/assert-never';
import { formatClock } from '../units/duration';
import { ranges } from '../units/ranges';
import type { Diagnostic, Level, LimitName, ReadProblem } from './problems';
import { minutesAsSeconds, otherCap, otherCount, otherInterval, otherLadder } from './slip-fixes';

interface Said {
  readonly level: Level;
  readonly message: string;
  readonly suggestion?: string;
  readonly fix?: string;
}
const warning = (message: string, fix?: string, suggestion = fix): Said => ({
  level: 'warning',
  message,
  ...(suggestion ? { suggestion } : {}),
  ...(fix ? { fix } : {}),
});
const info = (message: string, fix?: string): Said => ({ level: 'info', message, ...(fix ? { fix } : {}) });
const spaced = (id: string): string => id.replaceAll('-', ' ');

const limits: Readonly<Record<LimitName, (found: number, most: number) => string>> = {
  length: (found, most) => `The text has ${found} characters; the first ${most} are read.`,
  lineLength: (found, most) => `This line has ${found} characters; the first ${most} are read.`,
  lines: (found, most) => `The text has ${found} lines; the first ${most} are read.`,
  rounds: (found, most) => `${found} rounds are more than anybody does; read as ${most}.`,
  intervals: (found, most) => `${found} intervals are more than fit into a day; read as ${most}.`,
  nesting: (_, most) => `Blocks stand inside each other more than ${most} deep; what is below is left out.`,
  steps: (found, most) => `Rounds of rounds make ${found} steps here; at most ${most} can be walked. The rounds are cut.`,
  figure: (_, most) => `This figure is too large to be meant; at most ${most} is read.`,
  minutes: (found, most) => `${Math.round(found / 60)} minutes are more than a session; read as ${Math.round(most / 60)}.`,
};

function say(problem: ReadProblem): Said {
  switch (problem.code) {
    case 'unknown_movement': {
      const [first] = problem.nearest;
      const near = problem.nearest.length
        ? ` Nearest: ${problem.nearest.map(spaced).join(', ')}.`
        : ` Say what it is like with a line such as “movement: ${problem.text} = burpee”, or leave it: it is kept as written and counted.`;
      return warning(`“${problem.text}” is not a movement Gambito knows.${near}`, first ? spaced(first) : undefined);
    }
    case 'unreadable':
      return warning(`“${problem.text}” is kept but not understood; expected ${problem.expected}.`);
    case 'empty':
      return { level: 'error', message: 'No workout yet: write a header such as “AMRAP 12:00” and its movements below it.' };
    case 'no_count':
      return warning(`How many? “${problem.text}” has no count; it is read as “max”.`, `10 ${problem.text}`);
    case 'zero_count':
      return warning(`“${problem.text}” has a count of 0 and is left out of the work; write how many, or take the line away.`);
    case 'no_movement':
      return warning(`“${problem.header}” has no movements below it.`);
    case 'no_cap':
      return warning(
        'For time without a cap or a window: nobody knows when it ends.',
        problem.titled ? `${problem.header}, cap 15:00` : `for time, cap 15:00\n${problem.header}`,
        'cap 15:00',
      );
    case 'cap_assumed_open':
      return info('No cap here; the clock runs until the work is done.');
    case 'no_rounds':
      return warning('How often? The intervals have no count; read as 8.', `${problem.header} x 8`, 'x 8');
    case 'no_duration':
      return warning(`“${problem.header}” has no duration; read as ${problem.usual}.`, `${problem.header} ${problem.usual}`, problem.usual);
    default:
      return isSlip(problem) ? saySlip(problem) : sayReading(problem);
  }
}

type SlipCode =
  | 'minutes_do_not_add_up'
  | 'ladders_disagree'
  | 'cap_before_window'
  | 'cap_over_interval'
  | 'windows_do_not_add_up'
  | 'holds_over_interval'
  | 'once_in_rounds'
  | 'long_rest';
type Slip = Extract<ReadProblem, { code: SlipCode }>;
const slips: ReadonlySet<string> = new Set<SlipCode>([
  'minutes_do_not_add_up',
  'ladders_disagree',
  'cap_before_window',
  'cap_over_interval',
  'windows_do_not_add_up',
  'holds_over_interval',
  'once_in_rounds',
  'long_rest',
]);
const isSlip = (problem: ReadProblem): problem is Slip => slips.has(problem.code);

/** s that a station leaves at least before the next one begins */
const changeSeconds = 10;
const halfMinutes = (seconds: number): number => Math.ceil(seconds / 30) * 30;

/** What a coach wrote twice, and not the same; each with the line as it may have been meant. */
function saySlip(problem: Slip): Said {
  const { header } = problem;
  switch (problem.code) {
    case 'minutes_do_not_add_up': {
      const { intervals, stations, intervalSeconds } = problem;
      const fitting = Math.max(1, Math.round(intervals / stations)) * stations;
      const fix = otherCount(header, intervals, fitting, intervalSeconds);
      return warning(`${intervals} intervals do not divide by ${stations} stations: the last round is cut off.`, fix, fix ?? `${fitting} intervals`);
    }
    case 'ladders_disagree':
      return warning(`The ladders have ${problem.lengths.join(' and ')} rungs; which one is meant?`, otherLadder(header, problem.rungs));
    case 'cap_before_window': {
      const fitting = Math.ceil((problem.windowSeconds * 1.25) / 60) * 60;
      return warning(
        `The cap ${formatClock(problem.capSeconds)} comes before the window begins at ${formatClock(problem.windowSeconds)}: it cannot be met.`,
        otherCap(header, fitting),
        `cap ${formatClock(fitting)}`,
      );
    }
    case 'cap_over_interval':
      return warning(
        `The cap ${formatClock(problem.capSeconds)} is longer than the interval ${formatClock(problem.intervalSeconds)}.`,
        otherCap(header, problem.intervalSeconds),
      );
    case 'windows_do_not_add_up':
      return warning(
        `${problem.intervals} windows are announced and ${problem.windows} written.`,
        otherCount(header, problem.intervals, problem.windows, problem.intervalSeconds),
      );
    case 'holds_over_interval':
      return warning(
        `The seconds written add up to ${formatClock(problem.holdSeconds)}, more than the interval of ${formatClock(problem.intervalSeconds)}.`,
        otherInterval(header, problem.intervals, halfMinutes(problem.holdSeconds + changeSeconds)),
      );
    case 'once_in_rounds':
      return warning(
        `“${header}” is repeated in every round: all that stands under “${problem.clock}” repeats. What is done once stands in a part of its own, with a blank line between.`,
      );
    case 'long_rest':
      return warning(
        `A rest of ${formatClock(problem.seconds)}: are seconds meant?`,
        minutesAsSeconds(header) ?? `rest ${formatClock(Math.round(problem.seconds / 60))}`,
      );
    default:
      return assertNever(problem, 'saySlip');
  }
}

type Reading = Exclude<ReadProblem, { code: StructureCode | SlipCode }>;
type StructureCode =
  'unknown_movement' | 'unreadable' | 'empty' | 'no_count' | 'zero_count' | 'no_movement' | 'no_cap' | 'cap_assumed_open' | 'no_rounds' | 'no_duration';

/** What was understood, where it had to be guessed or could not be used. */
function sayReading(problem: Reading): Said {
  switch (problem.code) {
    case 'unit_assumed':
      return sayMassUnit(problem);
    case 'height_assumed':
      return info(
        `“${problem.text}” has no unit; read as a height in ${problem.unit === 'cm' ? 'centimetres' : 'inches'}.`,
        `${problem.text} ${problem.unit === 'cm' ? 'in' : 'cm'}`,
      );
    case 'read_as':
      return info(`“${problem.text}” is read as ${problem.as}.`);
    case 'kept_as_note':
      return info(`“${problem.text}” is kept as a note: it is shown to the athlete and not counted.`);
    case 'unread_figure':
      return warning(`The figure in “${problem.text}” is not used: it is kept as a note. Say what it is with a unit, “@” or a movement.`);
    case 'unread_words':
      return info(`“${problem.text}” is kept as a note: it is no movement Gambito knows, and has no count. With a count before it, it is counted.`);
    case 'unread_work':
      return warning(`“${problem.text}” names ${problem.movement}, but nothing says how many: it is kept as a note and not counted.`);
    case 'load_as_before':
      return info(`“${problem.text}” without a load is read with ${problem.load}, as above. “@ any” leaves it open.`);
    case 'share_cut':
      return warning(`“x ${problem.text}” is beyond what a movement may be of its neighbour: expected ${problem.low} to ${problem.high}.`);
    case 'unread_load':
      return warning(
        `“@ ${problem.text}” is no load that can be read; expected such as “@ 22.5 kg”, “@ 2x15/10 kg”, “@ 75 %”, “@ 1.5 BW” or “@ 60 cm”, within ${ranges.loadKg.said}, ${ranges.loadShare.said}, ${ranges.bodyShare.said} or ${ranges.heightCm.said}. It is kept as a note.`,
      );
    case 'team':
      return info(
        `Teams of ${problem.size}: the counts are the team’s, and the page says how it is shared. The prediction is for one athlete doing all of it; waiting for the partner is not modelled.`,
      );
    case 'open_rest':
      return info(`This rest is the athlete’s to end; the clock and the totals reckon with ${spanOf(problem)}.`);
    case 'interruption':
      return info(`“${problem.text}” interrupts the work each time; it is on the page and on the clock, and in the prediction.`);
    case 'penalty':
      return info(`“${problem.text}” is on the page for the athlete; how often it comes cannot be known, so it is not in the prediction.`);
    case 'limit':
      return { level: 'error', message: limits[problem.limit](problem.found, problem.most) };
    default:
      return assertNever(problem, 'sayReading');
  }
}
function sayMassUnit({ text, unit }: Extract<ReadProblem, { code: 'unit_assumed' }>): Said {
  const [words, question, other] = unit === 'kg' ? ['kilograms', 'Pounds?', 'lb'] : ['pounds', 'Kilograms?', 'kg'];
  return info(`“${text}” has no unit; read as ${words}. ${question}`, `${text} ${other}`);
}
const spanOf = ({ low, high }: { low: number; high: number }): string => (high > low ? `${formatClock(low)}–${formatClock(high)}` : formatClock(low));

export function diagnose(problem: ReadProblem): Diagnostic {
  return { code: problem.code, ...problem.span, ...say(problem) };
}
