/** What strangers write, pasted: a workout's message is asked about and taken by keys; an athlete's sentences become proposals on their page. */
import { expect, open, signIn, test } from './desk';

const message = 'evening all! tmrw on the pier\ntwelve min amrap pls\n8 deck rolls, 12 swings 24/16 kg\nthen ten box jumps 24/20. bring 3 towels';

test('a message: two questions are answered by keys, it is taken, undo brings it back, and the answers are remembered', async ({ page }) => {
  await open(page, []);
  await page.getByRole('button', { name: 'New workout' }).click();
  await page.waitForURL(/\/write$/);
  const editor = page.getByLabel('Workout text');
  await editor.click();
  await page.keyboard.press('Control+A');
  await page.keyboard.insertText(message);
  const box = page.getByRole('region', { name: 'Read as' });
  await expect(box.getByText('Gambito does not know “deck roll”. What is it?')).toBeVisible();
  // the second choice: it is no movement
  await page.keyboard.press('Alt+Digit2');
  await expect(box.getByText('Gambito does not know “deck roll”. What is it?')).toBeHidden();
  await expect(box.getByText('“24/20” of box jump: in which unit?')).toBeVisible();
  await page.keyboard.press('Alt+Backspace');
  await expect(box.getByText('Gambito does not know “deck roll”. What is it?')).toBeVisible();
  await box.getByLabel('A movement of its own, about as hard as').fill('Burpee');
  await box.getByRole('button', { name: 'Use it' }).click();
  await expect(box.getByText('movement: deck roll = burpee')).toBeVisible();
  await page.keyboard.press('Alt+Digit1');
  await expect(box.getByText('“24/20” of box jump: in which unit?')).toBeHidden();
  // a line leads to where it came from
  await box.getByRole('button', { name: '10 box jump @ 24/20 in' }).click();
  await expect.poll(() => page.evaluate(() => getSelection()?.toString())).toContain('then ten box jumps');
  await page.keyboard.press('Alt+KeyR');
  await expect(editor).toContainText('12 kettlebell swing @ 24/16 kg');
  await expect(box).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(editor).toContainText('evening all!');
  // remembered: neither is asked about again
  await page.keyboard.press('Control+A');
  await editor.click();
  await page.keyboard.press('Control+A');
  await page.keyboard.insertText('hi all! ten min amrap pls: six deck rolls, then ten box jumps 20. bring water');
  await expect(box.getByText('10 box jump @ 20 in')).toBeVisible();
  await expect(box.getByRole('list', { name: 'Questions' })).toBeHidden();
  await page.goto('/account');
  const words = page.getByRole('region', { name: 'Your words' });
  await expect(words.getByText('A height without a unit is in inches.')).toBeVisible();
  await words.getByRole('listitem').filter({ hasText: 'deck roll' }).getByRole('button', { name: 'Take back' }).click();
  await expect(words.getByText(/deck roll/)).toBeHidden();
});

test('an athlete’s sentences: three of four proposals are taken, what is not there is struck through, and it is saved', async ({ page }) => {
  await signIn(page, []);
  await page.goto('/people');
  await page.getByRole('button', { name: 'Add an athlete' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Velmira');
  await page.getByText('Paste what they wrote').click();
  await page
    .getByRole('textbox', { name: 'What they wrote' })
    .fill("I've two 15s, the rower is broken, no jumping please, ceiling 2.2, 20 push-ups on a good day");
  const proposed = page.getByRole('list', { name: 'Proposed from the text' });
  await expect(proposed.getByRole('listitem')).toHaveCount(4);
  await expect(page.locator('s', { hasText: 'rowing machine' })).toBeVisible();
  for (const name of ['Avoids jumping', 'dumbbell 15 kg x 2', 'push-up 20 in one set']) await proposed.getByRole('button', { name }).click();
  await expect(proposed.getByRole('listitem')).toHaveCount(1);
  await expect(page.getByRole('textbox', { name: 'Kit', exact: true })).toHaveValue('dumbbell 15 kg x 2');
  await expect(page.getByRole('button', { name: 'jumping' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('link', { name: /Velmira/ }).click();
  await expect(page.getByRole('textbox', { name: 'Best sets' })).toHaveValue('push up: 20');
  await expect(page.getByRole('textbox', { name: 'Ceiling' })).toHaveValue('');
});
