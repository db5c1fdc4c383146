/** Parts as a message told them → plain notation. */
import { formatClock } from '../units/duration';
import { itemsOf, newDraft, type Draft, type Item } from './draft';

const units: Readonly<Record<string, string>> = { m: ' m', km: ' km', mile: ' mile', foot: ' ft', cal: ' cal', s: ' s' };

function countText({ count, unit, named }: Item): string {
  const name = (named?.name ?? '').toLowerCase();
  if (count === null) return unit === 'cal' ? 'cal' : '';
  if (unit === 'km' && /^[\d.]+$/.test(count)) return `${Number(count) * 1000} m`;
  if (unit === 's' && /^\d+$/.test(count) && Number(count) >= 60) return formatClock(Number(count));
  // `run 800`: metres, where nothing else was said
  if (unit === null && /^\d+$/.test(count) && Number(count) >= 100 && /^(?:run|row|ski|bike|air bike)$/.test(name)) return `${count} m`;
  return `${count}${unit === null ? '' : (units[unit] ?? '')}`;
}
function itemText(item: Item, maxAll = false): string {
  if (item.named === null) return item.restSeconds ? `rest ${formatClock(item.restSeconds)}` : 'rest';
  if ((maxAll || item.maxUnit !== null) && item.unit === 's')
    return `${formatClock(Number(item.count))} max ${item.maxUnit ?? ''} ${item.named.name.toLowerCase()}${item.load === null ? '' : ` @ ${item.load}`}${item.height === null ? '' : ` @ ${item.height}`}`.replace(
      '  ',
      ' ',
    );
  const beside = [item.side ? ', each side' : '', item.load === null ? '' : ` @ ${item.load}`, item.height === null ? '' : ` @ ${item.height}`].join('');
  const name = /^GHD/.test(item.named.name) ? item.named.name : item.named.name.toLowerCase();
  return `${countText(item)} ${name}${beside}`.trim();
}

/** A line of plain notation, and the line of the message it came from; null: from several, or from none. */
interface Row {
  readonly text: string;
  readonly line: number | null;
}
const row = (text: string, line: number | null = null): Row => ({ text, line });

/** Items joined by `+` are one line. */
function itemRows(items: readonly Item[], { labelled, deathBy, maxAll }: { labelled: boolean; deathBy: boolean; maxAll: boolean }): Row[] {
  const rows: Row[] = [];
  items.forEach((item, at) => {
    const before = rows.at(-1);
    if (deathBy) rows.push(row(`${item.count ?? 1}, +${item.count ?? 1} each round: ${itemText({ ...item, count: null })}`, item.line));
    else if (item.plus && before) rows[rows.length - 1] = row(`${before.text} + ${itemText(item)}`, before.line);
    else rows.push(row(`${labelled ? `${item.label ?? at + 1}: ` : ''}${itemText(item, maxAll)}`, item.line));
  });
  return rows;
}

const restText = ({ rest, restHigh }: Draft): string =>
  rest === null ? '' : `, rest ${formatClock(rest)}${restHigh === null ? '' : `-${formatClock(restHigh < 10 ? restHigh * 60 : restHigh)}`} between`;

function headOf(draft: Draft): string {
  const { kind, seconds, each, times, on, off, cap, rounds, sets } = draft;
  const inTime = seconds === null ? '' : ` ${formatClock(seconds)}`;
  const capped = cap === null ? '' : `, cap ${formatClock(cap)}`;
  switch (kind) {
    case 'amrap':
      return `AMRAP${inTime === '' && cap !== null ? ` ${formatClock(cap)}` : inTime}${sets === null ? '' : ` x ${sets}${restText(draft)}`}`;
    case 'emom':
      return `EMOM${inTime}`;
    case 'every':
      return `every ${formatClock(each ?? 60)}${times === null && rounds === null ? '' : ` x ${times ?? rounds}`}`;
    case 'deathBy':
      return 'death by';
    case 'onOff':
      return `${on} s on / ${off} s off${times === null && rounds === null ? '' : ` x ${times ?? rounds}`}`;
    case 'heavy':
      return `max load${seconds === null ? '' : ` in ${formatClock(seconds)}`}`;
    case 'rest':
      return `rest ${formatClock(seconds ?? 60)}`;
    case 'quality':
      return `for quality${rounds === null ? '' : `, ${rounds} rounds`}${restText(draft)}`;
    case 'forTime':
      if (sets !== null) return `${sets} sets for time${capped}${restText(draft)}`;
      return `${rounds === null ? '' : `${rounds} rounds `}for time${capped}${restText(draft)}`;
    default:
      if (sets !== null) return `${sets} sets${restText(draft)}`;
      // work that frames rounds is done against the clock (common practice)
      if (rounds !== null) return `${rounds} rounds${draft.buyIn.length + draft.cashOut.length > 0 ? ' for time' : ''}${restText(draft)}`;
      return draft.ladder === null ? 'for quality' : 'for time';
  }
}

const vestText = (vest: string): string => `with vest${vest === '' ? '' : ` ${vest}`}`;

/** `3 rounds, 50 s work and 10 to change: row, step-ups, planks`: each station once a round. */
function stationRows(draft: Draft, rounds: number): Row[] {
  const { on, off, items, vest } = draft;
  const stations = items.map((item) => row(itemText({ ...item, count: String(on), unit: 's' }), item.line));
  return [
    row(`${rounds} rounds${restText(draft)}`),
    ...(vest === null ? [] : [row(vestText(vest))]),
    ...stations.flatMap((station, at) => (at === 0 ? [station] : [row(`rest ${formatClock(off ?? 0)}`), station])),
  ];
}

/** rungs that every item of a part goes through; several items on minutes of their own are numbered */
function partRows(draft: Draft): Row[] {
  const { kind, times, rounds, items, buyIn, cashOut } = draft;
  if (kind === 'onOff' && times === null && rounds !== null && items.length > 1) return stationRows(draft, rounds);
  const rows = [row(headOf(draft))];
  if (kind === 'rest') return rows;
  if (draft.team !== null) rows.push(row(`in teams of ${draft.team}, you go I go`));
  if (draft.vest !== null) rows.push(row(vestText(draft.vest)));
  if (draft.ladder) rows.push(row(draft.ladder.join('-')));
  const starts = items.filter(({ plus }) => !plus).length;
  const labelled = (kind === 'emom' || kind === 'every') && starts > 1 && items.some(({ label, named }) => label !== null || named === null);
  const once = (name: string, all: readonly Item[]): Row[] => all.map((item) => row(`${name}: ${itemText(item)}`, item.line));
  return [
    ...rows.slice(0, 1),
    ...once('buy-in', buyIn),
    ...rows.slice(1),
    ...itemRows(items, { labelled, deathBy: kind === 'deathBy', maxAll: draft.maxAll }),
    ...once('cash-out', cashOut),
  ];
}

const isWhole = (draft: Draft): boolean => draft.kind === 'rest' || itemsOf(draft).length > 0;

/** names that stand in a message without being work: talk, or something that was not understood */
export const leftAsTalk = (drafts: readonly Draft[]): string[] =>
  drafts.flatMap((draft) => {
    const kept = new Set(withoutTalk(draft, drafts.length > 1).items);
    return draft.items.filter((item) => !kept.has(item)).flatMap(({ named }) => named?.name.toLowerCase() ?? []);
  });

/** A name without a count is talk, but where the scheme counts: a ladder, minutes with labels, work and rest by the clock. */
function withoutTalk(draft: Draft, hasOthers: boolean): Draft {
  const counts = draft.ladder !== null || draft.kind === 'deathBy' || draft.kind === 'onOff' || draft.kind === 'heavy';
  const isTalk = ({ named, count, label, plus, amongWords }: Item): boolean =>
    named !== null && count === null && label === null && !plus && (amongWords || !counts);
  const kept = draft.items.filter((item) => !isTalk(item));
  const isAlone = draft.kind !== null || draft.rounds !== null || draft.sets !== null || draft.ladder !== null || hasOthers === false;
  return isAlone && kept.length === 0 && draft.items.some(({ amongWords }) => !amongWords) ? draft : { ...draft, items: kept };
}

/** One window after the other: what is between them, and one without work, is rest. */
function withRests(drafts: readonly Draft[]): Draft[] {
  const out: Draft[] = [];
  let until = 0;
  const rest = (seconds: number): void => void (seconds > 0 && out.push({ ...newDraft(), kind: 'rest', seconds }));
  for (const draft of drafts) {
    if (draft.window === null) out.push(draft);
    else if (draft.items.length > 0 || draft.kind === 'heavy') {
      const { from, to } = draft.window;
      rest(from - until);
      out.push({ ...draft, window: null, seconds: draft.seconds ?? to - from, kind: draft.kind ?? 'amrap' });
      until = to;
    }
  }
  return out;
}

/** with a blank line between */
const paragraphs = (parts: readonly (readonly Row[])[]): Row[] => parts.flatMap((rows, at) => (at === 0 ? rows : [row(''), ...rows]));

/** whom a version is for, as the strict reader has it */
function tierRows(tier: string, parts: readonly Draft[]): Row[] {
  const note = tier === '' || tier === 'scaled' ? [] : [row(`note: ${tier}`)];
  return [row('## scaled'), ...note, ...paragraphs(parts.map(partRows))];
}

/** Plain notation, and for each of its lines the line of the message it came from. */
export interface Written {
  readonly notation: string;
  readonly from: readonly (number | null)[];
}
export function writeDrafts(drafts: readonly Draft[]): Written {
  const parts = withRests(drafts.map((draft) => withoutTalk(draft, drafts.length > 1))).filter(isWhole);
  // a rest before or after everything is none
  while (parts.at(-1)?.kind === 'rest') parts.pop();
  while (parts[0]?.kind === 'rest') parts.shift();
  const whole = parts.filter(({ tier }) => tier === null).map(partRows);
  const tiers = [...new Set(parts.flatMap(({ tier }) => tier ?? []))].map((tier) =>
    tierRows(
      tier,
      parts.filter((part) => part.tier === tier),
    ),
  );
  const rows = paragraphs([...whole, ...tiers]);
  return { notation: rows.map(({ text }) => text).join('\n'), from: rows.map(({ line }) => line) };
}
