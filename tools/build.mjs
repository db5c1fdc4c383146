/** Builds what is run: the command line and the server (one bundle each, dependencies stay in node_modules), and the web application. `node tools/build.mjs [cli] [server] [web]` */
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { markBuilt, newestSource, unmarkBuilt } from './lib/built.mjs';
import { root } from './lib/root.mjs';

const wanted = process.argv.slice(2);
const newest = newestSource();
const wants = (name) => wanted.length === 0 || wanted.includes(name);

async function bundle(entry, outfile, extra = {}) {
  const { build } = await import('esbuild');
  await build({
    entryPoints: [join(root, entry)],
    outfile: join(root, outfile),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'warning',
    sourcemap: true,
    ...extra,
  });
}

if (wanted.length === 0) unmarkBuilt();
// the starter was killed: two builds at once would take each other's files
process.on('disconnect', () => process.exit(1));
// what listens for that must not keep a build alive that is done
process.channel?.unref();

// an npm install of production dependencies alone has no esbuild: nothing to prepare then
const canBuild = existsSync(join(root, 'node_modules/esbuild'));
if (canBuild && wants('cli')) {
  await bundle('apps/cli/src/main.ts', 'apps/cli/dist/gambito.mjs', {
    minifySyntax: true,
    banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
  });
}
if (canBuild && wants('server')) {
  for (const [entry, name] of [
    ['main', 'server'],
    ['platform/pool/worker', 'pool-worker'],
    ['keeper', 'keeper'],
  ])
    await bundle(`apps/server/src/${entry}.ts`, `apps/server/dist/${name}.mjs`, {
      packages: 'external',
      plugins: [keepWorkspaces()],
      define: { GAMBITO_MODEL: JSON.stringify(hashOf('packages/core/src')) },
    });
}
if (wants('web')) {
  const { build } = await import('vite');
  await build({ root: join(root, 'apps/web'), logLevel: 'warn' });
  const { serviceWorker } = await import('./lib/service-worker.mjs');
  await build({
    root: join(root, 'apps/web'),
    configFile: join(root, 'apps/web/vite.athlete.config.ts'),
    logLevel: 'warn',
    plugins: [serviceWorker(join(root, 'apps/web/src/athlete-sw.js'))],
  });
}

if (wanted.length === 0) markBuilt(newest);

/** What a folder holds, hashed: readings made with another model are made anew. */
function hashOf(folder) {
  const hash = createHash('sha256');
  const visit = (directory) => {
    for (const entry of readdirSync(directory, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
      const path = join(directory, entry.name);
      if (entry.isDirectory()) visit(path);
      else hash.update(entry.name).update(readFileSync(path));
    }
  };
  visit(join(root, folder));
  return hash.digest('hex').slice(0, 20);
}

/** Third-party packages stay external; our own workspaces are TypeScript and go into the bundle. */
function keepWorkspaces() {
  return {
    name: 'keep-workspaces',
    setup(build) {
      build.onResolve({ filter: /^@gambito\// }, ({ path }) => ({ path: join(root, 'packages', path.replace('@gambito/', ''), 'src/index.ts') }));
    },
  };
}
