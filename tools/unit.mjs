/** `npm run unit -- PATTERN …`: bundles the unit tests and runs those whose path matches; without a database the server's are left out. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { root } from './lib/root.mjs';
import { bundleUnits } from './lib/unit-bundle.mjs';

await bundleUnits();
const run = spawnSync(join(root, 'node_modules/.bin/jest'), process.argv.slice(2), {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, NODE_OPTIONS: '--experimental-vm-modules --no-warnings' },
});
process.exitCode = run.status ?? 1;
