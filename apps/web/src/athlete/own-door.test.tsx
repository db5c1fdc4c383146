/** The athlete's own door on a phone, and what the coach makes of a proposal. */
import { beforeEach, describe, expect, test } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import { refuse, stage } from '../../test/stage';
import { emptyForm } from '../people/athlete-form';
import { OwnDoorLink } from '../people/own-door';
import { proposalLines, withProposal } from '../people/proposals';
import { DoorScreen } from './door-screen';

const door = {
  name: 'Tabrik',
  days: [{ title: 'Gale', day: '2026-11-27', token: 'abc', score: '7+3' }],
  results: Array.from({ length: 10 }, (_, at) => ({ title: `W${at}`, score: `${at}:00`, loggedAt: `2026-11-${20 - at}T08:00:00Z` })),
  places: [{ name: 'lamp room', kit: ['kettlebell 12 kg', 'chair 45 cm'] }],
  lifts: ['back squat: 88 kg'],
  bestSets: [],
  avoid: ['deep_knee'],
};
const opened = (answers = {}) => stage(<DoorScreen />, { route: '/a/own/:token', at: '/a/own/t', answers: { 'GET /d/t': door, ...answers } });
const field = (name: string): HTMLTextAreaElement => screen.getByLabelText(name);
beforeEach(() => localStorage.clear());

describe('the own door', () => {
  test('shows the days with what was scored, and the older results behind a tap', async () => {
    opened();
    expect((await screen.findByRole('link', { name: /Gale/ })).getAttribute('href')).toBe('/a/abc');
    expect(screen.getByText('2 more')).toBeTruthy();
  });
  test('sends what is otherwise, and nothing else', async () => {
    const { server, user } = opened({ 'POST /d/t/proposals': { done: true } });
    await screen.findByRole('link', { name: /Gale/ });
    const tell = screen.getByRole('button', { name: 'Tell the coach' });
    expect(tell).toHaveProperty('disabled', true);
    await user.type(field('Your best sets'), 'push-up: 30');
    await user.type(field('A word with it'), 'since yesterday');
    await user.click(tell);
    await screen.findByText(/Your coach sees it/);
    expect(server.writes()[0]!.body).toEqual({ bestSets: 'push-up: 30', note: 'since yesterday' });
  });
  test('keeps what was typed until it is sent', async () => {
    const { user, unmount } = opened({ 'POST /d/t/proposals': refuse({ status: 503, title: 'The database is away.' }) });
    await screen.findByRole('link', { name: /Gale/ });
    await user.type(field('What you have'), '\nrope');
    await user.click(screen.getByRole('button', { name: 'Tell the coach' }));
    await screen.findByText('The database is away.');
    unmount();
    opened();
    await screen.findByRole('link', { name: /Gale/ });
    expect(field('What you have').value).toBe('kettlebell 12 kg\nchair 45 cm\nrope');
  });
  test('says when it is closed', async () => {
    opened({ 'GET /d/t': refuse({ status: 410, title: 'This link was withdrawn. Ask your coach for a new one.' }) });
    await screen.findByText('This link is not open');
  });
});

describe('at the coach’s desk', () => {
  test('a door is made, withdrawn, and opened again by the undo', async () => {
    const living = { door: { token: 'xyz', revoked: false, opened: true, expiresAt: '2027-11-28T00:00:00Z' } };
    const { server, user } = stage(<OwnDoorLink athleteId={3} />, {
      answers: { 'GET /athletes/3/door': { door: null }, 'PUT /athletes/3/door': living, 'DELETE /athletes/3/door': {} },
    });
    const make = await screen.findByRole('button', { name: 'Make a link' });
    server.change({ 'GET /athletes/3/door': living });
    await user.click(make);
    await waitFor(() => expect(server.writes()).toHaveLength(1));
    await user.click(await screen.findByRole('button', { name: 'Withdraw' }));
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(server.writes().map(({ method }) => method)).toEqual(['PUT', 'DELETE', 'PUT']));
  });
  test('a proposal goes into the fields it is about; the other places and fields stay', () => {
    const form = { ...emptyForm, lifts: 'back squat: 88 kg', places: [emptyForm.places[0]!, { ...emptyForm.places[0]!, name: 'shed' }] };
    const next = { ...form, ...withProposal(form, { kit: 'rope', bestSets: 'push-up: 30', avoid: 'Deep knee, overhead', note: '' }) };
    expect(next).toMatchObject({ lifts: 'back squat: 88 kg', bestSets: 'push-up: 30', avoid: ['deep_knee', 'overhead'] });
    expect(next.places.map(({ kit, name }) => [name, kit])).toEqual([
      ['home', 'rope'],
      ['shed', ''],
    ]);
  });
  test('a proposal is said field by field, also where nothing is left', () =>
    expect(proposalLines({ kit: ' ', lifts: 'a\nb', note: 'new' })).toEqual([
      ['kit', 'nothing any more'],
      ['lifts', 'a · b'],
      ['a word', 'new'],
    ]));
});
