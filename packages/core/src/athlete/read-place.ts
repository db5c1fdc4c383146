/** A place of an athlete file: floor, ceiling, noise, kit. What cannot be read is said and replaced by what counts when nothing is said. */
import { barePlace, type Place } from '../kit/kit';
import { readKit } from '../kit/read-kit';
import { orNull, ranges } from '../units/ranges';
import type { Category } from '../workout/workout';
import { readDurationOf, readFloor, readLength, textOf } from './measures';
import { isPlain, type Tell } from './file';

const known = ['name', 'floor', 'ceiling', 'noise', 'kit', 'to_street'];
const noises: readonly Place['noise'][] = ['free', 'normal', 'quiet'];

export function readPlace(raw: unknown, tell: Tell, options: { category?: Category; units?: 'kg' | 'lb'; today?: string } = {}): Place {
  if (!isPlain(raw)) return barePlace;
  const floor = readFloor(raw['floor']);
  if (raw['floor'] !== undefined && textOf(raw['floor']) !== '' && !floor)
    tell('warning', 'place.floor', `“${textOf(raw['floor'])}” is no floor; expected length × width, ${ranges.floorM.said} each, such as “3 x 2 m”.`);
  const high = orNull(readLength(raw['ceiling']), ranges.ceilingM);
  if (raw['ceiling'] !== undefined && textOf(raw['ceiling']) !== '' && high === null)
    tell('warning', 'place.ceiling', `“${textOf(raw['ceiling'])}” is no height of a room; expected ${ranges.ceilingM.said} such as “2.25 m”.`);
  const street = raw['to_street'] === undefined ? null : orNull(readDurationOf(raw['to_street'], 'seconds'), ranges.toStreetSeconds);
  if (raw['to_street'] !== undefined && street === null)
    tell('warning', 'place.to_street', `“${textOf(raw['to_street'])}” is no way to the street; expected ${ranges.toStreetSeconds.said} such as “20 s”.`);
  const noise = noises.find((each) => each === textOf(raw['noise']));
  if (raw['noise'] !== undefined && textOf(raw['noise']) !== '' && !noise)
    tell('warning', 'place.noise', `“${textOf(raw['noise'])}” is not known; expected free, normal or quiet.`);
  const lines = Array.isArray(raw['kit']) ? raw['kit'].map(textOf) : textOf(raw['kit']).split('\n');
  const kit = readKit(lines, options);
  for (const problem of kit.problems) tell(problem.code === 'assumed' ? 'info' : 'warning', 'place.kit', problem.message);
  for (const key of Object.keys(raw)) if (!known.includes(key)) tell('warning', `place.${key}`, 'unknown key; kept in the file and not read.');
  return {
    name: textOf(raw['name']) || 'home',
    floor: floor ?? barePlace.floor,
    ceilingM: high ?? barePlace.ceilingM,
    noise: noise ?? 'normal',
    ...(street === null ? {} : { toStreetSeconds: street }),
    kit: kit.items,
    ...(floor && high !== null ? {} : { notTold: [...(floor ? [] : (['floor'] as const)), ...(high === null ? (['ceiling'] as const) : [])] }),
  };
}
