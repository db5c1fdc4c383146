/** Where somebody trains today, as typed: the first of the places of a file. */
export interface TypedPlace {
  /** null: none given */
  readonly name: string | null;
  /** the lines of the kit, in one */
  readonly kit: string;
}

/** @param file an athlete's, as stored */
export function placeOf(file: Readonly<Record<string, unknown>>): TypedPlace {
  const place = (Array.isArray(file['places']) ? (file['places'] as unknown[])[0] : file['place']) as { name?: unknown; kit?: unknown } | undefined;
  return { name: typeof place?.name === 'string' ? place.name : null, kit: Array.isArray(place?.kit) ? place.kit.map(String).join(', ') : '' };
}
