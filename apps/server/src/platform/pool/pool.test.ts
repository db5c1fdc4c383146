/** The workers: coaches in turn, a deadline for each task, a refusal that travels, and a thread that dies takes nobody along. */
import { afterAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Problem } from '../errors';
import { FairQueue } from './fair-queue';
import { openPool, type Pool } from './pool';

const folder = mkdtempSync(join(tmpdir(), 'gambito-pool-'));
const pools: Pool[] = [];
afterAll(async () => {
  await Promise.all(pools.map((pool) => pool.close()));
  rmSync(folder, { recursive: true, force: true });
});
const drain = <T>(queue: FairQueue<T>): T[] => {
  const all: T[] = [];
  for (let next = queue.next(); next !== undefined; next = queue.next()) all.push(next);
  return all;
};

describe('turns', () => {
  test('coaches take turns, each in the order of asking', () => {
    const queue = new FairQueue<string>();
    for (const item of ['a1', 'a2', 'a3', 'b1', 'a4', 'c1', 'b2']) queue.add(item.charCodeAt(0), 'now', item);
    expect(drain(queue)).toEqual(['a1', 'b1', 'c1', 'a2', 'b2', 'a3', 'a4']);
  });
  test('what somebody waits for goes before what runs in the background', () => {
    const queue = new FairQueue<string>();
    for (const item of ['job 1', 'job 2']) queue.add(1, 'later', item);
    queue.add(2, 'now', 'board');
    expect(queue.next()).toBe('board');
    queue.add(1, 'now', 'title');
    expect(drain(queue)).toEqual(['title', 'job 1', 'job 2']);
  });
  test('where what somebody waits for never ends, what is sent, watched and in the background still have their turns', () => {
    const queue = new FairQueue<string>();
    const kinds = ['now', 'send', 'soon', 'later'] as const;
    for (let at = 0; at < 20; at++) for (const urgency of kinds) queue.add(1, urgency, urgency);
    const sixteen = Array.from({ length: 16 }, () => queue.next());
    expect(kinds.map((urgency) => sixteen.filter((item) => item === urgency).length)).toEqual([8, 4, 2, 2]);
  });
  test('what nobody waits for any more is taken out, and holds nobody’s turn', () => {
    const queue = new FairQueue<string>();
    for (const item of ['board 1', 'board 2']) queue.add(1, 'soon', item);
    queue.add(2, 'soon', 'other');
    expect([queue.remove('board 1'), queue.remove('board 1'), queue.remove('board 2')]).toEqual([true, false, true]);
    expect(drain(queue)).toEqual(['other']);
  });
  test('one coach’s hundred and first is refused, another’s first is not', () => {
    const queue = new FairQueue<number>();
    expect(Array.from({ length: 101 }, (_, at) => queue.add(1, 'now', at))).toEqual([...Array<boolean>(100).fill(true), false]);
    expect(queue.add(2, 'now', 0)).toBe(true);
    expect(queue.clear()).toHaveLength(101);
  });
});

/** A worker that does what its task's text says. */
const worker = join(folder, 'worker.mjs');
writeFileSync(
  worker,
  `export default ({ input: { text } }) => {
    if (text === 'for ever') for (;;);
    if (text === 'dies') process.exit(1);
    if (text === 'throws') throw new TypeError('a bug');
    if (text === 'refuses') return { problem: { code: 'bad_score', detail: 'expected 7+12' } };
    return { value: text.toUpperCase() };
  };`,
);
/** A pool whose tasks expire when the test says so, in the order they began. */
function open(count: number): Pool & { expire: () => Promise<void> } {
  const begun: AbortController[] = [];
  const pool = openPool(count, worker, () => {
    const controller = new AbortController();
    begun.push(controller);
    return controller.signal;
  });
  pools.push(pool);
  const expire = async (): Promise<void> => {
    while (begun.length === 0) await new Promise((resolve) => setImmediate(resolve));
    begun.shift()!.abort();
  };
  return { ...pool, expire };
}
const title = (pool: Pool, text: string, coach = 1) => pool.run(coach, 'title', { text });
const codeOf = (asked: Promise<unknown>): Promise<string> =>
  asked.then(
    () => 'fine',
    (error: unknown) => (error instanceof Problem ? error.code : (error as Error).constructor.name),
  );

describe('threads', () => {
  test('a task that takes too long is answered with a sentence, and the next one is done', async () => {
    const pool = open(1);
    expect(await title(pool, 'lamp')).toBe('LAMP');
    await pool.expire();
    const asked = [codeOf(title(pool, 'for ever')), title(pool, 'pier')];
    await pool.expire();
    expect(await Promise.all(asked)).toEqual(['too_slow', 'PIER']);
    expect(new Problem('too_slow').message).toMatch(/takes too long to compute; make the text/);
  });
  test('two that run for ever hold nobody else longer than their deadline', async () => {
    const pool = open(2);
    const held = Array.from({ length: 4 }, () => codeOf(title(pool, 'for ever', 1)));
    const other = title(pool, 'wick', 2);
    // both threads are free again when their deadlines are over, and coaches take turns
    await pool.expire();
    await pool.expire();
    expect(await other).toBe('WICK');
    for (let left = 0; left < 3; left++) await pool.expire();
    expect(await Promise.all(held)).toEqual(Array(4).fill('too_slow'));
  });
  test('a refusal keeps its code and its words; a bug or a death is one task’s, and not the next one’s', async () => {
    const pool = open(1);
    const refused = await title(pool, 'refuses').catch((error: unknown) => error);
    expect(refused).toMatchObject({ code: 'bad_score', detail: 'expected 7+12' });
    expect(await codeOf(title(pool, 'throws'))).toBe('TypeError');
    expect(await codeOf(title(pool, 'dies'))).not.toBe('fine');
    expect(await title(pool, 'lamp')).toBe('LAMP');
  });
  test('whoever leaves is not computed for; what has begun is ended by nobody but its deadline', async () => {
    const pool = open(1);
    const held = codeOf(title(pool, 'for ever'));
    const reader = new AbortController();
    const left = codeOf(pool.run(1, 'title', { text: 'pier' }, 'soon', reader.signal));
    reader.abort();
    expect(await left).toBe('given_up');
    expect(await codeOf(pool.run(1, 'title', { text: 'late' }, 'soon', reader.signal))).toBe('given_up');
    await pool.expire();
    expect(await held).toBe('too_slow');
    expect(await title(pool, 'lamp')).toBe('LAMP');
  });
  test('closing tells those who wait', async () => {
    const pool = open(1);
    const waiting = [codeOf(title(pool, 'for ever')), codeOf(title(pool, 'lamp'))];
    await pool.close();
    expect(await waiting[1]).toBe('busy');
  });
});
