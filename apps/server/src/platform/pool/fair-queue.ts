/**
 * Who is next: coaches take turns, so that one with a thousand tasks does not keep another waiting. What somebody waits for goes first; what is being sent, what somebody
 * watches and what runs in the background have turns of their own, so that a busy hour never stops the others for good.
 */
export type Urgency = 'now' | 'send' | 'soon' | 'later';

/** whose turn it is, over and over; where nothing waits of it the most urgent is taken */
const turns: readonly Urgency[] = ['now', 'send', 'now', 'soon', 'now', 'send', 'now', 'later'];
const byUrgency: readonly Urgency[] = ['now', 'send', 'soon', 'later'];

interface Lane<T> {
  readonly coach: number;
  readonly waiting: T[];
}

/** most tasks of one coach that wait for an answer */
const mostWaiting = 100;

export class FairQueue<T> {
  private readonly lanes: Record<Urgency, Lane<T>[]> = { now: [], send: [], soon: [], later: [] };
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
    for (const urgency of [due, ...byUrgency]) {
      const item = this.nextOf(urgency);
      if (item !== undefined) return item;
    }
    return undefined;
  }

  /** Nobody waits for it any more. @returns whether it was still waiting */
  remove(item: T): boolean {
    for (const urgency of byUrgency) {
      const lanes = this.lanes[urgency];
      const at = lanes.findIndex(({ waiting }) => waiting.includes(item));
      if (at === -1) continue;
      const { waiting } = lanes[at]!;
      waiting.splice(waiting.indexOf(item), 1);
      if (waiting.length === 0) lanes.splice(at, 1);
      return true;
    }
    return false;
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
    for (const urgency of byUrgency) this.lanes[urgency] = [];
    return all;
  }
}
