/** One class on one clock: the coach on a laptop, five on their phones with their own versions, one of them without a network in the middle. */
import { expect, test, type Browser, type Page } from '@playwright/test';
import { accessible, fresh, phone, sendTo } from './desk';
import { networkTo } from './network';

const five = ['Ylmarra', 'Lumerik', 'Brontek', 'Tabrik', 'Wendrith'] as const;

/** s on the clock's face, from m:ss */
const secondsOn = async (page: Page): Promise<number> => {
  const words = (await page.getByRole('timer').textContent()) ?? '';
  const [minutes, seconds] = words.split(':').map(Number);
  return seconds === undefined ? Number.NaN : minutes! * 60 + seconds;
};

test('a class of five phones: started, paused and gone on for all, one joins late, one loses its network; taps fill the lanes and become scores', async ({
  page,
  browser,
  baseURL,
}) => {
  const address = await fresh(page, '# Bell Buoy\nfor time, cap 6:00\n3 rounds\n  8 burpee\n  12 air squat');
  const links: string[] = [];
  for (const name of five) links.push(await sendTo(page, address, name));
  const network = await networkTo(baseURL!);
  await page.goto(`${address}/run`);
  await page.getByRole('button', { name: 'Open the class' }).click();
  await accessible(page);
  const contexts = await Promise.all(five.map(() => browser.newContext({ viewport: phone, baseURL: baseURL! })));
  const phones = await Promise.all(contexts.map((context) => context.newPage()));
  const join = async (at: number): Promise<void> => {
    await phones[at]!.goto(at === 1 ? `${network.url}${links[at]!}` : links[at]!);
    await phones[at]!.getByRole('link', { name: 'Join the class' }).click();
  };
  for (const at of [0, 1, 2, 3]) await join(at);
  await expect(phones[0]!.getByText('Waiting for your coach')).toBeVisible();
  await expect(phones[0]!.getByRole('button', { name: 'Start' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Start for all' }).click();
  for (const at of [0, 1, 2, 3]) await expect(phones[at]!.getByText('Get ready')).toBeVisible();
  await accessible(phones[0]!);
  for (const at of [0, 1, 2, 3]) await expect(phones[at]!.getByRole('button', { name: 'Round done' })).toBeEnabled({ timeout: 30_000 });
  // everybody sees the same second, the coach too
  const seen = await Promise.all([...phones.slice(0, 4), page].map(secondsOn));
  expect(Math.max(...seen) - Math.min(...seen)).toBeLessThanOrEqual(1);

  // one loses the network: its clock goes on, its taps wait
  network.cut();
  await contexts[1]!.setOffline(true);
  await phones[0]!.getByRole('button', { name: 'Round done' }).click();
  await phones[1]!.getByRole('button', { name: 'Round done' }).click();
  const lane = (at: number) => page.getByRole('list', { name: 'The class' }).getByRole('listitem').filter({ hasText: five[at]! });
  await expect(lane(0)).toContainText('Round 2 of 3');
  await expect(phones[1]!.getByText(/taps wait for a connection/)).toBeVisible();
  await expect(lane(1)).not.toContainText('Round 2 of 3');

  // one joins late, in the middle of it
  await join(4);
  await expect(phones[4]!.getByRole('button', { name: 'Round done' })).toBeEnabled();
  expect(Math.abs((await secondsOn(phones[4]!)) - (await secondsOn(page)))).toBeLessThanOrEqual(1);

  network.mend();
  await contexts[1]!.setOffline(false);
  await expect(lane(1)).toContainText('Round 2 of 3', { timeout: 30_000 });

  await page.getByRole('button', { name: 'Pause for all' }).click();
  for (const each of phones) await expect(each.getByText('Paused by your coach')).toBeVisible({ timeout: 30_000 });
  expect(new Set(await Promise.all([...phones, page].map(secondsOn))).size).toBe(1);
  await page.getByRole('button', { name: 'Go on' }).click();

  // done: the time becomes a score at the coach's, and at the athlete's
  for (let round = 2; round <= 3; round++) {
    await phones[0]!.waitForTimeout(700);
    await phones[0]!.getByRole('button', { name: round === 3 ? 'Done' : 'Round done', exact: true }).click();
  }
  await expect(phones[0]!.getByRole('button', { name: /^Log \d:\d\d$/ })).toBeVisible();
  await lane(0)
    .getByRole('button', { name: /^Log \d:\d\d for/ })
    .click();
  await expect(lane(0)).toContainText('logged');

  // a reload finds the clock where it is
  await phones[2]!.reload();
  await expect(phones[2]!.getByRole('button', { name: 'Round done' })).toBeEnabled();
  expect(Math.abs((await secondsOn(phones[2]!)) - (await secondsOn(page)))).toBeLessThanOrEqual(1);
  await page.getByRole('button', { name: 'End' }).click();
  await expect(phones[2]!.getByText(/Your coach ended the class/)).toBeVisible();
  for (const context of contexts) await context.close();
  await network.close();
});

/** Two of the class on one bar, their plan on the coach's screen. @returns the panel, and the phones waiting for the coach once the plan is set */
async function onOneBar(page: Page, text: string) {
  const address = await fresh(page, text);
  const links = [await sendTo(page, address, 'Sasquel'), await sendTo(page, address, 'Ylmarra')];
  await page.goto(`${address}/run`);
  await page.getByRole('button', { name: 'Open the class' }).click();
  await page.getByText('Share an implement').click();
  const panel = page.getByRole('group').filter({ hasText: 'Share an implement' });
  await panel.getByRole('combobox').selectOption('barbell');
  for (const name of ['Sasquel', 'Ylmarra']) await panel.getByRole('checkbox', { name }).check();
  const phones = async (browser: Browser, baseURL: string): Promise<{ at: Page; note: string }[]> => {
    await panel.getByRole('button', { name: 'Set these starts' }).click();
    await expect(page.getByText(/begins (?:at once with|0:)/)).toBeVisible();
    const pages = await Promise.all(links.map(async () => (await browser.newContext({ viewport: phone, baseURL })).newPage()));
    for (const [at, hand] of pages.entries()) await hand.goto(`${links[at]!}/class`);
    for (const hand of pages) await expect(hand.getByText('Waiting for your coach')).toBeVisible();
    return Promise.all(pages.map(async (at) => ({ at, note: (await at.getByRole('status').textContent()) ?? '' })));
  };
  return { panel, phones };
}

test('two people on one bar: the second begins when it is free, and the phones know it', async ({ page, browser, baseURL }) => {
  const { panel, phones } = await onOneBar(page, '# One Bar\nEMOM 8:00\nminute 1: 5 deadlift @ 50/50 kg\nminute 2: 8 burpee');
  await expect(panel.getByText(/at once, .* later; all done after about/)).toBeVisible();
  await accessible(page);
  const hands = await phones(browser, baseURL!);
  await expect(page.getByText(/begins 0:\d\d later/)).toBeVisible();
  expect(hands.filter(({ note }) => /you begin \d+ s after the others/.test(note))).toHaveLength(1);
  for (const { at } of hands) await at.context().close();
});

test('two people on one bar with a load each: one begins with the other movement while the plates are changed, and their phone says so', async ({
  page,
  browser,
  baseURL,
}) => {
  const { panel, phones } = await onOneBar(page, '# Turn About\nEMOM 8:00\nminute 1: 5 deadlift @ 50/35 kg\nminute 2: 8 burpee');
  await expect(panel.getByText(/at once with burpee, then around; all done after about .* 20 s of plates/)).toBeVisible();
  const hands = await phones(browser, baseURL!);
  await expect(page.getByText(/begins at once with/)).toBeVisible();
  expect(hands.filter(({ note }) => /begin with burpee, then around/.test(note))).toHaveLength(1);
  // and their clock plays it so
  await page.getByRole('button', { name: 'Start for all' }).click();
  for (const { at, note } of hands) await expect(at.getByText(/begin with burpee/.test(note) ? /8 burpee/ : /5 deadlift/).first()).toBeVisible();
  for (const { at } of hands) await at.context().close();
});
