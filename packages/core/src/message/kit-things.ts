/** Names of things in an athlete's sentences (common practice, from memory), and where they stand. */

export interface Thing {
  readonly pattern: RegExp;
  readonly name: string;
  /** what it is told by: a mass, a height, a length; null: it is there or not */
  readonly by: 'mass' | 'height' | 'route' | null;
  /** several of it differ from one */
  readonly counted: boolean;
}
const thing = (source: string, name: string, by: Thing['by'] = null, counted = false): Thing => ({
  pattern: new RegExp(`(?<![\\p{L}\\d-])(?:${source})(?![\\p{L}-])`, 'gu'),
  name,
  by,
  counted,
});

/** names of things (common practice, from memory); the longer ones first where one holds another */
const things: readonly Thing[] = [
  thing(
    String.raw`(?:pull|chin)[- ]?ups? bar|doorway bar|door bar|bars? for (?:pull|chin)[- ]?ups?|something to hang (?:on|from)|(?:pull|chin)[- ]?up rig`,
    'pull-up bar',
  ),
  thing(String.raw`climb(?:ing)? ropes?|rope climb`, 'climbing rope'),
  thing(String.raw`(?:skipping|jump|speed) ropes?|ropes?`, 'rope'),
  thing(String.raw`(?:squat|sq|power|half) racks?|racks?`, 'squat rack'),
  thing(String.raw`(?:medicine|med|wall) ?balls?|mbs?`, 'medicine ball', 'mass', true),
  thing(String.raw`(?:olympic|oly|womens?|women's|men's|mens|straight|training) bars?|barbells?`, 'barbell', 'mass', true),
  // by itself it is either a barbell or something to hang from: its mass, or where it is, decides
  thing(String.raw`bars?`, 'bar', 'mass', true),
  thing(String.raw`plates?|discs?|bumpers?(?: plates?)?|weights discs`, 'plates', 'mass', true),
  thing(String.raw`(?:hex )?(?:dumb ?bells?|dumbells?|dbs?)(?: hex)?`, 'dumbbell', 'mass', true),
  thing(String.raw`kettle ?bells?|kbs?|bells?`, 'kettlebell', 'mass', true),
  thing(String.raw`sand ?bags?|sbs?`, 'sandbag', 'mass', true),
  thing(String.raw`(?:weight )?vests?`, 'vest', 'mass'),
  thing(String.raw`backpacks?|rucks?(?:acks?)?`, 'backpack up to', 'mass'),
  thing(String.raw`suitcases?`, 'suitcase', 'mass'),
  thing(String.raw`(?:plyo |wooden |wood |soft )?box(?:es)?`, 'box', 'height', true),
  thing(String.raw`(?:stable |kitchen )?chairs?`, 'chair', 'height', true),
  thing(String.raw`(?:stable |kitchen )?tables?`, 'table', 'height'),
  thing(String.raw`(?:flat )?bench(?:es)?`, 'bench'),
  thing(String.raw`rowers?|rowing machines?|row ergs?`, 'rowing machine'),
  thing(String.raw`(?:fan|air|exercise|spin) ?bikes?|bikes?`, 'bike'),
  thing(String.raw`treadmills?`, 'treadmill'),
  thing(String.raw`ski (?:machine|erg)s?|skis?`, 'ski machine'),
  thing(String.raw`(?:gym(?:nastics?)? )?rings`, 'rings'),
  thing(String.raw`sleds?`, 'sled'),
  thing(String.raw`(?:yoga |gymnastic |exercise )?mats?`, 'mat'),
  thing(String.raw`(?:elastic |resistance )?bands?`, 'band'),
  thing(String.raw`(?:free )?walls?`, 'wall'),
  thing(String.raw`stairs?|staircase`, 'stairs'),
  thing(String.raw`towels?`, 'towel'),
  thing(String.raw`ab wheels?`, 'ab wheel'),
  thing(String.raw`parallettes?`, 'parallettes'),
  thing(String.raw`couch|sofa`, 'couch'),
  thing(String.raw`loops?|round way|run(?:ning)? (?:route|loop)|out (?:&|and) back`, 'run route', 'route'),
];

export interface Found {
  readonly thing: Thing;
  readonly from: number;
  readonly to: number;
}
/** Things of a clause in the order they stand; where two names overlap, the longer. */
export function thingsIn(clause: string): Found[] {
  const all = things.flatMap((each) =>
    [...clause.matchAll(each.pattern)].map((match) => ({ thing: each, from: match.index, to: match.index + match[0].length })),
  );
  const longest = all.filter(
    (each) => !all.some((other) => other !== each && other.from <= each.from && other.to >= each.to && other.to - other.from > each.to - each.from),
  );
  return longest.filter((each, at) => longest.findIndex(({ from }) => from === each.from) === at).sort((a, b) => a.from - b.from);
}
