/** One class on one clock: the coach on a laptop, three on their phones with their own versions, one of them without a network in the middle. */
import type { BrowserContext, Page } from '@playwright/test';
import { expect, fresh, phone, sendTo, served, test } from './desk';
import { networkTo } from './network';

/** one who taps, one who loses the network, one who comes late */
const three = ['Ylmarra', 'Lumerik', 'Wendrith'] as const;

/** s on the clock's face, from m:ss */
const secondsOn = async (page: Page): Promise<number> => {
  const words = (await page.getByRole('timer').textContent()) ?? '';
  const [minutes, seconds] = words.split(':').map(Number);
  return seconds === undefined ? Number.NaN : minutes! * 60 + seconds;
};

type Another = (options: { viewport: typeof phone }) => Promise<BrowserContext>;
/** A class that has begun: two phones have joined, a third has its link. */
async function begunClass(page: Page, another: Another) {
  const address = await fresh(page, '# Bell Buoy\nfor time, cap 6:00\n3 rounds\n  8 burpee\n  12 air squat', three);
  const links: string[] = [];
  for (const name of three) links.push(await sendTo(page, address, name));
  const network = await networkTo(served());
  await page.goto(`${address}/run`);
  await page.getByRole('button', { name: 'Open the class' }).click();
  const contexts = await Promise.all(three.map(() => another({ viewport: phone })));
  const [taps, second, late] = (await Promise.all(contexts.map((context) => context.newPage()))) as [Page, Page, Page];
  const join = async (who: Page, link: string): Promise<void> => {
    await who.goto(link);
    await who.getByRole('link', { name: 'Join the class' }).click();
  };
  await join(taps, links[0]!);
  await join(second, `${network.url}${links[1]!}`);
  for (const each of [taps, second]) await expect(each.getByText('Waiting for your coach')).toBeVisible();
  await expect(taps.getByRole('button', { name: 'Start' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Start for all' }).click();
  for (const each of [taps, second]) await expect(each.getByText('Get ready')).toBeVisible();
  for (const each of [taps, second]) await expect(each.getByRole('button', { name: 'Round done' })).toBeEnabled();
  const lane = (at: number) => page.getByRole('list', { name: 'The class' }).getByRole('listitem').filter({ hasText: three[at]! });
  return { taps, second, late, lane, network, secondContext: contexts[1]!, joinLate: () => join(late, links[2]!) };
}
/** s between the clocks of these pages */
const apart = async (...pages: Page[]): Promise<number> => {
  const seen = await Promise.all(pages.map(secondsOn));
  return Math.max(...seen) - Math.min(...seen);
};

test('a class of three phones: started for all, one joins late, one loses its network, and its taps come afterwards', async ({ page, another }) => {
  const { taps, second, late, lane, network, secondContext, joinLate } = await begunClass(page, another);
  // everybody sees the same second, the coach too
  await expect.poll(() => apart(taps, second, page)).toBeLessThanOrEqual(1);

  // one loses the network: its clock goes on, its taps wait
  network.cut();
  await secondContext.setOffline(true);
  for (const each of [taps, second]) await each.getByRole('button', { name: 'Round done' }).click();
  await expect(lane(0)).toContainText('Round 2 of 3');
  await expect(second.getByText(/taps wait for a connection/)).toBeVisible();
  await expect(lane(1)).not.toContainText('Round 2 of 3');

  // one joins late, in the middle of it
  await joinLate();
  await expect(late.getByRole('button', { name: 'Round done' })).toBeEnabled();
  await expect.poll(() => apart(late, page)).toBeLessThanOrEqual(1);

  network.mend();
  await secondContext.setOffline(false);
  await expect(lane(1)).toContainText('Round 2 of 3');
  await network.close();
});

test('a class: paused and gone on for all; taps become scores; a reload finds the clock; the coach ends it', async ({ page, another }) => {
  const { taps, second, lane, network } = await begunClass(page, another);
  await page.getByRole('button', { name: 'Pause for all' }).click();
  for (const each of [taps, second]) await expect(each.getByText('Paused by your coach')).toBeVisible();
  await expect.poll(() => apart(taps, second, page)).toBe(0);
  await page.getByRole('button', { name: 'Go on' }).click();

  await taps.getByRole('button', { name: 'Round done' }).click();
  await expect(lane(0)).toContainText('Round 2 of 3');

  // done: the time becomes a score at the coach's, and at the athlete's; what is tapped at once is one tap
  for (const [round, label] of [
    [2, 'Round done'],
    [3, 'Done'],
  ] as const) {
    await expect(async () => {
      await taps.getByRole('button', { name: label, exact: true }).click();
      await expect(taps.getByText(round === 3 ? /^Log \d:\d\d$/ : 'Round 3 of 3').first()).toBeVisible({ timeout: 1_000 });
    }).toPass();
  }
  await lane(0)
    .getByRole('button', { name: /^Log \d:\d\d for/ })
    .click();
  await expect(lane(0)).toContainText('logged');

  // a reload finds the clock where it is
  await second.reload();
  await expect(second.getByRole('button', { name: 'Round done' })).toBeEnabled();
  await expect.poll(() => apart(second, page)).toBeLessThanOrEqual(1);
  await page.getByRole('button', { name: 'End' }).click();
  await expect(second.getByText(/Your coach ended the class/)).toBeVisible();
  await network.close();
});

/** Two of the class on one bar, their plan on the coach's screen. @returns the panel, and the phones waiting for the coach once the plan is set */
async function onOneBar(page: Page, another: Another, text: string) {
  const address = await fresh(page, text, ['Sasquel', 'Ylmarra']);
  const links = [await sendTo(page, address, 'Sasquel'), await sendTo(page, address, 'Ylmarra')];
  await page.goto(`${address}/run`);
  await page.getByRole('button', { name: 'Open the class' }).click();
  await page.getByText('Share an implement').click();
  const panel = page.getByRole('group').filter({ hasText: 'Share an implement' });
  await panel.getByRole('combobox').selectOption('barbell');
  for (const name of ['Sasquel', 'Ylmarra']) await panel.getByRole('checkbox', { name }).check();
  const phones = async (): Promise<{ at: Page; note: string }[]> => {
    await panel.getByRole('button', { name: 'Set these starts' }).click();
    await expect(page.getByText(/begins (?:at once with|0:)/)).toBeVisible();
    const pages = await Promise.all(links.map(async () => (await another({ viewport: phone })).newPage()));
    for (const [at, hand] of pages.entries()) await hand.goto(`${links[at]!}/class`);
    for (const hand of pages) await expect(hand.getByText('Waiting for your coach')).toBeVisible();
    return Promise.all(pages.map(async (at) => ({ at, note: (await at.getByRole('status').textContent()) ?? '' })));
  };
  return { panel, phones };
}

test('two people on one bar: the second begins when it is free, and the phones know it', async ({ page, another }) => {
  const { panel, phones } = await onOneBar(page, another, '# One Bar\nEMOM 8:00\nminute 1: 5 deadlift @ 50/50 kg\nminute 2: 8 burpee');
  await expect(panel.getByText(/at once, .* later; all done after about/)).toBeVisible();
  const hands = await phones();
  await expect(page.getByText(/begins 0:\d\d later/)).toBeVisible();
  expect(hands.filter(({ note }) => /you begin \d+ s after the others/.test(note))).toHaveLength(1);
});

test('two people on one bar with a load each: one begins with the other movement while the plates are changed, and their phone says so', async ({
  page,
  another,
}) => {
  const { panel, phones } = await onOneBar(page, another, '# Turn About\nEMOM 8:00\nminute 1: 5 deadlift @ 50/35 kg\nminute 2: 8 burpee');
  await expect(panel.getByText(/at once with burpee, then around; all done after about .* 20 s of plates/)).toBeVisible();
  const hands = await phones();
  await expect(page.getByText(/begins at once with/)).toBeVisible();
  expect(hands.filter(({ note }) => /begin with burpee, then around/.test(note))).toHaveLength(1);
  // and their clock plays it so
  await page.getByRole('button', { name: 'Start for all' }).click();
  for (const { at, note } of hands) await expect(at.getByText(/begin with burpee/.test(note) ? /8 burpee/ : /5 deadlift/).first()).toBeVisible();
});
