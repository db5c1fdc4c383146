/** The account: the room, the password, sessions, invitations, the desk as a file. */
import { beforeEach, describe, expect, test } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import { me, refuse, stage } from '../../test/stage';
import { AccountScreen } from './account-screen';

const sessions = {
  sessions: [
    { id: 's1', device: 'Mozilla/5.0 (X11; Linux x86_64) Firefox/140.0', since: '2026-11-25T08:00:00Z', here: true },
    { id: 's2', device: 'Mozilla/5.0 (iPhone) Safari/605', since: '2026-11-24T08:00:00Z', here: false },
  ],
};
const account = (answers = {}) =>
  stage(<AccountScreen />, {
    answers: {
      'GET /me/sessions': sessions,
      'GET /invitations': { invitations: [] },
      'GET /outbox': { messages: [] },
      'GET /me/calendar': { token: null },
      'GET /backups': { at: null, taken: [] },
      'PUT /me': me,
      ...answers,
    },
  });
// four hundred zones are drawn for nobody here
Intl.supportedValuesOf = () => ['Atlantic/Azores', 'Europe/Lisbon', 'UTC'];
beforeEach(() => localStorage.clear());

describe('the room', () => {
  test('is saved as it is chosen, and undone by one click', async () => {
    const { server, user } = account();
    await user.selectOptions(await screen.findByLabelText('A load without a unit is in'), 'lb');
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(server.writes()).toHaveLength(2));
    const [changed, undone] = server.writes().map(({ body }) => body);
    expect(changed).toEqual({ timeZone: 'UTC', units: 'lb', firstDay: 1, logByHours: 36 });
    expect(undone).toEqual({ timeZone: 'UTC', units: 'kg', firstDay: 1, logByHours: 36 });
  });
  test('offers the zone that is set, whatever the browser knows', async () => {
    account({ 'GET /me': { ...me, coach: { ...me.coach, timeZone: 'Atlantic/Lanterns' } } });
    expect(((await screen.findByLabelText('Time zone')) as HTMLSelectElement).value).toBe('Atlantic/Lanterns');
  });
});

describe('the password', () => {
  const type = async ({ user }: ReturnType<typeof account>, before: string, after: string) => {
    await user.type(await screen.findByLabelText('Present password'), before);
    await user.type(screen.getByLabelText('New password'), after);
    await user.click(screen.getByRole('button', { name: 'Change the password' }));
  };
  test('that is too short is told before it is sent', async () => {
    const staged = account();
    await type(staged, 'a long lantern', 'short');
    await screen.findByText('Expected at least 10 characters.');
    expect(staged.server.writes()).toEqual([]);
  });
  test('is changed, and the fields are empty again', async () => {
    const staged = account({ 'PUT /me/password': {} });
    await type(staged, 'a long lantern', 'a longer lantern');
    await waitFor(() => expect(staged.server.writes()[0]?.body).toEqual({ before: 'a long lantern', after: 'a longer lantern' }));
    await waitFor(() => expect((screen.getByLabelText('New password') as HTMLInputElement).value).toBe(''));
  });
  test('that was mistyped is told at its field; what was typed stays', async () => {
    const staged = account({ 'PUT /me/password': refuse({ status: 403, title: 'That is not the present password.' }) });
    await type(staged, 'a wrong lantern', 'a longer lantern');
    await screen.findByText('That is not the present password.');
    expect((screen.getByLabelText('New password') as HTMLInputElement).value).toBe('a longer lantern');
  });
  test('is none in the demo, which says so', async () => {
    account({ 'GET /me': { ...me, demo: true } });
    await screen.findByText(/The demo has none/);
    expect(screen.queryByLabelText('New password')).toBeNull();
  });
});

describe('who is signed in, and who may come', () => {
  test('another device is signed out from here; this one is not offered', async () => {
    const { server, user } = account({ 'DELETE /me/sessions/s2': {} });
    const [away, ...more] = await screen.findAllByRole('button', { name: 'Sign out there' });
    expect(more).toEqual([]);
    await user.click(away!);
    await waitFor(() => expect(server.writes()).toEqual([{ method: 'DELETE', path: '/me/sessions/s2', body: null }]));
  });
  test('an invitation is shown once, and an open one is withdrawn', async () => {
    const open = { invitations: [{ id: 'i1', expiresAt: '2026-12-02T12:00:00Z', shared: true }] };
    const { server, user } = account({ 'GET /invitations': open, 'POST /invitations': { token: 'abc' }, 'DELETE /invitations/i1': {} });
    await user.click(await screen.findByRole('button', { name: 'Link to this desk' }));
    expect(((await screen.findByLabelText('The invitation, shown once')) as HTMLInputElement).value).toMatch(/\/join\/abc$/);
    expect(server.writes()[0]!.body).toEqual({ shared: true });
    expect(screen.getByText(/^to this desk, open until/)).toBeTruthy();
    await user.click(await screen.findByRole('button', { name: 'Withdraw' }));
    await waitFor(() => expect(server.writes().at(-1)?.method).toBe('DELETE'));
  });
  test('only who set the instance up invites', async () => {
    account({ 'GET /me': { ...me, coach: { ...me.coach, founder: false } } });
    await screen.findByLabelText('Time zone');
    expect(screen.queryByRole('heading', { name: 'Other coaches' })).toBeNull();
  });
});

describe('the calendar', () => {
  test('has a link that is made, replaced and withdrawn', async () => {
    const { server, user } = account({ 'PUT /me/calendar': { token: 'abc' }, 'DELETE /me/calendar': { token: null } });
    const [make] = await screen.findAllByRole('button', { name: 'Make a link' });
    await user.click(make!);
    expect(((await screen.findByLabelText('Calendar link')) as HTMLInputElement).value).toMatch(/\/api\/c\/abc\/calendar.ics$/);
    await user.click(screen.getByRole('button', { name: 'Withdraw it' }));
    await waitFor(() => expect(screen.queryByLabelText('Calendar link')).toBeNull());
    expect(server.writes().map(({ method }) => method)).toEqual(['PUT', 'DELETE']);
  });
});

describe('what who set it up sees of the instance', () => {
  test('what went out to people, to be passed on', async () => {
    const message = {
      id: 1,
      at: '2026-11-25T08:00:00Z',
      recipient: 'sasquel@lanterns.example',
      subject: 'A new password',
      body: 'Set it here: http://x/reset/abc',
    };
    const { user } = account({ 'GET /outbox': { messages: [message] } });
    await user.click(await screen.findByText('sasquel@lanterns.example'));
    expect(screen.getByText(/reset\/abc/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Copy it' }));
    await screen.findByText('Copied.');
    expect(await navigator.clipboard.readText()).toBe(message.body);
  });
  const backup = (at: string, failure: string | null = null) => ({ at, file: '/mnt/elsewhere/gambito-monday.backup', bytes: 2_345_678, rows: 1200, failure });
  const hoursAgo = (hours: number): string => new Date(Date.now() - hours * 3_600_000).toISOString();
  test('when backups are taken, and how the last ones went', async () => {
    account({ 'GET /backups': { at: '03:17', taken: [backup(hoursAgo(5)), backup(hoursAgo(29), 'No space left')] } });
    await screen.findByText('Taken every night at 03:17.');
    expect(screen.getByText('2.3 MB, 1200 rows')).toBeTruthy();
    expect(screen.getByText('failed: No space left')).toBeTruthy();
    expect(screen.queryByText(/The last whole one/)).toBeNull();
  });
  test.each([
    ['none', [], /There is none yet/],
    ['an old one', [backup(hoursAgo(50))], /The last whole one is of/],
    ['an old one and a failure', [backup(hoursAgo(2), 'No space left'), backup(hoursAgo(50))], /The last whole one is of/],
  ])('that there is %s, and what to do', async (_, taken, words) => {
    account({ 'GET /backups': { at: null, taken } });
    expect((await screen.findByText(words)).textContent).toMatch(/--backups/);
  });
});

describe('the desk as a file', () => {
  const choose = async ({ user }: ReturnType<typeof account>) =>
    user.upload(await screen.findByLabelText('Archive of a desk'), new File(['zipped'], 'desk.ndjson.gz', { type: 'application/gzip' }));
  test('is taken in as it is, and says how much it was', async () => {
    const staged = account({ 'POST /archive': { lines: 120 } });
    await choose(staged);
    await screen.findByText(/120 lines/);
    expect(staged.server.writes()[0]!.body).toBeInstanceOf(File);
  });
  test('that is refused is told with the server’s sentence', async () => {
    const staged = account({ 'POST /archive': refuse({ status: 409, title: 'This desk is not empty.' }) });
    await choose(staged);
    await screen.findByText('This desk is not empty.');
  });
});

test('an account that cannot be read can be tried again', async () => {
  const { server, user } = account({ 'GET /me': refuse({ status: 500, title: 'Something went wrong here.' }) });
  await screen.findByText('Something went wrong here.');
  server.change({ 'GET /me': me });
  await user.click(screen.getByRole('button', { name: 'Try again' }));
  await screen.findByLabelText('Time zone');
});

describe('answers about words of messages', () => {
  const words = [
    { kind: 'name', words: 'deck roll', means: 'Burpee' },
    { kind: 'height', words: '', means: 'in' },
  ];
  test('stand as sentences; one is taken back, and that is undone', async () => {
    const { user, server } = account({ 'GET /words': { words }, 'PUT /words': (body: { keep?: object[] }) => ({ words: body.keep ? words : words.slice(1) }) });
    expect(await screen.findByText('“deck roll” means burpee.')).toBeTruthy();
    await user.click(screen.getAllByRole('button', { name: 'Take back' })[0]!);
    await waitFor(() => expect(screen.queryByText('“deck roll” means burpee.')).toBeNull());
    expect(screen.getByText('A height without a unit is in inches.')).toBeTruthy();
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    expect(await screen.findByText('“deck roll” means burpee.')).toBeTruthy();
    expect(server.writes()).toEqual([
      { method: 'PUT', path: '/words', body: { drop: [words[0]] } },
      { method: 'PUT', path: '/words', body: { keep: [words[0]] } },
    ]);
  });
  test('of nobody yet are said to be none; what the server refuses comes back', async () => {
    account({ 'GET /words': { words: [] } });
    expect(await screen.findByText('You have answered no question yet.')).toBeTruthy();
  });
  test('that the server does not take back stay', async () => {
    const { user } = account({ 'GET /words': { words }, 'PUT /words': refuse({ status: 500, title: 'The database is away.' }) });
    await user.click((await screen.findAllByRole('button', { name: 'Take back' }))[0]!);
    expect(await screen.findByText(/The database is away/)).toBeTruthy();
    expect(await screen.findByText('“deck roll” means burpee.')).toBeTruthy();
  });
});
