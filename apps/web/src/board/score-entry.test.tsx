/** Twelve scores by keyboard: Enter logs and goes on, what is typed stays. */
import { beforeEach, expect, test } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import { refuse, stage } from '../../test/stage';
import type { Board } from '../api/types';
import { MissingList } from './missing-list';

const versionText = '# Squall\nAMRAP 12:00\n8 pull-up\n12 goblet squat @ 16 kg';
const one = (athleteId: number, name: string) => ({ athleteId, name, category: 'men', sent: athleteId === 1, versionText, expected: [] });
const missing = [one(1, 'Orlindo'), one(2, 'Tamsarel')] as unknown as Board['missing'];
const field = (name: string): HTMLInputElement => screen.getByRole('textbox', { name: `Score of ${name}` });
const list = (answers = {}) => stage(<MissingList workoutId={7} missing={missing} />, { answers });
beforeEach(() => localStorage.clear());

test('Enter logs one and goes on to the next', async () => {
  const { server, user } = list({ 'POST /workouts/7/scores': { scoreId: 1 } });
  await user.type(field('Orlindo'), '7+4{Enter}');
  expect(document.activeElement).toBe(field('Tamsarel'));
  await user.keyboard('6+11{Enter}');
  await waitFor(() => expect(server.writes()).toHaveLength(2));
  expect(server.writes().map(({ body }) => body)).toEqual([
    { athleteId: 1, score: '7+4', note: '' },
    { athleteId: 2, score: '6+11', note: '' },
  ]);
});
test('what is no score is told, not sent, and keeps the focus', async () => {
  const { server, user } = list();
  await user.type(field('Orlindo'), 'seven and a bit{Enter}');
  expect(screen.getByRole('alert').textContent).not.toBe('');
  expect(document.activeElement).toBe(field('Orlindo'));
  expect(server.writes()).toEqual([]);
});
test('what could not be logged is said, stays typed, and is there when the page is opened again', async () => {
  const staged = list({ 'POST /workouts/7/scores': refuse({ status: 503, title: 'The database is away.' }) });
  await staged.user.type(field('Orlindo'), '7+4{Enter}');
  await screen.findByText('The database is away.');
  staged.unmount();
  list();
  expect(field('Orlindo').value).toBe('7+4');
});
test('says who was sent a version, and when everybody is in', () => {
  list();
  expect([...document.querySelectorAll('li')].map((line) => /not sent|sent/.exec(line.textContent)?.[0])).toEqual(['sent', 'not sent']);
  stage(<MissingList workoutId={7} missing={[]} />);
  expect(screen.getByText('Everybody is in.')).toBeTruthy();
});
