/** Processes that work on one folder of ours, found by what they were started with: a start that was killed leaves some, with or without a note of their number. */
import { readFileSync, readdirSync } from 'node:fs';

const argumentsOf = (pid) => {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0');
  } catch {
    return [];
  }
};

/** @param folder the data directory of a database @returns numbers of the processes that were told to use it */
export const workingOn = (folder) =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .filter((pid) => pid !== process.pid && argumentsOf(pid).includes(`--datadir=${folder}`));

/**
 * Sends them a signal and waits until none is left.
 * @param patience ms
 * @returns whether all have ended
 */
export async function endThoseOn(folder, signal, patience) {
  const until = Date.now() + patience;
  for (const pid of workingOn(folder)) {
    try {
      process.kill(pid, signal);
    } catch {
      // it ended by itself just now
    }
  }
  while (workingOn(folder).length > 0 && Date.now() < until) await new Promise((resolve) => setTimeout(resolve, 100));
  return workingOn(folder).length === 0;
}
