/** The morning after: twelve scores by keyboard in a minute, what to change next time, messages that stumble, what a watch and a strap told, and a score that is refused. */
import { expect, test, type Page } from '@playwright/test';
import { accessible, fresh, logByKeyboard, newcomer, phone, sendTo } from './desk';

interface Person {
  readonly id: number;
  readonly name: string;
}
const everybody = async (page: Page): Promise<Person[]> =>
  ((await (await page.request.get('/api/athletes?results=no')).json()) as { athletes: Person[] }).athletes;

test('twelve scores by keyboard, within a minute; the board compares them and says what to change, which a key takes', async ({ page }) => {
  const address = await fresh(page, '# Ledger\nAMRAP 10:00\n10 air squat\n8 push-up\nwindow: 6-7 rounds');
  await page.goto(`${address}/board`);
  expect(
    await logByKeyboard(
      page,
      Array.from({ length: 12 }, (_, at) => `${7 + (at % 4)}+${at}`),
    ),
  ).toBeLessThan(60_000);
  await expect(page.getByText(/12 logged/)).toBeVisible();
  await page.getByText('Next time').click();
  const next = page.getByRole('region', { name: 'Next time' });
  const take = next.getByRole('button', { name: /^Take it for/ });
  await expect(take.first()).toBeVisible();
  await accessible(page);
  await take.first().focus();
  await page.keyboard.press('Enter');
  await expect(take.first()).toHaveText('Kept');
  const locks = async () =>
    ((await (await page.request.get(`/api${address}/locks`)).json()) as { locks: { locks: unknown[] }[] }).locks.filter(({ locks: of }) => of.length > 0)
      .length;
  await expect.poll(locks).toBe(1);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect.poll(locks).toBe(0);
});

test('messages: looked at, sent, failing at first, arriving; never twice', async ({ page }) => {
  const address = await fresh(page, '# Herald\nAMRAP 8:00\n8 burpee');
  await sendTo(page, address, 'Tabrik');
  await sendTo(page, address, 'Brontek');
  await page.goto('/account');
  await page.getByRole('combobox', { name: 'The stand-in for a messenger' }).selectOption('stumbles');
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.goto(`${address}/send`);
  await page.getByRole('button', { name: 'Write to them' }).click();
  const sheet = page.getByRole('dialog', { name: 'Write to them' });
  await expect(sheet.getByText('Brontek: no contact in the file')).toBeVisible();
  await sheet.getByText('tabrik@lanterns.example').click();
  await expect(sheet.getByText(/your version of Herald is here/)).toBeVisible();
  await accessible(page);
  await sheet.getByRole('button', { name: 'Send this message' }).click();
  const line = page.getByRole('row').filter({ hasText: 'Tabrik' });
  await expect(line.getByText(/tried 1 ×/)).toBeVisible({ timeout: 30_000 });
  await expect(line.getByText(/written to/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Write to them' }).click();
  await expect(sheet.getByText('Tabrik: told of this version already')).toBeVisible();
  await expect(sheet.getByRole('button', { name: 'Nothing to write' })).toBeDisabled();
  await page.request.put('/api/messenger', { data: { mode: 'works' } });
});

test('a run from a watch and a strap on the clock go with the score; the record has them, and refuses a score at a click', async ({
  page,
  browser,
  baseURL,
}) => {
  const address = await fresh(page, '# Mole\nfor time, cap 30:00\n1000 m run');
  const link = await sendTo(page, address, 'Hespin');
  const context = await browser.newContext({ viewport: phone, baseURL: baseURL! });
  const athlete = await context.newPage();
  await athlete.goto(`${link}/clock`);
  await athlete.getByText('devices').click();
  await athlete.getByRole('checkbox', { name: 'Heart-rate strap (stand-in)' }).check();
  await athlete.getByRole('button', { name: 'Start' }).click();
  await expect(athlete.getByText(/^\d{2,3}$/).first()).toBeVisible();
  await expect(athlete.getByRole('button', { name: 'Done', exact: true })).toBeEnabled({ timeout: 30_000 });
  await athlete.waitForTimeout(2500);
  await athlete.goto(link);
  // a thousandth of a degree of latitude is 111.2 m; a point every 30 s
  const points = Array.from(
    { length: 10 },
    (_, at) => `<trkpt lat="${38 + at / 1000}" lon="-28"><time>2026-11-28T07:0${Math.floor(at / 2)}:${at % 2 ? '30' : '00'}Z</time></trkpt>`,
  );
  await athlete.getByLabel('A run from a watch').setInputFiles({
    name: 'quay.gpx',
    mimeType: 'application/gpx+xml',
    buffer: Buffer.from(
      `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${points.join('')}</trkseg></trk></gpx>`,
    ),
  });
  await expect(athlete.getByText(/Measured: heart \d+ on the whole.*ran 1\.00 km in 4:30/)).toBeVisible();
  await athlete.getByRole('button', { name: 'Take 4:30 as the score' }).click();
  await athlete.getByRole('radio', { name: '8' }).check();
  await accessible(athlete);
  await athlete.getByRole('button', { name: 'Log' }).click();
  await expect(athlete.getByText('Logged: 4:30')).toBeVisible();
  await context.close();

  const { id } = (await everybody(page)).find(({ name }) => name === 'Hespin')!;
  await page.goto(`/people/${id}/record`);
  const row = page.getByRole('row').filter({ hasText: 'Mole' });
  await expect(row.getByText(/rated 8 · heart .* ran 1\.00 km in 4:30/)).toBeVisible();
  await accessible(page);
  await row.getByRole('button', { name: /^Refuse/ }).click();
  await expect(row.getByText('refused')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row.getByText('refused')).toHaveCount(0);
});

test('what hurt comes from the phone to the desk with what could be spared, and is spared at a click, undone by one', async ({ page, browser, baseURL }) => {
  const address = await fresh(page, '# Low Water\n3 rounds for time, cap 15:00\n12 deadlift @ 60/40 kg\n15 push-up');
  const link = await sendTo(page, address, 'Ylmarra');
  const context = await browser.newContext({ viewport: phone, baseURL: baseURL! });
  const hand = await context.newPage();
  await hand.goto(link);
  await hand.getByText('Something hurt', { exact: true }).click();
  await hand.getByRole('textbox', { name: 'Where it hurt' }).fill('low back');
  await hand.getByRole('combobox', { name: 'In which movement' }).selectOption({ label: 'Deadlift' });
  await hand.getByRole('button', { name: 'had to stop' }).click();
  await hand.getByRole('button', { name: 'Tell the coach' }).click();
  await expect(hand.getByText('Your coach sees it.')).toBeVisible();
  await context.close();

  await page.goto('/');
  const list = page.getByRole('region', { name: 'Something hurt' });
  const line = list.getByRole('listitem').filter({ hasText: 'Ylmarra' }).filter({ hasText: 'low back in Deadlift: had to stop.' });
  await expect(line.getByText(/12 deadlift .* →/)).toBeVisible();
  await expect(line.getByText(/licensed professional before the next session.*clears nobody/)).toBeVisible();
  await accessible(page);
  // on a phone it is as wide as the phone
  await page.setViewportSize(phone);
  await expect(line).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(phone.width);
  const avoid = async () => {
    const who = (await everybody(page)).find(({ name }) => name === 'Ylmarra')!;
    return ((await (await page.request.get(`/api/athletes/${who.id}`)).json()) as { file: { avoid?: string[] } }).file.avoid ?? [];
  };
  const before = await avoid();
  await line.getByRole('button', { name: 'Spare spinal loading from now on' }).click();
  await expect(line).toHaveCount(0);
  expect(await avoid()).toEqual([...before, 'spinal_loading']);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(line).toHaveCount(1);
  expect(await avoid()).toEqual(before);
  await line.getByRole('button', { name: /^Settle it/ }).click();
  await expect(line).toHaveCount(0);
});

test('a warm-up is written over, kept as the coach’s own, and undone; the athlete reads and plays it', async ({ page, browser, baseURL }) => {
  const address = await fresh(page, '# Kindling\nAMRAP 10:00\n10 air squat\n8 push-up');
  await page.goto(`${address}/adapt`);
  await page.getByRole('button', { name: /^Tabrik/ }).click();
  const panel = page.getByRole('complementary', { name: 'Version of Tabrik' });
  await panel.getByText(/^Warm-up, about \d+ min/).click();
  const field = panel.getByLabel('Warm-up of Tabrik');
  await expect(field).toHaveValue(/rounds: 30 s/);
  await field.fill('1:00 easy row\n2 rounds: 5 air squat, 5 push-up');
  await field.blur();
  await expect(panel.getByText(/about 2 min, and cool-down: in your words/)).toBeVisible();
  await accessible(page);
  await panel.getByRole('button', { name: 'Keep it as my own warm-up' }).click();
  const kept = page.getByRole('listitem').filter({ hasText: 'Kept: every warm-up begins with it' });
  const ritual = async () => ((await (await page.request.get('/api/ritual')).json()) as { ritual: string | null }).ritual;
  await expect.poll(ritual).toContain('1:00 easy row');
  await kept.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(ritual).toBeNull();

  const context = await browser.newContext({ viewport: phone, baseURL: baseURL! });
  const hand = await context.newPage();
  await hand.goto(await sendTo(page, address, 'Tabrik'));
  await expect(hand.getByText('2 rounds: 5 air squat, 5 push-up')).toBeVisible();
  await hand.getByRole('link', { name: 'Warm up by the clock' }).click();
  await hand.getByRole('button', { name: 'Start' }).click();
  await expect(hand.getByText('1:00 easy row')).toBeVisible();
  // on its side the clock and its button are on one screen
  await hand.setViewportSize({ width: phone.height, height: phone.width });
  await expect(hand.getByRole('timer')).toBeInViewport();
  await expect(hand.getByRole('button', { name: 'Finish' })).toBeInViewport({ ratio: 1 });
  expect(await hand.evaluate(() => document.documentElement.scrollHeight)).toBe(phone.width);
  await context.close();
  await panel.getByRole('button', { name: 'As Gambito makes it' }).click();
  await expect(panel.getByText(/in your words/)).toHaveCount(0);
});

test('a week of the demo on a desk of one’s own: looked at, sent, scored by keyboard, looked back on', async ({ page, browser }) => {
  const desk = await newcomer(page, browser, 'Weekold');
  const archive = await (await page.request.get('/api/archive')).body();
  expect((await desk.request.post('/api/archive', { data: archive, headers: { 'content-type': 'application/gzip' } })).ok()).toBe(true);
  const { workouts } = (await (await desk.request.get('/api/workouts')).json()) as { workouts: { id: number; title: string; day: string | null }[] };
  const dayOf = (title: string) => workouts.find((workout) => workout.title === title)!;
  // what the week has, and what was said of the days that are over
  await desk.goto('/week');
  await expect(desk.getByText('Breakwater').first()).toBeVisible();
  await desk.goto('/');
  await expect(desk.getByRole('region', { name: 'Not heard from' }).getByText(/Dorvane/)).toBeVisible();
  // today's and the two that come go out with a key each
  for (const title of ['Breakwater', 'Two Tides', 'Lantern Oil']) {
    await desk.goto(`/workouts/${dayOf(title).id}/send`);
    await desk.getByRole('button', { name: /^Send (?:all|the other)/ }).focus();
    await desk.keyboard.press('Enter');
    await expect(desk.getByRole('button', { name: 'All sent' })).toBeVisible({ timeout: 60_000 });
  }
  await desk.goto(`/workouts/${dayOf('Breakwater').id}/board`);
  expect(
    await logByKeyboard(
      desk,
      Array.from({ length: 12 }, (_, at) => `${9 + (at % 3)}+${at}`),
    ),
  ).toBeLessThan(60_000);
  await expect(desk.getByText(/12 logged/)).toBeVisible();
  // everybody's score stands in their record, read, within the week
  const who = (await everybody(desk)).find(({ name }) => name === 'Brontek')!;
  await desk.goto(`/people/${who.id}/record`);
  await expect(
    desk
      .getByRole('row')
      .filter({ hasText: 'Breakwater' })
      .getByText(/[+-]?\d+ %/)
      .first(),
  ).toBeVisible({ timeout: 60_000 });
  await expect(desk.getByText(/\d+ kept, \d+ missed/)).toBeVisible();
});
