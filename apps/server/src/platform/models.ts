/** The tables as Sequelize sees them. Stores use these; nothing else does. JSON columns come back parsed. */
import { DataTypes, type CreationOptional, type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from 'sequelize';

export class CoachRow extends Model<InferAttributes<CoachRow>, InferCreationAttributes<CoachRow>> {
  declare id: CreationOptional<number>;
  declare email: string;
  declare name: string;
  declare passwordHash: string;
  declare timeZone: string;
  declare units: string;
  declare rules: unknown;
}
export class SessionRow extends Model<InferAttributes<SessionRow>, InferCreationAttributes<SessionRow>> {
  declare tokenHash: string;
  declare coachId: number;
  declare expiresAt: Date;
}
export class AthleteRow extends Model<InferAttributes<AthleteRow>, InferCreationAttributes<AthleteRow>> {
  declare id: CreationOptional<number>;
  declare coachId: number;
  declare name: string;
  declare file: Record<string, unknown>;
  declare revision: number;
  declare deletedAt: Date | null;
}
export class WorkoutRow extends Model<InferAttributes<WorkoutRow>, InferCreationAttributes<WorkoutRow>> {
  declare id: CreationOptional<number>;
  declare coachId: number;
  declare title: string;
  declare text: string;
  declare day: string | null;
  declare revision: number;
  declare deletedAt: Date | null;
  declare updatedAt: CreationOptional<Date>;
}
export class LockRow extends Model<InferAttributes<LockRow>, InferCreationAttributes<LockRow>> {
  declare id: CreationOptional<number>;
  declare workoutId: number;
  declare athleteId: number;
  declare locks: unknown;
}
export class SendRow extends Model<InferAttributes<SendRow>, InferCreationAttributes<SendRow>> {
  declare id: CreationOptional<number>;
  declare workoutId: number;
  declare athleteId: number;
  declare token: string;
  declare originalText: string;
  declare versionText: string;
  declare brief: unknown;
  declare sentAt: Date;
  declare revokedAt: Date | null;
}
export class JobRow extends Model<InferAttributes<JobRow>, InferCreationAttributes<JobRow>> {
  declare id: CreationOptional<number>;
  declare coachId: number;
  declare total: number;
  declare done: number;
  declare failed: unknown;
  declare finishedAt: Date | null;
  declare updatedAt: CreationOptional<Date>;
}
export class ScoreRow extends Model<InferAttributes<ScoreRow>, InferCreationAttributes<ScoreRow>> {
  declare id: CreationOptional<number>;
  declare workoutId: number;
  declare athleteId: number;
  declare score: string;
  declare note: string;
  declare versionText: string;
  declare originalText: string;
  declare enteredBy: string;
  declare deletedAt: Date | null;
  declare createdAt: CreationOptional<Date>;
}

// functions, because Sequelize writes the column's name into the object it is given
const id = () => ({ type: DataTypes.INTEGER.UNSIGNED, primaryKey: true, autoIncrement: true });
const number = () => ({ type: DataTypes.INTEGER.UNSIGNED, allowNull: false });
const text = () => ({ type: DataTypes.TEXT, allowNull: false });
const string = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const json = () => ({ type: DataTypes.JSON, allowNull: false });
const moment = () => ({ type: DataTypes.DATE(3), allowNull: false });
const maybe = () => ({ type: DataTypes.DATE(3), allowNull: true });

export function defineModels(sequelize: Sequelize): void {
  CoachRow.init(
    { id: id(), email: string(190), name: string(120), passwordHash: string(255), timeZone: string(64), units: string(2), rules: json() },
    { sequelize, tableName: 'coaches' },
  );
  SessionRow.init({ tokenHash: { type: DataTypes.CHAR(64), primaryKey: true }, coachId: number(), expiresAt: moment() }, { sequelize, tableName: 'sessions' });
  AthleteRow.init(
    { id: id(), coachId: number(), name: string(120), file: json(), revision: number(), deletedAt: maybe() },
    { sequelize, tableName: 'athletes' },
  );
  WorkoutRow.init(
    {
      id: id(),
      coachId: number(),
      title: string(200),
      text: text(),
      day: { type: DataTypes.DATEONLY, allowNull: true },
      revision: number(),
      deletedAt: maybe(),
      updatedAt: moment(),
    },
    { sequelize, tableName: 'workouts' },
  );
  LockRow.init({ id: id(), workoutId: number(), athleteId: number(), locks: json() }, { sequelize, tableName: 'locks' });
  SendRow.init(
    {
      id: id(),
      workoutId: number(),
      athleteId: number(),
      token: { type: DataTypes.CHAR(32), allowNull: false },
      originalText: text(),
      versionText: text(),
      brief: json(),
      sentAt: moment(),
      revokedAt: maybe(),
    },
    { sequelize, tableName: 'sends' },
  );
  ScoreRow.init(
    {
      id: id(),
      workoutId: number(),
      athleteId: number(),
      score: string(400),
      note: string(1000),
      versionText: text(),
      originalText: text(),
      enteredBy: string(10),
      deletedAt: maybe(),
      createdAt: moment(),
    },
    { sequelize, tableName: 'scores' },
  );
  JobRow.init(
    { id: id(), coachId: number(), total: number(), done: number(), failed: json(), finishedAt: maybe(), updatedAt: moment() },
    { sequelize, tableName: 'jobs' },
  );
}
