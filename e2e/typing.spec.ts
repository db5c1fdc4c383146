/** Every sample text is typed and deleted again, key by key: a half-written workout must never take the page with it. */
import { expect, test, type Page } from '@playwright/test';
import { readFileSync, readdirSync } from 'node:fs';
import { fresh } from './desk';

const directory = 'packages/core/test/samples';
const samples = readdirSync(directory)
  .filter((file) => file.endsWith('.txt'))
  .map((file) => [file, readFileSync(`${directory}/${file}`, 'utf8')] as const);
// what turned the page white once: a run of four parts over a text of three
const once = ['AMRAP 8:00 and half a rest', 'AMRAP 8:00\n10 burpee\n\nrest 3:00\n\nfor time, cap 9:00\n3 rounds\n  10 push-up'] as const;

/**
 * Each key is an edit of its own, followed by a turn of the page's loop, in which React draws and the workers answer.
 * Done inside the page: a round trip to the test for every key would take minutes.
 */
const typeAll = (page: Page, text: string): Promise<void> =>
  page.evaluate(
    async (keys) => {
      const turn = (): Promise<void> => new Promise((done) => setTimeout(done));
      for (const key of keys) {
        document.execCommand(key === '\n' ? 'insertLineBreak' : 'insertText', false, key);
        await turn();
      }
    },
    [...text],
  );
const deleteAll = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    const editor = document.querySelector('.cm-content')!;
    for (let left = 6000; left > 0 && (editor.textContent !== '' || editor.querySelectorAll('.cm-line').length > 1); left--) {
      document.execCommand('delete');
      await new Promise((done) => setTimeout(done));
    }
  });

test.describe('typing and deleting, key by key', () => {
  for (const [name, text] of [once, ...samples])
    test(name, async ({ page }) => {
      test.setTimeout(120_000);
      const errors: string[] = [];
      page.on('pageerror', (error) => errors.push(error.message));
      await page.goto(`${await fresh(page, '')}/write`);
      const editor = page.getByRole('textbox', { name: 'Workout text' });
      await editor.click();
      await typeAll(page, text.trimEnd());
      expect(errors).toEqual([]);
      await expect(page.getByLabel('Work by pattern').first()).toBeVisible();
      await deleteAll(page);
      await expect(page.getByText('could not be shown')).toHaveCount(0);
      await expect(page.getByText('The strip draws itself')).toBeVisible();
      expect(errors).toEqual([]);
    });
});
