/** What waits on the desk whatever the day: what hurt, and who is silent. */
import { describe, expect, test } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import { refuse, stage } from '../../test/stage';
import { DiscomfortList } from './discomfort-list';
import { SilentList } from './silent-list';

const felt = { where: 'low back', much: 3, movement: 'Deadlift', note: '' };
const discomfort = { id: 5, workoutId: 7, title: 'Low Water', day: '2026-11-26', athleteId: 3, name: 'Orvenna', felt, at: '2026-11-26T18:00:00Z' };
const spared = {
  spare: ['spinal_loading'],
  swaps: [{ was: '12 deadlift @ 60 kg', now: '15 hip thrust' }],
  ask: 'Ask them to see a licensed professional before the next session.',
  urgent: false,
};
const orvenna = { id: 3, name: 'Orvenna', revision: 4, results: [], file: { name: 'Orvenna', avoid: 'running' } };

const hurt = (answers = {}) =>
  stage(<DiscomfortList />, {
    answers: {
      'GET /discomforts': { discomforts: [discomfort] },
      'GET /discomforts/5/spared': spared,
      'GET /athletes/3': orvenna,
      'PUT /athletes/3': { ...orvenna, revision: 5 },
      'PUT /discomforts/5': { done: true },
      ...answers,
    },
  });

describe('what hurt', () => {
  test('is told with the line that would stand instead, and whom to ask', async () => {
    hurt();
    await screen.findByText(/low back in Deadlift: had to stop\./);
    await screen.findByText('15 hip thrust');
    expect(screen.getByText(/licensed professional before the next session\. Gambito clears nobody\./)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Orvenna' }).getAttribute('href')).toBe('/people/3');
  });
  test('that asks for a doctor now has no advice for training beside it; of a workout that is gone it names the day', async () => {
    const chest = { ...discomfort, workoutId: null, felt: { ...felt, where: 'chest', note: 'had to sit down' } };
    const ask = 'Ask them to stop training and to see a doctor now.';
    hurt({ 'GET /discomforts': { discomforts: [chest] }, 'GET /discomforts/5/spared': { spare: [], swaps: [], ask, urgent: true } });
    await screen.findByText(/see a doctor now/);
    expect(screen.getByText(/Had to sit down\./)).toBeTruthy();
    expect(screen.queryByText(/choose other movements/)).toBeNull();
    expect(screen.queryByRole('link', { name: /Low Water/ })).toBeNull();
  });
  test('is spared beside what was spared before, and settled; one undo takes back both', async () => {
    const { server, user } = hurt();
    await user.click(await screen.findByRole('button', { name: 'Spare spinal loading from now on' }));
    await waitFor(() => expect(server.writes()).toHaveLength(2));
    expect(server.writes()).toEqual([
      { method: 'PUT', path: '/athletes/3', body: { file: { name: 'Orvenna', avoid: ['running', 'spinal_loading'] }, revision: 4 } },
      { method: 'PUT', path: '/discomforts/5', body: { settled: true } },
    ]);
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(server.writes()).toHaveLength(4));
    const undone = server.writes().slice(2);
    expect(undone).toContainEqual({ method: 'PUT', path: '/athletes/3', body: { file: orvenna.file, revision: 5 } });
    expect(undone).toContainEqual({ method: 'PUT', path: '/discomforts/5', body: { settled: false } });
  });
  test('settled without more, the file is not touched', async () => {
    const { server, user } = hurt();
    await user.click(await screen.findByRole('button', { name: 'Settle it: low back, Orvenna' }));
    await waitFor(() => expect(server.writes()).toEqual([{ method: 'PUT', path: '/discomforts/5', body: { settled: true } }]));
  });
  test('a file that was changed elsewhere meanwhile is said, and nothing is settled', async () => {
    const { server, user } = hurt({ 'PUT /athletes/3': refuse({ status: 409, title: 'It was changed in another window.' }) });
    await user.click(await screen.findByRole('button', { name: /^Spare/ }));
    await screen.findByText(/changed in another window/);
    expect(server.writes().map(({ path }) => path)).toEqual(['/athletes/3']);
  });
  test('where nothing stands for it, it says so and offers to settle it alone', async () => {
    hurt({ 'GET /discomforts/5/spared': { ...spared, spare: [], swaps: [] } });
    await screen.findByText(/choose other movements by hand/);
    expect(screen.queryByRole('button', { name: /^Spare/ })).toBeNull();
  });
  test('where no line would be another, it may be spared all the same', async () => {
    hurt({ 'GET /discomforts/5/spared': { ...spared, swaps: [] } });
    await screen.findByText('No line of this version would be another.');
    expect(screen.getByRole('button', { name: /^Spare/ })).toBeTruthy();
  });
  test('nothing of it stands where nothing hurts', async () => {
    const { server } = hurt({ 'GET /discomforts': { discomforts: [] } });
    await waitFor(() => expect(server.asked.some(({ path }) => path === '/discomforts')).toBe(true));
    expect(screen.queryByText('Something hurt')).toBeNull();
  });
});

describe('who is silent', () => {
  const one = (athleteId: number) => ({ athleteId, name: `Keeper ${athleteId}`, missed: 4, since: '2026-11-16' });
  test('stands with how many, since when, and leads to the record', async () => {
    stage(<SilentList />, { answers: { 'GET /silent': { silent: [one(3)] } } });
    await screen.findByText('4 without a score since Mon 16 Nov');
    expect(screen.getByRole('link', { name: 'Keeper 3' }).getAttribute('href')).toBe('/people/3/record');
  });
  test('of many the first are named and the others counted', async () => {
    stage(<SilentList />, { answers: { 'GET /silent': { silent: Array.from({ length: 11 }, (_, at) => one(at + 1)) } } });
    await screen.findByText('and 3 more');
    expect(screen.getAllByRole('listitem')).toHaveLength(8);
  });
});
