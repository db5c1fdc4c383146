/** The face of a clock: its boxes, its keys, and what stands on it when. */
import { beforeEach, describe, expect, test } from '@jest/globals';
import { act, fireEvent, screen } from '@testing-library/react';
import { parseWorkout, planClock } from '@gambito/core';
import { stage } from '../../test/stage';
import { ClockFace } from './clock-face';
import { clockKey, freshClock } from './clock-state';
import { useClockView, type ClockPlan } from './use-clock-view';

const key = clockKey('link', 'version');
function Clock({ plan }: { plan: ClockPlan }) {
  const clock = useClockView(key, plan);
  return <ClockFace title="Bell Buoy" back="/a/link" clock={clock} end={{ word: 'To the score', ask: 'Finish?', go: () => undefined }} />;
}
/** A clock that was started so many seconds ago; null: not yet. */
function clockAt(text: string, seconds: number | null, change: Partial<ClockPlan['cues'][number]> = {}) {
  if (seconds !== null) localStorage.setItem(key, JSON.stringify({ ...freshClock, startedAt: Date.now() - seconds * 1000 }));
  const { cues, totalSeconds } = planClock(parseWorkout(text).workout);
  return stage(<Clock plan={{ cues: cues.map((cue, at) => (at === 0 ? { ...cue, ...change } : cue)), totalSeconds }} />);
}
const stored = () => JSON.parse(localStorage.getItem(key) ?? 'null') as { startedAt: number | null; pausedAt: number | null; taps: unknown[] } | null;
const press = (name: string, target: Element = document.body) => act(() => void fireEvent.keyDown(target, { key: name }));
const rounds = '3 rounds for time\n10 burpee\n10 air squat';
beforeEach(() => localStorage.clear());

describe('the boxes of a piece', () => {
  test('are ticked off one by one', async () => {
    clockAt(rounds, 5);
    await screen.findByRole('img', { name: '0 of 3 done' });
    press(' ');
    await screen.findByRole('img', { name: '1 of 3 done' });
  });
  test('stand on no AMRAP, and on nothing that is one piece', () => {
    clockAt('AMRAP 10:00\n10 burpee', 5);
    expect(screen.queryByRole('img')).toBeNull();
  });
});

describe('by keyboard', () => {
  test('the space bar starts, P pauses and goes on, U takes a tap back', () => {
    clockAt(rounds, null);
    press(' ');
    expect(stored()!.startedAt).toBeGreaterThan(Date.now());
    press('p');
    expect(stored()!.pausedAt).not.toBeNull();
    press('P');
    expect(stored()!.pausedAt).toBeNull();
  });
  test('in the count-in nothing is tapped; afterwards a tap is taken back', () => {
    clockAt(rounds, -5);
    press(' ');
    expect(stored()!.taps).toEqual([]);
    clockAt(rounds, 20);
    press(' ');
    expect(stored()!.taps).toHaveLength(1);
    press('u');
    expect(stored()!.taps).toHaveLength(0);
  });
  test('a button with the focus keeps its key, and a chord is not the clock’s', () => {
    clockAt(rounds, 20);
    press(' ', screen.getByRole('button', { name: 'Pause' }));
    act(() => void fireEvent.keyDown(document.body, { key: 'p', ctrlKey: true }));
    expect(stored()).toMatchObject({ taps: [], pausedAt: null });
  });
});

describe('what is said in the course of a piece', () => {
  const prompts = [
    { atSeconds: 0, text: 'Attempt 1 of 2: 60 kg' },
    { atSeconds: 120, text: 'Attempt 2 of 2: 65 kg' },
  ];
  test('stands from its second on', async () => {
    clockAt('12:00 to find a heavy 2 front squat', 130, { prompts });
    await screen.findByText('Attempt 2 of 2: 65 kg');
    expect(screen.queryByText(/Attempt 1/)).toBeNull();
  });
  test('an open rest is ended by the athlete', async () => {
    clockAt('AMRAP 1:00\n5 burpee\n\nrest until recovered\n\nAMRAP 1:00\n5 burpee', 65);
    await screen.findByRole('button', { name: 'Go' });
  });
});
