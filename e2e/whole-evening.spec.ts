/** One evening in one go: a workout written with three mistakes, mended, one version corrected, the same for others, sent to a crew. By keyboard alone, in two halves; by mouse; on a phone. */
import type { Locator, Page } from '@playwright/test';
import { expect, fresh, open, phone, saved, test } from './desk';

/** two on the ferry and four ashore */
const crew = ['Orvenna', 'Brontek', 'Tabrik', 'Quillume', 'Ylmarra', 'Hespin'];
const mistaken = ['AMRAP 12:00', '8 pull-upp', '10 gobblet squat @ 16 kg', '12 burpeee'];
const problems = (page: Page) => page.getByRole('list', { name: 'Problems' });
const text = (page: Page) => page.getByRole('textbox', { name: 'Workout text' });
const mended = async (page: Page): Promise<void> => {
  await expect(problems(page)).toHaveCount(0);
  for (const words of [/8 pull[- ]up/, '10 goblet squat', '12 burpee']) await expect(text(page)).toContainText(words);
};
const lanesOf = (page: Page) => page.getByRole('list', { name: 'Versions' }).getByRole('button');
const looked = (page: Page) => expect(page.getByRole('status', { name: 'The class' })).toBeVisible();
const panelOf = (page: Page) => page.getByRole('complementary');
const sentNumber = async (page: Page): Promise<number> => {
  const id = /workouts\/(\d+)/.exec(page.url())![1]!;
  const answer = await page.request.get(`/api/workouts/${id}/sends`);
  return ((await answer.json()) as { sends: unknown[] }).sends.length;
};

/** Tab until the focus is where it is wanted: nobody has a mouse. */
async function tabTo(page: Page, wanted: Locator): Promise<void> {
  for (let tries = 0; tries < 80; tries++) {
    if (await wanted.evaluate((element) => element === document.activeElement).catch(() => false)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error('the focus never came there');
}
async function goTo(page: Page, screen: string): Promise<void> {
  await page.keyboard.press('Control+K');
  await page.keyboard.type(screen);
  await page.keyboard.press('Enter');
}

/** Lanes by what was decided, alike together, and by what somebody has. */
async function narrowedAndOrdered(page: Page, locked: number): Promise<void> {
  await page.getByLabel('Show').selectOption('locked');
  await expect(lanesOf(page)).toHaveCount(locked);
  await page.getByLabel('Show').selectOption('all');
  await page.getByLabel('Order').selectOption('alike');
  await expect(page.getByText(/^\d+ the same$/).first()).toBeVisible();
  const all = await lanesOf(page).count();
  await page.getByLabel('Name, place or kit').fill('pull-up bar');
  await expect.poll(() => lanesOf(page).count()).toBeLessThan(all);
}

test('by keyboard alone: written with three mistakes, mended, adapted', async ({ page }) => {
  await open(page, crew);
  await goTo(page, 'new w');
  await expect(text(page)).toBeFocused();
  await page.keyboard.press('Control+A');
  for (const [at, line] of mistaken.entries()) {
    if (at > 0) await page.keyboard.press('Enter');
    await page.keyboard.type(line);
  }
  await expect(problems(page).getByRole('listitem')).toHaveCount(3);
  for (let fixed = 0; fixed < 3; fixed++) {
    await page.keyboard.press('F8');
    await page.keyboard.press('Alt+Enter');
  }
  await mended(page);
  await page.keyboard.press('Control+S');
  await saved(page);
  await goTo(page, 'adapt');
  await looked(page);
});

test('by keyboard alone: one version corrected, the same for others, taken back, sent', async ({ page }) => {
  await page.goto(`${await fresh(page, 'AMRAP 12:00\n8 pull-up\n10 goblet squat @ 16 kg\n12 burpee', crew)}/adapt`);
  await looked(page);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await tabTo(page, lanesOf(page).first());
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(panelOf(page).locator('section li > button').first()).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(panelOf(page).getByLabel('Why not another movement?')).toBeVisible();
  await page.keyboard.press('w');
  await expect(panelOf(page).getByLabel('Why not another movement?')).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(lanesOf(page).nth(1)).toBeFocused();
  await tabTo(page, panelOf(page).locator('section li > button').first());
  await page.keyboard.press('l');
  await expect(panelOf(page).getByLabel('locked')).toBeVisible();
  await tabTo(page, panelOf(page).getByRole('button', { name: 'For others too …' }));
  await page.keyboard.press('Enter');
  const take = panelOf(page).getByRole('button', { name: /^Take it for [1-9]/ });
  await expect(take).toBeEnabled();
  const others = Number(/\d+/.exec(await take.innerText())![0]);
  await tabTo(page, take);
  await page.keyboard.press('Enter');
  const locked = page.getByRole('list', { name: 'Versions' }).getByText('· locked');
  await expect(locked).toHaveCount(others + 1);
  await tabTo(page, lanesOf(page).first());
  await page.keyboard.press('Control+Z');
  await expect(locked).toHaveCount(1);
  await page.keyboard.press('Control+Y');
  await expect(locked).toHaveCount(others + 1);
  await narrowedAndOrdered(page, others + 1);
  await goTo(page, 'send');
  await tabTo(page, page.getByLabel('Who'));
  await page.keyboard.type('ferry');
  const send = page.getByRole('button', { name: /^Send to these \d/ });
  await tabTo(page, send);
  const sent = Number(/\d+/.exec(await send.innerText())![0]);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'All of these sent' })).toBeVisible();
  expect(await sentNumber(page)).toBe(sent);
});

for (const [how, size] of [
  ['by mouse', { width: 1280, height: 800 }],
  ['on a phone', phone],
] as const)
  test(how, async ({ page }) => {
    await page.setViewportSize(size);
    await open(page, crew);
    await page.getByRole('button', { name: 'New workout' }).first().click();
    await text(page).click();
    await page.keyboard.press('Control+A');
    await page.keyboard.insertText(mistaken.join('\n'));
    await expect(problems(page).getByRole('listitem')).toHaveCount(3);
    for (const words of ['pull up', 'goblet squat', 'burpee'])
      await problems(page)
        .getByRole('button', { name: `Take “${words}”` })
        .click();
    await mended(page);
    await saved(page);
    await page.getByRole('link', { name: /Adapt/ }).click();
    await looked(page);
    await lanesOf(page).nth(1).click();
    await panelOf(page).locator('section li > button').first().click();
    await panelOf(page).getByRole('button', { name: 'Lock', exact: true }).click();
    await panelOf(page).getByRole('button', { name: 'For others too …' }).click();
    const take = panelOf(page).getByRole('button', { name: /^Take it for [1-9]/ });
    await expect(take).toBeEnabled();
    await take.click();
    await page.getByRole('link', { name: /Send/ }).click();
    await page.getByLabel('Who').fill('ferry');
    await page.getByRole('button', { name: /^Send to these \d/ }).click();
    await expect(page.getByRole('button', { name: 'All of these sent' })).toBeVisible();
    expect(await sentNumber(page)).toBeGreaterThan(0);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(size.width);
  });

test('two windows on one version: each keeps what the other decided', async ({ page, context }) => {
  const address = await fresh(page, '# Squall\nAMRAP 12:00\n8 pull-up\n15 air squat', ['Corvalume', 'Tabrik']);
  const other = await context.newPage();
  const openVersion = async (window: Page, line: number): Promise<Locator> => {
    await window.goto(`${address}/adapt`);
    await looked(window);
    await lanesOf(window)
      .filter({ hasText: /^Corvalume/ })
      .click();
    const panel = window.getByRole('complementary', { name: 'Version of Corvalume' });
    await panel.locator('section li > button').nth(line).click();
    return panel;
  };
  const [mine, theirs] = [await openVersion(page, 0), await openVersion(other, 1)];
  await mine.getByRole('button', { name: 'Lock', exact: true }).click();
  await expect(mine.getByLabel('locked')).toHaveCount(1);
  await theirs.getByRole('button', { name: 'Lock', exact: true }).click();
  await expect(theirs.getByLabel('locked')).toHaveCount(2);
  await page.reload();
  await looked(page);
  await expect(page.getByRole('complementary', { name: 'Version of Corvalume' }).getByLabel('locked')).toHaveCount(2);
});
