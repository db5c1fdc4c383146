/** The tools beside the starter: the proxy before several servers, ports, what is installed and what is refused, the service worker's list, the table of constants. */
import { afterEach, describe, expect, test } from '@jest/globals';
import { createServer } from 'node:http';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { databaseAccount, giveTo, reachable } from '../lib/account.mjs';
import { root } from '../lib/root.mjs';
import { constantsTable } from '../lib/constants-table.mjs';
import { checkNode, installDebian } from '../lib/install.mjs';
import { freePort, portIsFree, thisOrFree } from '../lib/ports.mjs';
import { startProxy } from '../lib/proxy.mjs';
import { Refusal } from '../lib/say.mjs';
import { serviceWorker } from '../lib/service-worker.mjs';

const ends = [];
afterEach(async () => {
  for (const end of ends.splice(0)) await end();
});
/** A server that says what it was asked; it can be taken away. */
async function server(name) {
  const asked = [];
  const http = createServer((request, answer) => {
    let body = '';
    request.on('data', (chunk) => (body += chunk));
    request.on('end', () => {
      asked.push({ method: request.method, url: request.url, body, headers: request.headers });
      answer.writeHead(200, { 'x-name': name });
      answer.end(name);
    });
  });
  await new Promise((resolve) => http.listen(0, '127.0.0.1', resolve));
  const { port } = http.address();
  const stop = () => new Promise((resolve) => (http.closeAllConnections(), http.close(resolve)));
  ends.push(() => (http.listening ? stop() : undefined));
  return { port, asked, stop };
}
async function proxyTo(...targets) {
  const proxy = await startProxy(targets, 0);
  ends.push(() => proxy.stop());
  return (path, options) => fetch(`http://127.0.0.1:${proxy.port}${path}`, options);
}

describe('the proxy before several servers', () => {
  test('asks them in turn, with what was sent and who sent it', async () => {
    const [left, right] = [await server('left'), await server('right')];
    const ask = await proxyTo(
      () => left.port,
      () => right.port,
    );
    const answers = [];
    for (let at = 0; at < 4; at++) answers.push(await (await ask(`/api/${at}`, { method: 'POST', body: `body ${at}` })).text());
    expect(answers).toEqual(['left', 'right', 'left', 'right']);
    expect(left.asked.map(({ url, body }) => [url, body])).toEqual([
      ['/api/0', 'body 0'],
      ['/api/2', 'body 2'],
    ]);
    expect(left.asked[0].headers).toMatchObject({ 'x-forwarded-for': expect.stringMatching(/127\.0\.0\.1/), 'x-forwarded-proto': 'http' });
  });
  test('goes on to the next where one is down; a writing too, since nothing was asked of the first', async () => {
    const [gone, there] = [await server('gone'), await server('there')];
    await gone.stop();
    const ask = await proxyTo(
      () => gone.port,
      () => there.port,
      () => null,
    );
    for (let at = 0; at < 3; at++) expect(await (await ask('/', { method: 'PUT', body: 'x' })).text()).toBe('there');
    expect(there.asked).toHaveLength(3);
  });
  test('with none there it says so as every answer of the server does', async () => {
    const ask = await proxyTo(() => null);
    const answer = await ask('/api/me');
    expect([answer.status, answer.headers.get('content-type')]).toEqual([502, 'application/problem+json']);
    expect((await answer.json()).title).toMatch(/What you typed is kept/);
  });
});

describe('ports', () => {
  test('one that is free is taken as wanted, one that is not is another', async () => {
    const taken = await server('taken');
    expect(await portIsFree(taken.port)).toBe(false);
    const other = await thisOrFree(taken.port);
    expect(other).not.toBe(taken.port);
    const free = await freePort();
    expect(await portIsFree(free)).toBe(true);
    expect(await thisOrFree(free)).toBe(free);
  });
});

describe('what is installed', () => {
  const refusalOf = (run) => {
    try {
      run();
    } catch (error) {
      return error instanceof Refusal ? error.message : String(error);
    }
    return null;
  };
  test('what is there is not asked for', () => expect(refusalOf(() => installDebian({ node: 'nodejs', sh: 'dash' }))).toBeNull());
  test('without apt-get it is said what to install by hand', () => {
    const empty = mkdtempSync(join(tmpdir(), 'gambito-path-'));
    ends.push(() => rmSync(empty, { recursive: true }));
    symlinkSync('/bin/sh', join(empty, 'sh'));
    const ask = `import { installDebian } from '${join(root, 'tools/lib/install.mjs')}'; try { installDebian({ 'no-such-command': 'no-such-package', 'nor-this': 'nor-that' }) } catch (error) { console.log(error.message) }`;
    const { stdout } = spawnSync(process.execPath, ['--input-type=module', '-e', ask], { encoding: 'utf8', env: { PATH: empty } });
    expect(stdout).toMatch(/^Missing: no-such-package, nor-that\. This machine has no apt-get; install no-such-package and nor-that by hand/);
  });
  test('an old Node is refused in one sentence', () => {
    const { versions } = process;
    Object.defineProperty(process, 'versions', { value: { ...versions, node: '18.20.1' }, configurable: true });
    expect(refusalOf(checkNode)).toBe('Gambito needs Node 20.19 or later; this is 18.20.1.');
    Object.defineProperty(process, 'versions', { value: versions, configurable: true });
    expect(refusalOf(checkNode)).toBeNull();
  });
});

describe('the account of the database', () => {
  test('an ordinary user’s files stay where and whose they are', () => {
    const folder = mkdtempSync(join(tmpdir(), 'gambito-account-'));
    ends.push(() => rmSync(folder, { recursive: true }));
    const before = statSync(folder);
    const account = { name: 'x', uid: 54_321, gid: 54_321, admin: 'x', isSystem: false };
    expect(reachable(folder, account)).toBe(folder);
    giveTo(folder, account);
    expect([statSync(folder).uid, statSync(folder).mode]).toEqual([before.uid, before.mode]);
  });
  test('is never root', () => {
    const account = databaseAccount();
    expect(account.uid).not.toBe(0);
    expect(account.isSystem).toBe(process.getuid() === 0);
  });
});

describe('the service worker', () => {
  const made = (names) => {
    const folder = mkdtempSync(join(tmpdir(), 'gambito-worker-'));
    ends.push(() => rmSync(folder, { recursive: true }));
    const file = join(folder, 'worker.js');
    writeFileSync(file, "const assets = __ASSETS__;\nconst cache = 'gambito-athlete-__BUILD__';\n");
    const emitted = [];
    const bundle = Object.fromEntries(names.map((name) => [name, {}]));
    serviceWorker(file).generateBundle.call({ emitFile: (asset) => emitted.push(asset) }, {}, bundle);
    return emitted[0].source;
  };
  test('keeps scripts, styles and the letters that are drawn everywhere', () =>
    expect(made(['b.js', 'a.css', 'x-latin-wght-normal-1.woff2', 'x-cyrillic-wght-normal-1.woff2', 'picture.png'])).toContain(
      'const assets = ["/a.css","/b.js","/x-latin-wght-normal-1.woff2"]',
    ));
  test('is another whenever what it keeps is', () => {
    const buildOf = (source) => /gambito-athlete-([0-9a-f]{12})'/.exec(source)[1];
    expect(buildOf(made(['a.js']))).toBe(buildOf(made(['a.js'])));
    expect(buildOf(made(['a.js']))).not.toBe(buildOf(made(['b.js'])));
  });
});

describe('the constants in the docs', () => {
  const rows = (text) => [...text.matchAll(/^\| `(\w+)` \| (.+?) \|/gm)].map(([, name, value]) => `${name} ${value}`);
  test('are those of the code', () => {
    const [, page] = readFileSync(join(root, 'docs/model.md'), 'utf8').split('<!-- constants -->');
    expect(rows(page)).toEqual(rows(constantsTable()));
  });
});

describe('before anything is installed', () => {
  /** every module that a file asks for as it is read, and those that they ask for; `import(…)` comes later */
  const asked = (file, known = new Set()) => {
    for (const [, name] of readFileSync(file, 'utf8').matchAll(/^(?:import|(?:import|export)\s[^'"=]*\bfrom)\s+['"]([^'"]+)['"]/gm)) {
      const path = name.startsWith('.') ? join(dirname(file), name) : name;
      if (known.has(path)) continue;
      known.add(path);
      if (name.startsWith('.')) asked(path, known);
    }
    return known;
  };
  test.each(['tools/test.mjs', 'tools/start.mjs'])('%s asks for no package, so that it can install them', (file) => {
    const all = [...asked(join(root, file))];
    expect(all).toContain(join(root, 'tools/lib/install.mjs'));
    expect(all.filter((name) => !name.startsWith('node:') && !name.startsWith('/'))).toEqual([]);
  });
  test('a tool that asks for one is seen', () => {
    expect([...asked(join(root, 'tools/unit.mjs'))]).toContain('esbuild');
  });
});
