/** What goes wrong on a working day, and how it is put right: two windows, no network, a wrong word, a second thought, a phone in a pocket, paper. */
import type { Page } from '@playwright/test';
import { expect, fresh, open, phone, saved, sendTo, signIn, turnClock, test } from './desk';

const squall = '# Squall\nAMRAP 12:00\n10 burpee\n15 air squat\nintent: 6-9 rounds';
const editor = (page: Page) => page.getByLabel('Workout text');
async function type(page: Page, text: string): Promise<void> {
  await editor(page).click();
  await page.keyboard.press('Control+A');
  await page.keyboard.insertText(text);
}

test.describe('writing', () => {
  test('with nobody answering the text stays, through a reload too, and goes out by itself when the server is back', async ({ page }) => {
    const address = await fresh(page, squall, []);
    await page.goto(`${address}/write`);
    await expect(editor(page)).toContainText('10 burpee');
    await page.route('**/api/workouts/*', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()));
    await type(page, squall.replace('10 burpee', '11 burpee'));
    await expect(page.getByRole('alert')).toContainText('What you typed is kept here');
    const away = { status: 503, contentType: 'application/problem+json' };
    const title = 'The database is away. What you typed is kept; try again in a moment.';
    await page.route('**/api/workouts/*', (route) =>
      route.request().method() === 'PUT' ? route.fulfill({ ...away, body: JSON.stringify({ code: 'database_away', status: 503, title }) }) : route.continue(),
    );
    await page.reload();
    await expect(editor(page)).toContainText('11 burpee');
    await expect(page.getByRole('alert')).toContainText('The database is away. What you typed is kept');
    await page.unroute('**/api/workouts/*');
    await saved(page);
    expect((await (await page.request.get(`/api${address}`)).json()).text).toContain('11 burpee');
  });

  test('tidying rewrites the text in its usual form, undo brings back how it was typed, and a window nobody meets is said', async ({ page }) => {
    const address = await fresh(page, squall, []);
    await page.goto(`${address}/write`);
    await type(page, '# Squall\namrap 12 min\n10 Burpees\n15 squats');
    await page.getByRole('button', { name: 'Tidy up' }).click();
    await expect(editor(page)).toContainText('AMRAP 12:00');
    await expect(editor(page)).toContainText('15 squats');
    await editor(page).click();
    await page.keyboard.press('Control+Z');
    await expect(editor(page)).toContainText('amrap 12 min');
    await type(page, '# Squall\nAMRAP 12:00\n30 burpee\n100 air squat\nintent: 20-25 rounds');
    await expect(page.getByText('the reference athlete misses it')).toBeVisible();
  });
});

test('a new workout waits for its first word, and is not kept when nobody wrote one', async ({ page }) => {
  await open(page, []);
  const all = async (): Promise<number> => ((await (await page.request.get('/api/workouts')).json()) as { workouts: unknown[] }).workouts.length;
  const before = await all();
  await page.getByRole('button', { name: 'New workout' }).first().click();
  await page.waitForURL(/write$/);
  await expect(editor(page)).toBeFocused();
  await page.getByRole('link', { name: 'People' }).click();
  await expect.poll(all).toBe(before);
  await page.goto('/');
  await page.getByRole('button', { name: 'New workout' }).first().click();
  await expect(editor(page)).toBeFocused();
  await page.keyboard.type('AMRAP 5:00');
  await page.getByRole('link', { name: 'People' }).click();
  await expect.poll(all).toBe(before + 1);
});
test('the account: what is chosen is saved at once and undone, a short or wrong password is said', async ({ page }) => {
  await signIn(page, []);
  await page.goto('/account');
  await page.getByLabel('A load without a unit is in').selectOption('lb');
  await expect(page.getByText('Saved.')).toBeVisible();
  expect(((await (await page.request.get('/api/me')).json()) as { coach: { units: string } }).coach.units).toBe('lb');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('A load without a unit is in')).toHaveValue('kg');
  // a demo has no password of its own to change
  const me = (await (await page.request.get('/api/me')).json()) as object;
  await page.route('**/api/me', (route) => route.fulfill({ json: { ...me, demo: false } }));
  await page.reload();
  await page.getByLabel('Present password').fill('wrong');
  await page.getByLabel('New password').fill('short');
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(page.getByText('Expected at least 10 characters.')).toBeVisible();
  await page.getByLabel('New password').fill('a longer lantern');
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(page.getByText('E-mail and password do not match.')).toBeVisible();
});

test('workouts: found by a word in them, dated, duplicated, deleted and brought back', async ({ page }) => {
  await fresh(page, '# Breakwater Lamp\nfor time, cap 10:00\n50 goblet squat @ 16/12 kg', []);
  await fresh(page, '# Ebb\nAMRAP 9:00\n9 burpee');
  await page.goto('/workouts');
  await page.getByRole('heading', { name: 'Workouts' }).waitFor();
  await page.getByLabel('Search workouts').fill('goblet squat @ 16');
  const items = page.getByRole('listitem').filter({ has: page.getByRole('link', { name: /Breakwater Lamp/ }) });
  await expect(items).toHaveCount(1);
  // the list has narrowed: what opens beside a line does not move any more
  await expect(page.getByRole('link', { name: 'Ebb', exact: true })).toBeHidden();
  await page.getByRole('button', { name: 'Duplicate Breakwater Lamp' }).click();
  await page.getByRole('button', { name: 'Without a day' }).click();
  await expect(page.getByRole('link', { name: 'Breakwater Lamp (copy)' })).toBeVisible();
  await page.getByLabel('Day of Breakwater Lamp (copy)').fill('2027-03-04');
  await page.reload();
  await page.getByLabel('Search workouts').fill('goblet squat @ 16');
  await expect(page.getByLabel('Day of Breakwater Lamp (copy)')).toHaveValue('2027-03-04');
  await page.getByRole('button', { name: 'Delete Breakwater Lamp (copy)' }).click();
  await expect(page.getByRole('link', { name: 'Breakwater Lamp (copy)' })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Breakwater Lamp (copy)' })).toBeVisible();
  await page.getByLabel('Search workouts').fill('nothing like this');
  await expect(page.getByText('None like that')).toBeVisible();
});

test.describe('versions', () => {
  test('a text that cannot be computed with says which line, and leads back to it', async ({ page }) => {
    const nested = Array.from({ length: 9 }, (_, depth) => `${' '.repeat(depth)}2 rounds`).join('\n');
    const address = await fresh(page, `# Squall\nAMRAP 12:00\n${nested}\n         10 thursters`, []);
    await page.goto(`${address}/adapt`);
    await expect(page.getByText(/Line 10: .*more than 6 deep/)).toBeVisible();
    await page.getByRole('link', { name: 'Back to the text' }).click();
    await expect(editor(page)).toContainText('thursters');
  });

  test('a house rule at work is named beside the version, and one left to the coach asks', async ({ page }) => {
    const address = await fresh(page, '# Squall\nAMRAP 16:00\n18 push-up\n20 sit-up', ['Wendrith', 'Brontek']);
    await page.request.put('/api/rules', { data: { rules: { easierPushUp: 'coach', newerAthlete: 'lighter' } } });
    await page.goto(`${address}/adapt`);
    await expect(page.getByRole('status', { name: 'The class' })).toBeVisible();
    const lanes = page.getByRole('list', { name: 'Versions' }).getByRole('button');
    const newer = lanes.filter({ hasText: /no kit, newer/ });
    await newer.click();
    const panel = page.getByRole('complementary');
    await expect(panel.getByText(/newer athlete: lighter/i).first()).toBeVisible();
    // a table stands in Wendrith's flat and nothing forbids the knees; Brontek avoids kneeling, so there is nothing to choose
    await lanes.filter({ hasText: /^Wendrith/ }).click();
    await expect(page.getByRole('list', { name: 'Warnings' }).getByText(/Yours to choose \(house rule\)/)).toBeVisible();
    await lanes.filter({ hasText: /^Brontek/ }).click();
    await expect(
      page
        .getByRole('complementary', { name: 'Version of Brontek' })
        .getByText(/raised push-up/)
        .first(),
    ).toBeVisible();
    await expect(page.getByText(/Yours to choose \(house rule\)/)).toBeHidden();
  });
});

test('people: what was typed survives a reload, and can be dropped', async ({ page }) => {
  await signIn(page, []);
  await page.goto('/people/new');
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Drosimel');
  await page.getByRole('textbox', { name: 'Lifts', exact: true }).fill('very strong');
  await expect(page.getByText(/expected a movement and a figure such as “back squat 88 kg”/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Lifts', exact: true })).toHaveValue('very strong');
  await expect(page.getByText('kept in this browser until saved')).toBeVisible();
  await page.getByRole('button', { name: 'Drop changes' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('textbox', { name: 'Lifts', exact: true })).toHaveValue('very strong');
  await page.getByRole('button', { name: 'Drop changes' }).click();
  await page.getByRole('button', { name: 'Drop it' }).click();
  await page.goto('/people/new');
  await expect(page.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('');
});

test('people: what nobody can read is saved with the rest, and is still there and still said when it is opened again', async ({ page }) => {
  await signIn(page, []);
  await page.goto('/people/new');
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Drosimel');
  await page.getByRole('textbox', { name: 'Lifts', exact: true }).fill('back squat 88 kg\nzibble lift 70');
  await page.getByRole('textbox', { name: 'Kit' }).fill('15 kg dumbbell\nunicorn');
  await expect(page.getByRole('list', { name: 'Understood, line by line' })).toContainText('one dumbbell of 15 kg');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByText('Drosimel saved').waitFor();
  await page.getByRole('link', { name: 'Drosimel' }).click();
  await expect(page.getByRole('textbox', { name: 'Lifts', exact: true })).toHaveValue('back squat: 88 kg\nzibble lift 70');
  await expect(page.getByRole('textbox', { name: 'Kit' })).toHaveValue('15 kg dumbbell\nunicorn');
  await expect(page.getByText(/“zibble lift 70”, expected a movement and a figure/)).toBeVisible();
  await expect(page.getByText(/“unicorn”: expected/)).toBeVisible();
});

test('the board reads by the school the coach chose', async ({ page }) => {
  const address = await fresh(page, '# Squall\nAMRAP 12:00\n8 pull-up\n15 air squat\nintent: 8-12 rounds', ['Orvenna', 'Tabrik', 'Brontek', 'Wendrith']);
  const { athletes } = (await (await page.request.get('/api/athletes')).json()) as { athletes: { id: number; name: string }[] };
  for (const [at, score] of ['10+2', '7+0', '12+9', '9+5'].entries())
    expect((await page.request.post(`/api${address}/scores`, { data: { athleteId: athletes[at]!.id, score } })).ok()).toBe(true);
  const under = async (board: string): Promise<void> => {
    await page.request.put('/api/rules', { data: { rules: { board } } });
    await page.goto(`${address}/board`);
    await page.getByRole('table').waitFor();
  };
  const first = page.getByRole('row').nth(1);
  await under('adjusted');
  await expect(page.getByText('adjusted to the workout as written')).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'As written' })).toBeVisible();
  // who stands for themselves has no rank
  const ranks = (await page.locator('tbody tr td:first-child').allInnerTexts()).filter((rank) => rank.trim() !== '');
  expect(ranks.map(Number)).toEqual([...ranks.map(Number)].sort((a, b) => a - b));
  await under('perVersion');
  expect(await page.getByRole('rowheader').count()).toBeGreaterThan(0);
  await under('window');
  await expect(page.getByText('inside the window or not', { exact: false })).toBeVisible();
  await under('turnedUp');
  await expect(page.getByRole('columnheader', { name: 'As written' })).toBeHidden();
  await expect(first).toContainText([...athletes.slice(0, 4).map((each) => each.name)].sort()[0]!);
});

test('several scores: the day ranks over the boards, each part has its own, and a correction opens the whole entry', async ({ page }) => {
  const address = await fresh(page, '# Slack Water\nAMRAP 8:00\n8 push-up\n12 air squat\n\nrest 3:00\n\nfor time, cap 9:00\n40 burpee', [
    'Orvenna',
    'Tabrik',
    'Brontek',
  ]);
  const { athletes } = (await (await page.request.get('/api/athletes')).json()) as { athletes: { id: number; name: string }[] };
  for (const [at, score] of ['9+4 | 3:10', '8+0 | 2:50', '10+2'].entries())
    expect((await page.request.post(`/api${address}/scores`, { data: { athleteId: athletes[at]!.id, score } })).ok()).toBe(true);
  await page.goto(`${address}/board`);
  await expect(page.getByText('places added up', { exact: false })).toBeVisible();
  await expect(page.getByRole('row')).toHaveCount(4);
  await page.getByRole('radio', { name: /^Part 2/ }).click();
  await expect(page.getByRole('columnheader', { name: 'As written' })).toBeVisible();
  await expect(page.getByRole('row')).toHaveCount(3);
  await page.getByRole('button', { name: `Correct the score of ${athletes[1]!.name}` }).click();
  await expect(page.getByRole('table').getByRole('textbox').first()).toHaveValue('8+0');
  await page.getByRole('table').getByRole('textbox').last().fill('2:40');
  await page.getByRole('table').getByRole('button', { name: 'Log' }).click();
  await expect(page.getByRole('table')).toContainText('2:40');
});

test.describe('the athlete', () => {
  test('runs sets for time: each set is ended, the rest runs by itself, a mistaken end is taken back, the times become the score', async ({ page }) => {
    const address = await fresh(page, '# Squall\n3 sets, rest 1:00 between\n  2 rounds\n    10 push-up\n    15 air squat\nscore: each set', ['Ylmarra']);
    const link = await sendTo(page, address, 'Ylmarra');
    await page.setViewportSize(phone);
    await turnClock(page);
    await page.goto(`${link}/clock`);
    await page.getByRole('button', { name: 'Start' }).click();
    // as a locked phone would find it
    const forward = async (seconds: number): Promise<void> => {
      await page.clock.fastForward(seconds * 1000);
      await page.reload();
    };
    await forward(100);
    await page.getByRole('button', { name: 'All of it done' }).click();
    await expect(page.getByText('Rest 1:00')).toBeVisible();
    await expect(page.getByText('next: Set 2 of 3')).toBeVisible();
    await page.getByRole('button', { name: 'Undo tap' }).click();
    await expect(page.getByText('Set 1 of 3')).toBeVisible();
    await page.getByRole('button', { name: 'All of it done' }).click();
    await forward(60 + 95);
    // or round by round
    await page.getByRole('button', { name: 'Round done' }).click();
    await page.clock.fastForward(600);
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await forward(60 + 110);
    await page.getByRole('button', { name: 'All of it done' }).click();
    await page.getByRole('button', { name: /^Log 1:\d\d 1:\d\d 1:\d\d$/ }).click();
    await expect(page.getByLabel('Score', { exact: true })).toHaveValue(/^1:\d\d 1:\d\d 1:\d\d$/);
  });

  test('has the brief on paper, unfolded and without buttons, and in the calendar; the page fits a phone by night too', async ({ page }) => {
    const address = await fresh(page, squall, ['Wendrith']);
    const link = await sendTo(page, address, 'Wendrith');
    await page.setViewportSize(phone);
    await page.goto(link);
    await page.getByRole('heading', { name: 'Squall' }).waitFor();
    await page.emulateMedia({ colorScheme: 'dark' });
    await page.getByRole('button', { name: 'Night colours' }).click();
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    await page.emulateMedia({ media: 'print' });
    await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
    await expect(page.getByRole('link', { name: 'Start the clock' })).toBeHidden();
    await expect(page.getByText('5:00 easy walk or easy cycling')).toBeVisible();
    await expect(page.getByText(/Gambito clears nobody/)).toBeVisible();
    await page.emulateMedia({ media: 'screen' });
    const href = (await page.getByRole('link', { name: 'Put it in the calendar' }).getAttribute('href'))!;
    const calendar = await page.request.get(href);
    expect(calendar.headers()['content-type']).toMatch(/text\/calendar/);
    expect(await calendar.text()).toContain('SUMMARY:Squall');
  });
});

test('signed out, every address leads to the way in', async ({ page }) => {
  await open(page, []);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Open the demo desk' })).toBeVisible();
  await page.goto('/people');
  await expect(page).toHaveURL(/\/login$/);
  await page.goto('/reset/nobody');
  await expect(page.getByText('was used, or ran out')).toBeVisible();
});
