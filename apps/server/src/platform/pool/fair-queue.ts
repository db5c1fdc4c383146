/**
 * Who is next: coaches take turns, so that one with a thousand tasks does not keep another waiting. What somebody waits for goes first, what somebody
 * watches comes soon, what runs in the background later; but each has its turns, so that a busy hour never stops the others for good.
 */
export type Urgency = 'now' | 'soon' | 'later';

/** whose turn it is, over and over; where nothing waits of it the most urgent is taken */
const turns: readonly Urgency[] = ['now', 'soon', 'now', 'now', 'later', 'now'];

interface Lane<T> {
  readonly coach: number;
  readonly waiting: T[];
}

/** most tasks of one coach that wait for an answer */
const mostWaiting = 100;

export class FairQueue<T> {
  private readonly lanes: Record<Urgency, Lane<T>[]> = { now: [], soon: [], later: [] };
  private turn = 0;

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
    const due = turns[this.turn++ % turns.length]!;
    return this.nextOf(due) ?? this.nextOf('now') ?? this.nextOf('soon') ?? this.nextOf('later');
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
    for (const urgency of turns) this.lanes[urgency] = [];
    return all;
  }
}
