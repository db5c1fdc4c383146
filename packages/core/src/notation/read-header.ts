/** The first line of a part: what kind of clock it runs on, and the clauses after it. */
import type { Range } from '../workout/workout';
import { durationSource, readTime, readTimeRange } from './figures';

export type Header =
  | { readonly kind: 'amrap'; readonly seconds: Range | null; readonly sets: number }
  | { readonly kind: 'forTime'; readonly rounds: Range | null; readonly sets: number | null }
  | { readonly kind: 'every'; readonly intervalSeconds: number; readonly totalSeconds: number | null; readonly count: number | null }
  | { readonly kind: 'intervals'; readonly segments: readonly { workSeconds: number; restSeconds: number }[]; readonly count: number | null }
  | { readonly kind: 'circuit'; readonly rounds: number; readonly stationSeconds: number }
  | { readonly kind: 'maxLoad'; readonly seconds: number }
  | { readonly kind: 'strength' }
  | { readonly kind: 'rest'; readonly seconds: number | null; readonly untilSeconds: number | null; readonly bareMinutes: boolean }
  | { readonly kind: 'quality'; readonly rounds: Range | null; readonly seconds: number | null };

export interface Clauses {
  readonly capSeconds: number | null;
  readonly capPerSet: boolean;
  readonly restBetween: Range | null;
  readonly restWhatIsLeft: boolean;
  readonly build: boolean;
  readonly forTime: boolean;
  readonly forQuality: boolean;
  readonly unread: readonly string[];
}

const time = `(${durationSource})`;
const range = `(${durationSource}(?:\\s*-\\s*${durationSource})?)`;
const times = String.raw`(?:\s*x\s*(\d+)(?:\s*(?:sets|rounds|times))?)?`;
const match = (pattern: string, text: string): RegExpExecArray | null => new RegExp(`^${pattern}`, 'i').exec(text);
const toRange = (low: string, high: string | undefined): Range => ({ low: Number(low), high: Number(high ?? low) });

/** @returns the header and what is left of the line, or null when the line is no header */
export function readHeader(text: string): { header: Header; rest: string } | null {
  const plain = text.trim().replace(/:$/, '');
  const done = (header: Header, found: RegExpExecArray): { header: Header; rest: string } => ({ header, rest: plain.slice(found[0].length) });
  let found: RegExpExecArray | null;

  if ((found = match(`rest\\s+until\\s+${time}`, plain)))
    return done({ kind: 'rest', seconds: null, untilSeconds: readTime(found[1]!, 'minutes'), bareMinutes: false }, found);
  if ((found = match(`rest\\s+${range}$`, plain)) ?? (found = match(`${range}\\s+rest$`, plain))) {
    const read = readTimeRange(found[1]!, 'seconds');
    if (read) return done({ kind: 'rest', seconds: read.high, untilSeconds: null, bareMinutes: /\bmin/.test(found[1]!) }, found);
  }
  if ((found = match(`(?:amrap|as many (?:rounds|reps)(?: (?:and|\\+) (?:rounds|reps))? as possible)(?: in| for|:)?\\s*${range}?${times}`, plain)))
    return done({ kind: 'amrap', seconds: found[1] ? readTimeRange(found[1], 'minutes') : null, sets: Number(found[2] ?? 1) }, found);
  if ((found = match(`${range}\\s*amrap${times}`, plain)))
    return done({ kind: 'amrap', seconds: readTimeRange(found[1]!, 'minutes'), sets: Number(found[2] ?? 1) }, found);
  if ((found = match(`e(\\d+)?mom(?:\\s+for)?(?:\\s*x\\s*(\\d+)|\\s*:?\\s*${time})?`, plain)) ?? (found = match(`()()${time}\\s*emom`, plain)))
    return done(
      {
        kind: 'every',
        intervalSeconds: 60 * Number(found[1] || 1),
        totalSeconds: found[3] ? readTime(found[3], 'minutes') : null,
        count: found[2] ? Number(found[2]) : null,
      },
      found,
    );
  if ((found = match(`every\\s+(?:minute|min)(?:\\s+on the minute)?(?:\\s+for\\s+${time})?${times}`, plain)))
    return done(
      { kind: 'every', intervalSeconds: 60, totalSeconds: found[1] ? readTime(found[1], 'minutes') : null, count: found[2] ? Number(found[2]) : null },
      found,
    );
  if ((found = match(`every\\s+${time}(?:\\s+for\\s+${time})?${times}`, plain)))
    return done(
      {
        kind: 'every',
        intervalSeconds: readTime(found[1]!, 'minutes')!,
        totalSeconds: found[2] ? readTime(found[2], 'minutes') : null,
        count: found[3] ? Number(found[3]) : null,
      },
      found,
    );
  if (
    (found = match(
      `${time}\\s*(?:on|work)\\s*[/,;]?\\s*${time}\\s*(?:off|rest)((?:\\s*[/,]\\s*${durationSource}(?:\\s*(?:on|off|work|rest))?)*)${times}`,
      plain,
    ))
  ) {
    const unit = /min|'/.test(found[1]!) || (/^\d+$/.test(found[1]!) && Number(found[1]) < 10) ? 'minutes' : 'seconds';
    const listed = [
      found[1]!,
      found[2]!,
      ...found[3]!
        .split(/[/,]/)
        .map((each) => each.replace(/on|off|work|rest/gi, '').trim())
        .filter((each) => each !== ''),
    ].map((each) => readTime(each, unit) ?? 0);
    const segments = Array.from({ length: Math.ceil(listed.length / 2) }, (_, index) => ({
      workSeconds: listed[2 * index]!,
      restSeconds: listed[2 * index + 1] ?? 0,
    }));
    return done({ kind: 'intervals', segments, count: found[4] ? Number(found[4]) : segments.length > 1 ? 1 : null }, found);
  }
  if ((found = match(`circuit[:,]?\\s+(\\d+)\\s+rounds?\\s+(?:of|x)\\s+${time}(?:\\s+stations?)?`, plain)))
    return done({ kind: 'circuit', rounds: Number(found[1]), stationSeconds: readTime(found[2]!, 'minutes')! }, found);
  if ((found = match(`(?:max load|(?:build to )?(?:a |one )?heavy (?:single|set|double|triple)|1\\s?rm)(?:\\s+(?:in|within|for))?\\s+${time}`, plain)))
    return done({ kind: 'maxLoad', seconds: readTime(found[1]!, 'minutes')! }, found);
  if ((found = match('strength\\b', plain))) return done({ kind: 'strength' }, found);
  if ((found = match(`(?:for )?quality(?:\\s*[,:]?\\s*(\\d+)(?:\\s*-\\s*(\\d+))?\\s+rounds?(?: of)?)?(?:\\s+in\\s+${time})?`, plain)))
    return done({ kind: 'quality', rounds: found[1] ? toRange(found[1], found[2]) : null, seconds: found[3] ? readTime(found[3], 'minutes') : null }, found);
  if ((found = match('(\\d+)(?:\\s*-\\s*(\\d+))?\\s*(?:rounds?\\s+for time|rft)(?: of)?', plain)))
    return done({ kind: 'forTime', rounds: toRange(found[1]!, found[2]), sets: null }, found);
  if ((found = match('(\\d+)\\s+sets?\\s+for time(?: of)?', plain))) return done({ kind: 'forTime', rounds: null, sets: Number(found[1]) }, found);
  if ((found = match('for time(?: of)?\\b', plain))) return done({ kind: 'forTime', rounds: null, sets: null }, found);
  return null;
}

/** `3 rounds`, `3-5 rounds of`, `3 sets`. */
export function readRepeat(text: string): { what: 'rounds' | 'sets'; count: Range; rest: string } | null {
  const found = match('(\\d+)(?:\\s*-\\s*(\\d+))?\\s*(rounds?|sets?)(?:\\s+of)?(?=$|[\\s,:(])\\s*:?', text.trim());
  if (!found) return null;
  const rest = text.trim().slice(found[0].length);
  if (rest.trim() !== '' && !/^\s*[,(]/.test(rest) && !/^\s*(?:for time|rest)/i.test(rest)) return null;
  return { what: found[3]!.toLowerCase().startsWith('round') ? 'rounds' : 'sets', count: toRange(found[1]!, found[2]), rest };
}

/** What may follow any header: `, cap 9:00`, `(cap 9:00)`, `, rest 1:00 between`, `, rest what is left`, `, build`. */
export function readClauses(text: string): Clauses {
  let capSeconds: number | null = null;
  let capPerSet = false;
  let restBetween: Range | null = null;
  let restWhatIsLeft = false;
  let build = false;
  let forTime = false;
  let forQuality = false;
  const unread: string[] = [];
  for (const clause of text
    .split(/[,;()]/)
    .map((each) => each.trim())
    .filter((each) => each !== '' && each !== ':')) {
    const cap =
      match(`(?:time\\s+)?cap\\s*:?\\s*${time}(\\s+(?:per|a|each)\\s+(?:set|window|round))?`, clause) ?? match(`${time}\\s+(?:time\\s+)?cap()`, clause);
    const rest = match(`rest\\s+${range}(?:\\s+(?:between|after).*)?$`, clause) ?? match(`${range}\\s+rest(?:\\s+between.*)?$`, clause);
    if (cap) {
      capSeconds = readTime(cap[1]!, 'minutes');
      capPerSet = Boolean(cap[2]);
    } else if (rest && readTimeRange(rest[1]!, 'seconds')) restBetween = readTimeRange(rest[1]!, 'seconds');
    else if (/^rest (?:what is left|the remainder|in the time left)/i.test(clause)) restWhatIsLeft = true;
    else if (/^build(?:ing)?$/i.test(clause)) build = true;
    else if (/^for time$/i.test(clause)) forTime = true;
    else if (/^for quality$/i.test(clause)) forQuality = true;
    else unread.push(clause);
  }
  return { capSeconds, capPerSet, restBetween, restWhatIsLeft, build, forTime, forQuality, unread };
}
