/** The whole path in the built application: coach from the start page, athlete on a phone; one bad-input path; accessibility on each screen. */
import { expect, test } from '@playwright/test';
import { accessible, breakwater, open, phone } from './desk';

test.describe.configure({ mode: 'serial' });
test('the demo says it is a demo and opens the desk', async ({ page }) => {
  await page.goto('/login');
  await accessible(page);
  await open(page);
  await expect(page.getByText('Demo: the Lanterns')).toBeVisible();
  await accessible(page);
});

test('write: text is read as it is typed, a slip is named, and nothing is lost on a reload', async ({ page }) => {
  await open(page);
  await page.getByRole('button', { name: 'New workout' }).click();
  await page.waitForURL(/\/write$/);
  const editor = page.getByLabel('Workout text');
  await editor.click();
  await page.keyboard.press('Control+A');
  await page.keyboard.insertText('# Squall\nAMRAP 12:00\n10 thursters @ 40/30 kg\n10 toes-to-bar');
  await expect(page.getByText(/“thursters” is not a movement/)).toBeVisible();
  await accessible(page);
  await page.keyboard.press('Control+A');
  await page.keyboard.insertText('# Squall\nAMRAP 12:00\n10 thruster @ 40/30 kg\n10 toes-to-bar\nintent: 5-7 rounds');
  await expect(page.getByText(/“thursters” is not a movement/)).toBeHidden();
  await expect(page.getByText('12:00').first()).toBeVisible();
  await expect(page.getByText('window 5-7 rounds')).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Workout text')).toContainText('10 thruster @ 40/30 kg');
  // a figure is a dial, by keyboard too, and undo takes it back
  await page.getByText('10 thruster @ 40/30 kg').click();
  await page.keyboard.press('Home');
  await page.keyboard.press('Alt+ArrowUp');
  await expect(page.getByLabel('Workout text')).toContainText('11 thruster @ 40/30 kg');
  await page.keyboard.press('Control+Z');
  await expect(page.getByLabel('Workout text')).toContainText('10 thruster @ 40/30 kg');
  await expect(page.getByLabel('Work by pattern')).toBeVisible();
});

test('people: a free-text kit shows its loads at once; a wrong line is said and kept', async ({ page }) => {
  await open(page);
  await page.getByRole('link', { name: 'People' }).click();
  await page.getByRole('heading', { name: 'People' }).waitFor();
  await accessible(page);
  await page.getByRole('button', { name: 'Add an athlete' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Velmira');
  await page.getByRole('textbox', { name: 'Kit', exact: true }).fill('barbell 20 kg, plates 2x10 2x5 kg\nunicorn');
  await expect(page.getByText('20, 30, 40, 50 kg')).toBeVisible();
  await expect(page.getByText(/“unicorn”: expected/)).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Kit', exact: true })).toHaveValue(/unicorn/);
  await page.getByRole('textbox', { name: 'Kit', exact: true }).fill('barbell 20 kg, plates 2x10 2x5 kg\npull-up bar');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('link', { name: /Velmira/ })).toBeVisible();
  await page.getByRole('button', { name: 'Delete Velmira' }).click();
  await expect(page.getByRole('link', { name: /Velmira/ })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /Velmira/ })).toBeVisible();
});

test('adapt: every athlete and three tiers get a version; a slot has alternatives, one is taken, and undone', async ({ page }) => {
  await open(page);
  await breakwater(page).getByRole('link', { name: 'Versions' }).click();
  await expect(page.getByRole('status', { name: 'The class' })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('list', { name: 'Versions' }).getByRole('listitem')).toHaveCount(18);
  await accessible(page);
  await page.getByRole('button', { name: /^Wendrith/ }).click();
  const panel = page.getByRole('complementary', { name: 'Version of Wendrith' });
  const slot = panel.locator('section li > button').nth(1);
  const before = await slot.locator('.font-medium').innerText();
  await slot.click();
  // the sentence first, the figures behind the click
  await expect(panel.getByText(/a bout, the reference/).first()).toBeVisible();
  await expect(panel.getByText(/drift [+-]/).first()).toBeVisible();
  await accessible(page);
  await panel
    .getByRole('button', { name: /^Take / })
    .first()
    .click();
  await expect(panel.getByLabel('locked')).toBeVisible();
  await expect(slot.locator('.font-medium')).not.toHaveText(before);
  await panel.getByRole('button', { name: 'Undo the last choice' }).click();
  await expect(slot.locator('.font-medium')).toHaveText(before);
});

test('house rules: a choice is kept', async ({ page }) => {
  await open(page);
  await page.getByRole('link', { name: 'House rules' }).click();
  await page.getByRole('heading', { name: 'House rules' }).waitFor();
  await accessible(page);
  await page.getByLabel('Warm-up').selectOption('miniature');
  await expect(page.getByText('Rule changed')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Warm-up')).toHaveValue('miniature');
  await page.getByLabel('Warm-up').selectOption('rounds');
});

let link = '';
test('send: one link an athlete, and a mark when the workout changes afterwards', async ({ page }) => {
  await open(page);
  await breakwater(page).getByRole('link', { name: 'Send' }).click();
  await page.getByRole('button', { name: /^Send all/ }).click();
  await expect(page.getByRole('link', { name: 'open page' })).toHaveCount(15, { timeout: 30_000 });
  await accessible(page);
  link = (await page
    .getByRole('row', { name: /Ylmarra/ })
    .getByRole('link', { name: 'open page' })
    .getAttribute('href'))!;
  await page.getByRole('link', { name: '1 Write' }).click();
  await page.getByLabel('Workout text').click();
  await page.keyboard.press('Control+End');
  await page.keyboard.insertText('\nnote: mind the wind');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: '3 Send' }).click();
  await expect(page.getByText('the workout changed after sending').first()).toBeVisible();
  await page.getByRole('button', { name: 'Withdraw the link of Brontek' }).click();
  await expect(page.getByText('withdrawn', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Open the link of Brontek again' }).click();
  await expect(page.getByText('withdrawn', { exact: true })).toBeHidden();
  await page.getByRole('button', { name: 'Withdraw the link of Brontek' }).click();
  await page.locator('[data-sonner-toast][data-front="true"]').getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('withdrawn', { exact: true })).toBeHidden();
});

test('the athlete’s page on a phone: version, clock with taps and undo, a reload in between, the score carried over', async ({ page }) => {
  await page.setViewportSize(phone);
  await page.goto(link);
  await expect(page.getByText('Your coach changed this workout')).toBeVisible();
  await expect(page.getByText(/dumbbell push press/).first()).toBeVisible();
  await accessible(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  await page.getByRole('link', { name: 'Start the clock' }).click();
  await page.getByRole('button', { name: 'Start' }).waitFor();
  await accessible(page);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('Get ready')).toBeVisible();
  // let the count-in be over, as a locked phone would find it
  const forward = (seconds: number) =>
    page.evaluate((by) => {
      for (const key of Object.keys(localStorage))
        if (key.startsWith('gambito.clock.')) {
          const kept = JSON.parse(localStorage.getItem(key)!);
          localStorage.setItem(key, JSON.stringify({ ...kept, startedAt: kept.startedAt - by * 1000 }));
        }
    }, seconds);
  await forward(60);
  await page.reload();
  const tap = page.getByRole('button', { name: 'Round done' });
  for (let round = 0; round < 3; round++) {
    // a second tap within half a second is the same one
    await tap.dblclick();
    await page.waitForTimeout(600);
  }
  await expect(page.getByText('3 rounds')).toBeVisible();
  await page.getByRole('button', { name: 'Undo tap' }).click();
  await expect(page.getByText('2 rounds')).toBeVisible();
  await page.getByRole('button', { name: 'Pause' }).click();
  await expect(page.getByText('Paused')).toBeVisible();
  await page.getByRole('button', { name: 'Go on' }).click();
  await forward(900);
  await page.reload();
  await page.getByRole('button', { name: 'Log 2+0' }).click();
  await expect(page.getByLabel('Score', { exact: true })).toHaveValue('2+0');
  await page.getByLabel('Score', { exact: true }).fill('fast');
  await page.getByRole('button', { name: 'Log' }).click();
  await expect(page.getByText(/expected rounds and reps such as 7\+12/).first()).toBeVisible();
  await page.getByLabel('Score', { exact: true }).fill('9+4');
  await page.getByRole('button', { name: 'Log' }).click();
  await expect(page.getByText('Logged: 9+4')).toBeVisible();
});

test('board: the score stands with its equivalent and verdict; correct, delete, undo; who is missing', async ({ page }) => {
  await open(page);
  await breakwater(page).getByRole('link', { name: 'Board' }).click();
  const row = page.getByRole('row', { name: /Ylmarra/ });
  await expect(row).toContainText('9+4');
  await expect(row).toContainText('in the window');
  await expect(page.getByText('Not logged yet')).toBeVisible();
  await accessible(page);
  await page.getByLabel('Score of Tabrik').fill('quick');
  await page.getByLabel('Score of Tabrik').press('Enter');
  await expect(page.getByText('“quick”: expected rounds and reps such as 7+12.').first()).toBeVisible();
  await expect(page.getByLabel('Score of Tabrik')).toHaveValue('quick');
  await page.getByRole('button', { name: 'Correct the score of Ylmarra' }).click();
  await row.getByRole('textbox', { name: 'Score of Ylmarra' }).fill('9+6');
  await row.getByRole('button', { name: 'Log' }).click();
  await expect(row).toContainText('9+6');
  await page.getByRole('button', { name: 'Delete the score of Ylmarra' }).click();
  await expect(row).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toContainText('9+6');
});

test('an address that leads nowhere and a link that is gone say so', async ({ page }) => {
  await page.goto('/a/aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa');
  await expect(page.getByText('This link is not open')).toBeVisible();
  await page.goto('/nowhere');
  await expect(page.getByText('Nothing here')).toBeVisible();
});
