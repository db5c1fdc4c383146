/** Whether a version that was sent may still be done: what an athlete is to be spared, the kit and the place may have changed since. */
import type { Brief } from '@gambito/contract';
import { barePlace, brokenLines, readAthlete, type Athlete, type BrokenLine, type Lock, type Place } from '@gambito/core';
import { LRUCache } from 'lru-cache';
import { createHash } from 'node:crypto';

export interface SentVersion {
  readonly versionText: string;
  readonly madeFor: Brief['madeFor'];
  readonly file: Readonly<Record<string, unknown>>;
}
type MadeFor = NonNullable<Brief['madeFor']>;
/** of whom something waits for the coach's answer, nothing is offered */
const waitsForAnswer = 'something of harm in the file waits for an answer';
const known = new LRUCache<string, string[]>({ max: 2_000 });

const told = ({ line, why }: BrokenLine): string => `“${line}” ${why}`;
const digest = (value: unknown): string => createHash('sha256').update(JSON.stringify(value)).digest('base64url').slice(0, 22);
/** Limits, kit and place, whatever else stands in the file. */
const stampOf = ({ avoid, limits, category }: Athlete, place: Place): string => digest([avoid, limits, category, place]);

/** What the coach fixed, in whatever order. */
export const locksStamp = (locks: readonly Lock[]): string => digest(locks.map((lock) => JSON.stringify(Object.entries(lock).sort())).sort());

/** What a version is made for: what of it goes against a limit, the kit or the place already then was the coach's to keep, and was told. */
export const madeForNow = (versionText: string, athlete: Athlete, place: Place, locks: readonly Lock[]): MadeFor => ({
  avoid: [...athlete.avoid],
  squatDepth: athlete.limits.squatDepth,
  place: place.name,
  stamp: stampOf(athlete, place),
  locks: locksStamp(locks),
  kept: brokenLines(versionText, athlete, place).map(told),
});

/** @returns lines of the version that go against what changed since, each with its reason; empty where it may be done */
export function againstNow({ versionText, madeFor, file }: SentVersion): string[] {
  const { athlete } = readAthlete(file, '2000-01-01');
  if (athlete.unanswered.length > 0) return [waitsForAnswer];
  const place = athlete.places.find(({ name }) => name === madeFor?.place) ?? athlete.places[0] ?? barePlace;
  const stamp = stampOf(athlete, place);
  if (madeFor?.stamp === stamp) return [];
  const key = digest([versionText, madeFor ?? null, stamp]);
  const before = known.get(key);
  if (before) return before;
  const lines = sinceMade(brokenLines(versionText, athlete, place), madeFor);
  known.set(key, lines);
  return lines;
}

/** A version sent before kit and place were noted is held by limits alone. */
function sinceMade(broken: readonly BrokenLine[], madeFor: Brief['madeFor']): string[] {
  const kept = madeFor?.kept;
  const added = kept ? broken : broken.filter(({ tag }) => tag !== null && !(madeFor?.avoid ?? []).includes(tag));
  return [...new Set(added.map(told))].filter((line) => !kept?.includes(line));
}
