/** The athlete's service worker with the list of what it keeps: a plugin of its build. */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';

/** letters that are drawn everywhere; others come from the server when they are needed */
const needed = /\.(?:js|css)$|latin-wght-normal.*\.woff2$/;

/** @param file the worker's source, with `__ASSETS__` and `__BUILD__` to be filled in */
export const serviceWorker = (file) => ({
  name: 'athlete-service-worker',
  generateBundle(_options, bundle) {
    const assets = Object.keys(bundle)
      .filter((name) => needed.test(name))
      .map((name) => `/${name}`)
      .sort();
    const source = readFileSync(file, 'utf8');
    const build = createHash('sha256').update(source).update(assets.join()).digest('hex').slice(0, 12);
    const filled = source
      .replace('const assets = __ASSETS__', () => `const assets = ${JSON.stringify(assets)}`)
      .replace("gambito-athlete-__BUILD__'", `gambito-athlete-${build}'`);
    this.emitFile({ type: 'asset', fileName: 'athlete-sw.js', source: filled });
  },
});
