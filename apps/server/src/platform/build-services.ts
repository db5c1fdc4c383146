/** Puts together what the use cases are given. */
import { archiveStore } from '../archive/store';
import { athleteStore } from '../athletes/store';
import { resetStore } from '../auth/resets';
import { deskPeopleStore } from '../auth/desk-people-store';
import { browserStore, coachStore, invitationStore, sessionStore } from '../auth/store';
import { backupLog } from '../backup/log';
import { calendarStore } from '../calendars/store';
import { deliveryStore } from '../deliveries/store';
import { discomfortStore } from '../discomforts/store';
import { doorStore, proposalStore } from '../doors/store';
import { jobStore } from '../jobs/store';
import { outboxOn } from '../outbox/store';
import { readingStore } from '../readings/store';
import { recordStore } from '../record/store';
import { scoreStore } from '../scores/store';
import { sendStore } from '../sends/store';
import { roomsOn } from '../together/rooms';
import { sharedTimeOf } from '../together/shared-time';
import { classStore } from '../together/store';
import { revisionStore } from '../workouts/revisions';
import { workoutStore } from '../workouts/store';
import type { Config } from './config';
import type { Database } from './database';
import { limiterOn } from './limits';
import { openPool } from './pool/pool';
import type { Services } from './services';

export function buildServices(
  database: Database,
  { demo, https, address, threads, boardWait, backupAt }: Pick<Config, 'demo' | 'https' | 'address' | 'threads' | 'boardWait' | 'backupAt'>,
  now: () => Date,
  wake: () => void,
): Services {
  const classes = classStore(database);
  const [sends, scores] = [sendStore(database), scoreStore(database)];
  return {
    demo,
    https,
    address,
    boardWait,
    backupAt,
    now,
    wake,
    pool: openPool(threads),
    limiter: limiterOn(database),
    coaches: coachStore(database),
    sessions: sessionStore(database),
    browsers: browserStore(database),
    deskPeople: deskPeopleStore(database),
    invitations: invitationStore(database),
    calendars: calendarStore(database),
    doors: doorStore(database),
    proposals: proposalStore(database),
    discomforts: discomfortStore(database),
    classes,
    rooms: roomsOn(classes),
    sharedTime: sharedTimeOf(() => classes.databaseTime()),
    deliveries: deliveryStore(database),
    resets: resetStore(database),
    outbox: outboxOn(database),
    backups: backupLog(database),
    athletes: athleteStore(database),
    workouts: workoutStore(database),
    revisions: revisionStore(database),
    sends,
    scores,
    archive: archiveStore(database, sends, scores),
    record: recordStore(database),
    readings: readingStore(database),
    jobs: jobStore(database),
    databaseAnswers: () => database.answers(),
  };
}
