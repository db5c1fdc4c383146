/** Starts the server: connects, migrates, loads the demo where it is the demo, listens. */
import { seedDemo } from './demo/seed';
import { migrate } from './migrations';
import { buildApp, type App } from './platform/app';
import { readConfig, type Config } from './platform/config';
import { connect, type Database } from './platform/database';
import { modelRevision } from './platform/model-revision';
import { readingStore } from './readings/store';
import { isAway } from './platform/trouble';
import { watchLoop } from './platform/watch';

const say = (text: string): void => void process.stdout.write(`${text}\n`);
const complain = (text: string): void => void process.stderr.write(`${text}\n`);

/** A database error carries the data of its query; its message is enough to act on. */
const messageOf = (error: unknown): string => (error instanceof Error ? error.message || error.name : String(error));

/** ms a database may take to come up before the server gives up */
const patience = 60_000;
async function whenThere<T>(run: () => Promise<T>): Promise<T> {
  const began = Date.now();
  for (let said = false; ; said = true) {
    try {
      return await run();
    } catch (error) {
      if (!isAway(error) || Date.now() - began > patience) throw error;
      if (!said) complain('Waiting for the database …');
      await new Promise((resolve) => setTimeout(resolve, 500));
    }
  }
}

async function prepare(database: Database, config: Config): Promise<App> {
  await whenThere(() => migrate(database));
  if (config.demo) await seedDemo(database, new Date(), say);
  await readingStore(database).outdateOtherModels(modelRevision);
  return buildApp(database, config);
}

/** @returns exit code */
async function listen(app: App, { port, host, demo }: Config): Promise<number | null> {
  try {
    await app.listen({ port, host });
    say(`Gambito: http://${host === '0.0.0.0' ? 'localhost' : host}:${port}${demo ? ' (demo)' : ''}`);
    return null;
  } catch (error) {
    const taken = error instanceof Error && 'code' in error && error.code === 'EADDRINUSE';
    complain(taken ? `Port ${port} is taken; choose another one: npm start -- --port ${port + 1}` : messageOf(error));
    return 1;
  }
}

async function start(): Promise<void> {
  const config = readConfig(process.env);
  if (config.watch) watchLoop(say);
  const database = connect(config.database);
  const app = await prepare(database, config);
  const stop = async (code: number): Promise<void> => {
    await app.close();
    await database.close().catch(() => undefined);
    process.exit(code);
  };
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, () => void stop(0));
  // the starter died: nobody is left to stop this server
  process.on('disconnect', () => void stop(0));
  const failed = await listen(app, config);
  if (failed !== null) await stop(failed);
}

await start().catch((error: unknown) => {
  complain(`Gambito could not start: ${messageOf(error)}`);
  process.exit(1);
});
