/**
 * Free text → kit. One line may hold several items, split at commas; a fragment that starts with a figure or with `plates` goes on with the item before it.
 * What is not understood is returned as a problem with what was expected; the rest of the line is kept.
 */
import { poundsToKilograms, toGrams } from '../units/mass';
import type { KitItem } from './kit';

export interface KitProblem {
  readonly code: 'unknown_item' | 'odd_plate' | 'no_mass';
  readonly line: number;
  readonly text: string;
  readonly message: string;
}
export interface ReadKit {
  readonly items: readonly KitItem[];
  readonly problems: readonly KitProblem[];
}

const number = String.raw`\d+(?:\.\d+)?`;
const massSource = String.raw`(${number})\s*(kg|kilos?|lb|lbs|pounds?|l|litres?|liters?)`;

function gramsOf(figure: string, unit: string): number {
  return toGrams(/^(?:lb|lbs|pounds?)$/.test(unit) ? poundsToKilograms(Number(figure)) : Number(figure));
}

function firstMass(text: string): number | null {
  const found = new RegExp(massSource).exec(text);
  return found ? gramsOf(found[1]!, found[2]!) : null;
}

const heightOf = (text: string, usual: number): number => {
  const found = new RegExp(`(${number})\\s*(cm|m|in)\\b`).exec(text);
  if (!found) return usual;
  const factor = found[2] === 'm' ? 100 : found[2] === 'in' ? 2.54 : 1;
  return Math.round(Number(found[1]) * factor);
};
/** `x 2`, `2 x`, `pair`, `two`; one when nothing is said */
const countOf = (text: string): number => {
  const found = /\bx\s*(\d+)\s*$|^(\d+)\s*x\s|^(\d+)\s+(?=[a-z])/.exec(text);
  if (found) return Number(found[1] ?? found[2] ?? found[3]);
  return /\b(?:pair|two)\b/.test(text) ? 2 : 1;
};

/** Plate list of a barbell: `2x10 2x5 2x2.5 kg`, `pairs of 10, 5 kg`. Counts pieces. */
function readPlates(text: string): { grams: number; pieces: number }[] {
  const unit = /\b(?:lb|lbs)\b/.test(text) ? 'lb' : 'kg';
  const pairs = /pairs? of/.test(text) ? 2 : 1;
  const byMass = new Map<number, number>();
  for (const found of text.matchAll(new RegExp(`(?:(\\d+)\\s*x\\s*)?(${number})(?=\\s|,|$|kg|lb)`, 'g'))) {
    const grams = gramsOf(found[2]!, unit);
    if (grams > 0) byMass.set(grams, (byMass.get(grams) ?? 0) + Number(found[1] ?? 1) * pairs);
  }
  return [...byMass.entries()].map(([grams, pieces]) => ({ grams, pieces })).sort((a, b) => b.grams - a.grams);
}

const bands: readonly [RegExp, number, number][] = [
  [/light|thin/, 5000, 15000],
  [/heavy|thick/, 25000, 50000],
  [/./, 15000, 30000],
];

type Reader = (text: string) => KitItem | KitItem[] | string;
const needMass = 'a mass, such as “kettlebell 16 kg”';
const withMass = (text: string, make: (grams: number, count: number) => KitItem): KitItem | string => {
  const grams = firstMass(text);
  return grams === null ? needMass : make(grams, countOf(text));
};
const furniture =
  (kind: 'box' | 'table' | 'chair' | 'stairs' | 'bench' | 'couch', usual: number): Reader =>
  (text) => ({ kind, heightCm: heightOf(text, usual), count: countOf(text) });
const plain =
  (kind: 'bar' | 'lowBar' | 'rings' | 'dipBar' | 'rope' | 'row' | 'bike' | 'airBike' | 'wall' | 'anchor' | 'stick'): Reader =>
  () => ({ kind });

/** First match wins, so the narrower words stand first. */
const readers: readonly [RegExp, Reader][] = [
  [
    /dumbbells?.*\bplates?\b|dumbbell\s+handles?/,
    (text) => {
      const [handle = '', plates = ''] = text.split(/plates?/);
      const grams = firstMass(handle);
      const list = readPlates(plates);
      return grams === null || list.length === 0
        ? 'handles and their plates, such as “dumbbell handle 2 kg x 2, plates 8x1.25 4x2.5 kg”'
        : { kind: 'handles', handleGrams: grams, count: countOf(handle.replace(/[,\s]+$/, '')), plates: list };
    },
  ],
  [
    /adjustable\s+(?:dumbbells?|dbs?)/,
    (text) => {
      const found = new RegExp(`(${number})\\s*-\\s*(${number})\\s*(kg|lbs?)(?:.*?step\\s*(${number}))?`).exec(text);
      return found
        ? {
            kind: 'adjustable',
            fromGrams: gramsOf(found[1]!, found[3]!),
            toGrams: gramsOf(found[2]!, found[3]!),
            stepGrams: gramsOf(found[4] ?? '2', found[3]!),
            count: countOf(text),
          }
        : 'a range and a step, such as “adjustable dumbbell 4-20 kg step 2 x 2”';
    },
  ],
  [
    /\b(?:dumbbells?|dumbells?|dbs?)\b/,
    (text) => {
      const listed = [...text.matchAll(new RegExp(`(?:(\\d+)\\s*x\\s*)?(${number})\\s*(?=kg|lbs?|,|\\s|$)`, 'g'))].filter(
        (found) => !text.slice(0, found.index).trimEnd().endsWith(' x'),
      );
      const unit = /\blbs?\b/.test(text) ? 'lb' : 'kg';
      if (firstMass(text) === null && listed.length === 0) return needMass;
      if (text.includes(',') || listed.length > 1 || listed.some((found) => found[1])) {
        const trailing = /\bx\s*(\d+)\s*$/.exec(text);
        return listed.map((found) => ({
          kind: 'dumbbell' as const,
          grams: gramsOf(found[2]!, unit),
          count: Number(found[1] ?? trailing?.[1] ?? (/\bpairs?\b/.test(text) ? 2 : 1)),
        }));
      }
      return { kind: 'dumbbell', grams: firstMass(text) ?? gramsOf(listed[0]![2]!, unit), count: countOf(text) };
    },
  ],
  [
    /\b(?:barbell|bar\s+\d|olympic bar)/,
    (text) => {
      const [bar = '', plates = ''] = text.split(/plates?/);
      const barGrams = firstMass(bar) ?? 20000;
      const collar = new RegExp(`collars?\\s*${massSource}`).exec(text);
      return { kind: 'barbell', barGrams, collarGrams: collar ? gramsOf(collar[1]!, collar[2]!) : 0, plates: readPlates(plates.replace(/collars?.*$/, '')) };
    },
  ],
  [/\b(?:kettlebells?|kbs?)\b/, (text) => withMass(text, (grams, count) => ({ kind: 'kettlebell', grams, count }))],
  [/\b(?:sand\s?bags?|medicine balls?|duffel bags?)\b|^bag\b/, (text) => withMass(text, (grams, count) => ({ kind: 'sandbag', grams, count }))],
  [/\b(?:backpack|rucksack|pack)\b/, (text) => ({ kind: 'backpack', toGrams: firstMass(text) ?? 15000 })],
  [/\b(?:water|jerry)\s*(?:cans?|jugs?|bottles?)|\bcanisters?\b|\bjugs?\b/, (text) => withMass(text, (grams, count) => ({ kind: 'can', grams, count }))],
  [/\bvest\b/, (text) => withMass(text, (grams) => ({ kind: 'vest', grams }))],
  [
    /\bbands?\b/,
    (text) => {
      const own = new RegExp(`(${number})\\s*-\\s*(${number})\\s*kg`).exec(text);
      const [, low, high] = bands.find(([pattern]) => pattern.test(text))!;
      return { kind: 'band', name: text.trim(), lowGrams: own ? toGrams(Number(own[1])) : low, highGrams: own ? toGrams(Number(own[2])) : high };
    },
  ],
  [/^plates?\b/, (text) => readPlates(text.replace(/^plates?/, '')).map((each) => ({ kind: 'plate' as const, grams: each.grams, count: each.pieces }))],
  [
    /\b(?:run(?:ning)?\s*(?:route|loop|track)?|road|path|track)\b.*/,
    (text) => {
      const metres = [...text.matchAll(new RegExp(`(${number})\\s*(km|m)\\b`, 'g'))].map((found) => Number(found[1]) * (found[2] === 'km' ? 1000 : 1));
      return { kind: 'route', metres };
    },
  ],
  [/\brow(?:ing machine|er|ing)?\b/, plain('row')],
  [/\b(?:air|fan)[ -]?bike\b/, plain('airBike')],
  [/\bbi(?:ke|cycle)\b|\bcycle\b/, plain('bike')],
  [/\b(?:pull-?\s?up|chin-?\s?up|door(?:way)?|hanging)\s*bar\b|\bbar to hang\b|\bbeam\b/, plain('bar')],
  [/\b(?:low bar|bar in (?:a )?rack|rack)\b/, plain('lowBar')],
  [/\b(?:dip|parallel|parallette)\s*(?:bars?|station)\b|\bparallel bars\b/, plain('dipBar')],
  [/\brings?\b|\bsuspension\b/, plain('rings')],
  [/\b(?:skipping |jump |speed )?rope\b/, plain('rope')],
  [/\bbox\b|\bcrate\b/, furniture('box', 50)],
  [/\btable\b|\bworkbench\b/, furniture('table', 75)],
  [/\bchairs?\b|\bstools?\b/, furniture('chair', 45)],
  [/\bstairs?\b|\bsteps?\b/, furniture('stairs', 18)],
  [/\bbench\b/, furniture('bench', 45)],
  [/\bcouch\b|\bsofa\b|\bbunk\b/, furniture('couch', 42)],
  [/\bwall\b/, plain('wall')],
  [/\banchor\b|\brail\b|\bpost\b/, plain('anchor')],
  [/\bstick\b|\bbroom(?:stick)?\b/, plain('stick')],
];

function joinFragments(line: string): string[] {
  const pieces: string[] = [];
  for (const piece of line
    .split(',')
    .map((each) => each.trim())
    .filter((each) => each !== '')) {
    if (pieces.length > 0 && /^(?:\d[\d.]*\s*(?:x\s*\d|kg|lb|m\b|km\b|cm\b|$)|plates?\b|collars?\b|step\b)/i.test(piece))
      pieces[pieces.length - 1] += `, ${piece}`;
    else pieces.push(piece);
  }
  return pieces;
}

/** @param lines kit lines as written; blank ones are passed over */
export function readKit(lines: readonly string[]): ReadKit {
  const items: KitItem[] = [];
  const problems: KitProblem[] = [];
  lines.forEach((raw, index) => {
    const line = raw
      .replace(/×/g, 'x')
      .replace(/–/g, '-')
      .replace(/^\s*[-*•]\s+/, '');
    for (const piece of joinFragments(line)) {
      const text = piece.toLowerCase();
      const reader = readers.find(([pattern]) => pattern.test(text));
      const read = reader ? reader[1](text) : 'an implement, furniture or machine, such as “dumbbell 15 kg x 2”, “chair 45 cm” or “rope”';
      if (typeof read === 'string')
        problems.push({ code: reader ? 'no_mass' : 'unknown_item', line: index + 1, text: piece, message: `“${piece}”: expected ${read}.` });
      else items.push(...(Array.isArray(read) ? read : [read]));
      for (const item of Array.isArray(read) ? read : [read])
        if (typeof item === 'object' && item.kind === 'barbell')
          for (const plate of item.plates)
            if (plate.pieces % 2 === 1)
              problems.push({
                code: 'odd_plate',
                line: index + 1,
                text: piece,
                message: `One ${plate.grams / 1000} kg plate has no partner and stays off the bar.`,
              });
      if (/\bto anchor\b/.test(text)) items.push({ kind: 'anchor' });
    }
  });
  return { items, problems };
}
