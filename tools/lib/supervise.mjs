/** Keeps a process alive: started again when it ends by itself, after a pause that starts short, grows, and is short again after some health. */
import { say } from './say.mjs';

const shortest = 500;
const longest = 30_000;
/** ms alive after which the pause is short again */
const healthy = 10_000;

/** Waits, unless it is told to wait no more. @returns {[Promise<void>, () => void]} */
const pauseOf = (milliseconds) => {
  let skip;
  const over = new Promise((resolve) => {
    const timer = setTimeout(resolve, milliseconds);
    skip = () => (clearTimeout(timer), resolve());
  });
  return [over, skip];
};

/**
 * @param name for what is said
 * @param start begins the process and gives it back when it is up; may throw, which counts as an end
 * @param clock of the pauses and of how long one lived; a test turns its own
 * @returns {{stop: () => Promise<void>, child: () => import('node:child_process').ChildProcess | null}}
 */
export function keepAlive(name, start, { wait = pauseOf, now = Date.now } = {}) {
  let child = null;
  let stopping = false;
  let pause = shortest;
  let skip = () => undefined;
  const ended = (process) => new Promise((resolve) => (process.exitCode !== null || process.signalCode !== null ? resolve() : process.once('exit', resolve)));
  const live = async () => {
    const began = now();
    try {
      child = await start();
      await ended(child);
      return { lived: now() - began, why: child.signalCode ?? child.exitCode };
    } catch (error) {
      return { lived: 0, why: error?.message ?? error };
    }
  };
  const run = async () => {
    while (!stopping) {
      const { lived, why } = await live();
      if (stopping) break;
      if (lived > healthy) pause = shortest;
      say(`${name} ended (${why}); starting it again in ${(pause / 1000).toFixed(1)} s.`);
      const [over, skipIt] = wait(pause);
      skip = skipIt;
      await over;
      pause = Math.min(longest, pause * 2);
    }
  };
  const running = run();
  return {
    child: () => child,
    async stop() {
      stopping = true;
      skip();
      if (child && child.exitCode === null && child.signalCode === null) child.kill('SIGTERM');
      await running;
    },
  };
}
