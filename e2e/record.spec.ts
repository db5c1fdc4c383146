/** The morning after: twelve scores by keyboard, what to change next time, messages that stumble, what a watch and a strap told, and a score that is refused. */
import { dayFrom, everybody, expect, fresh, logByKeyboard, open, person, phone, sendTo, turnClock, test, today } from './desk';

test('twelve scores by keyboard; the board compares them and says what to change, which a key takes', async ({ page }) => {
  const address = await fresh(page, '# Ledger\nAMRAP 10:00\n10 air squat\n8 push-up\nwindow: 6-7 rounds');
  await page.goto(`${address}/board`);
  await logByKeyboard(
    page,
    Array.from({ length: 12 }, (_, at) => `${7 + (at % 4)}+${at}`),
  );
  await expect(page.getByText(/12 logged/)).toBeVisible();
  await page.getByText('Next time').click();
  const next = page.getByRole('region', { name: 'Next time' });
  const take = next.getByRole('button', { name: /^Take it for/ });
  await expect(take.first()).toBeVisible();
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
  const address = await fresh(page, '# Herald\nAMRAP 8:00\n8 burpee', ['Tabrik', 'Brontek']);
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
  await sheet.getByRole('button', { name: 'Send this message' }).click();
  const line = page.getByRole('row').filter({ hasText: 'Tabrik' });
  await expect(line.getByText(/written to/)).toBeVisible();
  // the first try failed, which is said while the next one is waited for
  const tries = async () =>
    ((await (await page.request.get('/api/deliveries')).json()) as { deliveries: { tries: number }[] }).deliveries.map((each) => each.tries);
  expect(Math.max(...(await tries()))).toBe(2);
  await page.getByRole('button', { name: 'Write to them' }).click();
  await expect(sheet.getByText('Tabrik: told of this version already')).toBeVisible();
  await expect(sheet.getByRole('button', { name: 'Nothing to write' })).toBeDisabled();
});

test('a run from a watch and a strap on the clock go with the score; the record has them, and refuses a score at a click', async ({ page, another }) => {
  const address = await fresh(page, '# Mole\nfor time, cap 30:00\n1000 m run', ['Hespin']);
  const link = await sendTo(page, address, 'Hespin');
  const context = await another({ viewport: phone });
  const athlete = await context.newPage();
  await turnClock(athlete);
  await athlete.goto(`${link}/clock`);
  await athlete.getByText('devices').click();
  await athlete.getByRole('checkbox', { name: 'Heart-rate strap (stand-in)' }).check();
  await athlete.getByRole('button', { name: 'Start' }).click();
  // a strap tells something every second; the count-in is ten
  await athlete.clock.runFor(13_000);
  await expect(athlete.getByRole('group', { name: 'Devices' })).toContainText(/\d{2,3} devices/);
  await expect(athlete.getByRole('button', { name: 'Done', exact: true })).toBeEnabled();
  await athlete.clock.runFor(3_000);
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
  await athlete.getByRole('button', { name: 'Log' }).click();
  await expect(athlete.getByText('Logged: 4:30')).toBeVisible();

  const { id } = (await everybody(page)).find(({ name }) => name === 'Hespin')!;
  await page.goto(`/people/${id}/record`);
  const row = page.getByRole('row').filter({ hasText: 'Mole' });
  await expect(row.getByText(/rated 8 · heart .* ran 1\.00 km in 4:30/)).toBeVisible();
  await row.getByRole('button', { name: /^Refuse/ }).click();
  await expect(row.getByText('refused')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row.getByText('refused')).toHaveCount(0);
});

test('what hurt comes from the phone to the desk with what could be spared, and is spared at a click, undone by one', async ({ page, another }) => {
  const address = await fresh(page, '# Low Water\n3 rounds for time, cap 15:00\n12 deadlift @ 60/40 kg\n15 push-up', ['Ylmarra']);
  const link = await sendTo(page, address, 'Ylmarra');
  const context = await another({ viewport: phone });
  const hand = await context.newPage();
  await hand.goto(link);
  await hand.getByText('Something hurt', { exact: true }).click();
  await hand.getByRole('textbox', { name: 'Where it hurt' }).fill('low back');
  await hand.getByRole('combobox', { name: 'In which movement' }).selectOption({ label: 'Deadlift' });
  await hand.getByRole('button', { name: 'had to stop' }).click();
  await hand.getByRole('button', { name: 'Tell the coach' }).click();
  await expect(hand.getByText('Your coach sees it.')).toBeVisible();

  await page.goto('/');
  const list = page.getByRole('region', { name: 'Something hurt' });
  const line = list.getByRole('listitem').filter({ hasText: 'Ylmarra' }).filter({ hasText: 'low back in Deadlift: had to stop.' });
  await expect(line.getByText(/12 deadlift .* →/)).toBeVisible();
  await expect(line.getByText(/licensed professional before the next session.*clears nobody/)).toBeVisible();
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

test('a warm-up is written over, kept as the coach’s own, and undone; the athlete reads and plays it', async ({ page, another }) => {
  const address = await fresh(page, '# Kindling\nAMRAP 10:00\n10 air squat\n8 push-up', ['Tabrik', 'Orvenna']);
  await page.goto(`${address}/adapt`);
  await page.getByRole('button', { name: /^Tabrik/ }).click();
  const panel = page.getByRole('complementary', { name: 'Version of Tabrik' });
  await panel.getByText(/^Warm-up, about \d+ min/).click();
  const field = panel.getByLabel('Warm-up of Tabrik');
  await expect(field).toHaveValue(/rounds: 30 s/);
  await field.fill('1:00 easy row\n2 rounds: 5 air squat, 5 push-up');
  await field.blur();
  await expect(panel.getByText(/about 2 min, and cool-down: in your words/)).toBeVisible();
  await panel.getByRole('button', { name: 'Keep it as my own warm-up' }).click();
  const kept = page.getByRole('listitem').filter({ hasText: 'Kept: every warm-up begins with it' });
  const ritual = async () => ((await (await page.request.get('/api/ritual')).json()) as { ritual: string | null }).ritual;
  await expect.poll(ritual).toContain('1:00 easy row');
  await kept.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(ritual).toBeNull();

  const context = await another({ viewport: phone });
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
  await panel.getByRole('button', { name: 'As Gambito makes it' }).click();
  await expect(panel.getByText(/in your words/)).toHaveCount(0);
});

test('a week on the desk: sent, scored by keyboard, looked back on', async ({ page }) => {
  const crew = ['Brontek', 'Tabrik', 'Orvenna', 'Ylmarra'];
  const breakwater = await open(page, crew);
  // three days that nobody answered
  for (const back of [9, 7, 5]) {
    const made = await page.request.post('/api/workouts', { data: { text: `# Day ${back}\nAMRAP 9:00\n9 burpee`, day: dayFrom(today(), -back) } });
    await sendTo(page, `/workouts/${((await made.json()) as { id: number }).id}`, 'Brontek');
  }
  await page.goto('/week');
  await expect(page.getByText('Breakwater').first()).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Not heard from' }).getByText(/Brontek/)).toBeVisible();
  await page.goto(`${breakwater}/send`);
  await page.getByRole('button', { name: /^Send (?:all|the other)/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'All sent' })).toBeVisible();
  await page.goto(`${breakwater}/board`);
  await logByKeyboard(
    page,
    crew.map((_, at) => `${9 + (at % 3)}+${at}`),
  );
  await expect(page.getByText(/4 logged/)).toBeVisible();
  // a score stands in the record, read
  await page.goto(`/people/${await person(page, 'Brontek')}/record`);
  await expect(
    page
      .getByRole('row')
      .filter({ hasText: 'Breakwater' })
      .getByText(/[+-]?\d+ %/)
      .first(),
  ).toBeVisible();
  await expect(page.getByText('1 kept, 3 missed')).toBeVisible();
});
