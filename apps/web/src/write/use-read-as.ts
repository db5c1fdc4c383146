/** A text that is a message, read as plain notation, a moment after the typing stops; and what the coach answered about it. */
import { isKeptWord, withHouseWord, type HouseWord } from '@gambito/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useHouseWords, useKeepWords } from '../api/house-words';
import { useRoom } from '../api/room';
import { useSettled } from '../ui/use-settled';
import { core } from '../workers/core-client';
import type { MessageReading } from '../workers/core-worker';

/** ms without a key before a text is taken for a message */
const looksAfter = 400;

export interface Message extends MessageReading {
  readonly answer: (word: HouseWord) => void;
  /** takes back the last answer of this message; null: there is none */
  readonly takeBack: (() => void) | null;
}

/** What was answered now and before, as one list. */
function useAnswers() {
  const { data } = useHouseWords();
  const stored = useKeepWords();
  const [given, setGiven] = useState<readonly HouseWord[]>([]);
  const words = useMemo(() => given.reduce(withHouseWord, [...(data?.words ?? [])]), [data, given]);
  const last = given.at(-1);
  return {
    words,
    answer: (word: HouseWord): void => {
      setGiven((before) => [...before.filter((each) => each !== word), word]);
      stored.keep(word);
    },
    takeBack: last
      ? (): void => {
          setGiven((before) => before.slice(0, -1));
          if (isKeptWord(last)) stored.drop(last);
        }
      : null,
  };
}

/** @returns null where the text is notation, or another text than the one that was read */
export function useReadAs(text: string): Message | null {
  const settled = useSettled(text, looksAfter);
  const units = useRoom();
  const { words, answer, takeBack } = useAnswers();
  const { data } = useQuery({
    queryKey: ['readAs', settled, units, words],
    queryFn: () => core().readAs({ text: settled, units }, words),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
  });
  return data && data.of === text && data.reading ? { ...data.reading, answer, takeBack } : null;
}
