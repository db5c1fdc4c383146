/** A run as a watch keeps it: points with their time → how far, how long, how fast. Distances on a sphere (haversine; Sinnott 1984, Sky and Telescope 68: 159). */
export interface TrackPoint {
  /** degrees */
  readonly latitude: number;
  readonly longitude: number;
  /** s since the epoch; null where the watch kept none */
  readonly time: number | null;
}
export interface Track {
  readonly metres: number;
  /** from the first point to the last; null without times */
  readonly seconds: number | null;
  /** s of each full kilometre */
  readonly kilometres: readonly number[];
}
/** m: mean radius of the earth (IUGG) */
const earth = 6_371_008.8;
const radians = (degrees: number): number => (degrees * Math.PI) / 180;

export function metresBetween(a: TrackPoint, b: TrackPoint): number {
  const [north, east] = [radians(b.latitude - a.latitude), radians(b.longitude - a.longitude)];
  const half = Math.sin(north / 2) ** 2 + Math.cos(radians(a.latitude)) * Math.cos(radians(b.latitude)) * Math.sin(east / 2) ** 2;
  return 2 * earth * Math.asin(Math.min(1, Math.sqrt(half)));
}

/** m/s that nobody runs: a point that far off is the receiver's slip, and is left out (round figure) */
const fastest = 12;

/** Of what one or several recordings hold, one after the other. @param pieces a pause parts them: what lies between is not run */
export function trackOf(pieces: readonly (readonly TrackPoint[])[]): Track {
  let metres = 0;
  const marks: number[] = [];
  const all = pieces.flat();
  const start = all.find(({ time }) => time !== null)?.time ?? null;
  const end = [...all].reverse().find(({ time }) => time !== null)?.time ?? null;
  for (const points of pieces) {
    let last = points[0];
    for (const point of points.slice(1)) {
      const step = metresBetween(last!, point);
      const seconds = point.time !== null && last!.time !== null ? point.time - last!.time : null;
      if (seconds !== null && step / Math.max(seconds, 0.5) > fastest) continue;
      const before = metres;
      metres += step;
      // the moment within the step at which a kilometre was full
      if (start !== null && seconds !== null && Math.floor(metres / 1000) > Math.floor(before / 1000))
        marks.push(last!.time! - start + (seconds * (Math.floor(metres / 1000) * 1000 - before)) / step);
      last = point;
    }
  }
  return {
    metres,
    seconds: start === null || end === null ? null : end - start,
    kilometres: marks.map((mark, index) => mark - (marks[index - 1] ?? 0)),
  };
}
