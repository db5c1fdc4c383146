import { describe, expect, test } from '@jest/globals';
import { mergeTexts } from './merge-texts';

const base = '# Squall\nAMRAP 12:00\n8 burpee\n15 air squat\n\nintent: 8-12 rounds';
const changed = (from: string, to: string): string => base.replace(from, to);

describe('two texts that began from one', () => {
  test('both changes stand where they are of different lines', () => {
    expect(mergeTexts(base, changed('# Squall', '# Gale'), changed('8-12', '7-10'))).toBe(changed('# Squall', '# Gale').replace('8-12', '7-10'));
    expect(mergeTexts(base, `${base}\n10 sit-up`, changed('AMRAP 12', 'AMRAP 14'))).toBe(`${changed('AMRAP 12', 'AMRAP 14')}\n10 sit-up`);
  });
  test('a person decides where both changed one place', () => {
    expect(mergeTexts(base, changed('8 burpee', '9 burpee'), changed('8 burpee', '10 burpee'))).toBeNull();
    expect(mergeTexts(base, '# Mine', '# Theirs')).toBeNull();
    // one took away what the other changed
    expect(mergeTexts(base, changed('8 burpee\n', ''), changed('8 burpee', '9 burpee'))).toBeNull();
  });
  test('the same change twice is one, and no change is none', () => {
    const same = changed('8 burpee', '9 burpee');
    expect(mergeTexts(base, same, same)).toBe(same);
    expect([mergeTexts(base, base, same), mergeTexts(base, same, base)]).toEqual([same, same]);
  });
  test('every line of either is in it, or in neither for a reason', () => {
    const mine = changed('15 air squat', '15 air squat\n20 lunge');
    const theirs = changed('# Squall', '# Squall\nstrict push-ups');
    const merged = mergeTexts(base, mine, theirs)!.split('\n');
    for (const line of [...mine.split('\n'), ...theirs.split('\n')]) expect(merged).toContain(line);
  });
});
