/** The coach's desk beside writing and adapting: people by the dozen, the library, the week, a version by hand, and a desk that moves house. */
import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { dayFrom, expect, fresh, newcomer, saved, test } from './desk';

const table = `name,level,groups,kit,phone
Hespe,trained,"crew, early","dumbbell 10 kg x 2; rope",012
Orlo,splendid,crew,"zibble 3",
,trained,,,
Hespe,new,,,`;

test('people come from a table, rows that cannot be taken stay out, are changed by the dozen, and all of it is undone', async ({ another }) => {
  const desk = await newcomer(await another(), 'Sella');
  await desk.goto('/people/import');
  await desk.getByRole('textbox', { name: 'Table of people' }).fill(table);
  await expect(desk.getByText('4 rows: 2 new, 0 changed, 2 left out')).toBeVisible();
  await expect(desk.getByRole('row', { name: /no name/ })).toBeVisible();
  await expect(desk.getByText('Not read, and kept as typed in each file: “phone”.')).toBeVisible();
  await expect(desk.getByRole('row', { name: /Orlo/ })).toContainText('zibble');
  await desk.getByRole('button', { name: 'Take in 2' }).click();
  await expect(desk.getByRole('link', { name: 'Hespe' })).toBeVisible();
  await desk.keyboard.press('a');
  await desk.getByLabel('Add to the group').fill('night watch');
  await desk.getByRole('button', { name: 'Change 2' }).click();
  await expect(desk.getByRole('button', { name: 'night watch 2' })).toBeVisible();
  await desk.getByRole('button', { name: 'Undo' }).first().click();
  await expect(desk.getByRole('button', { name: 'night watch 2' })).toBeHidden();
  await desk.getByRole('button', { name: 'early 1' }).click();
  await expect(desk.getByRole('row')).toHaveCount(2);
});

test('a desk moves house: its archive goes into an empty one, and the board is the same', async ({ another }) => {
  const from = await newcomer(await another(), 'Oldhouse');
  const person = await (await from.request.post('/api/athletes', { data: { file: { name: 'Brask', category: 'men', level: 'trained' } } })).json();
  const workout = await (
    await from.request.post('/api/workouts', { data: { text: '# Weir\nAMRAP 10:00\n10 push-up\n10 air squat\nwindow: 6-30 rounds' } })
  ).json();
  await from.request.post(`/api/workouts/${workout.id}/scores`, { data: { athleteId: person.id, score: '9+4' } });
  await from.goto('/account');
  const [download] = await Promise.all([from.waitForEvent('download'), from.getByRole('link', { name: 'Save the desk' }).click()]);
  const archive = readFileSync(await download.path());
  const to = await newcomer(await another(), 'Newhouse');
  await to.goto('/account');
  await to.getByLabel('Archive of a desk').setInputFiles({ name: 'broken.gz', mimeType: 'application/gzip', buffer: archive.subarray(0, 400) });
  await expect(to.getByText(/no archive of a desk that can be taken/)).toBeVisible();
  await to.getByLabel('Archive of a desk').setInputFiles({ name: 'desk.gz', mimeType: 'application/gzip', buffer: archive });
  await expect(to.getByText(/The desk is taken in/)).toBeVisible();
  const rowsOf = async (desk: Page): Promise<unknown> => {
    const { workouts } = await (await desk.request.get('/api/workouts')).json();
    const { boards } = await (await desk.request.get(`/api/workouts/${workouts[0].id}/board`)).json();
    return boards[0].rows.map(({ athlete, score, index, verdict, rank }: Record<string, unknown>) => ({ athlete, score, index, verdict, rank }));
  };
  await expect.poll(() => rowsOf(to)).toEqual(await rowsOf(from));
});

test('the library: narrowed, tagged, thrown away and put back; an earlier text stands beside the one there is, and is taken again', async ({ page }) => {
  const address = await fresh(page, '# Shoal Marker\nfor time, cap 10:00\n50 goblet squat @ 16/12 kg\n', []);
  await page.goto(`${address}/write`);
  await page.getByLabel('Add a tag').fill('marked');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Take off marked' })).toBeVisible();
  const text = page.getByRole('textbox', { name: 'Workout text' });
  await text.click();
  await page.keyboard.press('Control+End');
  await page.keyboard.type('30 sit-up');
  await saved(page);
  await page.getByRole('button', { name: 'Earlier' }).click();
  await expect(page.getByLabel('That text, beside the one that stands').locator('del')).toContainText('30 sit-up');
  await page.getByRole('button', { name: 'Take this text again' }).click();
  await expect(text).not.toContainText('sit-up');
  await saved(page);
  await page.goto('/workouts?tag=marked');
  await expect(page.getByRole('link', { name: 'Shoal Marker' })).toBeVisible();
  await page.getByLabel('With the movement').fill('goblet squat');
  await expect(page.getByRole('link', { name: 'Shoal Marker' })).toBeVisible();
  await page.getByLabel('any kind').selectOption('amrap');
  await expect(page.getByText('None like that')).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await page.getByRole('button', { name: 'Delete Shoal Marker' }).click();
  await page.getByRole('button', { name: 'Bin', exact: true }).click();
  await page.getByRole('button', { name: 'Put Shoal Marker back' }).first().click();
  await page.getByRole('button', { name: 'Leave the bin' }).click();
  await expect(page.getByRole('link', { name: 'Shoal Marker' })).toBeVisible();
});

/** any week will do */
const monday = '2027-03-01';
test('the week: a workout is moved by a key, what collides is said, and it is moved back', async ({ another }) => {
  const desk = await newcomer(await another(), 'Weekly');
  for (const [day, text] of [
    [dayFrom(monday, 1), '# Ropes\nAMRAP 9:00\n8 pull-up'],
    [dayFrom(monday, 3), '# Hooks\nAMRAP 9:00\n8 toes-to-bar'],
  ])
    expect((await desk.request.post('/api/workouts', { data: { text, day } })).ok()).toBe(true);
  await desk.goto(`/week?day=${dayFrom(monday, 2)}`);
  const card = desk.getByRole('button', { name: 'Hooks, open' });
  await expect(card).toBeVisible();
  await expect(desk.getByText(/grip on grip/)).toHaveCount(0);
  await card.focus();
  await desk.keyboard.press('Alt+ArrowLeft');
  await expect(desk.getByRole('region', { name: /^Wed / })).toContainText('grip on grip: Ropes the day before');
  await desk.getByRole('button', { name: 'Undo' }).first().click();
  await expect(desk.getByRole('region', { name: /^Thu / })).toContainText('Hooks');
});

test('a version by hand, a note, and all of them on a sheet; the athlete reads both', async ({ page }) => {
  const address = await fresh(page, '# Squall\nAMRAP 12:00\n8 pull-up\n15 air squat', ['Lumerik', 'Orvenna']);
  await page.goto(`${address}/adapt`);
  await expect(page.getByRole('status', { name: 'The class' })).toBeVisible();
  await page.keyboard.press('t');
  await page.getByRole('table').getByRole('button', { name: 'Lumerik' }).click();
  const panel = page.getByRole('complementary', { name: 'Version of Lumerik' });
  const line = panel.locator('section li > button').first();
  await line.click();
  const lineForm = panel.locator('form').filter({ has: page.getByLabel('This line') });
  await panel.getByLabel('This line').fill('keep smiling');
  await lineForm.getByRole('button', { name: 'Write it so' }).click();
  await expect(panel.getByRole('alert')).toContainText('Expected one movement');
  await panel.getByLabel('This line').fill('6 band row, slowly down');
  await lineForm.getByRole('button', { name: 'Write it so' }).click();
  await expect(line).toContainText('6 band row, slowly down');
  await panel.getByRole('button', { name: 'Compute it', exact: true }).click();
  await expect(line).not.toContainText('slowly down');
  await panel.getByRole('button', { name: 'Write it by hand' }).click();
  await page.keyboard.press('Control+A');
  await page.keyboard.insertText('AMRAP 8:00\n6 dumbbell row @ 40 kg\n9 air squat');
  await panel.getByRole('button', { name: 'Take this text' }).click();
  await expect(panel.getByText('written by hand').first()).toBeVisible();
  await expect(panel.getByRole('list', { name: 'Warnings' })).toContainText('by hand: there is');
  await panel.getByLabel('Note to Lumerik').fill('Mind the hatch.');
  await panel.getByLabel('Note to Lumerik').blur();
  await panel.getByLabel('Beside').selectOption({ label: 'Orvenna' });
  await expect(panel.getByRole('region', { name: 'Compare' })).toContainText('Orvenna');
  await page.goto(`${address}/sheet`);
  await expect(page.getByRole('article').filter({ hasText: 'Lumerik' })).toContainText('AMRAP 8:00');
  const { athletes } = await (await page.request.get('/api/athletes?results=no')).json();
  const { id } = athletes.find(({ name }: { name: string }) => name === 'Lumerik');
  const { sends } = await (await page.request.post(`/api${address}/sends`, { data: { athleteIds: [id] } })).json();
  await page.goto(`/a/${sends.find(({ athleteId }: { athleteId: number }) => athleteId === id).token}`);
  await expect(page.getByText('Mind the hatch.')).toBeVisible();
  await expect(page.getByText('AMRAP 8:00')).toBeVisible();
});

test('the intent is stated by clicks and stands in the text; Ctrl K goes anywhere', async ({ page }) => {
  const address = await fresh(page, '# Squall\nAMRAP 12:00\n8 pull-up\n15 air squat\n', ['Quillume']);
  await page.goto(`${address}/write`);
  await page.getByRole('button', { name: 'heavy' }).click();
  await page.getByRole('button', { name: 'pulling' }).click();
  const text = page.getByRole('textbox', { name: 'Workout text' });
  await expect(text).toContainText('intent: heavy, pulling must stay');
  await page.getByLabel('Instead of pull-up').fill('ring row');
  await page.keyboard.press('Enter');
  await expect(text).toContainText('8 pull-up | ring row');
  await page.getByRole('button', { name: /as the reference does it/ }).click();
  await expect(text).toContainText(/window: \d+-\d+ rounds/);
  await saved(page);
  await page.keyboard.press('Control+k');
  await page.keyboard.type('Quillume');
  await expect(page.getByRole('option', { name: 'Quillume' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Quillume' })).toBeVisible();
});
