/** An upload kept aside and read line by line: whole, cut short, gone before anybody listened, too large. */
import { describe, expect, test } from '@jest/globals';
import { existsSync, type ReadStream } from 'node:fs';
import { Readable, Writable } from 'node:stream';
import { gzipSync } from 'node:zlib';
import { isFull } from '../platform/trouble';
import { linesOf } from './lines';
import { spooled } from './spool';

async function textsOf(file: Readable): Promise<string[]> {
  const texts: string[] = [];
  for await (const { text } of linesOf(file)) texts.push(text);
  return texts;
}
const zipped = gzipSync('one\n\ntwo\nthree');
const broken = (): Readable => {
  const upload = new Readable({ read: () => undefined });
  upload.push(zipped.subarray(0, 9));
  return upload;
};
const refused = (detail: RegExp) => expect.objectContaining({ code: 'bad_archive', detail: expect.stringMatching(detail) as unknown });

describe('lines of a gzipped file', () => {
  test('come one after the other, without the empty ones', async () =>
    expect(await textsOf(Readable.from([zipped.subarray(0, 9), zipped.subarray(9)]))).toEqual(['one', 'two', 'three']));
  test.each([
    ['cut short', zipped.subarray(0, 9)],
    ['no gzip', Buffer.from('one')],
  ])('that is %s are refused', async (_, bytes) => expect(textsOf(Readable.from([bytes]))).rejects.toEqual(refused(/no gzip file, or was cut short/)));
});

describe('an upload', () => {
  const read = (upload: Readable, most = 1000) => spooled(upload, most, (open) => textsOf(open()));
  test('is read when all of it is here, twice where that is wanted', async () => {
    const twice = await spooled(Readable.from([zipped]), 1000, async (open) => [await textsOf(open()), await textsOf(open())]);
    expect(twice).toEqual([
      ['one', 'two', 'three'],
      ['one', 'two', 'three'],
    ]);
  });
  test('that was gone before anybody listened is not waited for', async () => {
    const upload = broken().destroy();
    await new Promise((resolve) => upload.once('close', resolve));
    await expect(read(upload)).rejects.toEqual(refused(/broke off/));
  });
  test('that breaks off on its way is refused', async () => {
    const upload = broken();
    setTimeout(() => upload.destroy(), 20);
    await expect(read(upload)).rejects.toEqual(refused(/broke off/));
  });
  test('that finds the disk full hears so, not that it broke off', async () => {
    const full = (): Writable => new Writable({ write: (_chunk, _encoding, done) => done(new Error('ENOSPC: no space left on device, write')) });
    const endless = new Readable({ read: () => void endless.push('more') });
    const failure: unknown = await spooled(endless, 1e9, () => Promise.resolve(null), full).catch((error: unknown) => error);
    expect(isFull(failure)).toBe(true);
  });
  test('leaves nothing behind where its use fails', async () => {
    let file = '';
    const using = spooled(Readable.from([zipped]), 1000, (open) => {
      file = (open() as ReadStream).path as string;
      return Promise.reject(new RangeError('no'));
    });
    await expect(using).rejects.toThrow('no');
    expect(existsSync(file)).toBe(false);
  });
  test('that is too large is let go by and refused', async () => {
    const upload = Readable.from([zipped, zipped, zipped]);
    await expect(read(upload, zipped.length)).rejects.toEqual(refused(/larger than/));
    expect(upload.readableEnded).toBe(true);
  });
});
