/** Whether a version that was sent may still be done: what an athlete is to be spared may have been added since. */
import type { Brief } from '@gambito/contract';
import { linesAgainst, readAthlete } from '@gambito/core';
import { LRUCache } from 'lru-cache';

export interface SentVersion {
  readonly versionText: string;
  readonly madeFor: Brief['madeFor'];
  readonly file: Readonly<Record<string, unknown>>;
}
/** of whom something waits for the coach's answer, nothing is offered */
const waitsForAnswer = 'Something of harm in the file waits for an answer';
const known = new LRUCache<string, string[]>({ max: 2_000 });

/**
 * What was avoided already when it was made is not asked again: a coach may have kept a line against it, and was told.
 * @returns lines of the version that go against what was added since; empty where it may be done
 */
export function againstNow({ versionText, madeFor, file }: SentVersion): string[] {
  const { avoid, unanswered, category } = readAthlete(file, '2000-01-01').athlete;
  if (unanswered.length > 0) return [waitsForAnswer];
  const added = avoid.filter((name) => !(madeFor?.avoid ?? []).includes(name));
  if (added.length === 0) return [];
  const key = JSON.stringify([versionText, added, category]);
  const before = known.get(key);
  if (before) return before;
  const lines = linesAgainst(versionText, added, category);
  known.set(key, lines);
  return lines;
}
