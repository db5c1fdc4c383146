/** The tables as Sequelize sees them, bound to one connection: two applications in one process each have their own. Only stores use these. JSON columns come back parsed. */
import { everybody } from '@gambito/contract';
import { DataTypes, type ModelStatic, type Sequelize } from 'sequelize';
import type {
  AthleteRow,
  BackupRow,
  ClassClockRow,
  ClassRunRow,
  CoachRow,
  DeliveryRow,
  DoorRow,
  FigureRow,
  InvitationRow,
  JobItemRow,
  JobRow,
  LeaseRow,
  LockRow,
  MessageRow,
  ProposalRow,
  ReadingRow,
  ResetRow,
  RevisionRow,
  ScoreRow,
  PainReportRow,
  SendRow,
  SessionRow,
  TallyRow,
  WorkoutRow,
} from './rows';

export interface Models {
  readonly coaches: ModelStatic<CoachRow>;
  readonly sessions: ModelStatic<SessionRow>;
  readonly invitations: ModelStatic<InvitationRow>;
  readonly resets: ModelStatic<ResetRow>;
  readonly browsers: ModelStatic<ResetRow>;
  readonly messages: ModelStatic<MessageRow>;
  readonly backups: ModelStatic<BackupRow>;
  readonly doors: ModelStatic<DoorRow>;
  readonly proposals: ModelStatic<ProposalRow>;
  readonly deliveries: ModelStatic<DeliveryRow>;
  readonly classClocks: ModelStatic<ClassClockRow>;
  readonly classRuns: ModelStatic<ClassRunRow>;
  readonly athletes: ModelStatic<AthleteRow>;
  readonly figures: ModelStatic<FigureRow>;
  readonly workouts: ModelStatic<WorkoutRow>;
  readonly revisions: ModelStatic<RevisionRow>;
  readonly locks: ModelStatic<LockRow>;
  readonly sends: ModelStatic<SendRow>;
  readonly painReports: ModelStatic<PainReportRow>;
  readonly scores: ModelStatic<ScoreRow>;
  readonly readings: ModelStatic<ReadingRow>;
  readonly jobs: ModelStatic<JobRow>;
  readonly jobItems: ModelStatic<JobItemRow>;
  readonly tallies: ModelStatic<TallyRow>;
  readonly leases: ModelStatic<LeaseRow>;
}

// functions, because Sequelize writes the column's name into the object it is given
const id = () => ({ type: DataTypes.INTEGER.UNSIGNED, primaryKey: true, autoIncrement: true });
const number = () => ({ type: DataTypes.INTEGER.UNSIGNED, allowNull: false });
const key = () => ({ type: DataTypes.INTEGER.UNSIGNED, allowNull: false, primaryKey: true });
const hashed = () => ({ type: DataTypes.CHAR(64), primaryKey: true });
const text = () => ({ type: DataTypes.TEXT, allowNull: false });
const string = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const named = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false, primaryKey: true });
/** who did it; blank where nobody was noted */
const byName = () => ({ ...string(120), defaultValue: '' });
const json = () => ({ type: DataTypes.JSON, allowNull: false });
const maybeJson = () => ({ type: DataTypes.JSON, allowNull: true });
const moment = () => ({ type: DataTypes.DATE(3), allowNull: false });
const maybe = () => ({ type: DataTypes.DATE(3), allowNull: true });

/** The columns of every table; the migrations make them, and a test compares the two with a live database. */
const columns = {
  coaches: {
    id: id(),
    email: string(190),
    name: string(120),
    passwordHash: string(255),
    timeZone: string(64),
    units: string(2),
    rules: json(),
    founder: { type: DataTypes.TINYINT.UNSIGNED, allowNull: true },
    tiers: { ...json(), defaultValue: [] },
    words: { ...json(), defaultValue: [] },
    firstDay: { type: DataTypes.TINYINT.UNSIGNED, allowNull: false, defaultValue: 1 },
    deskId: { type: DataTypes.INTEGER.UNSIGNED, allowNull: true },
    calendarToken: { type: DataTypes.CHAR(32), allowNull: true },
    messenger: { ...string(10), defaultValue: 'works' },
    ritual: { type: DataTypes.TEXT, allowNull: true },
    logByHours: { type: DataTypes.SMALLINT.UNSIGNED, allowNull: false, defaultValue: 36 },
  },
  sessions: {
    tokenHash: hashed(),
    coachId: number(),
    expiresAt: moment(),
    device: { ...string(200), defaultValue: '' },
    createdAt: moment(),
  },
  invitations: { tokenHash: hashed(), coachId: number(), expiresAt: moment(), shared: { type: DataTypes.TINYINT.UNSIGNED, allowNull: false, defaultValue: 0 } },
  resets: { tokenHash: hashed(), coachId: number(), expiresAt: moment() },
  browsers: { tokenHash: hashed(), coachId: number(), expiresAt: moment() },
  messages: { id: id(), coachId: number(), recipient: string(190), subject: string(200), body: text(), createdAt: moment() },
  backups: {
    id: id(),
    file: string(300),
    bytes: { type: DataTypes.BIGINT.UNSIGNED, allowNull: false },
    rowCount: number(),
    failure: { type: DataTypes.STRING(500), allowNull: true },
    createdAt: moment(),
  },
  doors: { athleteId: key(), token: { type: DataTypes.CHAR(32), allowNull: false }, expiresAt: moment(), revokedAt: maybe(), openedAt: maybe() },
  proposals: {
    id: id(),
    coachId: number(),
    athleteId: number(),
    change: json(),
    settledAt: maybe(),
    taken: { type: DataTypes.TINYINT.UNSIGNED, allowNull: true },
    createdAt: moment(),
  },
  deliveries: {
    id: id(),
    coachId: number(),
    workoutId: number(),
    athleteId: number(),
    sentAt: moment(),
    recipient: string(190),
    subject: string(200),
    body: text(),
    state: string(10),
    tries: { ...number(), defaultValue: 0 },
    nextTryAt: maybe(),
    failure: { type: DataTypes.STRING(300), allowNull: true },
    createdAt: moment(),
  },
  classClocks: {
    workoutId: key(),
    startedAt: maybe(),
    pausedAt: maybe(),
    pausedMs: { ...number(), defaultValue: 0 },
    endedAt: maybe(),
    later: json(),
    begins: maybeJson(),
  },
  classRuns: { workoutId: key(), athleteId: key(), run: json(), seenAt: moment() },
  athletes: {
    id: id(),
    coachId: number(),
    name: string(120),
    file: json(),
    revision: number(),
    deletedAt: maybe(),
  },
  workouts: {
    id: id(),
    coachId: number(),
    title: string(200),
    text: text(),
    day: { type: DataTypes.DATEONLY, allowNull: true },
    tags: { ...json(), defaultValue: [] },
    audience: { ...json(), defaultValue: everybody },
    facts: maybeJson(),
    revision: number(),
    changedBy: byName(),
    deletedAt: maybe(),
    updatedAt: moment(),
  },
  revisions: { workoutId: key(), revision: key(), text: text(), savedAt: moment(), savedBy: byName() },
  locks: { id: id(), workoutId: number(), athleteId: number(), locks: json(), changedBy: byName() },
  sends: {
    id: id(),
    workoutId: number(),
    athleteId: number(),
    token: { type: DataTypes.CHAR(32), allowNull: false },
    originalText: text(),
    versionText: text(),
    brief: json(),
    expected: json(),
    sentAt: moment(),
    sentBy: byName(),
    expiresAt: moment(),
    revokedAt: maybe(),
    openedAt: maybe(),
    today: maybeJson(),
  },
  painReports: {
    id: id(),
    coachId: number(),
    athleteId: number(),
    workoutId: { type: DataTypes.INTEGER.UNSIGNED, allowNull: true },
    title: string(200),
    day: { type: DataTypes.DATEONLY, allowNull: false },
    bodyPart: string(80),
    severity: { type: DataTypes.TINYINT.UNSIGNED, allowNull: false },
    movement: string(80),
    note: string(500),
    toldAt: moment(),
    takenBackAt: maybe(),
    settledAt: maybe(),
  },
  scores: {
    id: id(),
    workoutId: number(),
    athleteId: number(),
    score: string(400),
    note: string(1000),
    versionText: text(),
    originalText: text(),
    enteredBy: string(10),
    enteredName: byName(),
    rating: { type: DataTypes.TINYINT.UNSIGNED, allowNull: true },
    measured: maybeJson(),
    teaches: { type: DataTypes.TINYINT.UNSIGNED, allowNull: false, defaultValue: 1 },
    replaces: { type: DataTypes.INTEGER.UNSIGNED, allowNull: true },
    deletedAt: maybe(),
    createdAt: moment(),
  },
  readings: {
    scoreId: key(),
    coachId: number(),
    workoutId: number(),
    athleteId: number(),
    revision: number(),
    readRevision: { type: DataTypes.INTEGER.UNSIGNED, allowNull: true },
    model: { type: DataTypes.STRING(40), allowNull: true },
    reading: maybeJson(),
    lesson: maybeJson(),
    past: maybeJson(),
    leasedUntil: maybe(),
    failures: number(),
  },
  jobs: {
    id: id(),
    coachId: number(),
    kind: string(20),
    task: json(),
    press: { type: DataTypes.STRING(60), allowNull: true },
    cancelledAt: maybe(),
    createdAt: moment(),
  },
  jobItems: {
    jobId: key(),
    athleteId: key(),
    state: string(10),
    message: { type: DataTypes.STRING(500), allowNull: true },
    leasedBy: { type: DataTypes.STRING(40), allowNull: true },
    leasedUntil: maybe(),
  },
  figures: { id: id(), athleteId: number(), name: string(120), told: string(190), createdAt: moment() },
  tallies: { name: named(100), count: number(), resetsAt: moment() },
  leases: { name: named(60), owner: string(60), heldUntil: moment() },
};

/** A table's columns for one connection: Sequelize writes into what it is given. */
const ownOf = <Columns extends object>(table: Columns): Columns =>
  Object.fromEntries(Object.entries(table).map(([name, column]) => [name, { ...column }])) as Columns;

/** Defines all tables on one connection. */
export function defineModels(sequelize: Sequelize): Models {
  return {
    coaches: sequelize.define<CoachRow>('coaches', ownOf(columns.coaches)),
    sessions: sequelize.define<SessionRow>('sessions', ownOf(columns.sessions)),
    invitations: sequelize.define<InvitationRow>('invitations', ownOf(columns.invitations)),
    resets: sequelize.define<ResetRow>('resets', ownOf(columns.resets)),
    browsers: sequelize.define<ResetRow>('browsers', ownOf(columns.browsers)),
    messages: sequelize.define<MessageRow>('messages', ownOf(columns.messages)),
    backups: sequelize.define<BackupRow>('backups', ownOf(columns.backups)),
    doors: sequelize.define<DoorRow>('doors', ownOf(columns.doors)),
    proposals: sequelize.define<ProposalRow>('proposals', ownOf(columns.proposals)),
    deliveries: sequelize.define<DeliveryRow>('deliveries', ownOf(columns.deliveries)),
    classClocks: sequelize.define<ClassClockRow>('class_clocks', ownOf(columns.classClocks)),
    classRuns: sequelize.define<ClassRunRow>('class_runs', ownOf(columns.classRuns)),
    athletes: sequelize.define<AthleteRow>('athletes', ownOf(columns.athletes)),
    figures: sequelize.define<FigureRow>('figures', ownOf(columns.figures)),
    workouts: sequelize.define<WorkoutRow>('workouts', ownOf(columns.workouts)),
    revisions: sequelize.define<RevisionRow>('workout_revisions', ownOf(columns.revisions)),
    locks: sequelize.define<LockRow>('locks', ownOf(columns.locks)),
    sends: sequelize.define<SendRow>('sends', ownOf(columns.sends)),
    painReports: sequelize.define<PainReportRow>('pain_reports', ownOf(columns.painReports)),
    scores: sequelize.define<ScoreRow>('scores', ownOf(columns.scores)),
    readings: sequelize.define<ReadingRow>('readings', ownOf(columns.readings)),
    jobs: sequelize.define<JobRow>('jobs', ownOf(columns.jobs)),
    jobItems: sequelize.define<JobItemRow>('job_items', ownOf(columns.jobItems)),
    tallies: sequelize.define<TallyRow>('tallies', ownOf(columns.tallies)),
    leases: sequelize.define<LeaseRow>('leases', ownOf(columns.leases)),
  };
}
