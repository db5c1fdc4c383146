/** Where the putting together stands: the parts so far, and what waits for its item. */
import { newDraft, type Draft, type Item } from './draft';
import type { Named } from './gazetteer';
import type { Span, Unit } from './spans';

export class Assembly {
  readonly drafts: Draft[] = [newDraft()];
  readonly left: string[] = [];
  readonly guessed: Named[] = [];
  pending: { count: string | null; unit: Unit | null } | null = null;
  label: number | null = null;
  load: string | null = null;
  height: string | null = null;
  plus = false;
  corrects = false;
  forAll = false;
  words = 0;
  /** the item that was named last, while the segment lasts */
  last: Item | null = null;
  previous: Span | null = null;

  get current(): Draft {
    return this.drafts.at(-1)!;
  }

  begin(): Draft {
    if (this.current.items.length > 0 || this.current.kind === 'rest' || this.current.kind === 'heavy') {
      const { scaled } = this.current;
      this.drafts.push({ ...newDraft(), scaled });
    }
    this.last = null;
    return this.current;
  }

  beginScaled(): void {
    this.drafts.push({ ...newDraft(), scaled: true });
    this.last = null;
  }

  /** A count waits for its movement; one that still waits has found none, and is said. */
  hold(count: string, unit: Unit | null): void {
    this.leavePending();
    this.pending = { count, unit };
  }

  private leavePending(): void {
    const { count, unit } = this.pending ?? { count: null, unit: null };
    if (count !== null && count !== 'max') this.left.push(unit === null ? count : `${count} ${unit}`);
  }

  /** `cal` by itself: of the next count, or of the time that was just given (`1:00 row for cals`). */
  takeUnit(unit: Unit): void {
    this.pending = { count: this.pending?.count ?? null, unit };
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
      amongWords: false,
      maxUnit: null,
      ...change,
    };
  }

  movement(named: Named): void {
    if (named.guessed || named.id === null) this.guessed.push(named);
    const { count, unit } = this.pending ?? { count: null, unit: null };
    const item = this.item(named, { count, unit, load: this.load, height: this.height, plus: this.plus, amongWords: this.words > 0 });
    const before = this.current.items.at(-1);
    if (this.corrects && before?.named?.name === named.name) this.current.items.pop();
    this.corrects = false;
    this.current.items.push(item);
    this.last = item;
    [this.pending, this.label, this.load, this.height, this.plus] = [null, null, null, null, false];
  }

  endSegment(isLine: boolean): void {
    if (isLine) {
      this.leavePending();
      if (this.pending?.count === 'max' && this.current.items.length === 0) this.current.maxAll = true;
      this.pending = null;
      [this.label, this.plus] = [null, false];
    }
    this.previous = null;
    this.words = 0;
    if (isLine) this.last = null;
  }
}
