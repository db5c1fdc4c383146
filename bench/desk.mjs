/**
 * `npm run bench -- desk`: how the coach's screens feel, in Chromium against a running demo (GAMBITO_URL). First paint and readiness of every screen, a roster of five hundred,
 * and a class of forty with two hundred slots: frames while versions are computed, and how long a key takes.
 */
import { chromium } from '@playwright/test';

const url = process.env.GAMBITO_URL ?? 'http://127.0.0.1:4780';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--disable-gpu', '--no-sandbox'] });

async function demoDesk() {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(`${url}/login`);
  await page.getByRole('button', { name: 'Open the demo desk' }).click();
  await page.waitForURL(`${url}/`);
  return page;
}
/** A coach with an empty desk of their own. */
async function newcomer(demo, name) {
  const { token } = await (await demo.request.post(`${url}/api/invitations`)).json();
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  const data = { name, email: `${name}${Date.now()}@lanterns.example`, password: 'a long lantern', timeZone: 'UTC', units: 'kg' };
  await page.request.post(`${url}/api/join/${token}`, { data });
  return page;
}
const kits = [
  ['dumbbell 12.5 kg', 'chair 45 cm', 'wall'],
  ['barbell 20 kg, plates 2x20 2x10 2x5 kg', 'pull-up bar', 'box 50 cm', 'rope', 'rowing machine', 'run route 200 m'],
  ['kettlebell 16 kg', 'kettlebell 24 kg', 'pull-up bar', 'rope', 'wall'],
  ['adjustable dumbbell 4-24 kg step 2 x 2', 'band heavy', 'chair 45 cm'],
];
const people = (count) =>
  Array.from({ length: count }, (_, at) => ({
    id: null,
    file: {
      name: `Lantern ${String(at + 1).padStart(3, '0')}`,
      category: at % 2 ? 'men' : 'women',
      level: ['new', 'newer', 'trained', 'competitive'][at % 4],
      groups: [['ferry crew', 'keepers', 'shore'][at % 3]],
      best_sets: { push_up: 10 + (at % 40), strict_pull_up: at % 12 },
      place: { name: 'home', kit: kits[at % kits.length] },
    },
  }));
const movements = [
  'burpee',
  'air squat',
  'push-up',
  'sit-up',
  'walking lunge',
  'ring row',
  'goblet squat @ 16 kg',
  'db push press @ 2x12.5 kg',
  'box jump @ 50 cm',
  'v-up',
];
const long = `# Long Watch\n${Array.from({ length: 20 }, (_, part) => `AMRAP 2:00\n${Array.from({ length: 10 }, (_u, at) => `${4 + ((part + at) % 6)} ${movements[(part * 3 + at) % movements.length]}`).join('\n')}`).join('\n\n')}\n`;

const rounded = (ms) => `${Math.round(ms)} ms`;
/** Longest and late frames from now on. */
const watchFrames = (page) =>
  page.evaluate(() => {
    const frames = { longest: 0, late: 0, all: 0, last: performance.now() };
    window.frames_ = frames;
    const next = (now) => {
      const took = now - frames.last;
      frames.last = now;
      frames.all++;
      if (took > 50) frames.late++;
      frames.longest = Math.max(frames.longest, took);
      requestAnimationFrame(next);
    };
    requestAnimationFrame(next);
  });
const framesSeen = (page) => page.evaluate(() => ({ longest: window.frames_.longest, late: window.frames_.late, all: window.frames_.all }));

async function paints(page, path, there) {
  await page.goto(`${url}${path}`);
  await there(page).first().waitFor({ timeout: 60_000 });
  return page.evaluate(() => ({
    paint: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0,
    ready: performance.now(),
    requests: performance.getEntriesByType('resource').length + 1,
    script: performance
      .getEntriesByType('resource')
      .filter(({ name }) => name.endsWith('.js'))
      .reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0),
  }));
}

const demo = await demoDesk();
const { workouts } = await (await demo.request.get(`${url}/api/workouts`)).json();
const id = workouts.find(({ title }) => title === 'Breakwater').id;
const h1 = (page) => page.getByRole('heading', { level: 1 });
console.log('screens (first paint, ready, requests, script):');
for (const [path, there] of [
  ['/', (page) => page.getByRole('heading', { name: 'Breakwater' })],
  ['/week', h1],
  ['/workouts', (page) => page.getByRole('link', { name: 'Breakwater' })],
  ['/people', (page) => page.getByRole('link', { name: 'Orvenna' })],
  ['/rules', h1],
  ['/account', h1],
  [`/workouts/${id}/write`, (page) => page.getByRole('img')],
  [`/workouts/${id}/adapt`, (page) => page.getByRole('list', { name: 'Versions' }).getByRole('button')],
  [`/workouts/${id}/send`, (page) => page.getByRole('row')],
  [`/workouts/${id}/board`, h1],
]) {
  const { paint, ready, requests, script } = await paints(demo, path, there);
  console.log(
    `  ${path.replace(/\d+/, ':id').padEnd(22)} ${rounded(paint).padStart(7)} ${rounded(ready).padStart(7)} ${String(requests).padStart(3)} ${(script / 1024).toFixed(0)} kB`,
  );
}

const roster = await newcomer(demo, 'roster');
await roster.request.post(`${url}/api/athletes/many`, { data: { athletes: people(500) } });
const began = Date.now();
await roster.goto(`${url}/people`);
await roster.getByRole('link', { name: 'Lantern 500' }).waitFor({ timeout: 60_000 });
console.log(`roster of 500: there after ${rounded(Date.now() - began)}`);
await watchFrames(roster);
const typing = Date.now();
await roster.getByLabel('Search people').pressSequentially('kettlebell keepers');
await roster.getByRole('status').filter({ hasText: 'of 500' }).waitFor();
console.log(`  18 keys of search: ${rounded((Date.now() - typing) / 18)} a key; frames`, await framesSeen(roster));

const hall = await newcomer(demo, 'hall');
await hall.request.post(`${url}/api/athletes/many`, { data: { athletes: people(40) } });
const made = await (await hall.request.post(`${url}/api/workouts`, { data: { text: long, day: null } })).json();
await hall.goto(`${url}/workouts/${made.id}/adapt`);
await hall.getByRole('list', { name: 'Versions' }).getByRole('button').first().waitFor({ timeout: 60_000 });
const class0 = Date.now();
await watchFrames(hall);
await hall.getByRole('status', { name: 'The class' }).waitFor({ timeout: 600_000 });
console.log(`40 athletes and 3 tiers, 200 slots: all there after ${rounded(Date.now() - class0)}; frames meanwhile`, await framesSeen(hall));
await hall.goto(`${url}/workouts/${made.id}/write`);
await hall.getByRole('textbox', { name: 'Workout text' }).click();
await hall.keyboard.press('Control+End');
await watchFrames(hall);
const keys = Date.now();
await hall.keyboard.type('AMRAP 5:00 ten more');
console.log(`  19 keys in its text: ${rounded((Date.now() - keys) / 19)} a key; frames`, await framesSeen(hall));
await browser.close();
