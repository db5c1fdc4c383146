/** Where the putting together stands: the parts so far, and what waits for its item. */
import { formatClock } from '../units/duration';
import { findMovement } from '../movements/names';
import { movementIn, newDraft, type Draft, type Item } from './draft';
import type { Named } from './gazetteer';
import type { Once, Span, Unit } from './span';

/** nothing but a scheme stands before it */
const isAlone = (before: Span | null): boolean => before === null || /^(?:part|sets|rounds|head|clock|label|letter|every)$/.test(before.k);
/** movements that are told by what they are done on */
const engines = /^(?:run|row|bike|air-bike|ski|walk)$/;

export class Assembly {
  /** @param way on which a length without a movement is covered; null: nobody said */
  constructor(private readonly way: string | null = null) {}
  readonly drafts: Draft[] = [newDraft()];
  readonly left: string[] = [];
  readonly guessed: Named[] = [];
  pending: { count: string | null; unit: Unit | null; maxUnit?: Unit | null; alone?: boolean } | null = null;
  label: number | null = null;
  load: string | null = null;
  height: string | null = null;
  plus = false;
  corrects = false;
  forAll = false;
  words = 0;
  /** of the message, from 0 */
  line = 0;
  /** how often the clock that comes next is run */
  repeat: number | null = null;
  /** where what is named next stands */
  once: Once | null = null;
  /** the lift that was named last */
  lift: Named | null = null;
  /** the machine or the way on foot that was named last */
  engine: Named | null = null;
  private lineLabel: number | null = null;
  /** the item that was named last, while the segment lasts */
  last: Item | null = null;
  previous: Span | null = null;

  get current(): Draft {
    return this.drafts.at(-1)!;
  }

  begin(): Draft {
    if (this.current.items.length > 0 || this.current.kind === 'rest' || this.current.kind === 'heavy') {
      const { tier } = this.current;
      this.drafts.push({ ...newDraft(), tier });
    }
    this.last = null;
    return this.current;
  }

  /** Another version of the same work: under the same clock, where it names none. */
  beginTier(tier: string): void {
    const lead = this.drafts.findLast((draft) => draft.tier === null && draft.items.length > 0);
    const { kind, seconds, each, times, cap, rounds } = lead ?? newDraft();
    this.drafts.push({ ...newDraft(), kind, seconds, each, times, cap, rounds, tier });
    this.last = null;
  }

  /** `Afterwards …` at the start of a line, under rounds, sets or a ladder: work that comes once, when they are done. */
  beginAfter(): void {
    const { ladder, rounds, sets, kind, items } = this.current;
    const repeats = (ladder ?? rounds ?? sets) !== null && (kind === null || kind === 'forTime' || kind === 'quality');
    if (repeats && items.length > 0) this.begin().kind = kind === 'quality' ? 'quality' : 'forTime';
    else this.endSegment(false);
  }

  /** `buy-in`, `cash-out`: one begins a part, the other ends it. */
  beginOnce(at: Once): void {
    if (at === 'buyIn') this.begin();
    this.once = at;
    this.last = null;
  }

  /** A count waits for its movement; one that still waits has found none, and is said. */
  hold(count: string, unit: Unit | null): void {
    // `one 800 m run`: once
    const isOnce = this.pending?.count === '1' && this.pending.unit === null && unit !== null;
    if (!isOnce) this.leavePending();
    this.pending = { count, unit, alone: isAlone(this.previous) };
  }

  private leavePending(): void {
    const { count, unit } = this.pending ?? { count: null, unit: null };
    if (count === null || count === 'max') return;
    // metres of nothing are run, and that is said
    if ((unit === 'm' || unit === 'km' || unit === 'mile') && this.pending?.alone) {
      const run: Named = this.way === null ? { name: 'Run', id: 'run', guessed: true } : { name: this.way, id: findMovement(this.way), guessed: false };
      if (run.guessed) this.guessed.push(run);
      this.current.items.push(this.item(run, { count, unit }));
    } else this.left.push(unit === null ? count : unit === 's' && Number(count) >= 60 ? formatClock(Number(count)) : `${count} ${unit}`);
  }

  /** `cal` by itself: of the next count, or of the time that was just given (`1:00 row for cals`). */
  takeUnit(unit: Unit): void {
    // `1:00 cal row`: a time, in which calories count
    const isTimed = this.pending?.unit === 's' && this.pending.count !== null;
    this.pending = isTimed ? { ...this.pending!, maxUnit: unit } : { count: this.pending?.count ?? null, unit };
    if (this.last && this.previous?.k === 'movement' && this.last.unit === 's') this.last.maxUnit = unit;
  }

  item(named: Named | null, change: Partial<Item> = {}): Item {
    return {
      named,
      count: null,
      unit: null,
      load: null,
      height: null,
      side: false,
      label: this.label,
      plus: false,
      restSeconds: null,
      line: this.line,
      amongWords: false,
      maxUnit: null,
      ...change,
    };
  }

  movement(named: Named): void {
    if (named.guessed || named.id === null) this.guessed.push(named);
    if (named.id !== null && engines.test(named.id)) this.engine = named;
    if (movementIn({ named })?.load?.optional === false) this.lift = named;
    const { count, unit } = this.pending ?? { count: null, unit: null };
    const before = this.current.items.at(-1);
    // `A: 6 lunges and 6 presses`: of one minute
    const goesOn = this.label === null && this.lineLabel !== null && before?.label === this.lineLabel && count !== null;
    const item = this.item(named, {
      count,
      unit,
      load: this.loadFor(named),
      height: this.height,
      plus: this.plus || goesOn,
      amongWords: this.words > 0,
      maxUnit: this.pending?.maxUnit ?? null,
      ...(goesOn ? { label: this.lineLabel } : {}),
    });
    if (this.corrects && before?.named?.name === named.name) this.current.items.pop();
    this.corrects = false;
    this.current[this.once ?? 'items'].push(item);
    this.last = item;
    this.lineLabel = this.label ?? this.lineLabel;
    [this.pending, this.label, this.load, this.height, this.plus] = [null, null, null, null, false];
  }

  /** What was said before its name; a movement that carries nothing takes no load. */
  private loadFor(named: Named): string | null {
    const movement = movementIn({ named });
    if (this.load === null || movement === null || movement.load !== null) return this.load;
    this.left.push(this.load);
    return null;
  }

  endSegment(isLine: boolean): void {
    if (isLine) {
      this.leavePending();
      if (this.pending?.count === 'max' && this.current.items.length === 0) this.current.maxAll = true;
      this.pending = null;
      [this.label, this.lineLabel, this.plus] = [null, null, false];
    }
    this.previous = null;
    this.words = 0;
    if (isLine && this.last !== null) this.once = null;
    if (isLine) this.last = null;
  }
}
