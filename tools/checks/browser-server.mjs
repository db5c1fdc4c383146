/** The server that the browser's checks use: one, with the demo once, on a database of its own. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from '../lib/root.mjs';
import { freePort } from '../lib/ports.mjs';
import { Refusal } from '../lib/say.mjs';

/** Waits until it answers; it loads its demo first, and how long that takes is the machine's. @throws {Refusal} when it ends instead */
async function answers(url, server, said) {
  while (server.exitCode === null && server.signalCode === null) {
    const fine = await fetch(`${url}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (fine) return;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  throw new Refusal(`The server did not start for the browser’s checks:\n${said()}`);
}

/** @param environment of its database @returns its address, and how to stop it */
export async function startBrowserServer(environment) {
  const port = await freePort();
  const server = spawn(process.execPath, ['--enable-source-maps', 'apps/server/dist/server.mjs'], {
    cwd: root,
    // every test opens a desk from an address of its own
    env: {
      ...process.env,
      ...environment,
      GAMBITO_PORT: String(port),
      GAMBITO_DEMO: '1',
      GAMBITO_WEB: join(root, 'apps/web/dist'),
      GAMBITO_PROXY: '127.0.0.1',
    },
  });
  let output = '';
  for (const stream of [server.stdout, server.stderr]) stream.on('data', (data) => (output = (output + data).slice(-4000)));
  const ended = new Promise((resolve) => server.once('exit', resolve));
  const url = `http://127.0.0.1:${port}`;
  const stop = async () => {
    if (server.exitCode === null && server.signalCode === null) server.kill('SIGTERM');
    await ended;
  };
  try {
    await answers(url, server, () => output);
  } catch (error) {
    await stop();
    throw error;
  }
  return { url, stop };
}
