/** What a workout comes to, in words that can be compared: parts, clocks, caps, rounds, work in all, loads and rests. Notes are none of it. */
import type { ParsedWorkout } from '../../src/notation/parse-workout';

type Plain = Record<string, unknown>;
function each(value: unknown, take: (object: Plain) => void): void {
  if (Array.isArray(value)) for (const inner of value) each(inner, take);
  else if (typeof value === 'object' && value !== null) {
    take(value as Plain);
    for (const [key, inner] of Object.entries(value)) if (key !== 'alternatives' && key !== 'tiers') each(inner, take);
  }
}
const round = (figure: unknown): unknown => (typeof figure === 'number' ? Number(figure.toPrecision(3)) : figure);
const name = (id: unknown): string => String(id).replace(/^own-/, '').replace(/s$/, '');

export function meaningOf({ workout, summary }: Pick<ParsedWorkout, 'workout' | 'summary'>): string {
  const parts = summary.parts.filter(({ kind }) => kind !== 'rest');
  const work = new Map<string, number>();
  for (const part of parts) for (const [id, count] of Object.entries(part.reps)) work.set(name(id), (work.get(name(id)) ?? 0) + count);
  const loads = new Set<string>();
  const rests = new Set<string>();
  each(workout.parts, (object) => {
    if (object['kind'] === 'slot') {
      const load = object['load'] as Plain | null;
      if (load)
        loads.add(
          `${name(object['movement'])} ${JSON.stringify(Object.entries(load).map(([key, value]) => [key, Array.isArray(value) ? value.map(round) : round(value)]))}`,
        );
      const height = object['heightCm'] as Plain | null;
      if (height) loads.add(`${name(object['movement'])} ${JSON.stringify(Object.values(height).map(round))} cm`);
    }
    for (const [key, value] of Object.entries(object)) if (/^rest/i.test(key) && value) rests.add(JSON.stringify((value as Plain)['seconds'] ?? value));
  });
  return JSON.stringify({
    parts: parts.map((part) => [
      part.kind,
      'capSeconds' in part ? part.capSeconds : null,
      'rounds' in part ? part.rounds : null,
      'sets' in part ? part.sets : null,
    ]),
    clock: summary.clockSeconds,
    work: [...work].map(([id, count]) => `${round(count)} ${id}`).sort(),
    loads: [...loads].sort(),
    rests: [...rests].sort(),
    tiers: workout.tiers.length,
  });
}
