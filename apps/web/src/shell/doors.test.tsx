/** The ways in: signing in, a forgotten password, an invitation, a link to a new password. */
import { describe, expect, test } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import { me, refuse, stage } from '../../test/stage';
import { JoinScreen } from './join-screen';
import { LoginScreen } from './login-screen';
import { ResetScreen } from './reset-screen';

const stranger = { ...me, signedIn: false, coach: null };
const login = (answers = {}) => stage(<LoginScreen />, { route: '/login', at: '/login', answers: { 'GET /me': stranger, ...answers } });

describe('signing in', () => {
  const type = async ({ user }: ReturnType<typeof login>, email: string, word: string) => {
    await user.type(await screen.findByLabelText('E-mail'), email);
    if (word) await user.type(screen.getByLabelText('Password'), word);
    await user.click(screen.getByRole('button', { name: 'Sign in' }));
  };
  test('opens the desk', async () => {
    const staged = login({ 'POST /login': me });
    await type(staged, 'maruvel@lanterns.example', 'a long lantern');
    await screen.findByText('elsewhere');
    expect(staged.server.writes()[0]!.body).toEqual({ email: 'maruvel@lanterns.example', password: 'a long lantern' });
  });
  test('says what does not match, and keeps what was typed', async () => {
    const staged = login({ 'POST /login': refuse({ status: 401, title: 'E-mail and password do not match.' }) });
    await type(staged, 'maruvel@lanterns.example', 'a short lantern');
    await screen.findByText('E-mail and password do not match.');
    expect((screen.getByLabelText('E-mail') as HTMLInputElement).value).toBe('maruvel@lanterns.example');
  });
  test('asks for the password before it asks the server', async () => {
    const staged = login();
    await type(staged, 'maruvel@lanterns.example', '');
    await screen.findByText('Expected the password.');
    expect(staged.server.writes()).toEqual([]);
  });
  test('is one button in the demo, and setting up where nobody is set up', async () => {
    login({ 'GET /me': { ...stranger, demo: true } });
    await screen.findByRole('button', { name: 'Open the demo desk' });
    login({ 'GET /me': { ...stranger, setUp: false } });
    await screen.findByRole('heading', { name: 'Set up your desk' });
  });
});

describe('a forgotten password', () => {
  const asked = async (answers = {}) => {
    const staged = login(answers);
    await staged.user.click(await screen.findByRole('button', { name: 'Forgot the password?' }));
    await staged.user.type(screen.getByLabelText('E-mail you sign in with'), 'sasquel@lanterns.example');
    await staged.user.click(screen.getByRole('button', { name: 'Send me a link' }));
    return staged;
  };
  test('is answered alike whoever asks, and says where the link is', async () => {
    const { server, user } = await asked({ 'POST /forgotten': { done: true } });
    expect((await screen.findByRole('status')).textContent).toMatch(/If somebody signs in.*outbox.*npm run password/s);
    expect(server.writes()[0]!.body).toEqual({ email: 'sasquel@lanterns.example' });
    await user.click(screen.getByRole('button', { name: 'Back to signing in' }));
    expect(screen.getByRole('button', { name: 'Sign in' })).toBeTruthy();
  });
  test('that is asked for too often says so', async () => {
    await asked({ 'POST /forgotten': refuse({ status: 429, title: 'Too many tries. Wait a minute.' }) });
    await screen.findByText('Too many tries. Wait a minute.');
  });
});

describe('a link', () => {
  const reset = (answers = {}) => stage(<ResetScreen />, { route: '/reset/:token', at: '/reset/abc', answers });
  const join = (answers = {}) => stage(<JoinScreen />, { route: '/join/:token', at: '/join/abc', answers });
  test('to a new password sets it and opens the desk', async () => {
    const { server, user } = reset({ 'GET /reset/abc': { open: true }, 'POST /reset/abc': me });
    await user.type(await screen.findByLabelText('New password'), 'short');
    await user.click(screen.getByRole('button', { name: 'Set it and sign in' }));
    await screen.findByText(/at least 10 characters\.$/i, { selector: '[role=alert]' });
    await user.type(screen.getByLabelText('New password'), ' and longer');
    await user.click(screen.getByRole('button', { name: 'Set it and sign in' }));
    await screen.findByText('elsewhere');
    expect(server.writes()[0]!.body).toEqual({ password: 'short and longer' });
  });
  test.each([
    ['to a new password', () => reset({ 'GET /reset/abc': { open: false } }), /was used, or ran out/],
    ['of an invitation', () => join({ 'GET /join/abc': { open: false } }), /was used, withdrawn, or ran out/],
  ])('%s that opens no more says so', async (_, open, words) => {
    open();
    await screen.findByText(words);
  });
  test('of an invitation makes a coach, with the zone of the browser', async () => {
    const { server, user } = join({ 'GET /join/abc': { open: true }, 'POST /join/abc': me });
    await user.type(await screen.findByLabelText('Name'), 'Sasquel');
    await user.type(screen.getByLabelText('E-mail'), 'sasquel@lanterns.example');
    await user.type(screen.getByLabelText('Password'), 'another lantern');
    await user.click(screen.getByRole('button', { name: 'Start' }));
    await waitFor(() => expect(server.writes()[0]?.body).toMatchObject({ name: 'Sasquel', timeZone: expect.stringMatching(/./) }));
  });
});
