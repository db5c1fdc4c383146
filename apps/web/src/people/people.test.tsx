/** Many people at once: chosen and changed together, brought in from a table, put back; kit by picking. */
import { beforeEach, describe, expect, test } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import { refuse, stage } from '../../test/stage';
import type { StoredAthlete } from '../api/types';
import { BulkBar } from './bulk-bar';
import { DeletedPeople } from './deleted-people';
import { ImportScreen } from './import-screen';
import { KitPicker } from './kit-picker';
import { rosterRow } from './roster';

const stored = (id: number, name: string, file = {}): StoredAthlete =>
  ({ id, name, revision: 4, results: [], file: { name, category: 'women', level: 'newer', ...file } }) as unknown as StoredAthlete;
const people = [stored(1, 'Orlinda', { groups: ['ferry crew'] }), stored(2, 'Tamsarel')];
beforeEach(() => localStorage.clear());

describe('people who are chosen', () => {
  const bar = (answers = {}) => {
    let cleared = false;
    const rows = people.map((athlete) => rosterRow(athlete, '2026-11-28'));
    const staged = stage(<BulkBar chosen={rows} groups={['ferry crew']} clear={() => void (cleared = true)} />, { answers });
    return { ...staged, cleared: () => cleared };
  };
  test('join a group: only who is not in it is changed, with the revision that stood', async () => {
    const { server, user, cleared } = bar({ 'POST /athletes/many': { ids: [2] } });
    await user.type(screen.getByRole('combobox', { name: 'Add to the group' }), 'ferry crew');
    await user.click(screen.getByRole('button', { name: 'Change 1' }));
    await waitFor(() => expect(cleared()).toBe(true));
    expect(server.writes()[0]!.body).toEqual({ athletes: [{ id: 2, file: { ...people[1]!.file, groups: ['ferry crew'] }, revision: 4 }] });
  });
  test('are put back by one undo, from the revision that was made', async () => {
    const { server, user } = bar({ 'POST /athletes/many': { ids: [1, 2] } });
    await user.selectOptions(screen.getByRole('combobox', { name: 'Change' }), 'level');
    await user.selectOptions(screen.getByRole('combobox', { name: 'Set the level' }), 'trained');
    await user.click(screen.getByRole('button', { name: 'Change 2' }));
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(server.writes()).toHaveLength(2));
    expect(server.writes()[1]!.body).toEqual({ athletes: people.map(({ id, file }) => ({ id, file, revision: 5 })) });
  });
  test('are told where a change changes nobody', async () => {
    const { user } = bar();
    await user.selectOptions(screen.getByRole('combobox', { name: 'Change' }), 'level');
    await user.selectOptions(screen.getByRole('combobox', { name: 'Set the level' }), 'newer');
    expect(screen.getByRole('button', { name: 'Changes nobody' })).toHaveProperty('disabled', true);
  });
  test('stay chosen where the server refuses', async () => {
    const { user, cleared } = bar({ 'POST /athletes/many': refuse({ status: 409, title: 'Somebody changed one of them.' }) });
    await user.type(screen.getByRole('combobox', { name: 'Add to the group' }), 'new');
    await user.click(screen.getByRole('button', { name: 'Change 2' }));
    await screen.findByText('Somebody changed one of them.');
    expect(cleared()).toBe(false);
  });
});

describe('a table of people', () => {
  const table = async (text: string, answers = {}) => {
    const staged = stage(<ImportScreen />, { answers: { 'GET /athletes?results=no': { athletes: people, next: null }, ...answers } });
    const field = await screen.findByLabelText('Table of people');
    await staged.user.click(field);
    await staged.user.paste(text);
    return staged;
  };
  const rows = () => within(screen.getByRole('table')).getAllByRole('row').slice(1);
  test('is looked at row by row; a broken row blocks itself, and one is left out by hand', async () => {
    const { server, user } = await table('name;level;body_mass\nPerrinax;newer;70 kg\n;new;60 kg\nTamsarel;trained;66 kg', {
      'POST /athletes/many': { ids: [9] },
    });
    expect(rows()).toHaveLength(3);
    expect(rows()[0]!.textContent).toContain('new');
    expect(rows()[2]!.textContent).toContain('changes who is here');
    expect(within(rows()[1]!).getByRole('checkbox')).toHaveProperty('disabled', true);
    await user.click(within(rows()[2]!).getByRole('checkbox'));
    await user.click(screen.getByRole('button', { name: 'Take in 1' }));
    await screen.findByText('elsewhere');
    const { athletes } = server.writes()[0]!.body as { athletes: { id: number | null; file: Record<string, unknown> }[] };
    expect(athletes.map(({ id, file }) => [id, file['name']])).toEqual([[null, 'Perrinax']]);
  });
  test('without names is said, and nothing can be taken in', async () => {
    await table('level,kit\nnew,chair 45 cm');
    expect(screen.getAllByRole('alert')[0]!.textContent).toMatch(/name/);
    expect(screen.getByRole('button', { name: 'Nothing to take in' })).toHaveProperty('disabled', true);
  });
  test('that is refused stays on the page', async () => {
    const { user } = await table('name\nPerrinax', { 'POST /athletes/many': refuse({ status: 503, title: 'The database is away.' }) });
    await user.click(screen.getByRole('button', { name: 'Take in 1' }));
    await screen.findByText('The database is away.');
    expect((screen.getByLabelText('Table of people') as HTMLTextAreaElement).value).toBe('name\nPerrinax');
  });
});

describe('who was deleted', () => {
  const answers = { 'GET /athletes/deleted': { athletes: [{ id: 5, name: 'Quillo', deletedAt: '2026-11-20T08:00:00Z' }] } };
  test('is out of the way, and put back', async () => {
    const { server, user } = stage(<DeletedPeople />, { answers: { ...answers, 'POST /athletes/5/restore': {} } });
    await user.click(await screen.findByText('1 deleted in the last 30 days'));
    await user.click(screen.getByRole('button', { name: 'Put Quillo back' }));
    await screen.findByText('Quillo is back.');
    expect(server.writes()).toHaveLength(1);
  });
  test('is nobody: nothing is shown', async () => {
    const { server } = stage(<DeletedPeople />, { answers: { 'GET /athletes/deleted': { athletes: [] } } });
    await waitFor(() => expect(server.asked).toHaveLength(1));
    expect(screen.queryByText(/deleted in the last/)).toBeNull();
  });
});

describe('kit by picking', () => {
  test('adds the line one would type, says it before, and asks for a figure it can read', async () => {
    const added: string[] = [];
    const { user } = stage(<KitPicker units="kg" add={(line) => void added.push(line)} />);
    await user.selectOptions(screen.getByRole('combobox', { name: 'Implement' }), 'kettlebell');
    const add = screen.getByRole('button', { name: 'Add' });
    expect(add).toHaveProperty('disabled', true);
    expect(screen.getByRole('status').textContent).toMatch(/^Expected /);
    const figures = screen.getByRole('textbox');
    await user.type(figures, 'heavy');
    expect(add).toHaveProperty('disabled', true);
    await user.clear(figures);
    await user.type(figures, '16');
    expect(screen.getByRole('status').textContent).toBe('Adds “kettlebell 16 kg”');
    await user.keyboard('{Enter}');
    expect(added).toEqual(['kettlebell 16 kg']);
    expect((figures as HTMLInputElement).value).toBe('');
  });
});
