/**
 * Who watches which class on this server. One look at the database a class tells all of them, however many they are;
 * what another server changed is seen by the next look.
 */
import type { ClassNews, ClassRoomNews } from '@gambito/contract';
import type { ClassStore, OpenClass, SeenRun } from './store';

/** ms between two looks while somebody watches */
const look = 400;
/** ms a run may become visible after its time: two servers write at once */
const overlap = 2_000;

/** One screen that listens. */
export interface Listener {
  tell(news: ClassNews | ClassRoomNews): void;
  /** this server stops */
  end(): void;
}
interface Room {
  /** who is told of one athlete's clock, and who of everybody's runs */
  readonly phones: Map<Listener, number>;
  readonly desks: Set<Listener>;
  open: OpenClass | null;
  told: string;
  runs: Map<number, SeenRun>;
  /** ms by the database: everything seen until then was told */
  seenUntil: number;
  timer: ReturnType<typeof setTimeout> | null;
  /** looks are one after the other: an older answer never comes after a newer one */
  looking: Promise<void>;
}
/** streams of one athlete at once on one server: a phone, a tablet, and those of connections that were lost and nobody noticed yet */
const mostPhones = 8;

export interface Rooms {
  /** @returns how to stop */
  follow(workoutId: number, athleteId: number, listener: Listener): () => void;
  watch(workoutId: number, listener: Listener): () => void;
  /** somebody here changed the clock: told at once */
  nudge(workoutId: number): void;
  close(): void;
}

const newsOf = (open: OpenClass | null, athleteId: number): ClassNews => ({
  clock: open?.clock ?? null,
  later: open?.later[athleteId] ?? 0,
  begin: open?.begins[athleteId] ?? null,
});
const emptyRoom = (): Room => ({
  phones: new Map(),
  desks: new Set(),
  open: null,
  told: '',
  runs: new Map(),
  seenUntil: 0,
  timer: null,
  looking: Promise.resolve(),
});

/** Runs that nobody was told of yet. */
function freshRuns(room: Room, runs: readonly SeenRun[]): SeenRun[] {
  const fresh = runs.filter(({ athleteId, seenAt }) => (room.runs.get(athleteId)?.seenAt ?? 0) < seenAt);
  for (const run of fresh) {
    room.runs.set(run.athleteId, run);
    room.seenUntil = Math.max(room.seenUntil, run.seenAt);
  }
  return fresh;
}
function tellAll(room: Room, open: OpenClass | null, fresh: readonly SeenRun[]): void {
  const words = JSON.stringify(open);
  const changed = words !== room.told;
  room.open = open;
  room.told = words;
  if (changed) for (const [phone, athleteId] of room.phones) phone.tell(newsOf(open, athleteId));
  if (changed || fresh.length > 0)
    for (const desk of room.desks) desk.tell({ clock: open?.clock ?? null, later: open?.later ?? {}, begins: open?.begins ?? {}, runs: fresh });
}

/** One link holds a few streams open, and no more: a new one ends the oldest. */
function makeRoom(room: Room, athleteId: number): void {
  const phones = [...room.phones].filter(([, whose]) => whose === athleteId).map(([phone]) => phone);
  for (const oldest of phones.slice(0, Math.max(0, phones.length - mostPhones + 1))) {
    room.phones.delete(oldest);
    oldest.end();
  }
}

/** One look, told to whoever has not heard it. */
async function see(store: ClassStore, workoutId: number, room: Room): Promise<void> {
  const open = await store.find(workoutId);
  const runs = room.desks.size === 0 ? [] : await store.runsSince(workoutId, room.seenUntil - overlap);
  tellAll(room, open, freshRuns(room, runs));
}

export function roomsOn(store: ClassStore): Rooms {
  const rooms = new Map<number, Room>();
  /** A database that is away is looked at again: the screens go on by themselves meanwhile. */
  const lookNow = (workoutId: number, room: Room): Promise<void> =>
    (room.looking = room.looking.then(() => see(store, workoutId, room)).catch(() => undefined));
  const turn = (workoutId: number, room: Room): void => {
    void lookNow(workoutId, room).then(() => {
      if (rooms.get(workoutId) === room) room.timer = setTimeout(() => turn(workoutId, room), look);
    });
  };
  const enter = (workoutId: number): Room => {
    const standing = rooms.get(workoutId);
    if (standing) return standing;
    const room = emptyRoom();
    rooms.set(workoutId, room);
    turn(workoutId, room);
    return room;
  };
  const leave = (workoutId: number, room: Room): void => {
    if (room.phones.size + room.desks.size > 0) return;
    if (room.timer) clearTimeout(room.timer);
    rooms.delete(workoutId);
  };
  return {
    follow: (workoutId, athleteId, listener) => {
      const room = enter(workoutId);
      makeRoom(room, athleteId);
      room.phones.set(listener, athleteId);
      if (room.told !== '') listener.tell(newsOf(room.open, athleteId));
      return () => {
        room.phones.delete(listener);
        leave(workoutId, room);
      };
    },
    watch: (workoutId, listener) => {
      const room = enter(workoutId);
      // whoever comes first has everything to hear
      if (room.desks.size === 0) room.seenUntil = 0;
      room.desks.add(listener);
      if (room.told !== '')
        listener.tell({ clock: room.open?.clock ?? null, later: room.open?.later ?? {}, begins: room.open?.begins ?? {}, runs: [...room.runs.values()] });
      return () => {
        room.desks.delete(listener);
        leave(workoutId, room);
      };
    },
    nudge: (workoutId) => {
      const room = rooms.get(workoutId);
      if (room) void lookNow(workoutId, room);
    },
    close: () => {
      const listeners = [...rooms.values()].flatMap(({ phones, desks }) => [...phones.keys(), ...desks]);
      for (const room of rooms.values()) if (room.timer) clearTimeout(room.timer);
      rooms.clear();
      for (const listener of listeners) listener.end();
    },
  };
}
