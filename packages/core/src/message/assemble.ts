/** Pieces in the order they stand → parts: which scheme owns which items, and what a count, a load, a rest or a cap that stands before or after belongs to. */
import { isMovementId, movementOf } from '../movements/catalogue';
import type { Movement } from '../movements/movement';
import type { Named } from './gazetteer';
import type { Span, Unit } from './spans';

export type Figure = Extract<Span, { k: 'figure' }>;
type Columns = Extract<Span, { k: 'columns' }>;
export interface Item {
  named: Named | null;
  /** as it is written: `12`, `12/9`, `max`; null: none was said */
  count: string | null;
  unit: Unit | null;
  load: string | null;
  height: string | null;
  side: boolean;
  label: number | null;
  /** one of a complex with the item before it */
  plus: boolean;
  restSeconds: number | null;
  /** words beside it in its segment: it may be talk */
  amongWords: boolean;
  /** what is counted in its time; null: reps */
  maxUnit: Unit | null;
}
export type Kind = 'amrap' | 'emom' | 'every' | 'deathBy' | 'onOff' | 'forTime' | 'quality' | 'heavy' | 'rest';
export interface Draft {
  kind: Kind | null;
  seconds: number | null;
  each: number | null;
  times: number | null;
  on: number | null;
  off: number | null;
  cap: number | null;
  rounds: number | null;
  sets: number | null;
  rest: number | null;
  restHigh: number | null;
  ladder: readonly number[] | null;
  team: number | null;
  vest: string | null;
  /** every item of it is done as often as it goes */
  maxAll: boolean;
  scaled: boolean;
  items: Item[];
}
export interface Assembled {
  readonly drafts: readonly Draft[];
  /** figures that found no place, as they were written */
  readonly left: readonly string[];
  /** names that were guessed or are not known */
  readonly guessed: readonly Named[];
}

const newDraft = (): Draft => ({
  kind: null,
  seconds: null,
  each: null,
  times: null,
  on: null,
  off: null,
  cap: null,
  rounds: null,
  sets: null,
  rest: null,
  restHigh: null,
  ladder: null,
  team: null,
  vest: null,
  maxAll: false,
  scaled: false,
  items: [],
});
const movementIn = (item: Item | undefined): Movement | null => (item?.named?.id && isMovementId(item.named.id) ? movementOf(item.named.id) : null);

const clean = (value: number): string => String(Number(value.toFixed(3)));
/** `2x15/10 kg`, `70-75%`, `bodyweight` */
export function loadText({ values, high, unit, count }: Pick<Figure, 'values' | 'high' | 'unit' | 'count'>): string {
  const pood = unit === 'pood';
  const each = values.map((value) => clean(pood ? value * 16 : value)).join('/');
  const figures = high === null ? each : `${each}-${clean(high)}`;
  return `${count === 2 ? '2x' : ''}${figures}${unit === '%' ? '%' : ` ${pood ? 'kg' : (unit ?? 'kg')}`}`;
}

/** words that join names and make no talk of them */
const joins = /^(?:and|of|the|a|an|some|with|at|for|to|each|per|n|by|-|,)$/;

class Assembler {
  readonly drafts: Draft[] = [newDraft()];
  readonly left: string[] = [];
  readonly guessed: Named[] = [];
  private pending: { count: string | null; unit: Unit | null } | null = null;
  private label: number | null = null;
  private load: string | null = null;
  private height: string | null = null;
  private plus = false;
  private corrects = false;
  private forAll = false;
  private words = 0;
  /** the item that was named last, while the segment lasts */
  private last: Item | null = null;
  private previous: Span | null = null;

  private get current(): Draft {
    return this.drafts.at(-1)!;
  }
  private begin(): Draft {
    if (this.current.items.length > 0 || this.current.kind === 'rest' || this.current.kind === 'heavy') {
      const { scaled } = this.current;
      this.drafts.push({ ...newDraft(), scaled });
    }
    this.last = null;
    return this.current;
  }

  /** @param rest spans of the line after this one @param later whether an item stands in the lines after it */
  take(span: Span, rest: readonly Span[], later: boolean): void {
    switch (span.k) {
      case 'clock':
        return span.clock === 'tabata' ? this.clock('onOff', { on: 20, off: 10, times: 8 }) : this.clock(span.clock, { seconds: span.seconds });
      case 'every':
        return this.clock('every', { each: span.each, times: span.times ?? (span.seconds === null ? null : Math.round(span.seconds / span.each)) });
      case 'onOff':
        return this.clock('onOff', { on: span.on, off: span.off, times: span.times });
      case 'heavy':
        return this.clock('heavy', { seconds: span.seconds ?? this.current.seconds });
      case 'forTime':
      case 'quality':
        return this.scheme(span.k, later || rest.some(({ k }) => k === 'movement'));
      case 'rounds':
        return this.rounds(span.count, span.word, later || rest.some(({ k }) => k === 'movement'));
      case 'unit':
        this.pending = { count: this.pending?.count ?? null, unit: span.unit };
        if (this.last && this.previous?.k === 'movement' && this.last.unit === 's') this.last.maxUnit = span.unit;
        return;
      case 'letter':
        if (this.current.kind === 'every' || this.current.kind === 'emom') this.label = span.at;
        else this.begin();
        return;
      case 'series':
        return this.series(span);
      case 'sets':
        if (this.current.kind === 'every') {
          this.current.times ??= span.count;
          return;
        }
        if (this.current.items.length > 0) this.begin();
        this.current.sets = span.count;
        return;
      case 'setsReps':
        return this.setsReps(span);
      case 'ladder':
        return this.ladder(span.rungs);
      case 'cap':
        this.current.cap = span.seconds;
        if (this.current.kind === null) this.current.kind = 'forTime';
        return;
      case 'rest':
        return this.rest(span, rest, later);
      case 'figure':
        return this.figure(span, rest);
      case 'columns':
        return this.columns(span);
      case 'bodyweight':
        if (this.last) this.last.load = 'bodyweight';
        return;
      case 'side':
        if (this.last) this.last.side = true;
        return;
      case 'max':
        this.pending = { count: 'max', unit: this.pending?.unit ?? null };
        return;
      case 'label':
        this.label = span.label;
        return;
      case 'head':
        this.begin();
        return;
      case 'team':
        this.current.team = span.size;
        return;
      case 'scaled':
        this.drafts.push({ ...newDraft(), scaled: true });
        this.last = null;
        return;
      case 'movement':
        return this.movement(span.named);
      case 'part':
        return this.endSegment(false);
      case 'plus':
        this.plus = this.last !== null;
        return;
      case 'vest':
        this.current.vest = span.text ?? '';
        return;
      case 'corrects':
        this.corrects = true;
        return;
      case 'sameLoad':
        if (this.last) this.last.load ??= this.current.items.at(-2)?.load ?? null;
        return;
      case 'all':
        this.forAll = true;
        return;
      case 'word':
        if (!joins.test(span.text)) this.words++;
        return;
      default:
        return;
    }
  }
  after(span: Span): void {
    this.previous = span;
  }

  private clock(kind: Kind, figures: Partial<Draft>): void {
    if (kind === 'every' && figures.times === null && this.current.sets !== null && this.current.items.length > 0) {
      Object.assign(this.current, { kind, each: figures.each, times: this.current.sets, sets: null });
      return;
    }
    const alone = this.current.items.length > 0 && this.current.kind === null && this.current.sets === null;
    const draft =
      alone && this.drafts.length === 1 ? this.current : this.current.kind === null && this.current.items.length === 0 ? this.current : this.begin();
    if (draft.kind !== null && draft.items.length === 0 && draft.kind !== 'rest' && draft.kind !== 'forTime') {
      Object.assign(draft, Object.fromEntries(Object.entries(figures).filter(([, value]) => value !== null)));
      return;
    }
    Object.assign(draft, figures, { kind });
  }
  private scheme(kind: 'forTime' | 'quality', itemsFollow: boolean): void {
    const { current } = this;
    if (current.kind === kind || (current.kind === 'quality' && kind === 'forTime')) return;
    if (current.kind === null) {
      current.kind = kind;
      return;
    }
    if (current.items.length > 0 && itemsFollow) this.begin().kind = kind;
  }
  private rounds(count: number, word: 'rounds' | 'times', itemsFollow: boolean): void {
    const { current } = this;
    if (current.kind === 'emom' || current.kind === 'every' || current.kind === 'onOff') {
      if (current.kind !== 'emom') current.times ??= count;
      if (current.items.length === 0 || !itemsFollow) return;
    }
    if (current.items.length === 0 || (!itemsFollow && current.rounds === null)) {
      current.rounds = count;
      return;
    }
    if (word === 'times' && current.rounds === null && current.kind !== 'amrap') current.rounds = count;
    else this.begin().rounds = count;
  }
  private setsReps({ sets, reps, unit }: Extract<Span, { k: 'setsReps' }>): void {
    if (this.last && this.last.count === null) {
      const item = this.last;
      if (this.current.items.length > 1 || this.current.kind !== null) {
        this.current.items.pop();
        this.begin().items.push(item);
        this.last = item;
      }
      this.current.sets = sets;
      item.count = reps;
      item.unit = unit;
      return;
    }
    this.begin();
    this.current.sets = sets;
    this.pending = { count: reps, unit };
  }
  /** `3@70 3@75 3@80%`: a set each */
  private series({ reps, loads, unit }: Extract<Span, { k: 'series' }>): void {
    const item = this.last ?? this.current.items.at(-1);
    if (!item) return;
    if (this.current.items.length > 1) {
      this.current.items.pop();
      this.begin().items.push(item);
    }
    this.current.sets = reps.length;
    if (reps.every((each) => each === reps[0])) item.count = String(reps[0]);
    else this.current.ladder = reps;
    item.load = `${loads.map(clean).join('/')}${unit === '%' ? '%' : ` ${unit ?? 'kg'}`}`;
    this.last = item;
  }
  private ladder(rungs: readonly number[]): void {
    const lift = movementIn(this.last ?? undefined);
    if (this.last && this.last.count === null && this.current.kind === null && this.current.items.length === 1 && lift !== null && lift.load !== null) {
      this.current.sets = rungs.length;
      this.current.ladder = rungs;
      return;
    }
    if (this.current.items.length > 0 && this.current.ladder === null && this.current.items.some(({ count }) => count !== null)) this.begin();
    this.current.ladder ??= rungs;
  }
  private rest({ seconds, high, between }: Extract<Span, { k: 'rest' }>, rest: readonly Span[], later: boolean): void {
    const { current } = this;
    if (seconds === null || current.kind === 'emom' || (current.kind === 'every' && this.label !== null)) {
      if (current.kind === 'emom' || current.kind === 'every') current.items.push(this.item(null, { restSeconds: 0 }));
      this.label = null;
      return;
    }
    if (between || current.sets !== null) {
      for (const draft of this.drafts.filter((each) => each === current || (each.sets !== null && each.rest === null && current.sets !== null))) {
        draft.rest ??= seconds;
        if (high !== null) draft.restHigh ??= high;
      }
      return;
    }
    if (current.rounds !== null && (current.kind === null || current.kind === 'quality')) {
      if (current.items.length > 0 && current.items.every(({ unit }) => unit === 's')) current.items.push(this.item(null, { restSeconds: seconds }));
      else current.rest ??= seconds;
      return;
    }
    if (current.items.length > 0 && (later || rest.some(({ k }) => k === 'movement' || k === 'clock'))) {
      this.drafts.push({ ...newDraft(), kind: 'rest', seconds });
      this.drafts.push(newDraft());
      this.last = null;
    } else if (current.items.length > 0) current.rest ??= seconds;
  }

  private item(named: Named | null, change: Partial<Item> = {}): Item {
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
  private movement(named: Named): void {
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

  private figure(span: Figure, rest: readonly Span[]): void {
    const { unit, values, count, at } = span;
    const next = rest.find(({ k }) => k !== 'word');
    const isDirect = rest[0]?.k === 'movement' || (rest[0]?.k === 'word' && rest[1]?.k === 'movement') || rest[0]?.k === 'max';
    const text = values.map(clean).join('/');
    if (unit === 'kg' || unit === 'lb' || unit === 'pood' || unit === '%' || count === 2) return this.setLoad(loadText(span), span);
    if (unit === 'in' || unit === 'cm') return this.setHeight(`${text} ${unit}`);
    if (unit !== null && !at) {
      const own = this.last && this.last.count === null && this.previous?.k === 'movement';
      if (own && !isDirect) {
        this.last!.count = text;
        this.last!.unit = unit;
      } else if (this.pending?.count === 'max' && this.current.items.length > 0) this.pending = { count: 'max', unit };
      else this.pending = { count: text, unit };
      return;
    }
    if (isDirect && !at) {
      this.pending = { count: text, unit: null };
      return;
    }
    if (this.last && this.last.count === null && !at) {
      this.last.count = text;
      return;
    }
    const movement = movementIn(this.last ?? undefined);
    if (this.last && this.last.load === null && (at || values.length === 2 || values[0]! >= 4)) {
      if ((movement === null || movement.load === null) && /box|step|jump/.test(this.last.named?.name ?? ''))
        return this.setHeight(`${text} ${values[0]! > 36 ? 'cm' : 'in'}`);
      if (movement === null || movement.load !== null) return this.setLoad(loadText(span), span);
    }
    if (next?.k === 'movement') this.pending = { count: text, unit: null };
    else if (this.pending === null) this.pending = { count: text, unit: null };
    else this.left.push(text);
  }
  private setLoad(load: string, figure: Pick<Figure, 'values'>): void {
    if (this.forAll) {
      this.forAll = false;
      if (this.drafts.map((draft) => this.toAll(load, draft)).includes(true)) return;
    }
    if (this.last && this.last.load === null) this.last.load = load;
    else if (this.last === null && this.current.items.length > 0 && this.toAll(load)) return;
    else if (this.last === null) this.load = load;
    else this.left.push(figure.values.map(clean).join('/'));
  }
  private setHeight(height: string): void {
    if (this.last) this.last.height ??= height;
    else this.height = height;
  }
  /** What is said once for all: the items that take a load and have none. */
  private toAll(load: string, draft = this.current): boolean {
    const bare = draft.items.filter((item) => item.load === null && (movementIn(item)?.load ?? null) !== null && !movementIn(item)!.load!.optional);
    for (const item of bare) item.load = load;
    return bare.length > 0;
  }
  private columns(span: Columns): void {
    const figure = { values: [span.men, span.women], high: null, unit: span.unit, count: span.count };
    if (span.unit === 'cm' || span.unit === 'in') return this.setHeight(`${span.men}/${span.women} ${span.unit}`);
    if (this.last && this.last.count === null && (span.unit === 'cal' || span.unit === 'm')) {
      this.last.count = `${clean(span.men)}/${clean(span.women)}`;
      this.last.unit = span.unit;
      return;
    }
    if (span.unit === 'cal' || span.unit === 'm') {
      this.pending = { count: `${clean(span.men)}/${clean(span.women)}`, unit: span.unit };
      return;
    }
    if (this.last && this.last.load === null && (movementIn(this.last) === null || movementIn(this.last)!.load !== null)) this.last.load = loadText(figure);
    else if (!this.toAll(loadText(figure))) this.left.push(`${span.men}/${span.women}`);
  }
  endSegment(isLine: boolean): void {
    if (isLine) {
      if (this.pending && this.pending.count !== 'max' && this.pending.count !== null) this.left.push(this.pending.count);
      if (this.pending?.count === 'max' && this.current.items.length === 0) this.current.maxAll = true;
      this.pending = null;
      [this.label, this.plus] = [null, false];
    }
    this.previous = null;
    this.words = 0;
    if (isLine) this.last = null;
  }
}

/** @param lines spans of each line */
export function assemble(lines: readonly (readonly Span[])[]): Assembled {
  const assembler = new Assembler();
  const names = (spans: readonly Span[]): boolean => spans.some(({ k }) => k === 'movement');
  lines.forEach((spans, at) => {
    const later = lines.slice(at + 1).some(names);
    spans.forEach((span, index) => {
      assembler.take(span, spans.slice(index + 1), later);
      assembler.after(span);
    });
    assembler.endSegment(true);
  });
  return { drafts: assembler.drafts, left: assembler.left, guessed: assembler.guessed };
}
