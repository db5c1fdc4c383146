/** The coach's own warm-up, as it is written beside the house rules. */
import { expect, test } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import { refuse, stage } from '../../test/stage';
import { RitualForm } from './ritual-form';

const form = (answers = {}, isUsed = false) =>
  stage(<RitualForm isUsed={isUsed} />, { answers: { 'GET /ritual': { ritual: '3:00 easy row' }, 'PUT /ritual': (body: unknown) => body, ...answers } });
const field = async () => (await screen.findByLabelText('A line a step')) as HTMLTextAreaElement;

test('is saved, and undone by one click', async () => {
  const { server, user } = form();
  await waitFor(async () => expect((await field()).value).toBe('3:00 easy row'));
  expect((screen.getByRole('button', { name: 'Save it' }) as HTMLButtonElement).disabled).toBe(true);
  await user.type(await field(), '\n10 band pull-apart');
  await user.click(screen.getByRole('button', { name: 'Save it' }));
  await user.click(await screen.findByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(server.writes().map(({ body }) => body)).toEqual([{ ritual: '3:00 easy row\n10 band pull-apart' }, { ritual: '3:00 easy row' }]));
});
test('says whether it is used', async () => {
  form();
  await screen.findByText(/^Used where “Warm-up” above is “own ritual”/);
});
test('what could not be saved stays as it was typed', async () => {
  const { user } = form({ 'PUT /ritual': refuse({ status: 503, title: 'The database is away, what you typed is kept.' }) }, true);
  await screen.findByText(/^Every warm-up begins with it/);
  await waitFor(async () => expect((await field()).value).toBe('3:00 easy row'));
  await user.type(await field(), '!');
  await user.click(screen.getByRole('button', { name: 'Save it' }));
  await screen.findByText(/The database is away/);
  expect((await field()).value).toBe('3:00 easy row!');
});
