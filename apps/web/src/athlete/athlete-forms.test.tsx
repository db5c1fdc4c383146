/** What an athlete tells: where it hurt, what there is today, the score. Nothing typed is lost when the server refuses or is away. */
import { beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { away, refuse, stage } from '../../test/stage';
import type { AthletePage } from '../api/types';
import { FeltForm } from './felt-form';
import { ScoreForm } from './score-form';
import { TodayPart } from './today-form';

const page = (change: Partial<AthletePage> = {}): AthletePage =>
  ({
    versionText: '# Squall\nfor time, cap 12:00\n30 goblet squat @ 16 kg\n20 push-up',
    originalText: '# Squall\nfor time, cap 12:00\n30 goblet squat @ 16 kg\n20 push-up',
    sentAt: '2026-11-25T12:00:00Z',
    changed: false,
    score: null,
    today: null,
    felt: null,
    places: [
      { name: 'cabin', kit: ['kettlebell 16 kg', 'chair 45 cm'] },
      { name: 'shed', kit: [] },
    ],
    brief: {
      category: 'women',
      units: 'kg',
      standards: [{ movement: 'goblet squat' }, { movement: 'push-up' }, { movement: 'push-up' }],
      parts: [{ predicted: { unit: 'seconds', low: 240, high: 330 } }],
    },
    ...change,
  }) as unknown as AthletePage;
const field = (name: string): HTMLInputElement => screen.getByRole('textbox', { name });
beforeEach(() => localStorage.clear());

describe('where it hurt', () => {
  test('is told with its place, its movement and how much; each movement is offered once', async () => {
    const { server, user } = stage(<FeltForm token="t" page={page()} />, { answers: { 'POST /a/t/felt': {} } });
    const tell = screen.getByRole('button', { name: 'Tell the coach' });
    expect(tell).toHaveProperty('disabled', true);
    expect(within(screen.getByRole('combobox')).getAllByRole('option')).toHaveLength(3);
    await user.type(field('Where it hurt'), 'left wrist');
    await user.selectOptions(screen.getByRole('combobox'), 'push-up');
    await user.click(within(screen.getByRole('group', { name: 'How much' })).getAllByRole('button')[2]!);
    await user.click(tell);
    await waitFor(() => expect(server.writes()).toHaveLength(1));
    expect(server.writes()[0]!.body).toEqual({ where: 'left wrist', much: 3, movement: 'push-up', note: '' });
    await screen.findByText('Your coach sees it.');
  });
  test('stays in the form when the server refuses, with its sentence', async () => {
    const answers = { 'POST /a/t/felt': refuse({ status: 429, title: 'Too many tries.' }) };
    const { user } = stage(<FeltForm token="t" page={page()} />, { answers });
    await user.type(field('Where it hurt'), 'low back');
    await user.click(screen.getByRole('button', { name: 'Tell the coach' }));
    await screen.findByText('Too many tries.');
    expect(field('Where it hurt').value).toBe('low back');
  });
  test('can be taken back, which sends nothing instead', async () => {
    const felt = { where: 'knee', much: 2, movement: '', note: '' } as const;
    const { server, user } = stage(<FeltForm token="t" page={page({ felt })} />, { answers: { 'POST /a/t/felt': {} } });
    expect(screen.getByText('You told your coach: knee: had to change something.')).toBeTruthy();
    expect(field('Where it hurt').value).toBe('');
    await user.click(screen.getByRole('button', { name: 'Take it back' }));
    await waitFor(() => expect(server.writes()).toEqual([{ method: 'POST', path: '/a/t/felt', body: null }]));
  });
  test('what asks for a doctor now says so to who told it, and nothing of the kind stands beside what does not', () => {
    const felt = { where: 'chest', much: 3, movement: '', note: '' } as const;
    stage(<FeltForm token="t" page={page({ felt, doctorNow: true })} />);
    expect(screen.getByText(/Stop training now and see a doctor\./)).toBeTruthy();
    cleanup();
    stage(<FeltForm token="t" page={page({ felt: { ...felt, where: 'knee' }, doctorNow: false })} />);
    expect(screen.queryByText(/Stop training now/)).toBeNull();
  });
  test('says when to stop and whom to ask', () => {
    stage(<FeltForm token="t" page={page()} />);
    expect(screen.getByText(/stop, and see a doctor/)).toBeTruthy();
  });
});

describe('today I only have', () => {
  const opened = async (answers = {}) => {
    const staged = stage(<TodayPart token="t" page={page()} />, { answers: { 'POST /a/t/today': {}, ...answers } });
    await staged.user.click(screen.getByRole('button', { name: 'Today I only have …' }));
    return staged;
  };
  const make = () => screen.getByRole('button', { name: 'Make my version' });
  test('asks for nothing while nothing is said', async () => {
    const { user, server } = await opened();
    expect(make()).toHaveProperty('disabled', true);
    await user.click(screen.getByRole('button', { name: '20 min' }));
    await user.click(screen.getByRole('button', { name: '20 min' }));
    expect(make()).toHaveProperty('disabled', true);
    expect(server.writes()).toEqual([]);
  });
  test('the kit that is there, the minutes and what is sore', async () => {
    const { user, server } = await opened();
    await user.click(screen.getByRole('button', { name: 'chair 45 cm' }));
    await user.click(screen.getByRole('button', { name: '15 min' }));
    await user.click(screen.getByRole('button', { name: 'knees' }));
    await user.click(make());
    await waitFor(() => expect(server.writes()).toHaveLength(1));
    expect(server.writes()[0]!.body).toEqual({ place: 0, kit: ['kettlebell 16 kg'], minutes: 15, spare: ['deep_knee'] });
    // the form is put away, the undo is on the screen
    await screen.findByRole('button', { name: 'Undo' });
    expect(screen.getByRole('button', { name: 'Today I only have …' })).toBeTruthy();
  });
  test('another place with all of its kit', async () => {
    const { user, server } = await opened();
    await user.click(screen.getByRole('button', { name: 'shed' }));
    await user.click(make());
    await waitFor(() => expect(server.writes()[0]?.body).toEqual({ place: 1, kit: null, minutes: null, spare: [] }));
  });
  test('what was tapped stays when it cannot be made', async () => {
    const { user } = await opened({ 'POST /a/t/today': refuse({ status: 503, title: 'Much is being computed.' }) });
    await user.click(screen.getByRole('button', { name: 'shoulder' }));
    await user.click(make());
    await screen.findByText('Much is being computed.');
    expect(screen.getByRole('button', { name: 'shoulder' }).getAttribute('aria-pressed')).toBe('true');
  });
  test('says what today’s version was made for, and goes back to the first one', async () => {
    const { user, server } = stage(<TodayPart token="t" page={page({ today: '15 minutes, knees' })} />, { answers: { 'DELETE /a/t/today': {} } });
    expect(screen.getByText('15 minutes, knees')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Back to the first version' }));
    await waitFor(() => expect(server.writes()).toEqual([{ method: 'DELETE', path: '/a/t/today', body: null }]));
  });
});

describe('a score', () => {
  const log = (name = 'Log') => screen.getByRole('button', { name });
  test('is read before it goes, and goes with its note', async () => {
    const { user, server } = stage(<ScoreForm token="t" page={page()} />, { answers: { 'POST /a/t/score': {} } });
    await user.type(field('Score'), '4:55');
    await user.type(field('Note for your coach'), 'wind in the cabin');
    await user.click(log());
    await waitFor(() => expect(server.writes()[0]?.body).toMatchObject({ score: '4:55', note: 'wind in the cabin', versionText: expect.any(String) }));
    await waitFor(() => expect(localStorage.length).toBe(0));
  });
  test('that is none is told under its field and not sent', async () => {
    const { user, server } = stage(<ScoreForm token="t" page={page()} />);
    await user.type(field('Score'), 'fast');
    expect(field('Score').getAttribute('aria-invalid')).toBe('true');
    await user.click(log());
    expect(screen.getByRole('alert').textContent).not.toBe('');
    expect(server.writes()).toEqual([]);
    expect(field('Score').value).toBe('fast');
  });
  test('that is unlikely is asked about once, and taken on the second press', async () => {
    const { user, server } = stage(<ScoreForm token="t" page={page()} />, { answers: { 'POST /a/t/score': {} } });
    await user.type(field('Score'), '0:31');
    await user.click(log());
    expect(server.writes()).toEqual([]);
    await user.click(log('Yes, log it'));
    await waitFor(() => expect(server.writes()).toHaveLength(1));
  });
  test('stays typed when the page is opened again', async () => {
    const { user, unmount } = stage(<ScoreForm token="t" page={page()} />);
    await user.type(field('Score'), '5:1');
    unmount();
    stage(<ScoreForm token="t" page={page()} />);
    expect(field('Score').value).toBe('5:1');
  });
  test('waits without a network, says so, and goes out when it is back', async () => {
    const { user, server } = stage(<ScoreForm token="t" page={page()} />, { answers: { 'POST /a/t/score': away } });
    await user.type(field('Score'), '5:10');
    await user.click(log());
    expect((await screen.findByRole('status')).textContent).toMatch(/5:10 waits here/);
    server.change({ 'POST /a/t/score': {} });
    window.dispatchEvent(new Event('online'));
    await waitFor(() => expect(screen.queryByRole('status')).toBeNull());
    expect(server.writes().map(({ body }) => body)).toEqual(Array(2).fill(expect.objectContaining({ score: '5:10', note: '' })));
  });
  test('that is logged is shown and can be corrected', () => {
    stage(<ScoreForm token="t" page={page({ score: { score: '4:40', note: 'calm', rating: 7, measured: null } })} />);
    expect(screen.getByText('Logged: 4:40')).toBeTruthy();
    expect(log('Correct')).toBeTruthy();
    expect(field('Note for your coach').value).toBe('calm');
    expect(screen.getByRole<HTMLInputElement>('radio', { name: '7' }).checked).toBe(true);
  });
});
