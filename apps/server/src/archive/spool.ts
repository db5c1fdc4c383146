/** A file that comes in, kept aside until all of it is here: no connection of the database waits for somebody's slow line. */
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable, Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { isFull } from '../platform/trouble';
import { bad } from './lines';

/** Passes `most` bytes on and lets the others go by, so that whoever sends them hears the refusal; tells how many there were. */
function counted(most: number): { bytes: () => number; pass: (chunks: AsyncIterable<Buffer>) => AsyncGenerator<Buffer> } {
  let bytes = 0;
  return {
    bytes: () => bytes,
    pass: async function* (chunks) {
      for await (const chunk of chunks) {
        bytes += chunk.length;
        if (bytes <= most) yield chunk;
      }
    },
  };
}

/**
 * What `use` makes of the whole file, which it may open again and again; the copy is gone afterwards.
 * @param most bytes @param into where the copy is written @throws {Problem} bad_archive where the upload breaks off or is larger; what the disk said where it is full
 */
export async function spooled<T>(
  upload: Readable,
  most: number,
  use: (open: () => Readable) => Promise<T>,
  into: (file: string) => Writable = createWriteStream,
): Promise<T> {
  const directory = await mkdtemp(join(tmpdir(), 'gambito-archive-'));
  const file = join(directory, 'upload');
  try {
    const { bytes, pass } = counted(most);
    await pipeline(upload, pass, into(file)).catch((error: unknown) => {
      throw upload.readableEnded || isFull(error) ? error : bad('It broke off on its way here.');
    });
    if (bytes() > most) throw bad(`It is larger than ${Math.floor(most / 1024 / 1024)} MB.`);
    return await use(() => createReadStream(file));
  } finally {
    await rm(directory, { recursive: true, force: true });
  }
}
