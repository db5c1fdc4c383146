/** An athlete's sentences become proposals beside their words: nothing is taken by itself, nothing is lost, and harm comes first. */
import { describe, expect, test } from '@jest/globals';
import { readAthlete } from '../../src/athlete/read-athlete';
import { readAthleteMessage } from '../../src/message/athlete-message';
import { seededRandom } from '../../src/units/random';

const saysOf = (text: string): [string, string[]][] =>
  readAthleteMessage(text).proposals.map(({ words, choices }) => [words, choices.map(({ says }) => says).filter((says) => !says.startsWith('Keep the words'))]);

describe('the sentences of an athlete', () => {
  test('become kit, room, limits and figures, each beside its words', () => {
    const text = "I've two 15s, a chair and a bar, ceiling's low, 2.2ish, knee's been bad, no jumping please, 20 push-ups on a good day";
    expect(saysOf(text)).toEqual([
      ["knee's been bad", ['Avoids deep knee', 'Avoids jumping', 'Avoids kneeling']],
      ['no jumping please', ['Avoids jumping']],
      ['2.2ish', ['Ceiling 2.2 m']],
      ['20 push-ups on a good day', ['push-up 20 in one set']],
      ["I've two 15s", ['dumbbell 15 kg x 2']],
      ['a chair and a bar', ['chair']],
      ['a chair and a bar', ['pull-up bar', 'barbell 20 kg']],
    ]);
    expect(readAthleteMessage(text).left).toEqual([]);
  });
  test('a count after the ceiling is none of it', () =>
    expect(saysOf('ceiling 2.2, 20 push-ups on a good day')[1]).toEqual(['20 push-ups on a good day', ['push-up 20 in one set']]));
  test.each<[string, string[]]>([
    ['about 2 by 3 m of floor', ['Floor 2 x 3 m']],
    ['neighbours below so it has to be quiet', ['Quiet: no jumps, nothing dropped']],
    ['40 s to the street', ['40 s to the street']],
    ["I'm 64 kg", ['Body mass 64 kg']],
    ['I weigh 141 lbs', ['Body mass 141 lb']],
    ["I'm 1,72 m tall", ['Stature 172 cm']],
    ['168 cm', ['Stature 168 cm']],
    ['born in 1988', ['Born 1988']],
    ['I only have 40 minutes', ['Time available 40 min']],
    ['my back squat is 100kg', ['back squat 100 kg']],
    ['deadlift 130 for 3', ['deadlift 130 kg x 3']],
    ['I can do 8 strict pull ups', ['strict pull-up 8 in one set']],
    ['I ran 5k in 27:30 last month', ['run 5 km 27:30']],
    ['row 500 m in 1:52', ['row 500 m 1:52']],
    ["can't run at the moment", ['Avoids running']],
    ['wrists hurt in push-ups', ['Avoids wrists']],
    ['left shoulder is dodgy', ['Avoids overhead', 'Avoids hanging']],
  ])('%s', (text, says) => expect(saysOf(text)).toEqual([[text, says]]));
  test('masses without a unit are in the unit of the text', () =>
    expect(saysOf('bench 95 lb, deadlift 275')[1]).toEqual(['deadlift 275', ['deadlift 275 lb']]));

  test.each([
    ['the rower is broken until spring', 'rowing machine'],
    ['my brother has borrowed the barbell', 'barbell'],
    ['no bench', 'bench'],
    ['the rings are lent to a friend', 'rings'],
  ])('%s: it is not there, and that is no harm', (text, thing) => {
    const { absent, proposals } = readAthleteMessage(text);
    expect(absent).toEqual([{ words: text, thing }]);
    expect(proposals).toEqual([]);
  });
  test('words nothing was made of are told', () => {
    expect(readAthleteMessage('The gym is closed. I have a rope.')).toMatchObject({ left: ['The gym is closed'], proposals: [{ words: 'I have a rope' }] });
  });
});

describe('what speaks of harm', () => {
  const texts = ['12 weeks pregnant', 'chest pains on the rower', 'my doctor said so', 'slipped disc in 2019', 'I had a heart operation', 'broke my wrist'];
  test.each(texts)('%s: can be kept in its words, and holds versions back then', (text) => {
    const { proposals } = readAthleteMessage(`I have a chair, ${text}, and a rope`);
    expect(proposals[0]).toMatchObject({ words: text, harm: true });
    const { change } = proposals[0]!.choices.at(-1)!;
    expect(change).toEqual({ kind: 'avoid', tag: text });
    expect(readAthlete({ name: 'Keeper', avoid: [text] }, '2026-12-02').athlete.unanswered).toHaveLength(1);
  });
  test('is never lost among the rest, in any order', () => {
    const random = seededRandom(5);
    const others = ['two 15s', 'a chair 45 cm', 'ceiling 2.3 m', '20 push-ups', 'a broken rower', '65 kg kettlebell'];
    const lost: string[] = [];
    for (let at = 0; at < 300; at++) {
      const harm = texts[Math.floor(random() * texts.length)]!;
      const text = [harm, ...others.filter(() => random() < 0.5)].sort(() => random() - 0.5).join([', ', '. ', '; ', '\n'][Math.floor(random() * 4)]);
      if (!readAthleteMessage(text).proposals.some(({ words, harm: isHarm }) => isHarm && words.includes(harm))) lost.push(text);
    }
    expect(lost).toEqual([]);
  });
});
test('a hostile text is answered', () => {
  for (const text of ['x'.repeat(50_000), '10 '.repeat(8_000), '((,'.repeat(3_000), '.'.repeat(20_000)])
    expect(readAthleteMessage(text).proposals.length).toBeLessThan(2_000);
});
