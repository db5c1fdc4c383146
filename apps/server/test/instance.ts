/** An instance of the application on a database of its own, and desks to use it from. The database is the throw-away one of tools/test.mjs (GAMBITO_DATABASE). */
import { hash } from '@node-rs/argon2';
import { migrate } from '../src/migrations';
import { buildApp, type App, type AppConfig } from '../src/platform/app';
import { readConfig } from '../src/platform/config';
import { connect, type Database } from '../src/platform/database';

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE' | 'PATCH';
export interface Answer {
  readonly status: number;
  // what a test looks into is checked by the test
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly json: any;
  readonly headers: Readonly<Record<string, unknown>>;
}
export type Desk = (method: Method, url: string, body?: unknown) => Promise<Answer>;

export interface Instance {
  readonly app: App;
  readonly database: Database;
  /** the time of day of the application; set it to travel */
  readonly clock: { now: Date };
  /** a desk that nobody is signed in at */
  readonly stranger: Desk;
  desk(cookie: string): Desk;
  /** a coach of one's own, signed in */
  newCoach(email: string): Promise<{ desk: Desk; id: number; cookie: string }>;
  close(): Promise<void>;
}

export const plainConfig: AppConfig = {
  demo: false,
  webDirectory: null,
  logLevel: 'silent',
  proxies: [],
  https: false,
  address: null,
  threads: 2,
  boardWait: 20_000,
  backupAt: null,
};
export const password = 'a long lantern';
/** The same for every coach of a test, and quick to compare with: how dear a hash is in earnest has a test of its own. */
const cheapHash = hash(password, { memoryCost: 8, timeCost: 1, parallelism: 1 });

/** A database by its name; tools/test.mjs made it. */
export function databaseNamed(name: string): Database {
  const config = readConfig(process.env);
  return connect({ ...config.database, name });
}

export const cookieOf = (headers: Readonly<Record<string, unknown>>): string => String(headers['set-cookie']).split(';')[0]!;

function deskOn(app: App, cookie: string): Desk {
  return async (method, url, body) => {
    const payload = body === undefined ? {} : { payload: body as object };
    const answer = await app.inject({ method, url: `/api${url}`, ...payload, headers: cookie ? { cookie } : {} });
    const isJson = /json/.test(String(answer.headers['content-type']));
    return { status: answer.statusCode, json: isJson && answer.body !== '' ? answer.json() : answer.body || null, headers: answer.headers };
  };
}

export async function openInstance(name: string, change: Partial<AppConfig> = {}, database = databaseNamed(name)): Promise<Instance> {
  await migrate(database);
  const clock = { now: new Date('2026-11-25T12:00:00Z') };
  const app = await buildApp(database, { ...plainConfig, ...change }, () => clock.now);
  const desk = (cookie: string): Desk => deskOn(app, cookie);
  return {
    app,
    database,
    clock,
    desk,
    stranger: desk(''),
    newCoach: async (email) => {
      const row = { email, name: email, passwordHash: await cheapHash, timeZone: 'UTC', units: 'kg', rules: {}, founder: null };
      const { id } = await database.models.coaches.create(row);
      const { headers } = await desk('')('POST', '/login', { email, password });
      const cookie = cookieOf(headers);
      return { id, cookie, desk: desk(cookie) };
    },
    close: async () => {
      await app.close();
      await database.close();
    },
  };
}

export const squall = '# Squall\nAMRAP 12:00\n8 burpee\n15 air squat\nintent: 8-12 rounds\n';
export const addAthlete = async (desk: Desk, name: string, change: Record<string, unknown> = {}): Promise<number> =>
  (await desk('POST', '/athletes', { file: { name, category: 'women', level: 'trained', ...change } })).json.id as number;
export const addWorkout = async (desk: Desk, text = squall): Promise<number> => (await desk('POST', '/workouts', { text })).json.id as number;
/** The link of a version that was sent. */
export async function sendTo(desk: Desk, workout: number, athlete: number): Promise<string> {
  const { sends } = (await desk('POST', `/workouts/${workout}/sends`, { athleteIds: [athlete] })).json as { sends: { athleteId: number; token: string }[] };
  return sends.find((each) => each.athleteId === athlete)!.token;
}

/** Until something holds, however long work in the background takes on a full machine; what never comes to hold ends with the limit of its test. */
export const until = async (holds: () => Promise<boolean>): Promise<boolean> => {
  for (let tries = 0; tries < 20_000; tries++) {
    if (await holds()) return true;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  return false;
};
/** A job when it is done. */
export async function finished(desk: Desk, id: number): Promise<Answer['json']> {
  let job: Answer['json'] = null;
  await until(async () => (job = (await desk('GET', `/jobs/${id}`)).json).finished === true);
  return job;
}
