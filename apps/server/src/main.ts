/** Starts the server: connects, migrates, loads the demo where it is the demo, listens. */
import { seedDemo } from './demo/seed';
import { migrate } from './migrations';
import { buildApp, type App } from './platform/app';
import { readConfig } from './platform/config';
import { connect } from './platform/database';

const config = readConfig(process.env);
const sequelize = connect(config.database);
const app = await prepareApp().catch((error: unknown) => {
  // a database error carries the data of its query; its message is enough to act on
  process.stderr.write(`Gambito could not start: ${error instanceof Error ? error.message || error.name : String(error)}\n`);
  process.exit(1);
});

async function prepareApp(): Promise<App> {
  await migrate(sequelize);
  const built = await buildApp(sequelize, config);
  if (config.demo) await seedDemo(new Date(), (text) => process.stdout.write(`${text}\n`));
  return built;
}

const stop = async (): Promise<void> => {
  await app.close();
  await sequelize.close();
  process.exit(0);
};
process.on('SIGTERM', () => void stop());
process.on('SIGINT', () => void stop());

try {
  await app.listen({ port: config.port, host: config.host });
  process.stdout.write(`Gambito: http://${config.host === '0.0.0.0' ? 'localhost' : config.host}:${config.port}${config.demo ? ' (demo)' : ''}\n`);
} catch (error) {
  process.stderr.write(
    error instanceof Error && 'code' in error && error.code === 'EADDRINUSE'
      ? `Port ${config.port} is taken; choose another one: npm start -- --port ${config.port + 1}\n`
      : `${String(error)}\n`,
  );
  process.exit(1);
}
