/** Writing: the text that is never lost, the intent card that writes it back, what it said before. */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { parseWorkout } from '@gambito/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { away, refuse, stage } from '../../test/stage';
import type { StoredWorkout } from '../api/types';
import { ChangedElsewhere } from './changed-elsewhere';
import { EarlierTexts } from './earlier-texts';
import { IntentCard } from './intent-card';
import { ProblemList } from './problem-list';
import { SaveNote } from './save-note';
import { useAutosave } from './use-autosave';
import type { Writing } from './use-write';
import { sameRemark, withFix } from './with-fix';

const squall = '# Squall\nAMRAP 12:00\n8 pull-up\n12 goblet squat @ 16 kg\nintent: light';

/** A card over a text that stands beside it. */
function Card({ start }: { start: string }) {
  const [text, change] = useState(start);
  const parsed = parseWorkout(text);
  const writing = { text, change, reading: { text, parsed, live: null, reference: undefined } } as unknown as Writing;
  return (
    <>
      <IntentCard index={0} part={parsed.workout.parts[0]!} writing={writing} open />
      <pre aria-label="text">{text}</pre>
    </>
  );
}
const text = (): string => screen.getByLabelText('text').textContent ?? '';

describe('the intent card', () => {
  const shown = (start = squall) => stage(<Card start={start} />);
  const chip = (name: string): HTMLElement => screen.getByRole('button', { name });
  test('says what is stated, and another feel takes its place in the text', async () => {
    const { user } = shown();
    expect(chip('light').getAttribute('aria-pressed')).toBe('true');
    await user.click(chip('heavy'));
    expect(text()).toContain('intent: heavy');
    expect(text()).not.toContain('light');
    expect(chip('light').getAttribute('aria-pressed')).toBe('false');
  });
  test('adds what must stay behind what is there, and takes it off again; the rest of the text is untouched', async () => {
    const { user } = shown();
    await user.click(chip('pulling'));
    expect(text()).toBe(squall.replace('intent: light', 'intent: light, pulling must stay'));
    await user.click(chip('pulling'));
    expect(text()).toBe(squall);
  });
  test('writes a window when it is left or Enter is pressed, and not before', async () => {
    const { user } = shown();
    await user.type(screen.getByLabelText('Window of part 1'), '7-9 rounds');
    expect(text()).toBe(squall);
    await user.keyboard('{Enter}');
    expect(text()).toContain('window: 7-9 rounds');
    expect(parseWorkout(text()).workout.parts[0]!.window).not.toBeNull();
  });
  test('writes what may stand for a movement behind its line', async () => {
    const { user } = shown();
    await user.type(screen.getByLabelText('Instead of pull-up'), 'ring row | table row');
    await user.tab();
    expect(text()).toContain('8 pull-up | ring row | table row');
  });
  test('gets the window of a time in minutes, and of an AMRAP in rounds, as an example', () => {
    shown('# Gale\nfor time\n21 thruster @ 30 kg');
    expect(screen.getByLabelText('Window of part 1').getAttribute('placeholder')).toMatch(/8:00/);
    shown();
    expect(screen.getByLabelText('Window of part 1').getAttribute('placeholder')).toMatch(/rounds/);
  });
});

const workout = { id: 7, text: squall, revision: 3, title: 'Squall', day: null, tags: [] } as unknown as StoredWorkout;
const draft = 'gambito.draft.7';
function Page() {
  const autosave = useAutosave(workout);
  return (
    <>
      <textarea aria-label="text" value={autosave.text} onChange={(event) => autosave.change(event.target.value)} />
      <SaveNote state={autosave.state} retry={() => void autosave.save()} />
      {autosave.state.kind === 'conflict' && (
        <ChangedElsewhere
          theirs={autosave.state.theirs}
          keepMine={() => autosave.state.kind === 'conflict' && autosave.keepMine(autosave.state.theirs)}
          takeTheirs={() => autosave.state.kind === 'conflict' && autosave.takeTheirs(autosave.state.theirs)}
        />
      )}
    </>
  );
}
const kept = (): string[] => Object.keys(localStorage);
const area = (): HTMLTextAreaElement => screen.getByLabelText('text');
const type = (next: string): void => void fireEvent.change(area(), { target: { value: next } });
/** the pause after which what was typed is sent, and the answer */
const pause = (): Promise<void> => act(() => jest.advanceTimersByTimeAsync(700));
const saved = (body: unknown) => ({ ...workout, ...(body as object), revision: 4 });

describe('a text that is typed', () => {
  beforeEach(() => {
    localStorage.clear();
    jest.useFakeTimers();
  });
  afterEach(() => {
    jest.useRealTimers();
  });
  test('is in the browser at every key, and with the server after a pause, once', async () => {
    const { server } = stage(<Page />, { answers: { 'PUT /workouts/7': saved } });
    type('# S');
    type('# Sq');
    expect(kept()).toHaveLength(1);
    expect(server.writes()).toEqual([]);
    await pause();
    expect(server.writes()).toEqual([{ method: 'PUT', path: '/workouts/7', body: { text: '# Sq', revision: 3 } }]);
    expect(kept()).toEqual([]);
  });
  test('that goes back to what is saved is not sent at all', async () => {
    const { server } = stage(<Page />, { answers: { 'PUT /workouts/7': saved } });
    type(`${squall}!`);
    type(squall);
    await pause();
    expect(server.writes()).toEqual([]);
    expect(kept()).toEqual([]);
  });
  test('while the server is away stays here, says so, and goes when it is tried again', async () => {
    const { server } = stage(<Page />, { answers: { 'PUT /workouts/7': away } });
    type('# Gale');
    await pause();
    expect(kept()).toHaveLength(1);
    server.change({ 'PUT /workouts/7': saved });
    fireEvent.click(screen.getByRole('button'));
    await pause();
    expect(server.writes().map(({ body }) => body)).toEqual(Array(2).fill({ text: '# Gale', revision: 3 }));
    expect(kept()).toEqual([]);
  });
  test('is there again when the page is opened again', async () => {
    const first = stage(<Page />, { answers: { 'PUT /workouts/7': away } });
    type('# Gale warning');
    await pause();
    first.unmount();
    stage(<Page />, { answers: { 'PUT /workouts/7': away } });
    expect(area().value).toBe('# Gale warning');
  });
  test.each([JSON.stringify({ text: '# Mine', from: '# Older' }), '# Mine'])(
    'of another beginning than what stands there now is shown beside it, and nothing is sent before one is chosen: %s',
    async (kept) => {
      localStorage.setItem(draft, kept);
      const { server } = stage(<Page />, { answers: { 'PUT /workouts/7': saved } });
      expect(area().value).toBe('# Mine');
      type('# Mine, longer');
      await pause();
      expect(server.writes()).toEqual([]);
      expect(screen.getByRole('alert').textContent).toContain('changed in another window');
      // opened again before it was decided it is asked again
      stage(<Page />, { answers: { 'PUT /workouts/7': saved } });
      expect(screen.getByRole('alert').textContent).toContain('changed in another window');
      act(() => screen.getByRole('button', { name: 'Take that one' }).click());
      expect(area().value).toBe(squall);
      await pause();
      act(() => screen.getAllByRole('button', { name: 'Undo' })[0]!.click());
      expect(area().value).toBe('# Mine, longer');
    },
  );
  test('that began from what stands there now is sent by itself', async () => {
    localStorage.setItem(draft, JSON.stringify({ text: '# Mine', from: squall }));
    const { server } = stage(<Page />, { answers: { 'PUT /workouts/7': saved } });
    await pause();
    expect(server.writes()).toHaveLength(1);
  });
  test('of which the server has another one is not overwritten: both are shown, one is chosen', async () => {
    const theirs = { ...workout, text: '# Theirs', revision: 5 };
    const conflict = refuse({ status: 409, code: 'changed_elsewhere', title: 'Changed elsewhere.', current: theirs });
    const { server } = stage(<Page />, { answers: { 'PUT /workouts/7': conflict } });
    type('# Mine');
    await pause();
    expect(screen.getByText(/Theirs/)).toBeTruthy();
    expect(area().value).toBe('# Mine');
    // no further key overwrites theirs while it is not decided
    type('# Mine!');
    await pause();
    expect(server.writes()).toHaveLength(1);
    server.change({ 'PUT /workouts/7': saved });
    fireEvent.click(screen.getByRole('button', { name: 'Keep mine' }));
    await pause();
    // theirs is kept among the earlier ones
    expect(server.writes().at(-1)!.body).toEqual({ text: '# Mine!', revision: 5, aside: '' });
  });
  test('of which another window changed other lines is one text with both changes; each alone is kept', async () => {
    const theirs = { ...workout, text: squall.replace('# Squall', '# Gale'), revision: 5 };
    const mine = `${squall.trimEnd()}\n5 devil of the deep\n`;
    let asked = 0;
    const first = refuse({ status: 409, code: 'changed_elsewhere', title: 'Changed elsewhere.', current: theirs });
    const { server } = stage(<Page />, { answers: { 'PUT /workouts/7': (body: unknown) => (asked++ === 0 ? first : { ...saved(body), revision: 7 }) } });
    type(mine);
    await pause();
    expect(area().value).toBe(mine.replace('# Squall', '# Gale'));
    expect(screen.queryByRole('button', { name: 'Keep mine' })).toBeNull();
    expect(server.writes().at(-1)!.body).toEqual({ text: mine.replace('# Squall', '# Gale'), revision: 5, aside: mine });
    // what is typed next is an ordinary save
    type('# After');
    await pause();
    expect(server.writes().at(-1)!.body).toEqual({ text: '# After', revision: 7 });
  });
  test('that was kept here and has gone on elsewhere is one text with both, too', async () => {
    const began = squall.replace('8 pull-up', '7 pull-up');
    const mine = began.replace('# Squall', '# Gale');
    localStorage.setItem(draft, JSON.stringify({ text: mine, from: began }));
    const { server } = stage(<Page />, { answers: { 'PUT /workouts/7': saved } });
    await pause();
    expect(area().value).toBe(squall.replace('# Squall', '# Gale'));
    expect(server.writes()[0]!.body).toEqual({ text: squall.replace('# Squall', '# Gale'), revision: 3, aside: mine });
    expect(kept()).toEqual([]);
  });
  test('takes the other one where that is chosen', async () => {
    const theirs = { ...workout, text: '# Theirs', revision: 5 };
    const { server } = stage(<Page />, {
      answers: { 'PUT /workouts/7': refuse({ status: 409, code: 'changed_elsewhere', title: 'Changed.', current: theirs }) },
    });
    type('# Mine');
    await pause();
    fireEvent.click(screen.getByRole('button', { name: 'Take that one' }));
    expect(area().value).toBe('# Theirs');
    expect(localStorage.getItem(draft)).toBeNull();
    expect(server.writes().at(-1)!.body).toEqual({ text: '# Theirs', revision: 5, aside: '# Mine' });
  });
  test('is no conflict where only the answer to its own saving was lost', async () => {
    const mine = { ...workout, text: '# Mine', revision: 4 };
    stage(<Page />, { answers: { 'PUT /workouts/7': refuse({ status: 409, code: 'changed_elsewhere', title: 'Changed.', current: mine }) } });
    type('# Mine');
    await pause();
    expect(screen.queryByRole('button', { name: 'Keep mine' })).toBeNull();
    expect(kept()).toEqual([]);
  });
});

describe('remarks on the text', () => {
  function Remarked({ start }: { start: string }) {
    const [words, setWords] = useState(start);
    return (
      <>
        <ProblemList problems={parseWorkout(words).diagnostics} take={(problem) => setWords(withFix(words, problem))} />
        <pre aria-label="text">{words}</pre>
      </>
    );
  }
  test('are fixed one by one by a click; all but what they are about stays as it was', async () => {
    const { user } = stage(<Remarked start={'AMRAP 12:00\n8 pull-upp, strict\n12 burpeee'} />);
    expect(screen.getAllByRole('listitem')).toHaveLength(2);
    await user.click(screen.getByRole('button', { name: 'Take “burpee”' }));
    expect(text()).toBe('AMRAP 12:00\n8 pull-upp, strict\n12 burpee');
    await user.click(screen.getByRole('button', { name: /^Take “pull/ }));
    expect(text()).toMatch(/^AMRAP 12:00\n8 pull[- ]up, strict\n12 burpee$/);
    expect(screen.queryByRole('listitem')).toBeNull();
  });
});

describe('what it said before', () => {
  const earlier = {
    revisions: [
      { revision: 2, savedAt: '2026-11-24T18:00:00Z', preview: 'Squall' },
      { revision: 1, savedAt: '2026-11-23T18:00:00Z', preview: 'Drizzle' },
    ],
  };
  const answers = {
    'GET /workouts/7/revisions': earlier,
    'GET /workouts/7/revisions/2': { text: squall.replace('12 goblet', '15 goblet') },
    'GET /workouts/7/revisions/1': { text: '# Drizzle' },
  };
  test('is shown beside what stands, and taken again', async () => {
    const taken: string[] = [];
    const { user } = stage(<EarlierTexts workoutId={7} text={squall} take={(before) => void taken.push(before)} />, { answers });
    await user.click(screen.getByRole('button', { name: /Earlier/ }));
    const compared = await screen.findByLabelText('That text, beside the one that stands');
    await waitFor(() => expect(compared.querySelector('ins')?.textContent).toBe('15'));
    expect(compared.querySelector('del')?.textContent).toBe('12');
    await user.click(screen.getByRole('button', { name: /Drizzle/ }));
    await waitFor(() => expect(screen.getByLabelText('That text, beside the one that stands').textContent).toContain('Drizzle'));
    await user.click(screen.getByRole('button', { name: 'Take this text again' }));
    expect(taken).toEqual(['# Drizzle']);
    expect(screen.queryByRole('dialog')).toBeNull();
  });
  test('says that there is nothing yet', async () => {
    const { user } = stage(<EarlierTexts workoutId={7} text={squall} take={() => undefined} />, {
      answers: { 'GET /workouts/7/revisions': { revisions: [] } },
    });
    await user.click(screen.getByRole('button', { name: /Earlier/ }));
    await screen.findByText(/Nothing yet/);
  });
});

describe('a remark that is taken', () => {
  test('is found in the text that stands there now, wherever it went', () => {
    const shown = parseWorkout('AMRAP 12:00\n8 pull-upp\n12 burpeee').diagnostics;
    const first = withFix('AMRAP 12:00\n8 pull-upp\n12 burpeee', shown[0]!);
    const now = parseWorkout(`# Squall\n${first}`).diagnostics;
    expect(withFix(`# Squall\n${first}`, sameRemark(now, shown[1]!)!)).toBe('# Squall\nAMRAP 12:00\n8 pull up\n12 burpee');
    expect(sameRemark(now, shown[0]!)).toBeNull();
  });
});
