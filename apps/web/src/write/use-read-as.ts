/** A text that is a message, read as plain notation, a moment after the typing stops. */
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useRoom } from '../api/room';
import { useSettled } from '../ui/use-settled';
import { core } from '../workers/core-client';
import type { MessageReading } from '../workers/core-worker';

/** ms without a key before a text is taken for a message */
const looksAfter = 400;

/** @returns null where the text is notation, or another text than the one that was read */
export function useReadAs(text: string): MessageReading | null {
  const settled = useSettled(text, looksAfter);
  const units = useRoom();
  const { data } = useQuery({
    queryKey: ['readAs', settled, units],
    queryFn: () => core().readAs({ text: settled, units }),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
  });
  return data && data.of === text ? data.reading : null;
}
