/** The athlete's phone: without a network once it was opened, and a version for what is there today. */
import { expect, fresh, phone, sendTo, served, turnClock, test } from './desk';
import { networkTo } from './network';

test('once opened, the page, the clock and the score work without a network; the score goes out by itself afterwards', async ({ page, another }) => {
  const address = await fresh(page, '# Squall\nAMRAP 12:00\n8 burpee\n15 air squat', ['Ylmarra']);
  const network = await networkTo(served());
  const link = `${network.url}${await sendTo(page, address, 'Ylmarra')}`;
  const context = await another({ viewport: phone, serviceWorkers: 'allow' });
  const athlete = await context.newPage();
  await athlete.goto(link);
  await expect(athlete.getByRole('heading', { name: 'Squall' })).toBeVisible();
  await athlete.evaluate(async () => {
    await navigator.serviceWorker.ready;
    if (!navigator.serviceWorker.controller) await new Promise((resolve) => navigator.serviceWorker.addEventListener('controllerchange', resolve));
  });
  // what was there before the worker is asked for once more, and kept
  await expect.poll(() => athlete.evaluate(async () => (await (await caches.open('gambito-pages')).keys()).length)).toBe(1);
  network.cut();
  await context.setOffline(true);
  await athlete.reload();
  await expect(athlete.getByRole('heading', { name: 'Squall' })).toBeVisible();
  await athlete.getByRole('link', { name: 'Start the clock' }).click();
  await expect(athlete.getByRole('button', { name: 'Start' })).toBeVisible();
  await athlete.goto(link);
  await athlete.getByRole('textbox', { name: 'Score' }).fill('9+4');
  await athlete.getByRole('button', { name: 'Log' }).click();
  await expect(athlete.getByText('9+4 waits here and goes out by itself when the network is back.')).toBeVisible();
  await athlete.reload();
  await expect(athlete.getByText(/9\+4 waits here/)).toBeVisible();
  const board = async (): Promise<unknown> =>
    (await (await page.request.get(`/api${address}/board`)).json()).boards[0].rows.map(({ score }: { score: string }) => score);
  expect(await board()).toEqual([]);
  network.mend();
  await context.setOffline(false);
  await expect(athlete.getByText('Logged: 9+4')).toBeVisible();
  await expect.poll(board).toEqual(['9+4']);
  await network.close();
});

test('“today I only have …” from the phone to the desk, and what hurt', async ({ page, another }) => {
  const address = await fresh(page, '# Squall\nAMRAP 12:00\n8 db push press @ 2x12 kg\n15 air squat', ['Lumerik']);
  const link = await sendTo(page, address, 'Lumerik');
  const context = await another({ viewport: phone });
  const athlete = await context.newPage();
  await athlete.goto(link);
  await athlete.getByRole('button', { name: 'Today I only have …' }).click();
  await athlete
    .getByRole('group', { name: /What is there/ })
    .getByRole('button', { name: /adjustable dumbbell/ })
    .click();
  await athlete.getByRole('button', { name: '15 min' }).click();
  await athlete.getByRole('button', { name: 'Make my version' }).click();
  const today = athlete.getByRole('region', { name: 'Today' });
  await expect(today).toContainText('15 min');
  await expect(athlete.getByRole('region', { name: 'Your version' })).toContainText('instead of 8 dumbbell push press');
  await athlete.getByText('Something hurt', { exact: true }).click();
  await athlete.getByLabel('Where it hurt').fill('left knee');
  await athlete.getByRole('button', { name: 'Tell the coach' }).click();
  await expect(athlete.getByText('Your coach sees it.').last()).toBeVisible();
  const told = async () => (await (await page.request.get(`/api${address}/sends`)).json()).sends[0];
  await expect.poll(told).toMatchObject({ today: expect.stringContaining('15 min') });
  const hurt = async () => ((await (await page.request.get('/api/discomforts')).json()) as { discomforts: { felt: { where: string } }[] }).discomforts;
  await expect.poll(async () => (await hurt()).map(({ felt }) => felt.where)).toContain('left knee');
  await today.getByRole('button', { name: 'Back to the first version' }).click();
  await expect(athlete.getByRole('region', { name: 'Your version' })).not.toContainText('instead of 8');
});

test('the warm-up by the clock, tap by tap, and on to the workout', async ({ page, another }) => {
  const address = await fresh(page, '# Squall\nAMRAP 12:00\n8 front squat @ 60/40 kg\n15 air squat', ['Sasquel']);
  const link = await sendTo(page, address, 'Sasquel');
  const context = await another({ viewport: phone });
  const athlete = await context.newPage();
  await turnClock(athlete);
  await athlete.goto(link);
  await athlete.getByRole('link', { name: 'Warm up by the clock' }).click();
  await expect(athlete.getByRole('heading', { name: 'Warm-up' })).toBeVisible();
  await athlete.getByRole('button', { name: 'Start' }).click();
  await athlete.clock.runFor(11_000);
  await expect(athlete.getByText('1 of 3')).toBeVisible();
  for (const word of ['Round done', 'Round done', 'Done']) {
    await athlete.getByRole('button', { name: word, exact: true }).click();
    await athlete.clock.runFor(1_000);
  }
  await expect(athlete.getByText('1 of 3')).toBeHidden();
  // what is tapped is kept over a reload
  await athlete.reload();
  await expect(athlete.getByText('1 of 3')).toBeHidden();
  await athlete.getByRole('button', { name: 'Finish' }).click();
  await athlete.getByRole('alertdialog', { name: 'Finish' }).getByRole('button', { name: 'Finish' }).click();
  await expect(athlete.getByRole('heading', { name: 'Squall' })).toBeVisible();
  await expect(athlete.getByRole('button', { name: 'Start' })).toBeVisible();
});

test('an own door: the days and figures on a phone, what is otherwise proposed, taken into the form by the coach', async ({ page, another }) => {
  const address = await fresh(page, '# Squall\nAMRAP 12:00\n15 air squat', ['Quillume']);
  await sendTo(page, address, 'Quillume');
  await page.goto('/people');
  await page.getByRole('link', { name: 'Quillume' }).click();
  const own = page.getByRole('region', { name: 'Athlete’s page' });
  await own.getByRole('button', { name: 'Make a link' }).click();
  const link = (await own.getByRole('link', { name: 'open it' }).getAttribute('href'))!;
  const context = await another({ viewport: phone });
  const athlete = await context.newPage();
  await athlete.goto(link);
  await expect(athlete.getByRole('region', { name: 'Your days' })).toContainText('Squall');
  await athlete.getByLabel('Your best sets').fill('push-up: 33, 2026-11');
  await athlete.getByRole('button', { name: 'Tell the coach' }).click();
  await expect(athlete.getByText(/Your coach sees it/)).toBeVisible();
  await page.goto('/');
  await page.getByRole('region', { name: 'Proposed' }).getByRole('link', { name: 'Quillume' }).click();
  await page.getByRole('button', { name: 'Take into the form' }).click();
  await expect(page.getByLabel('Best sets')).toHaveValue('push-up: 33, 2026-11');
  await expect(page.getByRole('region', { name: 'Proposed' })).toBeHidden();
  await page.getByRole('button', { name: 'Drop changes' }).click();
  await page.getByRole('button', { name: 'Drop it' }).click();
});
