/** The morning after: twelve scores by keyboard in a minute, what to change next time, messages that stumble, what a watch and a strap told, and a score that is refused. */
import { expect, test, type Page } from '@playwright/test';
import { accessible, fresh, open, phone, sendTo } from './desk';

interface Person {
  readonly id: number;
  readonly name: string;
}
const everybody = async (page: Page): Promise<Person[]> =>
  ((await (await page.request.get('/api/athletes?results=no')).json()) as { athletes: Person[] }).athletes;

test('twelve scores by keyboard, within a minute; the board compares them and says what to change, which a key takes', async ({ page }) => {
  const address = await fresh(page, '# Ledger\nAMRAP 10:00\n10 air squat\n8 push-up\nwindow: 6-7 rounds');
  await page.goto(`${address}/board`);
  const fields = page.getByRole('complementary').getByRole('textbox', { name: /Score/ });
  await expect(fields.first()).toBeVisible();
  const before = await fields.count();
  const began = Date.now();
  for (let count = 0; count < 12; count++) {
    await fields.first().focus();
    await page.keyboard.type(`${7 + (count % 4)}+${count}`);
    await page.keyboard.press('Enter');
    // what is doubtful is asked about, and answered by the same key
    await expect(async () => {
      if ((await fields.count()) > before - count - 1) await page.keyboard.press('Enter');
      expect(await fields.count()).toBe(before - count - 1);
    }).toPass();
  }
  expect(Date.now() - began).toBeLessThan(60_000);
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

  await open(page);
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
