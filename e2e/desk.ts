/** What the browser checks stand on: a desk of one's own for each test, on one server, so that none disturbs another. */
import { expect, request as requests, test as plain, type BrowserContext, type BrowserContextOptions, type Page } from '@playwright/test';
import { lanternPeople } from '../apps/server/src/demo/lantern-people';

export { expect };
export const phone = { width: 390, height: 844 };

/** ms that the clock of servers and database is shifted by (`npm test -- --at`); pages go with them */
const shift = Number(process.env['GAMBITO_SHIFT'] ?? 0);
const now = (): Date => new Date(Date.now() + shift);
const shifted = async (context: BrowserContext): Promise<void> => {
  if (shift !== 0) await context.clock.install({ time: now() });
};

interface Stage {
  /** one more browser: a phone, another window; closed with the test */
  readonly another: (options?: BrowserContextOptions) => Promise<BrowserContext>;
}
export const test = plain.extend<Stage>({
  context: async ({ context }, use) => {
    await shifted(context);
    await use(context);
  },
  another: async ({ browser, baseURL }, use) => {
    const made: BrowserContext[] = [];
    await use(async (options = {}) => {
      const context = await browser.newContext({ baseURL: baseURL!, ...options });
      made.push(context);
      await shifted(context);
      return context;
    });
    for (const context of made) await context.close();
  },
});

/** From here on the page's time can be turned by the test: it flows as ever, and `page.clock.fastForward` jumps. */
export const turnClock = async (page: Page): Promise<void> => {
  if (shift === 0) await page.clock.install({ time: now() });
};
/** Time stands still while something is done in one moment, and goes on afterwards. */
export async function inOneMoment(page: Page, act: () => Promise<void>): Promise<void> {
  await page.clock.pauseAt((await page.evaluate(() => Date.now())) + 5_000);
  await act();
  await page.clock.resume();
}

/** Where the server of this run serves. */
export const served = (): string => test.info().project.use.baseURL!;

const password = 'a long lantern';
let desks = 0;
/** Every desk is opened from a house of its own: an address may only try so often. */
const fromElsewhere = (): Record<string, string> => ({ 'x-forwarded-for': `10.${process.pid % 200}.${desks >> 8}.${desks & 255}` });
/** The founder of the instance lets one more coach in. @returns the path of the invitation */
async function invitation(): Promise<string> {
  const founder = await requests.newContext({ baseURL: served() });
  expect((await founder.post('/api/demo-login', { headers: fromElsewhere() })).ok()).toBe(true);
  const { token } = (await (await founder.post('/api/invitations')).json()) as { token: string };
  await founder.dispose();
  return `/join/${token}`;
}
const emailOf = (name: string): string => `${name.toLowerCase()}.${process.pid}.${++desks}@lanterns.example`;

/** names of the Lanterns; `all` fourteen of them */
export type People = 'all' | readonly string[];
async function invite(page: Page, who: People): Promise<void> {
  const files = lanternPeople.filter(({ name }) => who === 'all' || who.includes(String(name)));
  if (files.length === 0) return;
  const added = await page.request.post('/api/athletes/many', { data: { athletes: files.map((file) => ({ id: null, file })) } });
  expect(await added.text()).toContain('ids');
}

const signedIn = new WeakSet<BrowserContext>();
/** Signed in at a desk of one's own with the people of the Lanterns and nothing else on it, without a screen. */
export async function signIn(page: Page, people: People = 'all'): Promise<void> {
  if (signedIn.has(page.context())) return;
  signedIn.add(page.context());
  const data = { name: 'Maruvel', email: emailOf('maruvel'), password, timeZone: 'UTC' };
  const joined = await page.request.post(`/api${await invitation()}`, { data, headers: fromElsewhere() });
  expect(await joined.text()).toContain('Maruvel');
  await invite(page, people);
}

export const squall = '# Squall\nAMRAP 12:00\n8 pull-up\n15 air squat';
export const breakwaterText =
  '# Breakwater\nAMRAP 14:00\n7 db push press @ 2x17.5/12.5 kg\n9 toes-to-bar\n40 m shuttle run\nintent: 9-12 rounds, light, unbroken while fresh\n';
export const today = (): string => now().toISOString().slice(0, 10);
export const dayFrom = (from: string, days: number): string => new Date(Date.parse(from) + days * 86_400_000).toISOString().slice(0, 10);

async function make(page: Page, text: string, day: string | null): Promise<string> {
  const made = await page.request.post('/api/workouts', { data: { text, day } });
  return `/workouts/${((await made.json()) as { id: number }).id}`;
}
/** A workout without a day. @returns its address up to the step */
export async function fresh(page: Page, text = squall, people: People = 'all'): Promise<string> {
  await signIn(page, people);
  return make(page, text, null);
}
/** The start page of a desk of one's own, with Breakwater as today's workout. @returns the address of Breakwater */
export async function open(page: Page, people: People = 'all'): Promise<string> {
  await signIn(page, people);
  const address = await make(page, breakwaterText, today());
  await page.goto('/');
  await page.getByRole('heading', { name: 'Breakwater' }).waitFor();
  return address;
}
/** Today's Breakwater on the desk. */
export const breakwater = (page: Page) => page.getByRole('region', { name: 'Breakwater' });

/** The text that stands there is on the server. */
export const saved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();

export interface Person {
  readonly id: number;
  readonly name: string;
}
export const everybody = async (page: Page): Promise<Person[]> =>
  ((await (await page.request.get('/api/athletes?results=no')).json()) as { athletes: Person[] }).athletes;
export const person = async (page: Page, name: string): Promise<number> => (await everybody(page)).find((each) => each.name === name)!.id;
export const log = async (page: Page, address: string, athleteId: number, score: string): Promise<void> =>
  expect(await (await page.request.post(`/api${address}/scores`, { data: { athleteId, score } })).text()).toContain(`"scoreId"`);

/** Sends a workout to one athlete. @returns the address of the athlete's page */
export async function sendTo(page: Page, address: string, name: string): Promise<string> {
  const id = await person(page, name);
  const answer = await page.request.post(`/api${address}/sends`, { data: { athleteIds: [id] } });
  const { sends } = (await answer.json()) as { sends: { athleteId: number; token: string }[] };
  return `/a/${sends.find((each) => each.athleteId === id)!.token}`;
}

/** One more coach, let in by the form of an invitation, at an empty desk. */
export async function newcomer(context: BrowserContext, name: string): Promise<Page> {
  const page = await context.newPage();
  signedIn.add(context);
  await page.goto(await invitation());
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('alert').first()).toContainText('Expected a name');
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('E-mail').fill(emailOf(name));
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('heading', { name: /^Today/ })).toBeVisible();
  return page;
}

/** Scores typed one after the other, Enter after each, whatever is doubtful answered by the same key. */
export async function logByKeyboard(page: Page, scores: readonly string[]): Promise<void> {
  const fields = page.getByRole('complementary').getByRole('textbox', { name: /Score/ });
  await expect(fields.first()).toBeVisible();
  const before = await fields.count();
  for (const [at, score] of scores.entries()) {
    await fields.first().focus();
    await page.keyboard.type(score);
    await page.keyboard.press('Enter');
    await expect(async () => {
      if ((await fields.count()) > before - at - 1) await page.keyboard.press('Enter');
      expect(await fields.count()).toBe(before - at - 1);
    }).toPass();
  }
}

/** The demo's own desk: only for what is shown of its weeks of history. Nothing is changed there. */
export async function openDemo(page: Page): Promise<void> {
  signedIn.add(page.context());
  await page.goto('/');
  await page.getByRole('button', { name: 'Open the demo desk' }).click();
  await page.getByRole('heading', { name: 'Breakwater' }).waitFor();
}
