/** The time that all servers share: the database's, asked now and then and counted on from there by this machine. */
import { offsetOf, type TimeSample } from '@gambito/core';

/** ms after which the database is asked again */
const stale = 60_000;
/** questions at once; the one answered soonest counts */
const questions = 3;

export type SharedTime = () => Promise<number>;

/** @param ask ms since the epoch by the database @param here by this machine */
export function sharedTimeOf(ask: () => Promise<number>, here: () => number = Date.now): SharedTime {
  let offset: { readonly ms: number; readonly at: number } | null = null;
  const measure = async (): Promise<void> => {
    const samples: TimeSample[] = [];
    for (let each = 0; each < questions; each++) {
      const asked = here();
      const server = await ask();
      samples.push({ asked, server, answered: here() });
    }
    offset = { ms: offsetOf(samples)!.offsetMs, at: here() };
  };
  let measuring: Promise<void> | null = null;
  return async () => {
    if (offset === null || here() - offset.at > stale) {
      measuring ??= measure().finally(() => (measuring = null));
      // a database that is away does not stop a clock that is known
      if (offset === null) await measuring;
      else await measuring.catch(() => undefined);
    }
    return here() + offset!.ms;
  };
}
