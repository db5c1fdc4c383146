import { describe, expect, test } from '@jest/globals';
import { withoutLongEchoes } from './echo';

describe('what is repeated of what was typed', () => {
  test('is what was typed, where it is short', () => expect(withoutLongEchoes('no athlete file for “Tabrik”.')).toBe('no athlete file for “Tabrik”.'));
  test.each([
    ['a quotation', `no athlete file for “${'an old lamp '.repeat(400)}”; expected a name.`],
    ['one that never ends', `Quoted field unterminated: “${'an old lamp '.repeat(400)}`],
    ['a word', `/tmp/${'x'.repeat(5_000)}: cannot be read.`],
    ['several', `“${'a b '.repeat(100)}” and “${'c d '.repeat(100)}”`],
  ])('is 200 characters of %s that is long, and the sentence around it', (_what, sentence) => {
    const said = withoutLongEchoes(sentence);
    expect(said).toContain('…');
    expect(Math.max(...said.split('…').map(({ length }) => length))).toBeLessThan(260);
    expect(said.slice(0, 20)).toBe(sentence.slice(0, 20));
  });
  test('takes no longer for signs that never close', () => expect(withoutLongEchoes('“'.repeat(200_000)).length).toBeLessThan(210));
});
