/**
 * Nested texts are typed and deleted again, key by key: a half-written workout must never take the page with it.
 * That every sample is read at every key is held by packages/core/test/reading.test.ts; here the page draws it.
 */
import type { Page } from '@playwright/test';
import { expect, fresh, test } from './desk';

const nested = [
  'rounds in rounds',
  'for time, cap 20:00\n3 rounds\n  2 rounds, rest 1:00 between\n    5 pull-up\n    10 push-up\n  200 m run\nwindow: 12:00-16:00',
] as const;
// what turned the page white once: a run of four parts over a text of three
const once = ['AMRAP 8:00 and half a rest', 'AMRAP 8:00\n10 burpee\n\nrest 3:00\n\nfor time, cap 9:00\n3 rounds\n  10 push-up'] as const;

/** The editor indents by itself: every line is written from its start. */
async function typeAll(page: Page, text: string): Promise<void> {
  for (const line of text.split('\n')) {
    await page.keyboard.type(line);
    await page.keyboard.press('Enter');
    await page.keyboard.press('Home');
  }
}
/** From its very end, whatever the editor indented behind the cursor; the placeholder comes back with the last key. */
async function deleteAll(page: Page, length: number): Promise<void> {
  const empty = page.locator('.cm-placeholder');
  await page.keyboard.press('Control+End');
  // the editor's own indentation is more than was typed: so many keys are enough, and a page that eats them is seen
  for (let keys = 0; keys < 3 * length + 40 && (keys % 20 > 0 || (await empty.count()) === 0); keys++) await page.keyboard.press('Backspace');
  await expect(empty).toBeVisible();
}

test.describe('typing and deleting, key by key', () => {
  for (const [name, text] of [once, nested])
    test(name, async ({ page }) => {
      const errors: string[] = [];
      page.on('pageerror', (error) => errors.push(error.message));
      await page.goto(`${await fresh(page, '', [])}/write`);
      const editor = page.getByRole('textbox', { name: 'Workout text' });
      await editor.click();
      await typeAll(page, text.trimEnd());
      expect(errors).toEqual([]);
      await expect(page.getByLabel('Work by pattern').first()).toBeVisible();
      await deleteAll(page, text.length);
      await expect(page.getByText('could not be shown')).toHaveCount(0);
      await expect(page.getByText('The strip draws itself')).toBeVisible();
      expect(errors).toEqual([]);
    });
});
