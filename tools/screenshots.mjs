/** Pictures of each main view from the demo, into docs/screenshots. `node tools/screenshots.mjs [name …]` against a running demo (GAMBITO_URL). */
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { root } from './lib/root.mjs';

const url = process.env.GAMBITO_URL ?? 'http://127.0.0.1:4780';
const out = process.env.GAMBITO_SHOTS ?? join(root, 'docs/screenshots');
mkdirSync(out, { recursive: true });
const wanted = process.argv.slice(2);

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' });
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
const page = await context.newPage();
page.on('pageerror', (error) => console.error('page error:', error.message));
page.on('console', (message) => message.type() === 'error' && console.error('console:', message.text()));
await page.goto(`${url}/login`);
await page.getByRole('button', { name: 'Open the demo desk' }).click();
await page.waitForURL(`${url}/`);
const json = async (path, options) => (await context.request.fetch(`${url}/api${path}`, options)).json();
const { workouts } = await json('/workouts');
const id = (title) => workouts.find((each) => each.title === title).id;
const { athletes } = await json('/athletes');
const who = (name) => athletes.find((each) => each.name === name).id;
const { sends } = await json(`/workouts/${id('Breakwater')}/sends`, {
  method: 'POST',
  data: { athleteIds: [who('Corvalume'), who('Orvenna'), who('Tabrik')] },
});
const token = sends.find((each) => each.athleteId === who('Corvalume')).token;
// a nested workout shows what an athlete's page is for: sets of rounds, rests, boxes to tick
const nested = await json(`/workouts/${id('Cold Store')}/sends`, { method: 'POST', data: { athleteIds: [who('Corvalume')] } });
const nestedToken = nested.sends.find((each) => each.athleteId === who('Corvalume')).token;
const settle = () => page.waitForTimeout(900);
const phone = { width: 390, height: 844 };

const shots = {
  async desk() {
    await page.goto(url);
    await page.getByRole('heading', { name: 'Breakwater' }).waitFor();
  },
  async write() {
    await page.goto(`${url}/workouts/${id('Breakwater')}/write`);
    await page.getByText('Work by pattern').or(page.getByLabel('Work by pattern')).first().waitFor();
    // the class is looked through a moment after the text
    await page.getByText(/of \d+ as written/).waitFor({ timeout: 60000 });
  },
  async adapt() {
    await page.goto(`${url}/workouts/${id('Breakwater')}/adapt`);
    await page.getByRole('status', { name: 'The class' }).waitFor({ timeout: 30000 });
  },
  async version() {
    await page.goto(`${url}/workouts/${id('Breakwater')}/adapt?who=${who('Orvenna')}`);
    await page.getByRole('status', { name: 'The class' }).waitFor({ timeout: 30000 });
    await page.locator('aside li button').first().click();
    await page.getByRole('button', { name: /^Use / }).first().waitFor();
  },
  async send() {
    await page.goto(`${url}/workouts/${id('Breakwater')}/send`);
    await page.getByRole('button', { name: 'Copy all links' }).waitFor();
  },
  async board() {
    await page.goto(`${url}/workouts/${id('Fog Signal')}/board`);
    await page.getByText('Index (100 = par)').waitFor();
  },
  async week() {
    await page.goto(`${url}/week`);
    await page.getByRole('region', { name: 'What the week works on' }).waitFor();
  },
  async workouts() {
    await page.goto(`${url}/workouts`);
    await page.getByRole('link', { name: 'Ebb' }).waitFor();
  },
  async sheet() {
    await page.goto(`${url}/workouts/${id('Breakwater')}/sheet`);
    await page.getByRole('button', { name: 'Print' }).and(page.locator(':enabled')).waitFor({ timeout: 60000 });
  },
  async account() {
    await page.goto(`${url}/account`);
    await page.getByRole('button', { name: 'Link to this desk' }).waitFor();
  },
  async people() {
    await page.goto(`${url}/people`);
    await page.getByText('Orvenna').waitFor();
  },
  async person() {
    await page.goto(`${url}/people/${who('Tabrik')}`);
    await page.getByText('Loads this kit makes').waitFor();
  },
  async rules() {
    await page.goto(`${url}/rules`);
    await page.getByText('Easier push-up').waitFor();
  },
  async record() {
    await page.goto(`${url}/people/${who('Thessin')}/record`);
    await page.getByText('Moves it by').waitFor();
  },
  async run() {
    const ids = ['Corvalume', 'Orvenna', 'Tabrik', 'Ylmarra', 'Sasquel', 'Lumerik', 'Wendrith'].map(who);
    const { sends: class_ } = await json(`/workouts/${id('Breakwater')}/sends`, { method: 'POST', data: { athleteIds: ids } });
    await json(`/workouts/${id('Breakwater')}/class`, { method: 'PUT' });
    const { clock } = await json(`/workouts/${id('Breakwater')}/class/moves`, { method: 'POST', data: { move: 'start' } });
    // past the count-in, and into the first round
    await page.waitForTimeout(40_000);
    for (const [at, { token: link }] of class_.entries())
      if (at % 4 !== 3)
        await json(`/a/${link}/class`, {
          method: 'PUT',
          data: { startedAt: clock.startedAt, taps: at % 2 ? [{ at: 24 + at, cue: 0 }] : [], ended: {}, finishedAt: null },
        });
    await page.goto(`${url}/workouts/${id('Breakwater')}/run`);
    await page.getByText('Share an implement').click();
    await page.getByRole('combobox', { name: /^One/ }).selectOption('dumbbell');
    for (const name of ['Corvalume', 'Lumerik']) await page.getByRole('checkbox', { name }).check();
  },
  async athlete() {
    await page.setViewportSize(phone);
    await page.goto(`${url}/a/${nestedToken}`);
    await page.getByText('Start the clock').waitFor();
  },
  async door() {
    await page.setViewportSize(phone);
    const { door } = await json('/athletes/1/door', { method: 'PUT' });
    await page.goto(`${url}/a/own/${door.token}`);
    await page.getByRole('heading', { name: 'Your days' }).waitFor();
  },
  async clock() {
    await page.setViewportSize(phone);
    await page.goto(`${url}/a/${token}/clock`);
    await page.getByRole('button', { name: 'Start' }).click();
    await page.evaluate(() => {
      for (const key of Object.keys(localStorage))
        if (key.startsWith('gambito.clock.'))
          localStorage.setItem(
            key,
            JSON.stringify({
              ...JSON.parse(localStorage.getItem(key)),
              startedAt: Date.now() - 187_000,
              taps: [
                { at: 88, cue: 0 },
                { at: 176, cue: 0 },
              ],
            }),
          );
    });
    await page.reload();
    await page.getByRole('button', { name: 'Round done' }).waitFor();
  },
  async night() {
    await page.addInitScript(() => localStorage.setItem('gambito.theme', 'dark'));
    await shots.adapt();
  },
};
for (const [name, prepare] of Object.entries(shots)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  await page.setViewportSize({ width: 1280, height: 800 });
  await prepare();
  await settle();
  await page.screenshot({ path: join(out, `${name}.png`) });
  console.log(name);
}
await browser.close();
