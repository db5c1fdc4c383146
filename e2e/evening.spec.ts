/** A coach's evening: written with help, looked through, corrected once for several, without a mouse. */
import { expect, test } from '@playwright/test';
import { accessible, fresh, phone, saved } from './desk';

const editor = 'Workout text';

test('an empty page has something to begin with; what is offered is taken with Tab; the class is looked through behind the typing', async ({ page }) => {
  const address = await fresh(page, '');
  await page.goto(`${address}/write`);
  await accessible(page);
  await page.getByRole('button', { name: 'Begin with: As many rounds as possible' }).click();
  const text = page.getByRole('textbox', { name: editor });
  await expect(text).toBeFocused();
  await expect(text).toContainText('12 walking lunge');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('AMRAP 9:00\n10 air sq');
  await expect(page.locator('.cm-tooltip-autocomplete')).toContainText('air squat');
  await page.keyboard.press('Tab');
  await page.keyboard.type('\n8 burp');
  // Enter is a new line, whatever is offered
  await expect(page.locator('.cm-tooltip-autocomplete')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(text).toContainText('10 air squat');
  await page.keyboard.press('Backspace');
  await page.keyboard.type('eee');
  await expect(page.getByRole('list', { name: 'Problems' })).toContainText('burpeee');
  await expect(page.locator('.cm-lintRange')).toBeVisible();
  await page.keyboard.press('F8');
  await page.keyboard.press('Alt+Enter');
  await expect(text).toContainText('8 burpee');
  const everyone = page.getByRole('region', { name: 'The class' });
  await expect(everyone).toContainText(/\d+ of \d+ as written/, { timeout: 60_000 });
  const before = await everyone.locator('b').innerText();
  await page.keyboard.press('Control+End');
  await page.keyboard.type('6 ring muscle-up');
  await expect(everyone).toContainText(`${/\d+/.exec(before)![0]} before the last change`, { timeout: 60_000 });
  await page.keyboard.press('Control+S');
  await saved(page);
});

test('one decision for several by keyboard: into the version, locked, for others too, taken back, taken up again', async ({ page }) => {
  const address = await fresh(page, '# Squall\nAMRAP 12:00\n8 pull-up\n15 air squat');
  await page.goto(`${address}/adapt`);
  await expect(page.getByRole('status', { name: 'The class' })).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await accessible(page);
  await page.keyboard.press('Escape');
  const lanes = page.getByRole('list', { name: 'Versions' }).getByRole('button');
  await lanes.filter({ hasText: /^Corvalume/ }).focus();
  await page.keyboard.press('Enter');
  const panel = page.getByRole('complementary', { name: 'Version of Corvalume' });
  await expect(panel.locator('section li > button').first()).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(panel.getByLabel('Why not another movement?')).toBeVisible();
  await page.keyboard.press('w');
  await expect(panel.getByLabel('Why not another movement?')).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(lanes.filter({ hasText: /^Corvalume/ })).toBeFocused();
  await panel.locator('section li > button').first().focus();
  await page.keyboard.press('l');
  await expect(panel.getByLabel('locked')).toBeVisible();
  await panel.getByRole('button', { name: 'For others too …' }).press('Enter');
  const take = panel.getByRole('button', { name: /^Take it for [1-9]/ });
  await expect(take).toBeEnabled({ timeout: 60_000 });
  const others = Number(/\d+/.exec(await take.innerText())![0]);
  await accessible(page);
  await take.press('Enter');
  const locked = page.getByRole('list', { name: 'Versions' }).getByText('· locked');
  await expect(locked).toHaveCount(others + 1);
  await lanes.first().focus();
  await page.keyboard.press('Control+Z');
  await expect(locked).toHaveCount(1);
  await page.keyboard.press('Control+Y');
  await expect(locked).toHaveCount(others + 1);
  await page.getByLabel('Show').selectOption('locked');
  await expect(lanes).toHaveCount(others + 1);
});

test('on a phone the lanes have their strips, and a version opens above them', async ({ page }) => {
  const address = await fresh(page, '# Squall\nAMRAP 12:00\n8 pull-up\n15 air squat');
  await page.setViewportSize(phone);
  await page.goto(`${address}/adapt`);
  const lanes = page.getByRole('list', { name: 'Versions' }).getByRole('button');
  const strip = lanes.first().getByRole('img').first();
  await expect(strip).toBeVisible({ timeout: 60_000 });
  expect((await strip.boundingBox())!.width).toBeGreaterThan(300);
  await lanes.first().click();
  await expect(page.getByRole('complementary')).toBeInViewport();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('the roster and the sending are narrowed by any word of a file, and ordered', async ({ page }) => {
  const address = await fresh(page, '# Squall\nAMRAP 12:00\n8 burpee\n15 air squat');
  await page.goto('/people');
  const rows = page.getByRole('row').filter({ has: page.getByRole('link') });
  await expect(rows).toHaveCount(14);
  await page.keyboard.press('/');
  await page.keyboard.type('ferry');
  await expect(rows).not.toHaveCount(14);
  const few = await rows.count();
  expect(few).toBeGreaterThan(0);
  await accessible(page);
  await page.getByLabel('Search people').fill('');
  await page.getByRole('button', { name: 'Level' }).click();
  await expect(rows.first()).toContainText('new');
  await expect(page.getByRole('columnheader', { name: 'Level' })).toHaveAttribute('aria-sort', 'ascending');
  await page.goto(`${address}/send`);
  await page.getByLabel('Who').fill('ferry');
  await page.getByRole('button', { name: `Send to these ${few}` }).click();
  await expect(page.getByRole('button', { name: 'All of these sent' })).toBeVisible({ timeout: 60_000 });
  await page.getByLabel('Who').fill('');
  await expect(page.getByRole('button', { name: `Send the other ${14 - few}` })).toBeVisible();
});
