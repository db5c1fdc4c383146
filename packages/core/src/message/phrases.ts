/** The phrases of the trade, as boards, chats and documents have them (common practice, from memory): a pattern, and the piece it is. One list; where several fit, the longest wins. */
import type { Span, Unit } from './span';

const T = String.raw`(?:\d+:\d\d|\d+(?:\.\d+)? ?(?:min|s|h)\b(?: \d+ ?s\b)?)`;
const N = String.raw`\d+(?:\.\d+)?`;
const U = String.raw`(?:(?:kg|lb|km|mile|foot|cal|cm|m|s|min|pood)\b|%)`;

export function secondsOf(text: string): number {
  const clock = /^(\d+):(\d\d)$/.exec(text.trim());
  if (clock) return Number(clock[1]) * 60 + Number(clock[2]);
  let seconds = 0;
  for (const [, figure, unit] of text.matchAll(/(\d+(?:\.\d+)?) ?(min|s|h)/g)) seconds += Number(figure) * (unit === 'h' ? 3600 : unit === 'min' ? 60 : 1);
  return Math.round(seconds);
}
/** a time, or a bare figure of minutes */
const minutesOr = (text: string | undefined): number | null =>
  text === undefined ? null : /^[\d.]+$/.test(text) ? Math.round(Number(text) * 60) : secondsOf(text);

export interface Phrase {
  readonly pattern: RegExp;
  readonly make: (m: RegExpExecArray) => Span | null;
}
const phrase = (source: string, make: Phrase['make']): Phrase => ({ pattern: new RegExp(source, 'y'), make });
const men = String.raw`(?:men|man|males?|guys?|boys?|lads?|gents|rx men|m)`;
const women = String.raw`(?:women|woman|females?|girls?|ladies|gals|f|w)`;
const forWhom = String.raw`(?: ?(?:for|-|:|=|use|with|to))*(?: the)? ?`;
const num = (text: string | undefined): number => Number(text);
const countOf = (twice: string | undefined): 1 | 2 | null => (twice === undefined ? null : 2);
const unitOf = (text: string | undefined): Unit | null => (text === undefined || text === '' || text === 'min' ? null : (text as Unit));

export const phrases: readonly Phrase[] = [
  // clocks
  phrase(String.raw`(${T}|\d+)(?:[ -]*|, )amrap\b`, (m) => ({ k: 'clock', clock: 'amrap', seconds: minutesOr(m[1]) })),
  phrase(String.raw`amrap(?: ?(?:of|in|for|-|:|x|@))* ?(${T}|\d+\b(?! ?(?:${U}\b|/|x|-)))`, (m) => ({ k: 'clock', clock: 'amrap', seconds: minutesOr(m[1]) })),
  phrase(String.raw`(${T}) on (?:the|a) (?:running )?clock`, (m) => ({ k: 'clock', clock: 'amrap', seconds: secondsOf(m[1]!) })),
  // `20 minutes: 5 power cleans, 5 burpees`
  phrase(String.raw`(\d+ min) ?:(?= ?\d+ ?(?!\d|:|min|s\b|sets|rounds|x))`, (m) => ({ k: 'clock', clock: 'amrap', seconds: secondsOf(m[1]!) })),
  phrase(String.raw`amrap\b`, () => ({ k: 'clock', clock: 'amrap', seconds: null })),
  phrase(String.raw`(${T}|\d+)[ -]*emom\b`, (m) => ({ k: 'clock', clock: 'emom', seconds: minutesOr(m[1]) })),
  phrase(String.raw`emom(?: ?(?:of|in|for|-|:|x|@))* ?(${T}|\d+\b(?! ?(?:${U}\b|/|x|rounds|sets)|-))`, (m) => ({
    k: 'clock',
    clock: 'emom',
    seconds: minutesOr(m[1]),
  })),
  phrase(String.raw`emom\b`, () => ({ k: 'clock', clock: 'emom', seconds: null })),
  phrase(String.raw`(?:the |your |a )?heav(?:y|iest) (single|double|triple)(?: in (${T}))?`, (m) => ({
    k: 'heavy',
    reps: m[1] === 'double' ? 2 : m[1] === 'triple' ? 3 : 1,
    seconds: m[2] === undefined ? null : secondsOf(m[2]),
  })),
  phrase(String.raw`(\d+) ?x ?\(?(?=amrap|\d+ ?min amrap)`, (m) => ({ k: 'repeat', count: num(m[1]) })),
  phrase(String.raw`death by\b`, () => ({ k: 'clock', clock: 'deathBy', seconds: null })),
  phrase(String.raw`tabata\b`, () => ({ k: 'clock', clock: 'tabata', seconds: null })),
  phrase(String.raw`e(\d+)(m|s)(?:om)?(?: ?(?:x|for))? ?(?:(\d+)\b(?! ?(?:min|s\b|:\d))(?: ?(?:sets|rounds))?|(${T}))?`, (m) => ({
    k: 'every',
    each: num(m[1]) * (m[2] === 'm' ? 60 : 1),
    times: m[3] === undefined ? null : num(m[3]),
    seconds: m[4] === undefined ? null : secondsOf(m[4]),
  })),
  phrase(
    String.raw`(?:every|e\/|each) (${T}|\d+(?= ?x))(?: ?,? ?(?:(?:x|for) ?(\d+)\b(?! ?(?:min|s\b|:\d))(?: ?(?:sets|rounds|times))?|(?:for|in|x) (${T})))?`,
    (m) => ({
      k: 'every',
      each: minutesOr(m[1])!,
      times: m[2] === undefined ? null : num(m[2]),
      seconds: m[2] === undefined ? null : secondsOf(m[2]),
    }),
  ),
  phrase(String.raw`1 set every (${T})`, (m) => ({ k: 'every', each: secondsOf(m[1]!), times: null, seconds: null })),
  phrase(String.raw`(${T}|\d+) ?(?:on|work)[ ,/-]*(${T}|\d+) ?(?:off|rest|to change|to switch|pause)(?: ?x ?(\d+))?`, (m) => ({
    k: 'onOff',
    on: /^\d+$/.test(m[1]!) ? num(m[1]) : secondsOf(m[1]!),
    off: /^\d+$/.test(m[2]!) ? num(m[2]) : secondsOf(m[2]!),
    times: m[3] === undefined ? null : num(m[3]),
  })),
  // `40/20 x 3 rounds` of several stations: each once a round
  phrase(String.raw`(\d+)\/(\d+)(?= ?x ?\d+ rounds)`, (m) => ({ k: 'onOff', on: num(m[1]), off: num(m[2]), times: null })),
  phrase(String.raw`(\d+)\/(\d+) ?x ?(\d+)\b(?! ?(?:kg|lb|rounds))`, (m) => ({ k: 'onOff', on: num(m[1]), off: num(m[2]), times: num(m[3]) })),
  phrase(String.raw`work (?:for )?(${T}) ?,? ?(?:and )?(?:rest|pause|off) (?:for )?(${T})(?: ?,? ?(?:x ?)?(\d+) ?(?:rounds|times|sets|x)?)?`, (m) => ({
    k: 'onOff',
    on: secondsOf(m[1]!),
    off: secondsOf(m[2]!),
    times: m[3] === undefined ? null : num(m[3]),
  })),
  phrase(
    String.raw`(?:(\d+) ?(?:x|times) ?\(? ?)?(${T}) ?(?:hard|all out|fast|sprint|max(?:imal)?|flat out)[ ,/]*(?:and |then )?(?:a )?(${T}) ?(easy|ez|jog|walk|recover\w*|float|spin|slow)(?: (?:pedal|spin|pace|jog|row|bike|walk))? ?\)?(?: ?,? ?(?:and )?(?:that |repeat |all )?(?:(\d+) ?(?:times|x|rounds)|x ?(\d+)))?`,
    (m) => ({
      k: 'hardEasy',
      hard: secondsOf(m[2]!),
      easy: secondsOf(m[3]!),
      times: (m[1] ?? m[5] ?? m[6]) ? num(m[1] ?? m[5] ?? m[6]) : null,
      easyWay: m[4] === 'walk' ? 'walk' : null,
    }),
  ),
  phrase(String.raw`(${T}) ?(?:of )?(?:easy|steady|cool ?down|jog(?:ging)?)\b(?! (?:row|run|bike|ski|walk|swim|spin))`, (m) => ({
    k: 'steady',
    seconds: secondsOf(m[1]!),
    way: /jog/.test(m[0]!) ? 'run' : null,
  })),
  phrase(
    String.raw`(?<=^|[;,.] ?)(?:from )?(?:min(?:ute)?s? )?(\d+:\d\d|\d+)(?: ?min)? ?(?:-|to|until) ?(\d+:\d\d|\d+)(?: ?min)?(?: ?rest\b| ?off\b)?(?= ?[:,]| ?\.?$|\. | (?:rest|amrap|emom|max|find|build|run|row|\d))`,
    (m) => {
      const [from, to] = [minutesOr(m[1])!, minutesOr(m[2])!];
      // counts and ranges of sets grow by one or two; a window is longer than half a minute
      return to - from >= 60 && to <= 7200 ? { k: 'window', from, to } : null;
    },
  ),
  // schemes
  phrase(String.raw`not for time|\bnft\b|for quality|no clock(?! running)|not against the clock`, () => ({ k: 'quality' })),
  phrase(String.raw`(?:against the clock|for time|ft\b|clock it|time it|as fast as (?:you can|u can|possible)|fast as you can|on the clock)`, () => ({
    k: 'forTime',
  })),
  phrase(String.raw`in (${T}),? (?:find|build|work) (?:up )?(?:to )?(?:your|a|an|the|ur)? ?(?:heav\w+|max\w*)`, (m) => ({
    k: 'heavy',
    reps: null,
    seconds: secondsOf(m[1]!),
  })),
  phrase(String.raw`(?:find|build (?:up )?to|work up to) (?:your|a|an|the|ur)? ?heavy (\d)(?: reps?)?(?:,? ?(?:in|within) (${T}))?`, (m) => ({
    k: 'heavy',
    reps: num(m[1]),
    seconds: m[2] === undefined ? null : secondsOf(m[2]),
  })),
  phrase(
    String.raw`(?:find|build (?:up )?to|work up to|max out) (?:your|a|an|the|ur)? ?(?:heav\w+|max\w*|\d ?rm)(?: (single|double|triple|set))?(?:,? ?(?:in|within) (${T}))?`,
    (m) => ({
      k: 'heavy',
      reps: m[1] === 'double' ? 2 : m[1] === 'triple' ? 3 : m[1] === 'single' ? 1 : /\d ?rm/.test(m[0]!) ? num(/(\d) ?rm/.exec(m[0]!)![1]) : null,
      seconds: m[2] === undefined ? null : secondsOf(m[2]),
    }),
  ),
  phrase(String.raw`(?:(?:time[ -]?(?:cap|limit)|cap|tc|limit)(?: ?(?:is|of|at|:|=|-))* ?(${T}|\d+\b(?! ?(?:kg|lb|m\b|cal|reps))))`, (m) => ({
    k: 'cap',
    seconds: minutesOr(m[1])!,
  })),
  phrase(
    String.raw`(?:stop|done|(?:do not|don't|dont) go over|finish(?:ed)?|no (?:more|longer) than|not? more than|you have|at most|under|within)(?: it)?(?: (?:at|after|by|in|within|under))? (${T})(?! (?:rest|row|run|bike|amrap|emom|on|off))`,
    (m) => {
      const seconds = secondsOf(m[1]!);
      // nothing is over in less than a minute
      return seconds < 60 ? null : { k: 'cap', seconds };
    },
  ),
  phrase(String.raw`(${T}) (?:time )?(?:cap|limit|tc|to get it done|max\b(?! ))`, (m) => ({ k: 'cap', seconds: secondsOf(m[1]!) })),
  phrase(
    String.raw`(?:x ?)?(\d+) ?x ?(\d+(?:-\d+)?)(?: (?:reps|rep))?(?: ?(m|cal|s|km)\b)?(?![\d./]| ?(?:kg|lb|min|%|in\b|cm))(?:(?= ?/? ?(?:e|ea|each|per|side|leg|arm)\b))?`,
    (m) => ({
      k: 'setsReps',
      sets: num(m[1]),
      reps: m[2]!,
      unit: unitOf(m[3]),
    }),
  ),
  phrase(String.raw`(\d+) ?x ?max\b`, (m) => ({ k: 'setsReps', sets: num(m[1]), reps: 'max', unit: null })),
  phrase(String.raw`(\d+) reps?(?: ?(?:x|,|for|of))? (\d+) sets`, (m) => ({ k: 'setsReps', sets: num(m[2]), reps: m[1]!, unit: null })),
  phrase(String.raw`x ?(\d+) x ?(\d+) sets`, (m) => ({ k: 'setsReps', sets: num(m[2]), reps: m[1]!, unit: null })),
  phrase(String.raw`(\d+) sets? (?:of|x) (\d+)\b(?! ?(?:${U})\b)`, (m) => ({ k: 'setsReps', sets: num(m[1]), reps: m[2]!, unit: null })),
  phrase(String.raw`(\d+) (?:sets?|series)\b`, (m) => ({ k: 'sets', count: num(m[1]) })),
  phrase(String.raw`(?:x ?)?(\d+) (?:rounds?)\b`, (m) => ({ k: 'rounds', count: num(m[1]), word: 'rounds' })),
  phrase(String.raw`rounds? ?[:=] ?(\d+)(?= ?(?:$|[.,;]))`, (m) => ({ k: 'rounds', count: num(m[1]), word: 'rounds' })),
  phrase(String.raw`(\d+) times(?: (?:round|through|over|in all))?\b`, (m) => ({ k: 'rounds', count: num(m[1]), word: 'times' })),
  phrase(String.raw`(?:\bx|repeat x?) ?(\d+)(?= |$|[.,;:)])(?! ?(?:kg|lb|m\b|cal|s\b|min))`, (m) => ({ k: 'rounds', count: num(m[1]), word: 'times' })),
  // `1 round = …, do 4 of them`
  phrase(String.raw`do (\d+)(?: rounds)? of (?:them|these|those|that|this)`, (m) => ({ k: 'rounds', count: num(m[1]), word: 'times' })),
  phrase(String.raw`1 (?:round|set) ?(?:=|is|:)`, () => ({ k: 'part', hard: false })),
  phrase(String.raw`\d+ min rotation`, (m) => ({ k: 'word', text: m[0]! })),
  phrase(String.raw`(\d+) ?x ?(?=:|$)`, (m) => ({ k: 'rounds', count: num(m[1]), word: 'times' })),
  phrase(String.raw`(?:(?:descending|countdown|count down|ladder|down)[ :,-]*)*(?:from )?(\d{1,2}) (?:down )?to (?:1|one)\b(?! ?(?:${U}))`, (m) => ({
    k: 'ladder',
    rungs: Array.from({ length: num(m[1]) }, (_, at) => num(m[1]) - at),
  })),
  phrase(String.raw`\d+(?:-\d+){2,14}(?![\d:])`, (m) => rungsOf(m[0].split('-'))),
  phrase(String.raw`\d+(?: - \d+){2,14}(?![\d:]| ?(?:${U}))`, (m) => rungsOf(m[0].split(' - '))),
  phrase(String.raw`\d+(?:\/\d+){2,14}(?![\d:]| ?(?:kg|lb|%))`, (m) => rungsOf(m[0].split('/'))),
  phrase(String.raw`\d+(?:[ ,]{1,2}\d+){2,14}(?! ?(?:${U})\b|[\d:/x.%])`, (m) => ({ k: 'ladder', rungs: m[0].split(/[ ,]+/).map(Number) })),
  // rests
  phrase(
    String.raw`(?:rest|pause|breather|break|r)(?:ing)?(?: (?:for|of|about|abt))?:? ?(${T}|\d+)(?:-(\d+(?::\d\d)?)(?: ?(min|s))?)?(?: ?(?:rest))?((?:,? (?:after|between|btwn|btw|b\/t|in between|bw|then)(?: (?:the|each|every|all|ea|your))?(?: (?:sets?|rounds?|pair|couple|superset|exercises?|minis|[a-d]\d))*)?)`,
    (m) => restOf(m[1], m[2], m[3], m[4]),
  ),
  phrase(
    String.raw`(${T}|\d+)(?:-(\d+(?::\d\d)?)(?: ?(min|s))?)? (?:of )?(?:(?:rests?|breather|pause|break|r|off)\b|walk(?= (?:between|btw|b\/t|in between|after|back)))((?: ?,? ?(?:after|between|btwn|btw|b\/t|in between|bw)(?: (?:the|each|every|all|ea))?(?: (?:sets?|rounds?|pair|superset))*)?)`,
    (m) => restOf(m[1], m[2], m[3], m[4]),
  ),
  phrase(
    String.raw`(${T}|\d+)(?:-(\d+(?::\d\d)?)(?: ?(min|s))?)? ((?:between|btwn|btw|b\/t|in between|after)(?: (?:the|each|every|all|ea))?(?: (?:sets?|rounds?|pair|superset|legs|sides))*)`,
    (m) => restOf(m[1], m[2], m[3], m[4]),
  ),
  phrase(String.raw`rest (?:as needed|whats left|what's left|the remaining time|the rest|remaining)`, () => ({ k: 'word', text: 'rest as needed' })),
  phrase(String.raw`rest\b(?= ?(?:$|[.,;)|]))`, () => ({ k: 'rest', seconds: null, high: null, between: false })),
  // columns
  phrase(
    String.raw`@? ?(2 ?x ?)?(${N}) ?(${U})?[ ,]*(?:for |the |\()*${men}\b\)?[ ,]*(?:and |/ ?|& )?(?:2 ?x ?)?(${N}) ?(${U})?[ ,]*(?:for |the |\()*${women}\b\)?`,
    (m) => ({
      k: 'columns',
      count: countOf(m[1]),
      men: num(m[2]),
      women: num(m[4]),
      unit: unitOf(m[3] ?? m[5]),
    }),
  ),
  phrase(String.raw`${men}\b${forWhom}(2 ?x ?)?(${N}) ?(${U})?[ ,.;/]*(?:and )?${women}\b${forWhom}(?:2 ?x ?)?(${N}) ?(${U})?`, (m) => ({
    k: 'columns',
    count: countOf(m[1]),
    men: num(m[2]),
    women: num(m[4]),
    unit: unitOf(m[3] ?? m[5]),
  })),
  phrase(String.raw`@? ?(2 ?x ?)?(${N}) ?(${U})? ?\(${women}\b${forWhom}(?:2 ?x ?)?(${N}) ?(${U})?\)`, (m) => ({
    k: 'columns',
    count: countOf(m[1]),
    men: num(m[2]),
    women: num(m[4]),
    unit: unitOf(m[3] ?? m[5]),
  })),
  // `(women 13)`, `(16 ladies)`, and within the brackets of the men's
  phrase(String.raw`\(?(?:for )?${women}:? ?(?:use |do |with )?(?:2 ?x ?)?(${N}) ?(${U}|")?\)`, (m) => ({
    k: 'women',
    value: num(m[1]),
    unit: m[2] === '"' ? 'in' : unitOf(m[2]),
  })),
  phrase(String.raw`\(?(${N}) ?(${U}|")? ?(?:for )?${women}\)`, (m) => ({ k: 'women', value: num(m[1]), unit: m[2] === '"' ? 'in' : unitOf(m[2]) })),
  phrase(String.raw`@(${N})\/(${N}) (kg|lb) for (\w+)`, (m) => ({ k: 'columnsFor', thing: m[4]!, men: num(m[1]), women: num(m[2]), unit: unitOf(m[3]) })),
  // a change of a load that is not known yet: no load by itself
  phrase(
    String.raw`(?:drop|minus|take off|reduce|less|add|lower|raise)(?: (?:the |it )?(?:weight|load|bar))?(?: by)? ${N} ?(?:%|kg|lb)(?: each (?:set|round))?`,
    (m) => ({
      k: 'word',
      text: m[0]!,
    }),
  ),
  // a share of another lift, and laps of a length nobody told: no figure of the work
  phrase(
    String.raw`@? ?${N}(?:-${N})?% of (?:your |my |the |a )?(?:best |max )?(?:clean and jerk|clean|snatch|jerk|front squat|back squat|squat|deadlift|press|bench)\b`,
    (m) => ({ k: 'word', text: m[0]!.trim() }),
  ),
  phrase(String.raw`(\d+) (?:laps?|lengths?|loops?)\b`, (m) => ({ k: 'word', text: m[0]! })),
  // figures
  phrase(String.raw`(${N}) ?(kg|lb) (${N}) ?(kg|lb)\b`, (m) =>
    m[2] === m[4] ? { k: 'figure', values: [num(m[1]), num(m[3])], high: null, unit: unitOf(m[2]), count: null, at: true } : null,
  ),
  phrase(String.raw`(@ ?)?(?:2|two) ?x ?(${N})(?: ?(${U}))? ?\/ ?(?:2 ?x ?)?(${N})(?: ?(${U}))?\b`, (m) => ({
    k: 'figure',
    values: [num(m[2]), num(m[4])],
    high: null,
    unit: unitOf(m[5] ?? m[3]),
    count: 2,
    at: true,
  })),
  phrase(String.raw`(@ ?)?2 ?x ?(${N}) ?(kg|lb|pood)\b`, (m) => ({ k: 'figure', values: [num(m[2])], high: null, unit: unitOf(m[3]), count: 2, at: true })),
  phrase(String.raw`(?:with |w )?(?:2|two) (\d+)(?: ?(kg|lb))?s\b`, (m) => ({
    k: 'figure',
    values: [num(m[1])],
    high: null,
    unit: unitOf(m[2]),
    count: 2,
    at: true,
  })),
  phrase(String.raw`(@ ?|at )?(${N}) ?(${U})? ?\/ ?(${N})(?: ?(${U})(?![\w]))?(?![\d:x/])`, (m) => ({
    k: 'figure',
    values: [num(m[2]), num(m[4])],
    high: null,
    unit: unitOf(m[5] ?? m[3]),
    count: null,
    at: m[1] !== undefined,
  })),
  phrase(String.raw`(@ ?|at )?(${N})-(${N}) ?(%|kg|lb)`, (m) => ({
    k: 'figure',
    values: [num(m[2])],
    high: num(m[3]),
    unit: unitOf(m[4]),
    count: null,
    at: true,
  })),
  phrase(String.raw`(@ ?|at )?(\d+:\d\d)(?!\d)`, (m) => ({ k: 'figure', values: [secondsOf(m[2]!)], high: null, unit: 's', count: null, at: false })),
  phrase(String.raw`(\d+(?:\.\d+)?) ?min\b(?: (\d+) ?s\b)?`, (m) => ({
    k: 'figure',
    values: [secondsOf(m[0])],
    high: null,
    unit: 's',
    count: null,
    at: false,
  })),
  phrase(String.raw`(\d+) ?"? ?\/ ?(\d+) ?"`, (m) => ({ k: 'figure', values: [num(m[1]), num(m[2])], high: null, unit: 'in', count: null, at: false })),
  phrase(String.raw`(\d+) ?"`, (m) => ({ k: 'figure', values: [num(m[1])], high: null, unit: 'in', count: null, at: false })),
  phrase(String.raw`(@ ?|at )?(${N}) ?(${U})(?![\w/])`, (m) => ({
    k: 'figure',
    values: [num(m[2])],
    high: null,
    unit: unitOf(m[3]),
    count: null,
    at: m[1] !== undefined,
  })),
  phrase(String.raw`(@ ?|at )?(${N})(?![\w:])`, (m) => ({ k: 'figure', values: [num(m[2])], high: null, unit: null, count: null, at: m[1] !== undefined })),
  phrase(String.raw`(?:@ ?|at )?(rpe|rir) ?(\d+(?:\.\d)?)(?:-\d+(?:\.\d)?)?`, (m) => ({ k: 'effort', text: `${m[1]!.toUpperCase()} ${m[2]}` })),
  phrase(String.raw`(?:@ ?|at )?(?:bodyweight|bw)\b`, () => ({ k: 'bodyweight' })),
  // what stands beside a movement
  phrase(String.raw`\/? ?(?:each|per|ea\.?|e)(?: (?:side|leg|arm|hand))\b|\/ ?side|(?:a|each) side|each (?:leg|arm|side)|(?<=\d ?)e(?:a)?\b|\bea\b`, () => ({
    k: 'side',
  })),
  phrase(String.raw`max(?:imum|imal)?(?: (?:reps?|effort|unbroken))?(?: of)?\b`, () => ({ k: 'max' })),
  phrase(String.raw`(?:in |into )?(?:a )?(?:teams?|pairs|groups?) of (\d)`, (m) => ({ k: 'team', size: num(m[1]) })),
  phrase(String.raw`(?:in pairs|with (?:a |ur |your )?(?:partner|mate|buddy)|partner (?:workout|wod)|ygig|i go,? (?:you|u) go|(?:you|u) go,? i go)`, () => ({
    k: 'team',
    size: 2,
  })),
  phrase(String.raw`(?:scaled|scaling|sc)\b ?:`, () => ({ k: 'tier', name: '' })),
  phrase(String.raw`(?<=^)(?:rx|prescribed|as prescribed)(?= ?:? ?$)`, () => ({ k: 'tier', name: null })),
  phrase(String.raw`(?<=^)(scaled|intermediate|beginners?|foundations?|advanced|masters(?: \d+\+?)?|light|newer)(?= ?:? ?$)`, (m) => ({
    k: 'tier',
    name: m[1]!,
  })),
  phrase(String.raw`(?:min(?:ute)?|m) ?(\d)\b(?: ?[:.)-])?`, (m) => ({ k: 'label', label: num(m[1]) })),
  phrase(String.raw`(?<=^)(\d) ?- (?=\d+ ?\S)`, (m) => ({ k: 'label', label: num(m[1]) })),
  phrase(String.raw`(?<=^)(\d{1,2}) ?[.)](?= \S)`, (m) => ({ k: 'label', label: num(m[1]) })),
  phrase(String.raw`(odd|even)(?: min(?:ute)?s?)?(?: ?[:-])?`, (m) => ({ k: 'label', label: m[0]!.startsWith('odd') ? 1 : 2 })),
  phrase(String.raw`(?:first|1st) (?:min(?:ute)?)\b`, () => ({ k: 'label', label: 1 })),
  phrase(
    String.raw`(?:part|workout|wod|event|block|piece) [a-e\d]\b ?[:.)-]?|(?:finish(?= ?:)|strength|conditioning|metcon|finisher|accessory|engine|skill|warm-?up(?! sets)|cool-?down)\b ?[:.)-]?`,
    () => ({ k: 'head' }),
  ),
  phrase(String.raw`(?<=^)(?:and )?(?:then|afterwards|after that|finally|finish(?: it)?(?: off)? with)\b`, () => ({ k: 'after' })),
  phrase(String.raw`(?:and )?then(?: an?)?(?: finish with)?\b|afterwards|followed by|after that|finish with|straight onto|straight into`, () => ({
    k: 'part',
    hard: false,
  })),
  phrase(String.raw`[;,.!?:()[\]|]+|\/\/|\/(?= )|&`, () => ({ k: 'part', hard: false })),
  phrase(String.raw`(?:cals?|calories?)\b`, () => ({ k: 'unit', unit: 'cal' })),
  phrase(String.raw`for (?:cals?|calories)\b`, () => ({ k: 'unit', unit: 'cal' })),
  phrase(String.raw`([a-d]) ?[:.)](?= )`, (m) => ({ k: 'letter', at: m[1]!.charCodeAt(0) - 96 })),
  phrase(String.raw`\d+\+? ?@ ?\d+(?:\.\d+)?%?(?:[ ,]{1,2}\d+\+? ?@ ?\d+(?:\.\d+)?%?)+ ?(%|kg|lb)?`, (m) => ({
    k: 'series',
    reps: [...m[0].matchAll(/(\d+)\+? ?@/g)].map((each) => num(each[1])),
    loads: [...m[0].matchAll(/@ ?(\d+(?:\.\d+)?)/g)].map((each) => num(each[1])),
    unit: m[0].includes('%') ? '%' : m[1] === undefined ? null : (m[1] as Unit),
  })),
  phrase(String.raw`(?:as a |your |with a )?buy[- ]?in\b(?: (?:of|is|with))? ?[:=-]?`, () => ({ k: 'once', at: 'buyIn' })),
  phrase(String.raw`(?:as a |your |with a )?cash[- ]?out\b(?: (?:of|is|with))? ?[:=-]?`, () => ({ k: 'once', at: 'cashOut' })),
  phrase(String.raw`\+`, () => ({ k: 'plus' })),
  phrase(
    String.raw`(?:in|with|w|wearing)? ?(?:a |the )?(?:weight )?vest(?: on)?(?: ?[(@,]? ?(\d+(?:\.\d+)?)(?: ?(?:kg|lb))? ?(?:\/ ?(\d+(?:\.\d+)?))?(?: ?(kg|lb))?\)?)?`,
    (m) => ({
      k: 'vest',
      text: m[1] === undefined ? null : `${m[1]}${m[2] === undefined ? '' : `/${m[2]}`} ${m[3] ?? 'kg'}`,
    }),
  ),
  phrase(String.raw`(?:jk|correction|i mean|i meant|make that|no wait|changed?,?|scratch that)\b`, () => ({ k: 'corrects' })),
  phrase(String.raw`same (?:bell|weight|load|bar|db|dumbbells?|kb)s?\b`, () => ({ k: 'sameLoad' })),
  phrase(String.raw`(?:both|all)(?: (?:at|with|@))?(?= ?\d)`, () => ({ k: 'all' })),
  phrase(String.raw`(?:single|double|triple)s?\b(?=.{0,12}(?:squat|clean|snatch|jerk|press|dead|bench|thruster))`, (m) => ({
    k: 'figure',
    values: [m[0].startsWith('s') ? 1 : m[0].startsWith('d') ? 2 : 3],
    high: null,
    unit: null,
    count: null,
    at: false,
  })),
];

/** `5/5/5/5/5`: as many sets of five (common practice); else the rungs of a ladder */
function rungsOf(figures: readonly string[]): Span {
  const rungs = figures.map(Number);
  const isSets = rungs.every((rung) => rung === rungs[0]);
  return isSets ? { k: 'setsReps', sets: rungs.length, reps: String(rungs[0]), unit: null } : { k: 'ladder', rungs };
}

function restOf(low: string | undefined, high: string | undefined, unit: string | undefined, scope: string | undefined): Span | null {
  const figure = (text: string | undefined): number | null => {
    if (text === undefined) return null;
    if (!/^[\d.]+$/.test(text)) return secondsOf(text);
    // `rest 90`, `rest 2`, `2-3 min rest`
    const value = Number(text);
    return unit === 'min' || (unit !== 's' && value < 10) ? value * 60 : value;
  };
  return { k: 'rest', seconds: figure(low), high: figure(high), between: /between|btw|b\/t|bw|after/.test(scope ?? '') };
}
