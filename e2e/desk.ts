/** What every browser check needs: the demo's desk, open, and a page that can be used by everybody. */
import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

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

/** A workout of one's own, without a day, so that nobody else's desk changes. @returns its address up to the step */
export async function fresh(page: Page, text: string): Promise<string> {
  await open(page);
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
