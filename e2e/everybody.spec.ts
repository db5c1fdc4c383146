/**
 * Every screen can be used by everybody: one scan a screen by day, its colours once more by night, and no screen is wider than a phone on a phone.
 * A screen is looked at with what opens in it: a version with its alternatives, a message before it is sent, what hurt.
 */
import axe from 'axe-core';
import type { Page } from '@playwright/test';
import { breakwaterText, expect, fresh, log, openDemo, person, phone, sendTo, signIn, test } from './desk';

interface Scanned {
  readonly violations: readonly { readonly id: string; readonly nodes: readonly { readonly target: readonly string[] }[] }[];
}
/** @param rules only these; all where none is named */
async function violations(page: Page, rules: readonly string[] = []): Promise<string[]> {
  const { violations: found } = await page.evaluate(async (only): Promise<Scanned> => {
    const scanner = (globalThis as unknown as { axe: { run: (context: object, options: object) => Promise<Scanned> } }).axe;
    // the first four lanes of a class stand for the others, which are made of the same pieces
    const context = { exclude: [['.cm-editor'], ['[aria-label="Versions"] > li:nth-child(n+5)']] };
    const runOnly = only.length === 0 ? {} : { runOnly: { type: 'rule', values: only } };
    return scanner.run(context, { resultTypes: ['violations'], ...runOnly });
  }, rules);
  return found.map((each) => `${each.id}: ${each.nodes.map((node) => node.target.join(' ')).join(', ')}`);
}
const theme = (page: Page, name: 'light' | 'dark'): Promise<void> => page.evaluate((chosen) => void (document.documentElement.dataset['theme'] = chosen), name);

/** What a page shows is there: nothing is on its way any more. */
const isThere = (page: Page) =>
  page.waitForFunction(() => document.querySelector('h1') !== null && document.querySelector('p[role=status]:not([aria-label])') === null);

async function usable(page: Page, name: string): Promise<void> {
  await isThere(page);
  await page.evaluate(axe.source);
  expect([name, await violations(page)]).toEqual([name, []]);
  await theme(page, 'dark');
  expect([`${name} by night`, await violations(page, ['color-contrast'])]).toEqual([`${name} by night`, []]);
  await theme(page, 'light');
  const size = page.viewportSize()!;
  await page.setViewportSize(phone);
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth), name).toBe(phone.width);
  await page.setViewportSize(size);
}

/** An address, and what is opened there before it is looked at. */
type Visit = readonly [path: string, open?: (page: Page) => Promise<void>];
async function visit(page: Page, visits: readonly Visit[]): Promise<void> {
  for (const [path, open] of visits) {
    await page.goto(path);
    await isThere(page);
    await open?.(page);
    await usable(page, path);
  }
}

test.beforeEach(async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('gambito.theme', 'light'));
});

test('the demo’s desk, week, workouts and people', async ({ page }) => {
  await page.goto('/login');
  await usable(page, '/login');
  await openDemo(page);
  await usable(page, 'the desk');
  await visit(page, [['/week'], ['/workouts'], ['/people']]);
});

test('an athlete’s file and record, house rules, account', async ({ page }) => {
  const address = await fresh(page, '# Mole\nAMRAP 9:00\n9 burpee', ['Orvenna', 'Hespin']);
  const hespin = await person(page, 'Hespin');
  await log(page, address, hespin, '7+2');
  await visit(page, [[`/people/${hespin}`], [`/people/${hespin}/record`], ['/rules'], ['/account']]);
});

test('what is taken in, and the doors', async ({ page }) => {
  await page.goto('/join/nobody');
  await usable(page, '/join/nobody');
  await page.goto('/reset/nobody');
  await usable(page, '/reset/nobody');
  await signIn(page, []);
  await visit(page, [
    ['/people/new'],
    [
      '/people/import',
      async () => {
        await page.getByRole('textbox', { name: 'Table of people' }).fill('name,level,phone\nHespe,trained,012\nOrlo,splendid,\n,new,');
        await expect(page.getByRole('row', { name: /no name/ })).toBeVisible();
      },
    ],
    ['/workouts/import'],
  ]);
});

test('writing, and what it said before', async ({ page }) => {
  const address = await fresh(page, '# Squall\nAMRAP 12:00\n10 thursters @ 40/30 kg\n10 toes-to-bar', ['Orvenna']);
  await page.request.put(`/api${address}`, { data: { text: '# Squall\nAMRAP 12:00\n10 thursters @ 40/30 kg\n9 toes-to-bar', revision: 1 } });
  const show = async (): Promise<void> => {
    await page.getByRole('button', { name: 'Earlier' }).click();
    await expect(page.getByLabel('That text, beside the one that stands').locator('del')).toBeVisible();
  };
  await visit(page, [[`${address}/write`, show], [await fresh(page, '').then((empty) => `${empty}/write`)]]);
});

test('versions, sheets, sending and its messages', async ({ page }) => {
  const address = await fresh(page, breakwaterText, ['Orvenna', 'Tabrik', 'Wendrith']);
  await sendTo(page, address, 'Tabrik');
  const openVersion = async (): Promise<void> => {
    await page.getByRole('button', { name: /^Wendrith/ }).click();
    const panel = page.getByRole('complementary', { name: 'Version of Wendrith' });
    await panel.locator('section li > button').nth(1).click();
    await expect(panel.getByText(/a bout, the reference/).first()).toBeVisible();
    await panel.getByRole('button', { name: 'Lock', exact: true }).click();
    await panel.getByRole('button', { name: 'For others too …' }).click();
    await expect(panel.getByRole('button', { name: /^Take it for/ })).toBeVisible();
  };
  const openMessages = async (): Promise<void> => {
    await page.getByRole('button', { name: 'Write to them' }).click();
    await expect(page.getByRole('dialog', { name: 'Write to them' }).getByText('tabrik@lanterns.example')).toBeVisible();
  };
  await visit(page, [[`${address}/adapt`, openVersion], [`${address}/sheet`], [`${address}/send`, openMessages]]);
});

test('a class, its screen, and boards', async ({ page }) => {
  const address = await fresh(
    page,
    '# Slack Water\nAMRAP 8:00\n8 deadlift @ 50/35 kg\n12 air squat\n\nrest 3:00\n\nfor time, cap 9:00\n40 burpee\nwindow: 3:00-4:00',
    ['Sasquel', 'Ylmarra'],
  );
  for (const name of ['Sasquel', 'Ylmarra']) await sendTo(page, address, name);
  await log(page, address, await person(page, 'Sasquel'), '9+4 | 3:10');
  const openClass = async (): Promise<void> => {
    await page.getByRole('button', { name: 'Open the class' }).click();
    await page.getByText('Share an implement').click();
  };
  const openNext = async (): Promise<void> => {
    await page.getByText('Next time').click();
  };
  await visit(page, [[`${address}/run`, openClass], [`${address}/screen`], [`${address}/board`, openNext]]);
});

test('the athlete’s page, clock, warm-up and own door', async ({ page, another }) => {
  const address = await fresh(page, breakwaterText, ['Lumerik']);
  const link = await sendTo(page, address, 'Lumerik');
  const made = await page.request.post(`/api/athletes/${await person(page, 'Lumerik')}/door`);
  const door = `/a/own/${((await made.json()) as { token: string }).token}`;
  const hand = await (await another({ viewport: phone })).newPage();
  await hand.addInitScript(() => localStorage.setItem('gambito.theme', 'light'));
  const say = async (): Promise<void> => {
    await hand.getByRole('button', { name: 'Today I only have …' }).click();
    await hand.getByText('Something hurt', { exact: true }).click();
  };
  await visit(hand, [[link, say], [`${link}/clock`], [`${link}/warm-up`], [door]]);
});
