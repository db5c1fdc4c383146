/** A run from a watch: GPX (the exchange format for tracks, topografix.com/GPX/1/1) → its points, a piece for each stretch between pauses. */
import type { TrackPoint } from '@gambito/core';
import { XMLParser } from 'fast-xml-parser';

const list = <T>(value: T | readonly T[] | undefined): readonly T[] =>
  value === undefined ? [] : Array.isArray(value) ? (value as readonly T[]) : [value as T];
interface Point {
  readonly '@_lat'?: string;
  readonly '@_lon'?: string;
  readonly time?: string;
}
interface Gpx {
  readonly gpx?: {
    readonly trk?: { readonly trkseg?: { readonly trkpt?: Point | Point[] } | { readonly trkpt?: Point | Point[] }[] } | { readonly trkseg?: unknown }[];
  };
}
function pointOf({ '@_lat': latitude, '@_lon': longitude, time }: Point): TrackPoint[] {
  const [north, east] = [Number(latitude), Number(longitude)];
  if (latitude === undefined || longitude === undefined || !(Math.abs(north) <= 90) || !(Math.abs(east) <= 180)) return [];
  const at = time === undefined ? Number.NaN : Date.parse(time) / 1000;
  return [{ latitude: north, longitude: east, time: Number.isFinite(at) ? at : null }];
}

/** @throws {RangeError} with a sentence where it holds no track */
export function readGpx(text: string): TrackPoint[][] {
  let read: Gpx;
  try {
    read = new XMLParser({ ignoreAttributes: false, parseTagValue: false, processEntities: false }).parse(text, true) as Gpx;
  } catch {
    throw new RangeError('This is no GPX file: expected the file of a run as a watch or an app gives it, ending in .gpx.');
  }
  const pieces = list(read.gpx?.trk).flatMap(({ trkseg }) => list(trkseg as { trkpt?: Point | Point[] }[]).map(({ trkpt }) => list(trkpt).flatMap(pointOf)));
  const full = pieces.filter((points) => points.length > 1);
  if (full.length === 0) throw new RangeError('There is no track in this file: expected points of a run, one after the other.');
  return full;
}
