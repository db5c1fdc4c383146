/** One of the two workers that compute briefs, so that the server keeps answering while a large class is sent. */
import { parentPort } from 'node:worker_threads';
import { makeBrief } from './brief';
import { Problem } from '../platform/errors';
import type { BriefAnswer, BriefQuestion } from './brief-pool';

parentPort!.on('message', ({ id, text, athlete, rules, locks, units }: BriefQuestion) => {
  const answer = (): BriefAnswer => {
    try {
      return { id, made: makeBrief(text, athlete, rules, locks, units) };
    } catch (error) {
      return { id, problem: error instanceof Problem ? (error.detail ?? error.code) : 'the version could not be computed' };
    }
  };
  parentPort!.postMessage(answer());
});
