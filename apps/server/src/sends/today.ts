/** A file as it is today: one place, the kit that is there, the minutes there are, what must be spared beside what always must. */
import type { TodayAsked } from '@gambito/contract';

type Plain = Readonly<Record<string, unknown>>;
const isPlain = (value: unknown): value is Plain => typeof value === 'object' && value !== null && !Array.isArray(value);
const linesOf = (kit: unknown): string[] => (Array.isArray(kit) ? kit.map(String) : typeof kit === 'string' ? kit.split('\n') : []);

export interface PlaceOfFile {
  readonly name: string;
  readonly kit: string[];
}
const rawPlaces = (file: Plain): Plain[] => {
  const places = Array.isArray(file['places']) && file['places'].length > 0 ? file['places'] : [file['place']];
  return places.map((place) => (isPlain(place) ? place : {}));
};
export const placesOfFile = (file: Plain): PlaceOfFile[] =>
  rawPlaces(file).map(({ name, kit }) => ({ name: typeof name === 'string' && name.trim() !== '' ? name : 'home', kit: linesOf(kit) }));

/** @returns the file, and what was asked in words; an empty wish is the place's name alone */
export function fileToday(file: Plain, { place, kit, minutes, spare }: TodayAsked): { file: Plain; said: string } {
  const places = rawPlaces(file);
  const chosen = places[place] ?? places[0]!;
  const { name, kit: all } = placesOfFile(file)[place] ?? placesOfFile(file)[0]!;
  const there = kit === null ? all : all.filter((line) => kit.includes(line));
  const missing = all.filter((line) => !there.includes(line));
  const { places: _places, tier: _tier, ...rest } = file;
  const avoid = Array.isArray(file['avoid']) ? file['avoid'].map(String) : typeof file['avoid'] === 'string' ? file['avoid'].split(',') : [];
  const said = [
    ...(place > 0 ? [`in the ${name}`] : []),
    ...(missing.length > 0 ? [there.length === 0 ? 'without any kit' : `without ${missing.join(', ')}`] : []),
    ...(minutes === null ? [] : [`${minutes} min`]),
    ...(spare.length > 0 ? [`spare ${spare.map((tag) => tag.replaceAll('_', ' ')).join(', ')}`] : []),
  ];
  return {
    file: {
      ...rest,
      place: { ...chosen, kit: there },
      ...(minutes === null ? {} : { time_available: `${minutes} min` }),
      ...(spare.length > 0 ? { avoid: [...new Set([...avoid, ...spare])] } : {}),
    },
    said: said.join(' · ') || `in the ${name}`,
  };
}
