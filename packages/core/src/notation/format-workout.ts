/** Workout → canonical text. Formatting the text again changes nothing, and parsing it gives the same model. */
import { remembered } from '../text/remembered';
import { isMovementId, movementOf } from '../movements/catalogue';
import { nameInHand } from '../movements/in-hand';
import { findMovement, unknownId } from '../movements/names';
import { formatClock } from '../units/duration';
import { isOpen, slotsOfPart } from '../workout/walk';
import { kilogramsToPounds, trimNumber, type MassUnit } from '../units/mass';
import { Cursor } from '../text/cursor';
import { readSectionLabel } from './labels';
import { readHeader } from './read-header';
import { ownLine } from './read-own';
import { parseWorkout } from './parse-workout';
import { readLine } from './read-line';
import type {
  Block,
  Columns,
  EveryPart,
  Height,
  IntervalsPart,
  Item,
  Part,
  Prescription,
  Range,
  Rest,
  ScoreKind,
  Slot,
  StrengthPart,
  Team,
  Window,
  Workout,
} from '../workout/workout';
import { saidFactor } from '../text/figures';
import { heightIn } from '../units/height';

const figure = (value: number): string => trimNumber(value, 3);
const columns = ({ men, women }: Columns): string => (men === women ? figure(men) : `${figure(men)}/${figure(women)}`);
const span = ({ low, high }: Range): string => (low === high ? `${low}` : `${low}-${high}`);
const clockRange = ({ low, high }: Range): string => (low === high ? formatClock(low) : `${formatClock(low)}-${formatClock(high)}`);
const inUnit = (kilograms: number, unit: MassUnit): number => (unit === 'lb' ? Math.round(kilogramsToPounds(kilograms) * 100) / 100 : kilograms);

const restRatio = (ratio: number): string => {
  for (let work = 1; work < 20; work++) if (Math.abs(ratio * work - Math.round(ratio * work)) < 1e-9) return `${work}:${Math.round(ratio * work)}`;
  return `1:${figure(ratio)}`;
};
/** `1:00`, `2:00-4:00`, `until recovered`, `1:1`: what stands behind `rest`. */
export function formatRest(rest: Rest): string {
  switch (rest.open) {
    case 'recovered':
      return 'until recovered';
    case 'asNeeded':
      return 'as needed';
    case 'left':
      return 'what is left';
    case 'ratio':
      return restRatio(rest.ratio ?? 1);
    case undefined:
      return clockRange(rest);
  }
}

/** `2x17.5/12.5 kg`, `60/70/80%`, `1.5 BW`, `AHAP`, `any`. */
export function formatLoad(load: Prescription): string {
  switch (load.kind) {
    case 'any':
      return 'any';
    case 'heavy':
      return 'AHAP';
    case 'bodyShare':
      return `${columns(load)} BW`;
    case 'share':
      if (load.sets) return `${load.sets.map((share) => figure(share * 100)).join('/')}%`;
      if (load.low !== undefined) return `${figure(load.low * 100)}-${figure(load.men * 100)}%`;
      return `${columns({ men: load.men * 100, women: load.women * 100 })}%`;
    case 'mass': {
      const shown = load.sets
        ? load.sets.map((kilograms) => figure(inUnit(kilograms, load.unit))).join('/')
        : columns({ men: inUnit(load.men, load.unit), women: inUnit(load.women, load.unit) });
      return `${load.count === 2 ? '2x' : ''}${shown} ${load.unit}`;
    }
  }
}

/** The name a whiteboard would carry, from the id; the id itself where the words would be read as another movement. */
export function wordsOf(id: string): string {
  const words = movementOf(id).name.toLowerCase();
  return (findMovement(words) ?? unknownId(words)) === id ? words : id;
}
/** What a movement is called in a sentence: the coach's own name for it, else the usual one. */
export const plainName = ({ own, movement }: Pick<Slot, 'own' | 'movement'>): string => own?.name ?? wordsOf(movement);
/** Would the name be read as a name wherever it stands, and as nothing else? Known ones are; of unknown ones nobody can tell but the reader. */
function isPlainName(said: string, movement: string): boolean {
  if (!readsBack(`10 ${said}`, (slot) => slot.movement === movement && slot.note === null)) return false;
  return (
    isMovementId(movement) ||
    ['', '10 ', '8:00 '].every((before) => readHeader(Cursor.over(`${before}${said}`)) === null && readSectionLabel(Cursor.over(`${before}${said}`)) === null)
  );
}
/** The coach's own words while they still mean this movement, else the usual ones; an implement that is another than the movement's stands before it. */
export function nameOf(slot: Slot): string {
  const known = names.get(slot);
  if (known !== undefined) return known;
  const name = nameAnew(slot);
  names.set(slot, name);
  return name;
}
/** A slot is a value: its name is worked out once. */
const names = new WeakMap<Slot, string>();
function nameAnew(slot: Slot): string {
  if (slot.own) return isPlainName(slot.own.name, unknownId(slot.own.name)) ? slot.own.name : `"${slot.own.name}"`;
  if (slot.implement) return nameInHand(slot.movement, slot.implement);
  const { said } = slot;
  if (said !== null && (findMovement(said) ?? unknownId(said)) === slot.movement)
    return isPlainName(said, slot.movement) ? said : `"${said.replaceAll('"', "'")}"`;
  return wordsOf(slot.movement);
}

function formatCount({ count, unit, unitSaid }: Slot): string {
  const factor = unitSaid ? saidFactor[unitSaid] : 1;
  switch (count.kind) {
    case 'fixed': {
      const whole = { men: count.men / factor, women: count.women / factor };
      if (unitSaid === 'clock' && count.low === null) return formatClock(count.men);
      return count.low === null ? columns(whole) : `${figure(count.low / factor)}-${figure(whole.men)}`;
    }
    case 'rung':
      return '';
    case 'ladder':
      return `${count.rungs.join('-')}:`;
    case 'growing':
      return `${count.start}, +${count.step} each round:`;
    case 'max':
      return unit === 'm' ? 'max distance' : unit === 'cal' ? 'max cal' : unit === 's' ? 'max time' : 'max';
    case 'matchTime':
      return 'match time:';
  }
}

function coreOf(slot: Slot): string {
  const before = formatCount(slot);
  const movement = movementOf(slot.movement);
  const open = isOpen(slot);
  const unit =
    open || (slot.unit === 'reps' && movement.unit === 'reps')
      ? ''
      : slot.unitSaid === 'clock'
        ? slot.count.kind === 'fixed' && slot.count.low === null
          ? ''
          : 's'
        : (slot.unitSaid ?? slot.unit);
  const inside = slot.count.kind === 'max' && slot.count.seconds !== undefined ? `in ${formatClock(slot.count.seconds)}` : '';
  return [before, unit, nameOf(slot), slot.side ?? '', inside].filter((word) => word !== '').join(' ');
}

/** Would these words of a line be read as one slot that means the same again? */
function readsBack(text: string, check: (slot: Slot) => boolean): boolean {
  const none = {
    bare: 'max',
    room: 'kg',
    own: new Map(),
    nextId: () => 1,
    mayLookNear: () => false,
    report: () => undefined,
    keep: () => undefined,
    timesBlocks: new WeakSet<Block>(),
  } as const;
  const { items } = readLine({ number: 1, indent: 0, column: 0, text }, none);
  const [slot] = items;
  return items.length === 1 && slot?.kind === 'slot' && slot.alternatives.length === 0 && check(slot);
}
/** A note stands behind a comma where it is read as a note again, otherwise in quotes. */
const noteText = remembered((note: string): string => {
  const plain = readsBack(`1 burpee, ${note} @ 60 kg`, (slot) => slot.note === note && slot.load !== null);
  return plain ? `, ${note}` : ` "${note.replaceAll('"', "'")}"`;
});

function formatHeight({ men, women, unit }: Height): string {
  if (unit === undefined) return `${columns({ men, women })} cm`;
  const [first, second] = [heightIn(men, unit), heightIn(women, unit)];
  return `${first === second ? first : `${first}/${second}`} ${unit}`;
}

function tailOf(slot: Slot, withLoad: boolean): string {
  const notes = [
    slot.perSide ? 'each side' : '',
    slot.tempo ? `tempo ${slot.tempo}` : '',
    slot.effort ? `${slot.effort.kind.toUpperCase()} ${slot.effort.value}` : '',
    slot.build ? 'build' : '',
    slot.hold === 'unbroken' ? 'unbroken' : slot.hold === 'mayBreak' ? 'may break' : '',
  ];
  const tail = notes
    .filter((note) => note !== '')
    .map((note) => `, ${note}`)
    .join('');
  const load = withLoad && slot.load ? ` @ ${formatLoad(slot.load)}` : '';
  return `${tail}${slot.note === null ? '' : noteText(slot.note)}${load}${slot.heightCm ? ` @ ${formatHeight(slot.heightCm)}` : ''}`;
}

export function formatSlot(slot: Slot): string {
  return `${coreOf(slot)}${tailOf(slot, true)}`;
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** A linked string or a bracket; what all members share is said once, at the end. */
export function formatString(slots: readonly Slot[]): string {
  const first = slots[0]!;
  if (slots.length === 1 && !first.bracket) return formatSlot(first);
  const shared = slots.every((slot) => same(slot.load, first.load) && slot.hold === first.hold);
  const hold = first.hold === 'unbroken' ? ', unbroken' : first.hold === 'mayBreak' ? ', may break' : '';
  const ends = shared ? `${hold}${first.load ? ` @ ${formatLoad(first.load)}` : ''}` : '';
  const members = slots.map((slot) => formatSlot(shared ? { ...slot, load: null, hold: null } : slot)).join(' + ');
  return first.bracket ? `${first.bracket.times} x (${members})${ends}` : `${members}${ends}`;
}

/** Two slots of one string: linked, or of one bracket. */
export const joined = (a: Slot, b: Slot): boolean => (a.link !== null && a.link === b.link) || (a.bracket !== null && a.bracket.id === b.bracket?.id);

const restBetween = (rest: Rest | null): string => (rest ? `, rest ${formatRest(rest)} between` : '');

/** The work of a part, a line each, rounds and rests among it. */
export function formatItems(items: readonly Item[], indent: string): string[] {
  const lines: string[] = [];
  for (let at = 0; at < items.length; at++) {
    const item = items[at]!;
    if (item.kind === 'pause') lines.push(`${indent}rest ${formatRest(item.seconds)}`);
    else if (item.kind === 'block') {
      const bare = item.ladder === null && item.rounds.low === 1 && item.rounds.high === 1;
      if (bare) lines.push(...formatItems(item.items, indent));
      else {
        const header = item.ladder ? item.ladder.join('-') : `${span(item.rounds)} round${item.rounds.high === 1 ? '' : 's'}`;
        lines.push(`${indent}${header}${restBetween(item.restBetween)}`, ...formatItems(item.items, `${indent}  `));
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

function stationLines(stations: readonly (readonly Item[])[], word: (index: number) => string): string[] {
  return stations.flatMap((items, index) => {
    const lines = formatItems(items, '  ');
    if (items.length === 0) return [`${word(index)} rest`];
    return lines.length === 1 ? [`${word(index)} ${lines[0]!.trim()}`] : [word(index), ...lines];
  });
}

function everyHead(part: EveryPart): string {
  if (part.untilFailure && slotsOfPart(part).every(({ count }) => count.kind === 'growing'))
    return part.intervalSeconds === 60 ? 'death by' : `every ${formatClock(part.intervalSeconds)}`;
  if (part.untilFailure) return `every ${formatClock(part.intervalSeconds)} until failure`;
  if (part.intervalSeconds === 60 && part.capSeconds === null) return `EMOM ${formatClock(part.count * 60)}`;
  return `every ${formatClock(part.intervalSeconds)} x ${part.count}${part.capSeconds === null ? '' : `, cap ${formatClock(part.capSeconds)}`}`;
}

function intervalsHead(part: IntervalsPart): string {
  const first = part.segments[0]!;
  if (part.circuitRounds !== null) return `circuit ${part.circuitRounds} rounds of ${formatClock(first.workSeconds)} stations`;
  if (part.segments.every((each) => each.workSeconds === first.workSeconds && each.restSeconds === first.restSeconds))
    return `${formatClock(first.workSeconds)} on / ${formatClock(first.restSeconds)} off x ${part.segments.length}`;
  const listed = part.segments.flatMap((each, index) => [
    formatClock(each.workSeconds),
    ...(index === part.segments.length - 1 && each.restSeconds === 0 ? [] : [formatClock(each.restSeconds)]),
  ]);
  const behind = listed.slice(2).map((each) => ` / ${each}`);
  return `${listed[0]} on / ${listed[1] ?? '0:00'} off${behind.join('')}`;
}

function headAndBody(part: Part): string[] {
  switch (part.kind) {
    case 'amrap':
      return [`AMRAP ${clockRange(part.seconds)}${part.sets > 1 ? ` x ${part.sets}` : ''}${restBetween(part.restBetween)}`, ...formatItems(part.items, '')];
    case 'forTime': {
      const cap = part.capSeconds === null ? '' : `, cap ${formatClock(part.capSeconds)}${part.capPerSet ? ' per set' : ''}`;
      const empty = part.items.length === 0;
      const implicit = !empty && part.capSeconds === null && part.window === null && part.restBetween === null;
      const lines = formatItems(part.items, part.sets > 1 ? '  ' : '');
      const sets = part.sets > 1 ? [`${part.sets} sets${restBetween(part.restBetween)}`] : [];
      return implicit && (sets.length > 0 || !part.scoreSaid || part.score !== 'time') ? [...sets, ...lines] : [`for time${cap}`, ...sets, ...lines];
    }
    case 'every':
      return [everyHead(part), ...(part.stations.length === 1 ? formatItems(part.stations[0]!, '') : stationLines(part.stations, (index) => `${index + 1}:`))];
    case 'intervals':
      return [
        intervalsHead(part),
        ...(part.stations.length === 1 && part.circuitRounds === null
          ? formatItems(part.stations[0]!, '')
          : stationLines(part.stations, (index) => `${index + 1}:`)),
      ];
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
      return ['strength', ...setsInside(part)];
    }
    case 'rest':
      if (part.untilSeconds !== null) return [`rest until ${formatClock(part.untilSeconds)}`];
      return [`rest ${part.open ? formatRest({ low: 0, high: 0, open: part.open }) : formatClock(part.seconds ?? 0)}`];
    case 'quality':
      return [`for quality${part.seconds === null ? '' : ` in ${formatClock(part.seconds)}`}`, ...formatItems(part.items, '')];
  }
}

/** The sets over their work; sets that differ from movement to movement stand with each of them. */
function setsInside({ sets, restBetween: rest, items }: StrengthPart): string[] {
  if (sets === 1 && rest === null && items.some(({ kind }) => kind === 'block')) return formatItems(items, '');
  return [`${sets} ${sets === 1 ? 'set' : 'sets'}${restBetween(rest)}`, ...formatItems(items, '  ')];
}

const sharing: Readonly<Record<NonNullable<Team['how']>, string>> = { youGoIGo: 'you go I go', synchro: 'synchro', splitAsNeeded: 'split as needed' };
const teamLine = ({ size, how }: Team): string => `in teams of ${size}${how ? `, ${sharing[how]}` : ''}`;
/** `every 1:00: 5 air squat`, on one line. */
const interruptionLine = (everySeconds: number, items: readonly Item[]): string => `every ${formatClock(everySeconds)}: ${formatItems(items, '').join(', ')}`;

export function formatPart(part: Part): string {
  const vest = part.vest
    ? [`with vest ${columns({ men: inUnit(part.vest.men, part.vest.unit), women: inUnit(part.vest.women, part.vest.unit) })} ${part.vest.unit}`]
    : [];
  return [
    ...(part.optional ? ['optional:'] : []),
    ...(part.name ? [`part: ${part.name}`] : []),
    ...headAndBody(part),
    ...(part.interruption ? [interruptionLine(part.interruption.everySeconds, part.interruption.items)] : []),
    ...(part.team ? [teamLine(part.team)] : []),
    ...vest,
    ...(part.noPartition ? ['no partition'] : []),
    ...(part.startsAtFinishOrCap ? ['starts at finish or cap'] : []),
    ...(part.scoreSaid ? [`score: ${scoreText[part.score]}`] : []),
    ...(part.window ? [`window: ${formatWindow(part.window)}`] : []),
    ...(part.intent ? [`intent: ${part.intent}`] : []),
    ...part.notes.map((note) => `note: ${note}`),
  ].join('\n');
}

/** The text of a workout, in one pass. */
function render(workout: Workout): string {
  const opening = [
    ...(workout.own ?? []).map(({ own, as }) => ownLine(own, wordsOf(as))),
    ...(workout.intent ? [`intent: ${workout.intent}`] : []),
    ...workout.notes.map((note) => `note: ${note}`),
  ];
  const sections = [
    ...(opening.length > 0 ? [opening.join('\n')] : []),
    ...workout.parts.map(formatPart),
    ...workout.tiers.map((tier) => [`## tier ${tier.name}`, tier.parts.map(formatPart).join('\n\n')].join('\n')),
  ];
  return `${workout.title ? `# ${workout.title}\n` : ''}${sections.join('\n\n')}\n`;
}

/** Words nobody can vouch for: notes, and movements the catalogue does not have. */
const hasLooseWords = (workout: Workout): boolean =>
  workout.notes.length > 0 ||
  [workout, ...workout.tiers].some(({ parts }) =>
    parts.some((part) => part.notes.length > 0 || part.name !== null || slotsOfPart(part).some((slot) => slot.note !== null || !isMovementId(slot.movement))),
  );

/**
 * Canonical text of a workout, ending in a newline. Loose words may read as something else once they stand in their canonical place;
 * such a text is read and written again until it stays as it is, so that formatting it once more changes nothing.
 */
export function formatWorkout(workout: Workout): string {
  let text = render(workout);
  for (let again = 0; again < 5 && hasLooseWords(workout); again++) {
    const next = render(parseWorkout(text).workout);
    if (next === text) break;
    text = next;
  }
  return text;
}
