/** Parts as a message told them → plain notation. */
import { formatClock } from '../units/duration';
import { newDraft, type Draft, type Item } from './draft';

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

/** Items joined by `+` are one line. */
function itemLines(items: readonly Item[], { labelled, deathBy, maxAll }: { labelled: boolean; deathBy: boolean; maxAll: boolean }): string[] {
  const lines: string[] = [];
  items.forEach((item, at) => {
    if (deathBy) lines.push(`${item.count ?? 1}, +${item.count ?? 1} each round: ${itemText({ ...item, count: null })}`);
    else if (item.plus && lines.length > 0) lines[lines.length - 1] += ` + ${itemText(item)}`;
    else lines.push(`${labelled ? `${item.label ?? at + 1}: ` : ''}${itemText(item, maxAll)}`);
  });
  return lines;
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
      if (rounds !== null) return `${rounds} rounds${restText(draft)}`;
      return draft.ladder === null ? 'for quality' : 'for time';
  }
}

/** `3 rounds, 50 s work and 10 to change: row, step-ups, planks`: each station once a round. */
function stationsText(draft: Draft, rounds: number): string {
  const { on, off, items, vest } = draft;
  const stations = items.map((item) => itemText({ ...item, count: String(on), unit: 's' }));
  return [
    `${rounds} rounds${restText(draft)}`,
    ...(vest === null ? [] : [`with vest${vest === '' ? '' : ` ${vest}`}`]),
    ...stations.flatMap((station, at) => (at === 0 ? [station] : [`rest ${formatClock(off ?? 0)}`, station])),
  ].join('\n');
}

/** rungs that every item of a part goes through; several items on minutes of their own are numbered */
function partText(draft: Draft): string {
  const { kind, times, rounds, items } = draft;
  if (kind === 'onOff' && times === null && rounds !== null && items.length > 1) return stationsText(draft, rounds);
  const lines = [headOf(draft)];
  if (draft.kind === 'rest') return lines[0]!;
  if (draft.team !== null) lines.push(`in teams of ${draft.team}, you go I go`);
  if (draft.vest !== null) lines.push(`with vest${draft.vest === '' ? '' : ` ${draft.vest}`}`);
  if (draft.ladder) lines.push(draft.ladder.join('-'));
  const starts = draft.items.filter(({ plus }) => !plus).length;
  const labelled = (draft.kind === 'emom' || draft.kind === 'every') && starts > 1 && draft.items.some(({ label, named }) => label !== null || named === null);
  lines.push(...itemLines(draft.items, { labelled, deathBy: draft.kind === 'deathBy', maxAll: draft.maxAll }));
  return lines.join('\n');
}

const isWhole = ({ kind, items }: Draft): boolean => kind === 'rest' || items.length > 0;

/** names that stand in a message without being work: talk, or something that was not understood */
export const leftAsTalk = (drafts: readonly Draft[]): string[] =>
  drafts.flatMap((draft) => {
    const kept = new Set(withoutTalk(draft).items);
    return draft.items.filter((item) => !kept.has(item)).flatMap(({ named }) => named?.name.toLowerCase() ?? []);
  });

/** A name without a count is talk, but where the scheme counts: a ladder, minutes with labels, work and rest by the clock. */
function withoutTalk(draft: Draft): Draft {
  const counts = draft.ladder !== null || draft.kind === 'deathBy' || draft.kind === 'onOff' || draft.kind === 'heavy';
  const isTalk = ({ named, count, label, plus, amongWords }: Item): boolean =>
    named !== null && count === null && label === null && !plus && (amongWords || !counts);
  const kept = draft.items.filter((item) => !isTalk(item));
  return kept.length === 0 && draft.items.some(({ amongWords }) => !amongWords) ? draft : { ...draft, items: kept };
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

/** whom a version is for, as the strict reader has it */
function tierText(tier: string, parts: readonly Draft[]): string {
  return `## scaled${tier === '' || tier === 'scaled' ? '' : `\nnote: ${tier}`}\n${parts.map(partText).join('\n\n')}`;
}

/** @param title of the workout, null where none was told */
export function notationOf(drafts: readonly Draft[]): string {
  const parts = withRests(drafts.map(withoutTalk)).filter(isWhole);
  // a rest before or after everything is none
  while (parts.at(-1)?.kind === 'rest') parts.pop();
  while (parts[0]?.kind === 'rest') parts.shift();
  const whole = parts.filter(({ tier }) => tier === null).map(partText);
  const tiers = [...new Set(parts.flatMap(({ tier }) => tier ?? []))];
  return [
    ...whole,
    ...tiers.map((tier) =>
      tierText(
        tier,
        parts.filter((part) => part.tier === tier),
      ),
    ),
  ].join('\n\n');
}
