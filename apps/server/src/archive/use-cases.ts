/** A coach's desk given out as one file of an open format, and taken in again. */
import { archiveHeadSchema, archiveLineSchema, type ArchiveHead } from '@gambito/contract';
import { pipeline, Readable } from 'node:stream';
import { createGzip } from 'node:zlib';
import type { Coach } from '../auth/store';
import { Problem } from '../platform/errors';
import type { Services } from '../platform/services';
import { bad, linesOf } from './lines';
import type { Numbers } from './store';

async function* archiveText(services: Services, { id, name, timeZone, units, firstDay, rules, tiers }: Coach): AsyncGenerator<string> {
  const head: ArchiveHead = {
    gambito: 'desk',
    format: 1,
    at: services.now().toISOString(),
    coach: { name, timeZone, units, firstDay: firstDay === 0 ? 0 : 1, rules: { ...rules }, tiers: [...tiers] },
  };
  yield `${JSON.stringify(head)}\n`;
  let lines = 0;
  for await (const line of services.archive.lines(id)) {
    lines++;
    yield `${JSON.stringify(line)}\n`;
  }
  yield `${JSON.stringify({ end: true, lines })}\n`;
}
/** Lines of JSON, gzipped, made while they are sent. Where a database goes away in the middle it breaks off, and nothing else does: a file without its end is refused when it is taken in. */
export function giveArchive(services: Services, coach: Coach): Readable {
  const zipped = createGzip();
  pipeline(Readable.from(archiveText(services, coach)), zipped, () => undefined);
  return zipped;
}

function parsedLine(text: string, at: number): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw bad(`Line ${at} is no JSON.`);
  }
}

/**
 * Into an empty desk; all of it or nothing. House rules, time zone and units come with it, since boards are read by them.
 * @param body gzipped lines of JSON @returns lines taken @throws {Problem} not_empty, bad_archive with the line
 */
export async function takeArchive(services: Services, coach: Coach, body: Readable): Promise<number> {
  if (!(await services.archive.isEmpty(coach.id))) {
    body.resume();
    throw new Problem('not_empty');
  }
  const { head, lines } = await services.archive.transact(async (transaction) => {
    const numbers: Numbers = { athletes: new Map(), workouts: new Map() };
    let first: ArchiveHead | null = null;
    let count = 0;
    let told: number | null = null;
    for await (const { text, at } of linesOf(body)) {
      const value = parsedLine(text, at);
      if (first === null) {
        const read = archiveHeadSchema.safeParse(value);
        if (!read.success) throw bad('Its first line is not the head of a desk.');
        first = read.data;
        continue;
      }
      const read = archiveLineSchema.safeParse(value);
      if (!read.success) throw bad(`Line ${at}: ${read.error.issues[0]?.message ?? 'not understood'}.`);
      if ('end' in read.data) told = read.data.lines;
      else count++;
      await services.archive.put(coach.id, read.data, numbers, transaction).catch((error: unknown) => {
        throw error instanceof RangeError ? bad(`Line ${at} is ${error.message}.`) : error;
      });
    }
    if (first === null || told !== count) throw bad(`It is not whole: ${count} lines, and ${told === null ? 'no end' : `${told} were written`}.`);
    return { head: first, lines: count };
  });
  const { timeZone, units, firstDay, rules, tiers } = head.coach;
  await services.coaches.change(coach.id, { timeZone, units, firstDay, tiers });
  await services.coaches.changeRules(coach.id, rules);
  services.wake();
  return lines;
}
