/** A row of each table. Only stores see one. */
import type { Audience } from '@gambito/contract';
import type { HouseWord, WorkoutFacts } from '@gambito/core';
import type { CreationOptional, InferAttributes, InferCreationAttributes, Model } from 'sequelize';

type Row<Self extends Model> = Model<InferAttributes<Self>, InferCreationAttributes<Self>>;

export interface CoachRow extends Row<CoachRow> {
  id: CreationOptional<number>;
  email: string;
  name: string;
  passwordHash: string;
  timeZone: string;
  units: string;
  rules: unknown;
  /** 1 for who set the instance up, null for everybody else: unique, so that there is one */
  founder: number | null;
  /** of the week: 0 Sunday, 1 Monday */
  firstDay: CreationOptional<number>;
  /** named by the coach; none: the usual ones */
  tiers: CreationOptional<string[]>;
  /** what was answered about words of messages */
  words: CreationOptional<HouseWord[]>;
  /** whose desk this coach works at; null: their own */
  deskId: CreationOptional<number | null>;
  /** of the calendar feed; null: there is none */
  calendarToken: CreationOptional<string | null>;
  /** how the stand-in for a messenger behaves: works, stumbles, refuses */
  messenger: CreationOptional<string>;
  /** lines of the coach's own warm-up; null: none was written */
  ritual: CreationOptional<string | null>;
  /** h after midnight of its day at which a score is due */
  logByHours: CreationOptional<number>;
}
export interface SessionRow extends Row<SessionRow> {
  tokenHash: string;
  coachId: number;
  expiresAt: Date;
  /** what the browser calls itself */
  device: CreationOptional<string>;
  createdAt: CreationOptional<Date>;
}
export interface InvitationRow extends Row<InvitationRow> {
  tokenHash: string;
  /** who invites */
  coachId: number;
  expiresAt: Date;
  /** 1: to the desk of who invites; 0: to a desk of one's own */
  shared: CreationOptional<number>;
}
/** A link to a new password; only the hash of its token is kept. */
export interface ResetRow extends Row<ResetRow> {
  tokenHash: string;
  coachId: number;
  expiresAt: Date;
}
/** What went out, as the stand-in for a messenger keeps it. */
export interface MessageRow extends Row<MessageRow> {
  id: CreationOptional<number>;
  /** whose outbox it is in */
  coachId: number;
  recipient: string;
  subject: string;
  body: string;
  createdAt: CreationOptional<Date>;
}
export interface BackupRow extends Row<BackupRow> {
  id: CreationOptional<number>;
  file: string;
  bytes: number;
  rowCount: number;
  /** what went wrong; null where the file is whole */
  failure: string | null;
  createdAt: CreationOptional<Date>;
}
export interface AthleteRow extends Row<AthleteRow> {
  id: CreationOptional<number>;
  coachId: number;
  name: string;
  file: Record<string, unknown>;
  revision: number;
  deletedAt: Date | null;
}
export interface WorkoutRow extends Row<WorkoutRow> {
  id: CreationOptional<number>;
  coachId: number;
  title: string;
  text: string;
  day: string | null;
  tags: CreationOptional<string[]>;
  audience: CreationOptional<Audience>;
  /** what the library finds it by; null before it was read */
  facts: CreationOptional<WorkoutFacts | null>;
  revision: number;
  /** who changed it last; blank where nobody was noted */
  changedBy: CreationOptional<string>;
  deletedAt: Date | null;
  updatedAt: CreationOptional<Date>;
}
export interface RevisionRow extends Row<RevisionRow> {
  workoutId: number;
  revision: number;
  text: string;
  savedAt: Date;
  savedBy: CreationOptional<string>;
}
export interface LockRow extends Row<LockRow> {
  id: CreationOptional<number>;
  workoutId: number;
  athleteId: number;
  locks: unknown;
  changedBy: CreationOptional<string>;
}
export interface SendRow extends Row<SendRow> {
  id: CreationOptional<number>;
  workoutId: number;
  athleteId: number;
  token: string;
  originalText: string;
  versionText: string;
  brief: unknown;
  /** a part: what the version expects */
  expected: unknown;
  sentAt: Date;
  sentBy: CreationOptional<string>;
  expiresAt: Date;
  revokedAt: Date | null;
  openedAt: CreationOptional<Date | null>;
  /** what the athlete asked for on the day, with the version made for it */
  today: CreationOptional<object | null>;
}
/** One report of pain. Its session is named here too: a report outlives its workout. */
export interface PainReportRow extends Row<PainReportRow> {
  id: CreationOptional<number>;
  coachId: number;
  athleteId: number;
  /** null: the workout is gone for good */
  workoutId: number | null;
  title: string;
  /** ISO date */
  day: string;
  bodyPart: string;
  /** 1 noticed, 2 had to change something, 3 had to stop */
  severity: number;
  movement: string;
  note: string;
  toldAt: Date;
  /** by the athlete */
  takenBackAt: CreationOptional<Date | null>;
  /** by the coach */
  settledAt: CreationOptional<Date | null>;
}
export interface ScoreRow extends Row<ScoreRow> {
  id: CreationOptional<number>;
  workoutId: number;
  athleteId: number;
  score: string;
  note: string;
  versionText: string;
  originalText: string;
  enteredBy: string;
  /** of the coach who entered it */
  enteredName: CreationOptional<string>;
  /** how hard it was said to be, 0–10; null where nobody said */
  rating: CreationOptional<number | null>;
  /** 0: the coach does not let it count for later versions */
  teaches: CreationOptional<number>;
  /** what devices and a watch told of it */
  measured: CreationOptional<object | null>;
  /** the score that counted before it */
  replaces: CreationOptional<number | null>;
  deletedAt: Date | null;
  createdAt: CreationOptional<Date>;
}
export interface ReadingRow extends Row<ReadingRow> {
  scoreId: number;
  coachId: number;
  workoutId: number;
  athleteId: number;
  /** grows when what it is read of changes: file, text, rules, earlier scores */
  revision: number;
  /** the revision and the model it was read with; null before the first time */
  readRevision: number | null;
  model: string | null;
  /** a board each; null where the score cannot be carried over */
  reading: unknown;
  lesson: unknown;
  /** what the score says for later versions of its athlete */
  past: CreationOptional<unknown>;
  /** one server reads it at a time */
  leasedUntil: Date | null;
  failures: number;
}
export interface JobRow extends Row<JobRow> {
  id: CreationOptional<number>;
  coachId: number;
  kind: string;
  /** what every item of it needs */
  task: unknown;
  press: string | null;
  cancelledAt: Date | null;
  createdAt: CreationOptional<Date>;
}
export interface JobItemRow extends Row<JobItemRow> {
  jobId: number;
  athleteId: number;
  state: string;
  message: string | null;
  leasedBy: string | null;
  leasedUntil: Date | null;
}
export interface TallyRow extends Row<TallyRow> {
  name: string;
  count: number;
  resetsAt: Date;
}
export interface LeaseRow extends Row<LeaseRow> {
  name: string;
  owner: string;
  heldUntil: Date;
}

export interface DoorRow extends Row<DoorRow> {
  athleteId: number;
  token: string;
  expiresAt: Date;
  revokedAt: Date | null;
  openedAt: Date | null;
}
/** What a file said of one figure from then on; blank: it went. */
export interface FigureRow extends Row<FigureRow> {
  id: CreationOptional<number>;
  athleteId: number;
  name: string;
  told: string;
  createdAt: CreationOptional<Date>;
}
/** What an athlete would have otherwise in their file. */
export interface ProposalRow extends Row<ProposalRow> {
  id: CreationOptional<number>;
  coachId: number;
  athleteId: number;
  change: object;
  /** null while it waits for the coach */
  settledAt: Date | null;
  taken: number | null;
  createdAt: CreationOptional<Date>;
}
/** One clock for a class: who opened it said nothing yet where `startedAt` is null. */
export interface ClassClockRow extends Row<ClassClockRow> {
  workoutId: number;
  startedAt: Date | null;
  pausedAt: Date | null;
  pausedMs: number;
  endedAt: Date | null;
  /** s by which somebody begins after the others, by athlete */
  later: object;
  /** the movement somebody begins with, by athlete */
  begins: CreationOptional<object | null>;
}
/** What one phone tapped in it. */
export interface ClassRunRow extends Row<ClassRunRow> {
  workoutId: number;
  athleteId: number;
  run: object;
  seenAt: Date;
}
/** A message to an athlete about what was sent, and how it fared. */
export interface DeliveryRow extends Row<DeliveryRow> {
  id: CreationOptional<number>;
  coachId: number;
  workoutId: number;
  athleteId: number;
  /** of which sending */
  sentAt: Date;
  recipient: string;
  subject: string;
  body: string;
  state: string;
  tries: number;
  nextTryAt: Date | null;
  failure: string | null;
  createdAt: CreationOptional<Date>;
}
