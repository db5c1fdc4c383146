/**
 * Session load: minutes × rating of perceived exertion on the category-ratio scale 0–10 (Foster et al. 2001, J Strength Cond Res 15(1): 109–115).
 * @returns arbitrary units; an hour at 7 is 420
 * @throws {RangeError} when the rating is outside 0–10 or the time negative
 */
export function sessionLoad(seconds: number, rating: number): number {
  if (!(rating >= 0 && rating <= 10)) throw new RangeError(`sessionLoad: expected a rating of 0–10, got ${rating}`);
  if (!(seconds >= 0)) throw new RangeError(`sessionLoad: expected seconds >= 0, got ${seconds}`);
  return (seconds / 60) * rating;
}
