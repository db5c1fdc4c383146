/**
 * Turns the short specs of the catalogue into whole movements. What can be computed is computed here, once:
 * needs from the load rule, J/kg from the rise of body and load, name and spelling from the id, the parts of a composite rep.
 */
import type { AvoidTag, Stance, Limit, LoadRule, Movement, MovementId, Muscle, Pattern, Position, Implement, Lift, BestSet, Engine } from './movement';
import { muscles, patterns } from './movement';
import { parseNeeds } from './needs';
import type { CountUnit } from '../units/count-unit';

/** Share of the metabolic energy that becomes work against gravity; 0.20–0.25 is the usual range for whole-body work (round figure). */
export const grossEfficiency = 0.2;
export const gravity = 9.81;
/** A stature to turn shares into metres in the catalogue; the model uses the athlete's own. */
const referenceStatureM = 1.72;

/**
 * What carrying the load there asks beyond lifting it: `trunk` is the least share of the trunk's work (the hardest muscle 1), `breath` the extra metabolic
 * cost with a load of a third of body mass or more. A hugged bag presses on the ribs, a load overhead stacks on the trunk. Round figures; order as in C8 (common practice).
 */
export const positionCost: Readonly<Record<Position, { readonly trunk: number; readonly breath: number }>> = {
  hands: { trunk: 0.2, breath: 0 },
  feet: { trunk: 0.2, breath: 0 },
  worn: { trunk: 0.2, breath: 0.04 },
  back: { trunk: 0.4, breath: 0.04 },
  rack: { trunk: 0.45, breath: 0.06 },
  goblet: { trunk: 0.5, breath: 0.08 },
  shoulder: { trunk: 0.5, breath: 0.06 },
  overhead: { trunk: 0.5, breath: 0.08 },
  hug: { trunk: 0.75, breath: 0.3 },
};

export interface Spec {
  name?: string;
  aliases?: readonly string[];
  family?: string;
  patterns?: Partial<Record<Pattern, number>>;
  muscles?: Partial<Record<Muscle, number>>;
  unit?: CountUnit;
  side?: Movement['side'];
  needs?: string;
  load?: LoadRule | null;
  floor?: readonly [number, number];
  /** above the head, standing unless `stance` says otherwise */
  overheadStanding?: boolean;
  stance?: Stance;
  /** overhead with leg drive, or thrown */
  fast?: boolean;
  jumps?: boolean;
  drops?: boolean;
  avoid?: readonly AvoidTag[];
  limit?: Limit;
  rise?: readonly [number, number];
  joulesPerKg?: number;
  cycle?: number;
  keepsPace?: boolean;
  reset?: number;
  skill?: Movement['skill'];
  impact?: Movement['impact'];
  mustBeTold?: boolean;
  adjusts?: Movement['adjusts'];
  heightOf?: Movement['heightOf'];
  style?: Movement['style'];
  gentle?: boolean;
  mostInAll?: number;
  small?: boolean;
  lastResort?: boolean;
  reckonedAs?: MovementId;
  /** standards and no-reps come to the family's instead of in their place */
  adds?: boolean;
  standards?: readonly string[];
  noReps?: readonly string[];
  cautions?: readonly string[];
  easier?: readonly MovementId[];
  harder?: readonly MovementId[];
  anyOf?: Pattern;
  prepareOnly?: boolean;
  onlyAsWritten?: boolean;
}

export const held = (position: Position, count: 1 | 2, ...kinds: Implement[]): LoadRule => ({ implements: kinds, count, position, optional: false });
export const maybeHeld = (position: Position, count: 1 | 2, ...kinds: Implement[]): LoadRule => ({ ...held(position, count, ...kinds), optional: true });
export const ofLift = (lift: Lift, ratio: number, bodyShare = 0): Limit => ({ by: 'lift', lift, ratio, bodyShare });
export const ofSet = (set: BestSet, ratio: number, bodyMassShare: number | null = null): Limit => ({ by: 'set', set, ratio, bodyMassShare });
export const ofEngine = (engine: Engine): Limit => ({ by: 'engine', engine });
export const ease = (reps: number): Limit => ({ by: 'ease', reps });

/** Compounds the trade writes with a hyphen; all other hyphens of an id become spaces. */
const compounds =
  /(?<=\b(?:push|pull|sit|chin|step|v|tuck|muscle|walk|double|single|jump|hop|step|bent|straight|bent|stiff|two|one|hand|feet|dead|hip|hands|no|rear|clean|squat|toes|chest|to|air|and|high|low|good|romanian|lunge|kneel)) (?=(?:up|under|over|arm|leg|hand|knee|release|raised|stop|tap|to|bar|shoulder)\b)/g;
const titled = (id: string): string => {
  const words = id
    .replaceAll('-', ' ')
    .replace(compounds, '-')
    .replace(/-to (?=bar)/g, '-to-')
    .replace(/ to-shoulder/g, ' to shoulder')
    .replace(/-to chair/g, ' to chair')
    .replace(/squat-to|clean-to|kneel-to/g, (match) => match.replace('-', ' '));
  return words.charAt(0).toUpperCase() + words.slice(1);
};

const scaleTo = <K extends string>(
  weights: Partial<Record<K, number>>,
  keys: readonly K[],
  total: (values: number[]) => number,
): Partial<Record<K, number>> => {
  const present = keys.filter((key) => (weights[key] ?? 0) > 0);
  const whole = total(present.map((key) => weights[key]!));
  return Object.fromEntries(present.map((key) => [key, weights[key]! / whole])) as Partial<Record<K, number>>;
};

function needsOf(spec: Spec): string {
  const implement = spec.load && !spec.load.optional ? spec.load.implements.map((kind) => (spec.load!.count === 2 ? `${kind}*2` : kind)).join(' | ') : '';
  if (implement && spec.needs) return `(${implement}) & (${spec.needs})`;
  return implement || (spec.needs ?? '');
}

/** A load that must be carried tires the trunk at least as its position says. */
function musclesOf({ muscles: own = {}, load }: Spec): Partial<Record<Muscle, number>> {
  if (!load || load.optional || load.implements.includes('band')) return own;
  const hardest = Math.max(...Object.values(own));
  return { ...own, trunk: Math.max(own.trunk ?? 0, positionCost[load.position].trunk * hardest) };
}

/** Jumps that land in the knees weigh more than hops and strides. */
function impactOf({ impact, jumps, avoid = [], family }: Spec): Movement['impact'] {
  if (impact !== undefined) return impact;
  if (jumps ?? avoid.includes('jumping')) return family === 'rope' || family === 'run' ? 1 : 2;
  return avoid.includes('running') || avoid.includes('high_impact') ? 1 : 0;
}

/** Ids say their style as a whiteboard does, in front. */
function styleOf(id: MovementId, { style }: Spec): Movement['style'] {
  return style ?? (id.startsWith('strict-') ? 'strict' : id.startsWith('kipping-') ? 'kipping' : null);
}

/** One movement from its family's spec and its own; the own spec wins. */
export function movement(id: MovementId, family: Spec, own: Spec = {}): Movement {
  const spec = { ...family, ...own };
  const merged = (key: 'standards' | 'noReps' | 'cautions'): string[] => [...new Set([...(own[key] ?? []), ...(family[key] ?? [])])];
  // what a movement says of itself stands alone, so that a stepped burpee is not told to jump; cautions are never fewer
  const ownFirst = (key: 'standards' | 'noReps'): readonly string[] => (own.adds ? merged(key) : (own[key] ?? family[key] ?? []));
  const [body, load] = spec.rise ?? [0, 0];
  const needsText = needsOf(spec);
  return {
    id,
    name: spec.name ?? titled(id),
    aliases: spec.aliases ?? [],
    family: spec.family ?? 'other',
    patterns: scaleTo(spec.patterns ?? {}, patterns, (values) => values.reduce((sum, value) => sum + value, 0)),
    muscles: scaleTo(musclesOf(spec), muscles, (values) => Math.max(...values)),
    unit: spec.unit ?? 'reps',
    side: spec.side ?? 'both',
    needs: parseNeeds(needsText),
    needsText,
    load: spec.load ?? null,
    floor: { lengthM: spec.floor?.[0] ?? 2, widthM: spec.floor?.[1] ?? 1 },
    overhead: spec.overheadStanding ? { from: spec.stance ?? 'standing', fast: spec.fast ?? false } : null,
    jumps: spec.jumps ?? spec.avoid?.includes('jumping') ?? false,
    impact: impactOf(spec),
    drops: spec.drops ?? false,
    avoid: spec.avoid ?? [],
    limit: spec.limit ?? ease(200),
    joulesPerKg: spec.joulesPerKg ?? (gravity * body * referenceStatureM) / grossEfficiency,
    rise: { body, load },
    cycleSeconds: spec.cycle ?? 2,
    keepsPace: spec.keepsPace ?? false,
    resetSeconds: spec.reset ?? 3,
    skill: spec.skill ?? 0,
    mustBeTold: spec.mustBeTold ?? false,
    adjusts: spec.adjusts ?? null,
    heightOf: spec.heightOf !== undefined ? spec.heightOf : spec.family === 'box' || spec.family === 'step' ? 'box' : null,
    style: styleOf(id, spec),
    gentle: spec.gentle ?? false,
    mostInAll: spec.mostInAll ?? null,
    small: spec.small ?? false,
    lastResort: spec.lastResort ?? false,
    reckonedAs: spec.reckonedAs ?? null,
    standards: ownFirst('standards'),
    noReps: ownFirst('noReps'),
    cautions: merged('cautions'),
    easier: spec.easier ?? [],
    harder: spec.harder ?? [],
    anyOf: spec.anyOf ?? null,
    prepareOnly: spec.prepareOnly ?? false,
    onlyAsWritten: spec.onlyAsWritten ?? false,
  };
}

/** A composite rep: rises, costs and times add up, tags unite, the shares are weighted by the parts' work. */
export function composite(id: MovementId, parts: readonly { of: Movement; times: number }[], own: Spec): Movement {
  const sum = (pick: (each: Movement) => number): number => parts.reduce((total, { of, times }) => total + pick(of) * times, 0);
  const energy = sum((each) => each.joulesPerKg + each.rise.load * 20) || 1;
  const blend = <K extends string>(pick: (each: Movement) => Partial<Record<K, number>>): Partial<Record<K, number>> => {
    const blended: Partial<Record<K, number>> = {};
    for (const { of, times } of parts)
      for (const [key, share] of Object.entries(pick(of)) as [K, number][])
        blended[key] = (blended[key] ?? 0) + (share * times * (of.joulesPerKg + of.rise.load * 20)) / energy;
    return blended;
  };
  const all = <T>(pick: (each: Movement) => readonly T[]): T[] => [...new Set(parts.flatMap(({ of }) => pick(of)))];
  return movement(
    id,
    {
      patterns: blend((each) => each.patterns),
      muscles: blend((each) => each.muscles),
      rise: [sum((each) => each.rise.body), sum((each) => each.rise.load)],
      joulesPerKg: sum((each) => each.joulesPerKg),
      cycle: sum((each) => each.cycleSeconds),
      keepsPace: parts.every(({ of }) => of.keepsPace),
      reset: Math.max(...parts.map(({ of }) => of.resetSeconds)),
      avoid: all((each) => each.avoid),
      overheadStanding: parts.some(({ of }) => of.overhead !== null),
      fast: parts.some(({ of }) => of.overhead?.fast === true),
      drops: parts.some(({ of }) => of.drops),
      floor: [Math.max(...parts.map(({ of }) => of.floor.lengthM)), Math.max(...parts.map(({ of }) => of.floor.widthM))],
      skill: Math.max(...parts.map(({ of }) => of.skill)) as Movement['skill'],
      standards: all((each) => each.standards.slice(0, 2)),
      noReps: all((each) => each.noReps.slice(0, 1)),
      cautions: all((each) => each.cautions.slice(0, 1)),
    },
    own,
  );
}
