/** Adapt over the real core, without a worker between: what it says when something is missing, and the coach's decisions on one line. */
import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import { mergedLocks, type Lock } from '@gambito/core';
import { refuse, stage, type Answers } from '../../test/stage';

type Called = (...args: unknown[]) => unknown;
let exposed: Readonly<Record<string, Called>> = {};
// a worker answers later; so does this one
const later: ProxyHandler<object> = {
  get:
    (_target, name) =>
    async (...args: unknown[]) =>
      Promise.resolve(exposed[String(name)]!(...args)),
};
jest.unstable_mockModule('comlink', () => ({
  expose: (worker: typeof exposed) => void (exposed = worker),
  wrap: () => new Proxy({}, later),
}));
Object.assign(globalThis, { Worker: EventTarget });
await import('../workers/core-worker');
const { AdaptScreen } = await import('./adapt-screen');

const text = '# Squall\nAMRAP 12:00\n6 pull-up\n10 goblet squat @ 16 kg\n12 push-up';
const keeper = (id: number, name: string, kit: readonly string[], more = {}) => ({
  id,
  name,
  revision: 1,
  results: [],
  file: { name, category: 'men', level: 'trained', body_mass: '80 kg', place: { kit }, ...more },
});
const orli = keeper(1, 'Orlindo', ['kettlebell 16 kg', 'pull-up bar']);
const tamsa = keeper(2, 'Tamsarel', ['kettlebell 12 kg'], { avoid: ['deep_knee'] });
const workout = { id: 7, text, title: 'Squall', day: null, tags: [], revision: 1, audience: { groups: [], athletes: [] } };

/** The server keeps the locks as they are put. */
function adapting(athletes: readonly unknown[] = [orli], change: Answers = {}) {
  const locks = new Map<number, readonly Lock[]>();
  const put = (id: number) => (body: unknown) => {
    const { before, locks: after } = body as { before: Lock[]; locks: Lock[] };
    locks.set(id, mergedLocks(locks.get(id) ?? [], before, after));
    return { locks: locks.get(id) };
  };
  const staged = stage(<AdaptScreen />, {
    route: '/workouts/:id/adapt',
    at: '/workouts/7/adapt',
    answers: {
      'GET /workouts/7': workout,
      'GET /athletes': { athletes, next: null },
      'GET /workouts/7/locks': () => ({ locks: [...locks].map(([athleteId, list]) => ({ athleteId, locks: list })) }),
      'GET /rules': {},
      'GET /tiers': { tiers: ['no kit, newer'] },
      'PUT /workouts/7/locks/1': put(1),
      'PUT /workouts/7/locks/2': put(2),
      ...change,
    },
  });
  return { ...staged, locks };
}
const open = async ({ user }: ReturnType<typeof adapting>, name: string) => {
  await user.click(await screen.findByRole('button', { name: new RegExp(`^${name}`) }, { timeout: 20_000 }));
  return screen.findByRole('complementary', { name: `Version of ${name}` });
};
beforeEach(() => localStorage.clear());

describe('what is missing', () => {
  test('a list of athletes that fails is said, and fetched when it is tried again', async () => {
    const { server, user } = adapting([], { 'GET /athletes': refuse({ status: 500, title: 'Something went wrong here.' }) });
    await screen.findByText('Something went wrong here.');
    server.change({ 'GET /athletes': { athletes: [orli], next: null } });
    await user.click(screen.getByRole('button', { name: 'Try again' }));
    await screen.findByRole('button', { name: /^Orlindo/ }, { timeout: 20_000 });
  });
  test('a text with errors is told line by line, with the way back', async () => {
    adapting([orli], { 'GET /workouts/7': { ...workout, text: '400 rounds for time, cap 20:00\n5 pull-up' } });
    await screen.findByText('The text cannot be read yet');
    expect(screen.getByText(/^Line 1: 400 rounds/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Back to the text' }).getAttribute('href')).toBe('/workouts/7/write');
  });
  test('somebody whose limits cannot be read blocks nobody else', async () => {
    const odd = keeper(3, 'Perrinax', [], { avoid: ['moonlight'] });
    const staged = adapting([orli, odd]);
    await screen.findByText(/moonlight/, undefined, { timeout: 20_000 });
    expect(await open(staged, 'Orlindo')).toBeTruthy();
  });
});

describe('a decision of the coach', () => {
  const line = (panel: HTMLElement, words: RegExp) => within(panel).getByRole('button', { name: words });
  test('takes another movement, which is kept, undone and done again', async () => {
    const staged = adapting();
    const panel = await open(staged, 'Orlindo');
    await staged.user.click(line(panel, /push-up/));
    const [take] = await within(panel).findAllByRole('button', { name: /^Use / }, { timeout: 20_000 });
    const words = take!.getAttribute('aria-label')!.replace('Use ', '');
    await staged.user.click(take!);
    await waitFor(() => expect(staged.locks.get(1)).toHaveLength(1));
    await waitFor(() => expect(line(panel, new RegExp(words))).toBeTruthy(), { timeout: 20_000 });
    await staged.user.click(within(panel).getByRole('button', { name: 'Undo the last choice' }));
    await waitFor(() => expect(staged.locks.get(1)).toEqual([]));
    await staged.user.click(within(panel).getByRole('button', { name: 'Redo the last choice' }));
    await waitFor(() => expect(staged.locks.get(1)).toHaveLength(1));
  });
  test('is undone although its answer has not come yet: one goes after the other', async () => {
    let answer = (): void => undefined;
    const held = new Promise<void>((resolve) => (answer = resolve));
    const arrived: unknown[] = [];
    const slowly = async (body: unknown): Promise<unknown> => {
      const { locks: after } = body as { locks: Lock[] };
      if (arrived.push(after.length) === 1) await held;
      return { locks: after };
    };
    const staged = adapting([orli], { 'PUT /workouts/7/locks/1': slowly });
    const panel = await open(staged, 'Orlindo');
    await staged.user.click(line(panel, /push-up/));
    await staged.user.click((await within(panel).findAllByRole('button', { name: /^Use / }, { timeout: 20_000 }))[0]!);
    await staged.user.click(within(panel).getByRole('button', { name: 'Undo the last choice' }));
    await waitFor(() => expect(within(panel).queryByLabelText('locked')).toBeNull(), { timeout: 20_000 });
    expect(arrived).toEqual([1]);
    answer();
    await waitFor(() => expect(arrived).toEqual([1, 0]));
    await waitFor(() => expect(line(panel, /^12 push-up/)).toBeTruthy(), { timeout: 20_000 });
    expect(within(panel).queryByLabelText('locked')).toBeNull();
  });
  test('leaves what another window decided meanwhile, and shows it with the answer', async () => {
    const staged = adapting();
    const panel = await open(staged, 'Orlindo');
    const theirs: Lock = { part: 0, slot: 1, movement: 'goblet-squat', reps: 8 };
    staged.locks.set(1, [theirs]);
    await staged.user.click(line(panel, /push-up/));
    await staged.user.click((await within(panel).findAllByRole('button', { name: /^Use / }, { timeout: 20_000 }))[0]!);
    await waitFor(() => expect(staged.locks.get(1)).toEqual([theirs, expect.objectContaining({ slot: 2 })]));
    await waitFor(() => expect(within(panel).getAllByLabelText('locked')).toHaveLength(2), { timeout: 20_000 });
    // undone is one's own decision alone
    await staged.user.click(within(panel).getByRole('button', { name: 'Undo the last choice' }));
    await waitFor(() => expect(staged.locks.get(1)).toEqual([theirs]));
  });
  test('is a count, asked once whether Enter or leaving takes it', async () => {
    const staged = adapting();
    const panel = await open(staged, 'Orlindo');
    await staged.user.click(line(panel, /push-up/));
    const count = (await within(panel).findByRole('spinbutton', undefined, { timeout: 20_000 })) as HTMLInputElement;
    await staged.user.clear(count);
    await staged.user.type(count, '9{Enter}');
    await staged.user.tab();
    await waitFor(() => expect(staged.locks.get(1)).toEqual([expect.objectContaining({ slot: 2, reps: 9 })]));
    await waitFor(() => expect(line(panel, /^9 push-up/)).toBeTruthy(), { timeout: 20_000 });
    expect(staged.server.writes()).toHaveLength(1);
  });
  test('asks why not a movement: kit that is not there, and a word that is none', async () => {
    const staged = adapting();
    const panel = await open(staged, 'Orlindo');
    await staged.user.click(line(panel, /push-up/));
    const why = await within(panel).findByRole('textbox', { name: 'Why not another movement?' }, { timeout: 20_000 });
    await staged.user.type(why, 'bench press{Enter}');
    await within(panel).findByText(/^Breaks a limit: needs a barbell and a bench/, undefined, { timeout: 20_000 });
    await staged.user.clear(why);
    await staged.user.type(why, 'moonwalk{Enter}');
    expect(within(panel).getByRole('alert').textContent).toContain('moonwalk');
  });
  test('that goes against a limit is taken, and warns', async () => {
    const staged = adapting([tamsa]);
    const panel = await open(staged, 'Tamsarel');
    const [, second] = within(panel.querySelector('ul.divide-y')!).getAllByRole('button', { expanded: false });
    await staged.user.click(second!);
    const field = await within(panel).findByRole('textbox', { name: 'This line' }, { timeout: 20_000 });
    await staged.user.clear(field);
    await staged.user.type(field, '10 goblet squat @ 12 kg{Enter}');
    await waitFor(() => expect(staged.locks.get(2)).toHaveLength(1));
    await waitFor(() => expect(within(panel).getByRole('list', { name: 'Warnings' }).textContent).toMatch(/knee|avoid/i), { timeout: 20_000 });
  });
  test('is of the whole part, too: another clock, which is kept and lifted', async () => {
    const staged = adapting();
    const panel = await open(staged, 'Orlindo');
    const field = within(panel).getByRole('textbox', { name: 'Rounds, clock and cap' }) as HTMLInputElement;
    expect(field.value).toBe('AMRAP 12:00');
    await staged.user.clear(field);
    await staged.user.type(field, 'a short while{Enter}');
    expect(within(panel).getByRole('alert').textContent).toMatch(/Expected a frame/);
    await staged.user.clear(field);
    await staged.user.type(field, 'AMRAP 9:00{Enter}');
    await waitFor(() => expect(staged.locks.get(1)).toEqual([{ part: 0, slot: 0, scheme: true, frame: 'AMRAP 9:00' }]));
    await staged.user.click(await within(panel).findByRole('button', { name: 'Compute it' }));
    await waitFor(() => expect(staged.locks.get(1)).toEqual([]));
  });
  test('in words that are no movement is refused, and stays typed', async () => {
    const staged = adapting();
    const panel = await open(staged, 'Orlindo');
    await staged.user.click(line(panel, /goblet squat/));
    const field = (await within(panel).findByRole('textbox', { name: 'This line' }, { timeout: 20_000 })) as HTMLInputElement;
    await staged.user.clear(field);
    await staged.user.type(field, 'dance on the quay{Enter}');
    expect(within(panel).getByRole('alert').textContent).toMatch(/Expected one movement/);
    expect(field.value).toBe('dance on the quay');
    expect(staged.locks.size).toBe(0);
  });
});

describe('the warm-up of one version', () => {
  const field = async (panel: HTMLElement) =>
    (await within(panel).findByLabelText('Warm-up of Orlindo', undefined, { timeout: 20_000 })) as HTMLTextAreaElement;
  const write = async (staged: ReturnType<typeof adapting>, panel: HTMLElement, words: string) => {
    await staged.user.clear(await field(panel));
    await staged.user.type(await field(panel), words);
    await staged.user.tab();
  };
  test('stands as it is made, is kept as it is written when the field is left, and goes back by a click', async () => {
    const staged = adapting();
    const panel = await open(staged, 'Orlindo');
    const made = (await field(panel)).value;
    expect(made).toMatch(/^3 rounds: 30 s jog on the spot/);
    await staged.user.click(await field(panel));
    await staged.user.tab();
    expect(staged.server.writes()).toEqual([]);
    await write(staged, panel, '2:00 easy jog');
    await waitFor(() => expect(staged.locks.get(1)).toEqual([{ warmUp: '2:00 easy jog' }]));
    await within(panel).findByText(/about 2 min, and cool-down: in your words/);
    await staged.user.click(within(panel).getByRole('button', { name: 'As Gambito makes it' }));
    await waitFor(() => expect(staged.locks.get(1)).toEqual([]));
    await waitFor(async () => expect((await field(panel)).value).toBe(made));
  });
  test('is kept as the coach’s own with the school that takes it, and undone to what stood before', async () => {
    let ritual: string | null = 'breathe';
    let warmUp = 'pump';
    const staged = adapting([orli], {
      'GET /rules': () => ({ rules: { warmUp } }),
      'GET /ritual': () => ({ ritual }),
      'PUT /ritual': (body: unknown) => {
        ({ ritual } = body as { ritual: string | null });
        return { ritual };
      },
      'PUT /rules': (body: unknown) => {
        ({ warmUp } = (body as { rules: { warmUp: string } }).rules);
        return { rules: { warmUp } };
      },
    });
    const panel = await open(staged, 'Orlindo');
    await write(staged, panel, '2:00 easy jog');
    await staged.user.click(await within(panel).findByRole('button', { name: 'Keep it as my own warm-up' }));
    await waitFor(() => expect([ritual, warmUp]).toEqual(['2:00 easy jog', 'own']));
    // what stands there now must not be what is undone to
    const kept = (await screen.findByText(/^Kept: every warm-up/)).closest('li')!;
    await staged.user.click(within(kept).getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect([ritual, warmUp]).toEqual(['breathe', 'pump']));
  });
});
