/** What every browser check needs: the demo's desk, open, and a page that can be used by everybody. */
import AxeBuilder from '@axe-core/playwright';
import { expect, type Browser, type Page } from '@playwright/test';

export const phone = { width: 390, height: 844 };

export async function accessible(page: Page): Promise<void> {
  // a page that is still loading is not looked at
  await page.waitForFunction(() => document.querySelector('h1') !== null && document.querySelector('p[role=status]:not([aria-label])') === null);
  // the first four lanes of a class stand for the others, which are made of the same pieces
  const { violations } = await new AxeBuilder({ page })
    .exclude('.cm-editor')
    .exclude('[aria-label="Versions"] > li:nth-child(n+5)')
    .options({ resultTypes: ['violations'] })
    .analyze();
  expect(violations.map((each) => `${each.id}: ${each.nodes.map((node) => node.target.join(' ')).join(', ')}`)).toEqual([]);
}
/** Today's Breakwater on the desk: another workout of the day may stand beside it. */
export const breakwater = (page: Page) => page.getByRole('region', { name: 'Breakwater' });
export async function open(page: Page): Promise<void> {
  await page.goto('/');
  const demo = page.getByRole('button', { name: 'Open the demo desk' });
  await demo
    .or(page.getByRole('heading', { name: 'Breakwater' }))
    .first()
    .waitFor();
  if (await demo.isVisible()) await demo.click();
  await page.getByRole('heading', { name: 'Breakwater' }).waitFor();
}

/** Signed in at the demo's desk, without a screen: what a check looks at it opens itself, and the desk takes seconds to draw. */
export async function signIn(page: Page): Promise<void> {
  expect((await page.request.post('/api/demo-login')).ok()).toBe(true);
}
/** A workout of one's own, without a day, so that nobody else's desk changes. @returns its address up to the step */
export async function fresh(page: Page, text: string): Promise<string> {
  await signIn(page);
  const made = await page.request.post('/api/workouts', { data: { text, day: null } });
  return `/workouts/${((await made.json()) as { id: number }).id}`;
}

/** The text that stands there is on the server. */
export const saved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();

/** Sends a workout to one athlete. @returns the address of the athlete's page */
export async function sendTo(page: Page, address: string, name: string): Promise<string> {
  const { athletes } = (await (await page.request.get('/api/athletes')).json()) as { athletes: { id: number; name: string }[] };
  const { id } = athletes.find((each) => each.name === name)!;
  const answer = await page.request.post(`/api${address}/sends`, { data: { athleteIds: [id] } });
  const { sends } = (await answer.json()) as { sends: { athleteId: number; token: string }[] };
  return `/a/${sends.find((each) => each.athleteId === id)!.token}`;
}

/** One more coach, with an empty desk: what is tried there changes nobody else's. */
export async function newcomer(page: Page, browser: Browser, name: string): Promise<Page> {
  await signIn(page);
  await page.goto('/account');
  await page.getByRole('button', { name: 'Link to a desk of their own' }).click();
  const link = await page.getByLabel('The invitation, shown once').inputValue();
  const other = await (await browser.newContext()).newPage();
  await other.goto(new URL(link).pathname);
  await other.getByRole('button', { name: 'Start' }).click();
  await expect(other.getByRole('alert').first()).toContainText('Expected a name');
  await other.getByLabel('Name').fill(name);
  await other.getByLabel('E-mail').fill(`${name.toLowerCase()}${Date.now()}@lanterns.example`);
  await other.getByLabel('Password').fill('a long lantern');
  await other.getByRole('button', { name: 'Start' }).click();
  await expect(other.getByRole('heading', { name: /^Today/ })).toBeVisible();
  return other;
}

/** Scores typed one after the other, Enter after each, whatever is doubtful answered by the same key. @returns ms it took */
export async function logByKeyboard(page: Page, scores: readonly string[]): Promise<number> {
  const fields = page.getByRole('complementary').getByRole('textbox', { name: /Score/ });
  await expect(fields.first()).toBeVisible();
  const before = await fields.count();
  const began = Date.now();
  for (const [at, score] of scores.entries()) {
    await fields.first().focus();
    await page.keyboard.type(score);
    await page.keyboard.press('Enter');
    await expect(async () => {
      if ((await fields.count()) > before - at - 1) await page.keyboard.press('Enter');
      expect(await fields.count()).toBe(before - at - 1);
    }).toPass();
  }
  return Date.now() - began;
}
