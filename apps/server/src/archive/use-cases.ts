/** A coach's desk given out as one file of an open format, and taken in again. */
import { archiveHeadSchema, archiveLineSchema, type ArchiveHead, type ArchiveLine } from '@gambito/contract';
import { pipeline, Readable } from 'node:stream';
import { createGzip } from 'node:zlib';
import type { Coach } from '../auth/store';
import { Problem } from '../platform/errors';
import type { Services } from '../platform/services';
import { bad, linesOf } from './lines';
import { spooled } from './spool';

/** bytes of an archive that comes in */
export const largestArchive = 200 * 1024 * 1024;

async function* archiveText(
  services: Services,
  { id, name, timeZone, units, firstDay, rules, tiers, words, ritual, logByHours }: Coach,
): AsyncGenerator<string> {
  const head: ArchiveHead = {
    gambito: 'desk',
    format: 1,
    at: services.now().toISOString(),
    coach: { name, timeZone, units, firstDay: firstDay === 0 ? 0 : 1, rules: { ...rules }, tiers: [...tiers], words: [...words], ritual, logByHours },
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

function headIn(value: unknown): ArchiveHead {
  const read = archiveHeadSchema.safeParse(value);
  if (!read.success) throw bad('Its first line is not the head of a desk.');
  return read.data;
}
function lineIn(value: unknown, at: number): ArchiveLine {
  const read = archiveLineSchema.safeParse(value);
  if (!read.success) throw bad(`Line ${at}: ${read.error.issues[0]?.message ?? 'not understood'}.`);
  return read.data;
}

/** Every line into its table. @throws {Problem} bad_archive with the line, or where lines are missing */
async function putLines(file: Readable, put: (line: ArchiveLine) => Promise<void>): Promise<{ head: ArchiveHead; lines: number }> {
  let head: ArchiveHead | null = null;
  let lines = 0;
  let told: number | null = null;
  for await (const { text, at } of linesOf(file)) {
    const value = parsedLine(text, at);
    if (head === null) {
      head = headIn(value);
      continue;
    }
    const line = lineIn(value, at);
    if ('end' in line) told = line.end ? line.lines : null;
    else lines++;
    await put(line).catch((error: unknown) => {
      throw error instanceof RangeError ? bad(`Line ${at} is ${error.message}.`) : error;
    });
  }
  if (head === null || told !== lines) throw bad(`It is not whole: ${lines} lines, and ${told === null ? 'no end' : `${told} were written`}.`);
  return { head, lines };
}

/**
 * Into an empty desk; all of it or nothing. House rules, time zone and units come with it, since boards are read by them.
 * @param upload gzipped lines of JSON @returns lines taken @throws {Problem} not_empty, bad_archive with the line
 */
export async function takeArchive(services: Services, coach: Coach, upload: Readable): Promise<number> {
  if (!(await services.archive.isEmpty(coach.id))) {
    upload.resume();
    throw new Problem('not_empty');
  }
  // a transaction that is begun again reads the file again
  const { head, lines } = await spooled(upload, largestArchive, (open) => services.archive.fill(coach.id, (put) => putLines(open(), put)));
  const { rules, name: _name, ...room } = head.coach;
  await services.coaches.change(coach.id, room);
  await services.coaches.changeRules(coach.id, rules);
  services.wake();
  return lines;
}
