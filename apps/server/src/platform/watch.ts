/** For benches: how long the event loop was held, and how large the process is, a line of JSON every few seconds. */
import { monitorEventLoopDelay } from 'node:perf_hooks';

const everyMilliseconds = 5_000;
const milliseconds = (nanoseconds: number): number => Math.round(nanoseconds / 1e5) / 10;

export function watchLoop(say: (line: string) => void): void {
  const delay = monitorEventLoopDelay({ resolution: 5 });
  delay.enable();
  setInterval(() => {
    say(JSON.stringify({ loopMs: milliseconds(delay.max), loopP99Ms: milliseconds(delay.percentile(99)), rssMb: Math.round(process.memoryUsage.rss() / 1e6) }));
    delay.reset();
  }, everyMilliseconds).unref();
}
