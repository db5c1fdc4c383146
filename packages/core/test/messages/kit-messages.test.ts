/** What athletes say of their things, as strangers wrote it, each beside the same in plain lines. */
import { describe, expect, test } from '@jest/globals';
import { describeItem } from '../../src/kit/describe-items';
import { readKit } from '../../src/kit/read-kit';
import { readKitMessage } from '../../src/message/kit-message';
import corpus from './kit.json' with { type: 'json' };

const things = (lines: readonly string[]): string[] => readKit(lines).items.map(describeItem).sort();
const isRight = ({ text, plain }: (typeof corpus)[number]): boolean => things([text]).join() === things(plain).join();

describe('kit messages of strangers', () => {
  test('are read right, but for a few that are known, and those are said', () => {
    const wrong = corpus.filter((each) => !isRight(each));
    expect(wrong.length).toBeLessThanOrEqual(5);
    const silent = wrong.filter(({ text }) => readKit([text]).problems.every(({ code }) => code === 'assumed'));
    expect(silent.map(({ n }) => n)).toEqual([]);
  });
});

describe('a sentence about things', () => {
  test.each([
    ['no rower but a bike', ['bike'], ['rowing machine']],
    ['pull-up bar: broken. box 50 cm', ['box 50 cm'], ['pull-up bar']],
    ['I have no bench, only a chair 45 cm', ['chair 45 cm'], ['bench']],
    ['two 1.5 pood bells', ['kettlebell 24 kg x 2'], []],
    ['bar 20 kg, 2 pairs of 5 kg plates and one pair of 10 kg plates', ['barbell 20 kg, plates 4x5 2x10 kg'], []],
    ['my rings are lent, the rope too', [], ['rings', 'rope']],
    ['monkey bars at the park', ['pull-up bar'], []],
    ["bench (wobbly, don't use), box 40 cm", ['box 40 cm'], ['bench']],
    ['everything except a rower', [], ['rowing machine']],
    ['two kettlebells, 12 and 20', ['kettlebell 12 kg', 'kettlebell 20 kg'], []],
    ['a table, the rope arrives next week', ['table'], ['rope']],
    ['sold the barbell, kept plates 4x10 kg', ['plates 10 kg x 4'], ['barbell']],
    ['nothing at all', [], []],
  ])('%s', (text, lines, not) => expect(readKitMessage(text)).toEqual({ lines, not, unclear: [], unused: [], aside: [] }));
  test('why a thing cannot be used may matter for more than the thing', () =>
    expect(readKitMessage('skipping rope but ceiling too low for it')).toMatchObject({ lines: [], not: ['rope'], aside: ['ceiling too low for it'] }));
  test('what nobody can tell is not made up, and a figure without a place is said', () => {
    expect(readKitMessage('a bar, and rings')).toMatchObject({ lines: ['rings'], unclear: ['bar'] });
    expect(readKitMessage('no rower, mat, 34 of something')).toMatchObject({ lines: ['mat'], not: ['rowing machine'], unused: ['34'] });
    expect(
      readKit(['a bar, and rings'])
        .problems.map(({ message }) => message)
        .join(),
    ).toContain('not clear: bar');
  });
  test('is said to be one, with what it was read as', () => {
    expect(readKit(['no rower but a bike']).problems).toEqual([
      expect.objectContaining({ code: 'read_as', message: '“no rower but a bike” is read as: bike; not there: rowing machine.' }),
    ]);
    expect(readKit(['bike', 'dumbbell 10 kg x 2']).problems).toEqual([]);
  });
  test.each(['x'.repeat(20_000), 'bar '.repeat(3_000), '2 x '.repeat(3_000), '10 kg '.repeat(3_000), 'no '.repeat(5_000)])(
    'a hostile one is answered',
    (text) => expect(() => readKitMessage(text)).not.toThrow(),
  );
});
