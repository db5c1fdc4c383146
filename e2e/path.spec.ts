/** The whole path in the built application, a step a test: coach from the start page, athlete on a phone. */
import { breakwater, breakwaterText, expect, fresh, inOneMoment, log, open, openDemo, person, phone, sendTo, signIn, turnClock, test } from './desk';

/** enough of the class to see that it is a class */
const crew = ['Brontek', 'Ylmarra', 'Tabrik'] as const;

test('the demo says it is a demo, opens the desk, and comes without the core, which is large', async ({ page }) => {
  await openDemo(page);
  await expect(page.getByText('Demo: the Lanterns')).toBeVisible();
  const html = await (await page.request.get('/')).text();
  expect(html).toContain('/assets/vendor-');
  expect(html).not.toContain('/assets/core-');
});

test('write: text is read as it is typed, a slip is named, and nothing is lost on a reload', async ({ page }) => {
  await open(page, ['Tabrik']);
  await page.getByRole('button', { name: 'New workout' }).click();
  await page.waitForURL(/\/write$/);
  const editor = page.getByLabel('Workout text');
  await editor.click();
  await page.keyboard.press('Control+A');
  await page.keyboard.insertText('# Squall\nAMRAP 12:00\n10 thursters @ 40/30 kg\n10 toes-to-bar');
  await expect(page.getByText(/“thursters” is not a movement/)).toBeVisible();
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
  await signIn(page, ['Tabrik']);
  await page.goto('/people');
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
  await page.goto(`${await fresh(page, breakwaterText)}/adapt`);
  await expect(page.getByRole('status', { name: 'The class' })).toBeVisible();
  // fourteen, and three tiers
  await expect(page.getByRole('list', { name: 'Versions' }).getByRole('listitem')).toHaveCount(17);
  await page.getByRole('button', { name: /^Wendrith/ }).click();
  const panel = page.getByRole('complementary', { name: 'Version of Wendrith' });
  const slot = panel.locator('section li > button').nth(1);
  const before = await slot.locator('.font-medium').innerText();
  await slot.click();
  // the sentence first, the figures behind the click
  await expect(panel.getByText(/a bout, the reference/).first()).toBeVisible();
  await expect(panel.getByText(/drift [+-]/).first()).toBeVisible();
  await panel.getByRole('button', { name: /^Use / }).first().click();
  await expect(panel.getByLabel('locked')).toBeVisible();
  await expect(slot.locator('.font-medium')).not.toHaveText(before);
  await panel.getByRole('button', { name: 'Undo the last choice' }).click();
  await expect(slot.locator('.font-medium')).toHaveText(before);
});

test('house rules: a choice is kept', async ({ page }) => {
  await signIn(page, []);
  await page.goto('/rules');
  await page.getByLabel('Warm-up').selectOption('miniature');
  await expect(page.getByText('Rule changed')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Warm-up')).toHaveValue('miniature');
});

test('send: one link an athlete, and a mark when the workout changes afterwards', async ({ page }) => {
  await open(page, crew);
  await breakwater(page).getByRole('link', { name: 'Send' }).click();
  await page.getByRole('button', { name: /^Send all/ }).click();
  await expect(page.getByRole('link', { name: 'open page' })).toHaveCount(crew.length);
  await page.getByRole('link', { name: '1 Write' }).click();
  await page.getByLabel('Workout text').click();
  await page.keyboard.press('Control+End');
  await page.keyboard.insertText('\nnote: mind the wind');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: '3 Send' }).click();
  await expect(page.getByText('changed after sending').first()).toBeVisible();
  await page.getByRole('button', { name: 'Withdraw the link of Brontek' }).click();
  await expect(page.getByText('withdrawn', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Open the link of Brontek again' }).click();
  await expect(page.getByText('withdrawn', { exact: true })).toBeHidden();
  await page.getByRole('button', { name: 'Withdraw the link of Brontek' }).click();
  await page.locator('[data-sonner-toast][data-front="true"]').getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('withdrawn', { exact: true })).toBeHidden();
});

test('the athlete’s page on a phone: version, clock with taps and undo, a reload in between, the score carried over', async ({ page }) => {
  const address = await fresh(page, breakwaterText, ['Ylmarra']);
  const link = await sendTo(page, address, 'Ylmarra');
  await page.request.put(`/api${address}`, { data: { text: `${breakwaterText}note: mind the wind\n`, revision: 1 } });
  await page.setViewportSize(phone);
  await turnClock(page);
  await page.goto(link);
  await expect(page.getByText('Your coach changed this workout')).toBeVisible();
  await expect(page.getByText(/dumbbell push press/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Start the clock' }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('Get ready')).toBeVisible();
  await page.clock.fastForward(60_000);
  await page.reload();
  const tap = page.getByRole('button', { name: 'Round done' });
  await expect(tap).toBeEnabled();
  for (let round = 0; round < 3; round++) {
    // a second tap within half a second is the same one
    await inOneMoment(page, () => tap.dblclick());
    await page.clock.fastForward(600);
  }
  await expect(page.getByText('3 rounds')).toBeVisible();
  await page.getByRole('button', { name: 'Undo tap' }).click();
  await expect(page.getByText('2 rounds')).toBeVisible();
  await page.getByRole('button', { name: 'Pause' }).click();
  await expect(page.getByText('Paused')).toBeVisible();
  await page.getByRole('button', { name: 'Go on' }).click();
  await page.clock.fastForward(900_000);
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
  const address = await fresh(page, breakwaterText, ['Ylmarra', 'Tabrik']);
  await log(page, address, await person(page, 'Ylmarra'), '9+4');
  await page.goto(`${address}/board`);
  const row = page.getByRole('row', { name: /Ylmarra/ });
  await expect(row).toContainText('9+4');
  await expect(row).toContainText('in the window');
  await expect(page.getByText('Not logged yet')).toBeVisible();
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
