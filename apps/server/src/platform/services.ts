/** What every use case is given: the stores, the workers, the clock, and how the instance is reached. */
import type { ArchiveStore } from '../archive/store';
import type { AthleteStore } from '../athletes/store';
import type { ResetStore } from '../auth/resets';
import type { DeskPeopleStore } from '../auth/desk-people-store';
import type { BrowserStore, CoachStore, InvitationStore, SessionStore } from '../auth/store';
import type { BackupLog } from '../backup/log';
import type { CalendarStore } from '../calendars/store';
import type { DeliveryStore } from '../deliveries/store';
import type { DiscomfortStore } from '../discomforts/store';
import type { DoorStore, ProposalStore } from '../doors/store';
import type { JobStore } from '../jobs/store';
import type { Outbox } from '../outbox/store';
import type { ReadingStore } from '../readings/store';
import type { ScoreStore } from '../scores/store';
import type { SendStore } from '../sends/store';
import type { Rooms } from '../together/rooms';
import type { SharedTime } from '../together/shared-time';
import type { ClassStore } from '../together/store';
import type { RecordStore } from '../record/store';
import type { RevisionStore } from '../workouts/revisions';
import type { WorkoutStore } from '../workouts/store';
import type { Limiter } from './limits';
import type { Pool } from './pool/pool';

export interface Services {
  readonly demo: boolean;
  readonly now: () => Date;
  /** people reach it over https */
  readonly https: boolean;
  /** where people reach it; null: as the request came */
  readonly address: string | null;
  /** time of day at which the starter takes a backup; null: it takes none */
  readonly backupAt: string | null;
  /** ms that a board waits for scores nobody has read yet */
  readonly boardWait: number;
  readonly pool: Pool;
  readonly limiter: Limiter;
  readonly coaches: CoachStore;
  readonly sessions: SessionStore;
  readonly browsers: BrowserStore;
  readonly deskPeople: DeskPeopleStore;
  readonly invitations: InvitationStore;
  readonly calendars: CalendarStore;
  readonly doors: DoorStore;
  readonly proposals: ProposalStore;
  readonly discomforts: DiscomfortStore;
  readonly classes: ClassStore;
  /** who watches a class on this server */
  readonly rooms: Rooms;
  readonly sharedTime: SharedTime;
  readonly deliveries: DeliveryStore;
  readonly resets: ResetStore;
  readonly outbox: Outbox;
  readonly backups: BackupLog;
  readonly athletes: AthleteStore;
  readonly workouts: WorkoutStore;
  readonly revisions: RevisionStore;
  readonly sends: SendStore;
  readonly scores: ScoreStore;
  readonly readings: ReadingStore;
  readonly record: RecordStore;
  readonly jobs: JobStore;
  readonly archive: ArchiveStore;
  /** whether the database answers */
  readonly databaseAnswers: () => Promise<boolean>;
  /** background work has something to do: it need not wait for its next turn */
  readonly wake: () => void;
}
