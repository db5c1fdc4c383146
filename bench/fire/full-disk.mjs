/** A disk that fills up under a running Gambito: writing is refused with a sentence, reading goes on, and when there is room again writing does. Needs root, for a small disk in memory. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { enter, newTally, visitor } from './writers.mjs';

const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));
const run = (command, ...args) => spawnSync(command, args, { stdio: 'ignore' }).status === 0;
const text = `# Full\nAMRAP 5:00\n5 burpee\n${'note: much to say\n'.repeat(200)}`;

/** What a write is answered, until it is answered as wished or the patience is over. */
async function writesUntil(way, wished, tries = 60) {
  for (let at = 0; at < tries; at++) {
    const { status } = await way.visit('POST', '/workouts', { text });
    if (status === wished) return at;
    await pause(250);
  }
  return -1;
}

/** @param start begins Gambito with its data below a folder, and gives its address and how to end it @returns whether it went as it should; null where it cannot be tried */
export async function fullDisk(start) {
  const folder = mkdtempSync(join(tmpdir(), 'gambito-disk-'));
  if (process.getuid() !== 0 || !run('mount', '-t', 'tmpfs', '-o', 'size=400m', 'tmpfs', folder)) {
    rmSync(folder, { recursive: true, force: true });
    return null;
  }
  const { base, end } = await start(folder);
  try {
    const way = visitor(() => base, newTally());
    await enter(way);
    await pause(2_000);
    run('dd', 'if=/dev/zero', `of=${join(folder, 'fill')}`, 'bs=1M', 'count=500');
    const refused = await writesUntil(way, 507);
    const reading = [(await way.visit('GET', '/workouts')).status, (await way.visit('GET', '/athletes')).status];
    rmSync(join(folder, 'fill'));
    const again = await writesUntil(way, 200);
    console.log(
      `\nA full disk: writing refused with its sentence ${refused < 0 ? 'NEVER' : 'at once'}, reading meanwhile ${reading.join(' and ')}, writing again ${again < 0 ? 'NEVER' : `after ${again} tries`}`,
    );
    return refused >= 0 && again >= 0 && reading.every((status) => status === 200);
  } finally {
    await end();
    run('umount', folder);
    rmSync(folder, { recursive: true, force: true });
  }
}
