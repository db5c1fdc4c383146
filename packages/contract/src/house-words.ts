/** What a coach answered about words of their messages, as it crosses a boundary. */
import { houseWordKinds, mostHouseWords } from '@gambito/core';
import { z } from 'zod';

export const houseWordSchema = z.object({
  kind: z.enum(houseWordKinds),
  words: z.string().trim().max(120, 'expected at most 120 characters'),
  means: z.string().trim().max(120, 'expected at most 120 characters'),
});
export const houseWordsSchema = z.array(houseWordSchema).max(mostHouseWords, `expected at most ${mostHouseWords} answers`);
