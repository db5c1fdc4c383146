/** Who is next: coaches take turns, so that one with a thousand tasks does not keep another waiting; what somebody waits for goes before what runs in the background. */
export type Urgency = 'now' | 'later';

interface Lane<T> {
  readonly coach: number;
  readonly waiting: T[];
}

/** most tasks of one coach that wait for an answer */
const mostWaiting = 100;

export class FairQueue<T> {
  private readonly lanes: Record<Urgency, Lane<T>[]> = { now: [], later: [] };

  /** @returns false when this coach has too many waiting */
  add(coach: number, urgency: Urgency, item: T): boolean {
    const lanes = this.lanes[urgency];
    const lane = lanes.find((each) => each.coach === coach);
    if (!lane) lanes.push({ coach, waiting: [item] });
    else if (lane.waiting.length >= mostWaiting) return false;
    else lane.waiting.push(item);
    return true;
  }

  next(): T | undefined {
    return this.nextOf('now') ?? this.nextOf('later');
  }

  /** The first of the lane that waited longest; the lane goes to the back. */
  private nextOf(urgency: Urgency): T | undefined {
    const lanes = this.lanes[urgency];
    const lane = lanes.shift();
    const item = lane?.waiting.shift();
    if (lane && lane.waiting.length > 0) lanes.push(lane);
    return item;
  }

  clear(): T[] {
    const all = Object.values(this.lanes).flatMap((lanes) => lanes.flatMap(({ waiting }) => waiting));
    this.lanes.now = [];
    this.lanes.later = [];
    return all;
  }
}
