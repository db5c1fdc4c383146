/** Answers given faster than the server takes them. */
import { expect, test } from '@jest/globals';
import type { HouseWord } from '@gambito/core';
import { act, screen, waitFor } from '@testing-library/react';
import { stage } from '../../test/stage';
import { useHouseWords, useKeepWords } from './house-words';

const noMovement: HouseWord = { kind: 'name', words: 'deck roll', means: '' };

function Words({ seen }: { seen: string[] }) {
  const { data } = useHouseWords();
  const { keep, drop } = useKeepWords();
  const shown = data?.words.map(({ words }) => words).join() ?? 'none yet';
  if (seen.at(-1) !== shown) seen.push(shown);
  return (
    <>
      <button onClick={() => keep(noMovement)}>keep</button>
      <button onClick={() => drop(noMovement)}>drop</button>
    </>
  );
}

test('an answer of the server that was overtaken by a second change is not shown: what was taken back stays taken back', async () => {
  const held: ((words: HouseWord[]) => void)[] = [];
  const put = (): Promise<unknown> => new Promise((resolve) => held.push((words) => resolve({ words })));
  const seen: string[] = [];
  const { user } = stage(<Words seen={seen} />, { answers: { 'GET /words': { words: [] }, 'PUT /words': put } });
  await user.click(screen.getByText('keep'));
  await user.click(screen.getByText('drop'));
  await waitFor(() => expect(seen.at(-1)).toBe(''));
  const before = seen.length;
  act(() => held[0]!([noMovement]));
  // the second is asked once the first is there, and the last answer is the one that counts
  await waitFor(() => expect(held).toHaveLength(2));
  act(() => held[1]!([{ ...noMovement, words: 'pier walk' }]));
  await waitFor(() => expect(seen.at(-1)).toBe('pier walk'));
  expect(seen.slice(before)).toEqual(['pier walk']);
});
