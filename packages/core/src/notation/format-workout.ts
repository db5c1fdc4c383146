/** Workout → canonical text. Formatting the text again changes nothing, and parsing it gives the same model. */
import { movementOf } from '../movements/catalogue';
import { findMovement } from '../movements/names';
import { formatClock } from '../units/duration';
import { kilogramsToPounds, trimNumber, type MassUnit } from '../units/mass';
import type { Columns, Count, Item, Part, Prescription, Range, ScoreKind, Slot, Window, Workout } from '../workout/workout';

const figure = (value: number): string => trimNumber(value, 3);
const columns = ({ men, women }: Columns): string => (men === women ? figure(men) : `${figure(men)}/${figure(women)}`);
const span = ({ low, high }: Range): string => (low === high ? `${low}` : `${low}-${high}`);
const clockRange = ({ low, high }: Range): string => (low === high ? formatClock(low) : `${formatClock(low)}-${formatClock(high)}`);
const inUnit = (kilograms: number, unit: MassUnit): number => (unit === 'lb' ? Math.round(kilogramsToPounds(kilograms) * 100) / 100 : kilograms);

/** `2x17.5/12.5 kg`, `75%`, `any`. */
export function formatLoad(load: Prescription): string {
  if (load.kind === 'any') return 'any';
  if (load.kind === 'share') return `${columns({ men: load.men * 100, women: load.women * 100 })}%`;
  return `${load.count === 2 ? '2x' : ''}${columns({ men: inUnit(load.men, load.unit), women: inUnit(load.women, load.unit) })} ${load.unit}`;
}

/** The name a whiteboard would carry, from the id; the id itself where the words would be read as another movement. */
export function wordsOf(id: string): string {
  const words = movementOf(id).name.toLowerCase();
  return findMovement(words) === id ? words : id;
}

function formatCount(count: Count, unit: Slot['unit']): { before: string; max: boolean } {
  switch (count.kind) {
    case 'fixed':
      return { before: count.low === null ? columns(count) : `${figure(count.low)}-${figure(count.men)}`, max: false };
    case 'rung':
      return { before: '', max: false };
    case 'ladder':
      return { before: `${count.rungs.join('-')}:`, max: false };
    case 'growing':
      return { before: `${count.start}, +${count.step} each round:`, max: false };
    case 'max':
      return { before: unit === 'm' ? 'max distance' : unit === 'cal' ? 'max cal' : unit === 's' ? 'max time' : 'max', max: true };
    case 'matchTime':
      return { before: 'match time:', max: true };
  }
}

function coreOf(slot: Slot): string {
  const { before, max } = formatCount(slot.count, slot.unit);
  const movement = movementOf(slot.movement);
  const unit = max || (slot.unit === 'reps' && movement.unit === 'reps') ? '' : slot.unit;
  return [before, unit, wordsOf(slot.movement), slot.side ?? ''].filter((word) => word !== '').join(' ');
}

function tailOf(slot: Slot, withLoad: boolean): string {
  // a note that would read as a movement of its own goes into brackets
  const bracketed = slot.note !== null && /(?:^|,)\s*\d|[|+@]/.test(slot.note);
  const notes = [
    slot.perSide ? 'each side' : '',
    slot.tempo ? `tempo ${slot.tempo}` : '',
    slot.build ? 'build' : '',
    slot.hold === 'unbroken' ? 'unbroken' : slot.hold === 'mayBreak' ? 'may break' : '',
    bracketed ? '' : (slot.note ?? ''),
  ];
  const tail = notes
    .filter((note) => note !== '')
    .map((note) => `, ${note}`)
    .join('');
  const load = withLoad && slot.load ? ` @ ${formatLoad(slot.load)}` : '';
  return `${bracketed ? ` (${slot.note})` : ''}${tail}${load}${slot.heightCm ? ` @ ${columns(slot.heightCm)} cm` : ''}`;
}

export function formatSlot(slot: Slot): string {
  return `${coreOf(slot)}${tailOf(slot, true)}`;
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** A linked string or a bracket; what all members share is said once, at the end. */
function formatString(slots: readonly Slot[]): string {
  const first = slots[0]!;
  if (slots.length === 1 && !first.bracket) return formatSlot(first);
  const shared = slots.every((slot) => same(slot.load, first.load) && slot.hold === first.hold);
  const members = slots.map((slot, index) => {
    const bare = shared ? { ...slot, load: null, hold: null } : slot;
    const core = first.bracket && bare.count.kind === 'fixed' && bare.count.men === 1 && bare.count.women === 1 ? coreOf(bare) : coreOf(bare);
    const ends =
      index === slots.length - 1 && shared
        ? `${first.hold === 'unbroken' ? ', unbroken' : first.hold === 'mayBreak' ? ', may break' : ''}${first.load ? ` @ ${formatLoad(first.load)}` : ''}`
        : '';
    return `${core}${tailOf(bare, true)}${first.bracket ? '' : ends}`;
  });
  if (!first.bracket) return members.join(' + ');
  const ends = shared ? `${first.hold === 'unbroken' ? ', unbroken' : ''}${first.load ? ` @ ${formatLoad(first.load)}` : ''}` : '';
  return `${first.bracket.times} x (${members.join(' + ')})${ends}`;
}

const joined = (a: Slot, b: Slot): boolean => (a.link !== null && a.link === b.link) || (a.bracket !== null && a.bracket.id === b.bracket?.id);

function formatItems(items: readonly Item[], indent: string): string[] {
  const lines: string[] = [];
  for (let at = 0; at < items.length; at++) {
    const item = items[at]!;
    if (item.kind === 'pause') lines.push(`${indent}rest ${clockRange(item.seconds)}`);
    else if (item.kind === 'block') {
      const bare = item.ladder === null && item.rounds.low === 1 && item.rounds.high === 1;
      if (bare) lines.push(...formatItems(item.items, indent));
      else {
        const header = item.ladder ? item.ladder.join('-') : `${span(item.rounds)} round${item.rounds.high === 1 ? '' : 's'}`;
        lines.push(`${indent}${header}${item.restBetween ? `, rest ${clockRange(item.restBetween)} between` : ''}`, ...formatItems(item.items, `${indent}  `));
      }
    } else {
      const string = [item];
      while (at + 1 < items.length) {
        const next = items[at + 1]!;
        if (next.kind !== 'slot' || !joined(item, next)) break;
        string.push(next);
        at++;
      }
      lines.push(`${indent}${[string, ...item.alternatives].map(formatString).join(' | ')}`);
    }
  }
  return lines;
}

const scoreText: Readonly<Record<ScoreKind, string>> = {
  time: 'time',
  rounds: 'rounds',
  reps: 'reps',
  load: 'load',
  distance: 'distance',
  calories: 'calories',
  eachSet: 'each set',
  sum: 'sum',
  done: 'done',
};

export function formatWindow(window: Window): string {
  const show = (value: number): string => (window.unit === 'seconds' ? formatClock(value) : figure(value));
  const unit = window.unit === 'seconds' ? '' : ` ${window.unit}`;
  const per = window.per === 'part' || window.per === 'workout' ? '' : ` per ${window.per}`;
  if (window.low === null) return `under ${show(window.high ?? 0)}${unit}${per}`;
  if (window.high === null) return `${show(window.low)}${window.usual === undefined ? '' : `-${show(window.usual)}`}+${unit}${per}`;
  return `${show(window.low)}-${show(window.high)}${unit}${per}`;
}

const restBetween = (rest: Range | null): string => (rest ? `, rest ${clockRange(rest)} between` : '');

function stationLines(stations: readonly (readonly Item[])[], word: (index: number) => string): string[] {
  return stations.flatMap((items, index) => {
    const lines = formatItems(items, '  ');
    if (items.length === 0) return [`${word(index)} rest`];
    return lines.length === 1 ? [`${word(index)} ${lines[0]!.trim()}`] : [word(index), ...lines];
  });
}

function headAndBody(part: Part): string[] {
  switch (part.kind) {
    case 'amrap':
      return [`AMRAP ${clockRange(part.seconds)}${part.sets > 1 ? ` x ${part.sets}` : ''}${restBetween(part.restBetween)}`, ...formatItems(part.items, '')];
    case 'forTime': {
      const cap = part.capSeconds === null ? '' : `, cap ${formatClock(part.capSeconds)}${part.capPerSet ? ' per set' : ''}`;
      const implicit = part.capSeconds === null && part.window === null && part.restBetween === null;
      const lines = formatItems(part.items, part.sets > 1 ? '  ' : '');
      const sets = part.sets > 1 ? [`${part.sets} sets${restBetween(part.restBetween)}`] : [];
      return implicit && (sets.length > 0 || !part.scoreSaid) ? [...sets, ...lines] : [`for time${cap}`, ...sets, ...lines];
    }
    case 'every': {
      const head =
        part.intervalSeconds === 60 && part.capSeconds === null
          ? `EMOM ${formatClock(part.count * 60)}`
          : `every ${formatClock(part.intervalSeconds)} x ${part.count}${part.capSeconds === null ? '' : `, cap ${formatClock(part.capSeconds)}`}`;
      return [head, ...(part.stations.length === 1 ? formatItems(part.stations[0]!, '') : stationLines(part.stations, (index) => `${index + 1}:`))];
    }
    case 'intervals': {
      if (part.circuitRounds !== null)
        return [
          `circuit ${part.circuitRounds} rounds of ${formatClock(part.segments[0]?.workSeconds ?? 60)} stations`,
          ...stationLines(part.stations, (index) => `${index + 1}:`),
        ];
      const first = part.segments[0]!;
      const even = part.segments.every((each) => each.workSeconds === first.workSeconds && each.restSeconds === first.restSeconds);
      const listed = part.segments.flatMap((each, index) => [
        formatClock(each.workSeconds),
        ...(index === part.segments.length - 1 && each.restSeconds === 0 ? [] : [formatClock(each.restSeconds)]),
      ]);
      const head = even
        ? `${formatClock(first.workSeconds)} on / ${formatClock(first.restSeconds)} off x ${part.segments.length}`
        : `${listed[0]} on / ${listed[1]} off${listed
            .slice(2)
            .map((each) => ` / ${each}`)
            .join('')}`;
      return [head, ...(part.stations.length === 1 ? formatItems(part.stations[0]!, '') : stationLines(part.stations, (index) => `${index + 1}:`))];
    }
    case 'windows':
      return [
        `every ${formatClock(part.intervalSeconds)} x ${part.count}${part.capSeconds === null ? '' : `, cap ${formatClock(part.capSeconds)}`}, rest what is left`,
        ...stationLines(part.windows, (index) => `window ${index + 1}:`),
      ];
    case 'maxLoad':
      return [`max load in ${formatClock(part.seconds)}`, ...formatItems(part.items, '')];
    case 'strength': {
      if (part.everySeconds !== null) {
        const implied = part.items.some((item) => item.kind === 'slot' && (item.build || item.tempo !== null));
        return [`every ${formatClock(part.everySeconds)} x ${part.sets}${implied ? '' : ', build'}`, ...formatItems(part.items, '')];
      }
      return ['strength', `${part.sets} sets${restBetween(part.restBetween)}`, ...formatItems(part.items, '  ')];
    }
    case 'rest':
      return [part.untilSeconds === null ? `rest ${formatClock(part.seconds ?? 0)}` : `rest until ${formatClock(part.untilSeconds)}`];
    case 'quality':
      return [`for quality${part.seconds === null ? '' : ` in ${formatClock(part.seconds)}`}`, ...formatItems(part.items, '')];
  }
}

export function formatPart(part: Part): string {
  const vest = part.vest
    ? [`with vest ${columns({ men: inUnit(part.vest.men, part.vest.unit), women: inUnit(part.vest.women, part.vest.unit) })} ${part.vest.unit}`]
    : [];
  return [
    ...(part.optional ? ['optional:'] : []),
    ...(part.name ? [`part: ${part.name}`] : []),
    ...headAndBody(part),
    ...vest,
    ...(part.noPartition ? ['no partition'] : []),
    ...(part.startsAtFinishOrCap ? ['starts at finish or cap'] : []),
    ...(part.scoreSaid ? [`score: ${scoreText[part.score]}`] : []),
    ...(part.window ? [`window: ${formatWindow(part.window)}`] : []),
    ...(part.intent ? [`intent: ${part.intent}`] : []),
    ...part.notes.map((note) => `note: ${note}`),
  ].join('\n');
}

/** Canonical text of a workout, ending in a newline. */
export function formatWorkout(workout: Workout): string {
  const opening = [...(workout.intent ? [`intent: ${workout.intent}`] : []), ...workout.notes.map((note) => `note: ${note}`)];
  const sections = [
    ...(opening.length > 0 ? [opening.join('\n')] : []),
    ...workout.parts.map(formatPart),
    ...workout.tiers.map((tier) => [`## tier ${tier.name}`, tier.parts.map(formatPart).join('\n\n')].join('\n')),
  ];
  return `${workout.title ? `# ${workout.title}\n` : ''}${sections.join('\n\n')}\n`;
}
