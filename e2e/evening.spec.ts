/** A coach's evening: written with help, looked through, corrected once for several, without a mouse. */
import { expect, fresh, phone, saved, test } from './desk';

const editor = 'Workout text';

test('an empty page has something to begin with; what is offered is taken with Tab; the class is looked through behind the typing', async ({ page }) => {
  const address = await fresh(page, '', ['Tabrik', 'Orvenna', 'Brontek']);
  await page.goto(`${address}/write`);
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
  // what is offered a moment later is not offered to somebody who has left the text: it would lie over what they press
  await text.blur();
  await expect(page.getByRole('list', { name: 'Problems' })).toContainText('burpeee');
  await expect(page.locator('.cm-tooltip-autocomplete')).toHaveCount(0);
  await text.focus();
  await expect(page.locator('.cm-lintRange')).toBeVisible();
  await page.keyboard.press('F8');
  await page.keyboard.press('Alt+Enter');
  await expect(text).toContainText('8 burpee');
  const everyone = page.getByRole('region', { name: 'The class' });
  // of the text that stands there now
  await expect(everyone).toHaveAttribute('aria-busy', 'false');
  await expect(everyone).toContainText(/\d+ of \d+ as written/);
  const before = await everyone.locator('b').innerText();
  await page.keyboard.press('Control+End');
  await page.keyboard.type('6 ring muscle-up');
  await expect(everyone).toContainText(`${/\d+/.exec(before)![0]} before the last change`);
  await page.keyboard.press('Control+S');
  await saved(page);
});

test('a movement nobody knows is said to be like another, and is known from then on', async ({ page }) => {
  const address = await fresh(page, 'Harbour morning\n\nAMRAP 12:00\n\n10 lantern hops\n8 pull-up', []);
  await page.goto(`${address}/write`);
  await expect(page.getByRole('list', { name: 'Problems' })).toContainText('“lantern hops” is not a movement Gambito knows');
  await page.locator('.cm-content').click();
  await page.keyboard.press('F8');
  await page.getByRole('button', { name: 'Say what it is like' }).click();
  await page.keyboard.type('burpee x 1.2; both feet land');
  await expect(page.getByRole('list', { name: 'Problems' })).toHaveCount(0);
  await expect(page.getByText('One round: 10 lantern hops, 8 pull-up')).toBeVisible();
  await saved(page);
  await page.goto(`${await fresh(page, 'AMRAP 9:00\n')}/write`);
  await page.locator('.cm-content').click();
  await page.keyboard.press('Control+End');
  await page.keyboard.type('8 lant');
  await expect(page.getByText('your own, as burpee')).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.locator('.cm-content')).toContainText('movement: lantern hops = burpee x 1.2; both feet land');
});

test('on a phone the lanes have their strips, and a version opens above them', async ({ page }) => {
  const address = await fresh(page, '# Squall\nAMRAP 12:00\n8 pull-up\n15 air squat', ['Orvenna', 'Tabrik', 'Brontek', 'Wendrith']);
  await page.setViewportSize(phone);
  await page.goto(`${address}/adapt`);
  const lanes = page.getByRole('list', { name: 'Versions' }).getByRole('button');
  const strip = lanes.first().getByRole('img').first();
  await expect(strip).toBeVisible();
  expect((await strip.boundingBox())!.width).toBeGreaterThan(300);
  await lanes.nth(5).click();
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
  await page.getByLabel('Search people').fill('');
  await page.getByRole('button', { name: 'Level' }).click();
  await expect(rows.first()).toContainText('new');
  await expect(page.getByRole('columnheader', { name: 'Level' })).toHaveAttribute('aria-sort', 'ascending');
  await page.getByRole('button', { name: 'Delete Brontek' }).click();
  await expect(rows).toHaveCount(13);
  await page.getByText('1 deleted in the last 30 days').click();
  await page.getByRole('button', { name: 'Put Brontek back' }).click();
  await expect(rows).toHaveCount(14);
  await page.goto(`${address}/send`);
  await page.getByLabel('Who').fill('ferry');
  await page.getByRole('button', { name: `Send to these ${few}` }).click();
  await expect(page.getByRole('button', { name: 'All of these sent' })).toBeVisible();
  await page.getByLabel('Who').fill('');
  await expect(page.getByRole('button', { name: `Send the other ${14 - few}` })).toBeVisible();
});

test('a message that is pasted is read beside its text, taken by a key, and comes back', async ({ page }) => {
  const address = await fresh(page, '', ['Tabrik']);
  await page.goto(`${address}/write`);
  const text = page.getByRole('textbox', { name: editor });
  await text.click();
  await page.keyboard.press('Control+A');
  await page.keyboard.insertText('morning team! 12 min amrap today: 8 burpees, 12 air squats, 16 kb swings (24/16). bring 2 towels');
  const reading = page.getByRole('region', { name: 'Read as' });
  await expect(reading).toContainText('16 kettlebell swing @ 24/16 kg');
  await expect(reading.getByRole('list', { name: 'Questions' })).toContainText('Where does “2” belong?');
  await page.keyboard.press('Alt+r');
  await expect(reading).toHaveCount(0);
  await expect(text).toContainText('8 burpee');
  await expect(text).not.toContainText('morning');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(text).toContainText('morning team');
});
