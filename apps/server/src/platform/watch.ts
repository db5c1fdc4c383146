/**
 * For benches: how late the event loop was, which callback of ours held it longest, and how large the process is, a line of JSON every few seconds.
 * A loop is late for much else, too: callbacks that came together, the collector, a machine that gave the processor to somebody.
 */
import { createHook, executionAsyncResource } from 'node:async_hooks';
import { monitorEventLoopDelay } from 'node:perf_hooks';

const everyMilliseconds = 5_000;
const milliseconds = (nanoseconds: number): number => Math.round(nanoseconds / 1e5) / 10;

/** The longest callback since it was last asked for, in ms, and what kind it was of. */
function longestCallback(): () => { callbackMs: number; callback: string } {
  let longest = 0;
  let kind = '';
  let depth = 0;
  let began = 0;
  createHook({
    before: () => {
      if (depth++ === 0) began = performance.now();
    },
    after: () => {
      depth = Math.max(0, depth - 1);
      const took = performance.now() - began;
      if (depth > 0 || took <= longest) return;
      longest = took;
      kind = executionAsyncResource().constructor?.name ?? '';
    },
  }).enable();
  return () => {
    const told = { callbackMs: Math.round(10 * longest) / 10, callback: kind };
    longest = 0;
    return told;
  };
}

export function watchLoop(say: (line: string) => void): void {
  const delay = monitorEventLoopDelay({ resolution: 5 });
  const longest = longestCallback();
  delay.enable();
  setInterval(() => {
    const rssMb = Math.round(process.memoryUsage.rss() / 1e6);
    say(JSON.stringify({ loopMs: milliseconds(delay.max), loopP99Ms: milliseconds(delay.percentile(99)), ...longest(), rssMb }));
    delay.reset();
  }, everyMilliseconds).unref();
}
