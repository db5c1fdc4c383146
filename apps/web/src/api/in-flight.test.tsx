/** Nothing waits in silence: a wait is shown after a second, says after ten what it is for, and can be ended; what was done can be undone when its message is gone. */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, screen } from '@testing-library/react';
import { Suspense } from 'react';
import { stage } from '../../test/stage';
import { JustDone } from '../shell/just-done';
import { part } from '../ui/part';
import { toast } from '../ui/toast';
import { WaitingNote } from '../ui/waiting-note';
import { api } from './client';
import { inFlight, waitedFor, whatIsAsked } from './in-flight';

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});
/** and what is drawn after it */
const seconds = async (count: number): Promise<void> => {
  await act(() => jest.advanceTimersByTimeAsync(count * 1000));
  await act(() => jest.advanceTimersByTimeAsync(300));
};
const note = (): string | null => screen.queryByRole('status', { name: 'Waiting' })?.textContent ?? null;
/** A server that takes every request and answers none. */
function neverAnswers(): void {
  globalThis.fetch = ((_address: unknown, { signal }: { signal: AbortSignal }) =>
    new Promise((_settle, refuse) => signal.addEventListener('abort', () => refuse(signal.reason as Error)))) as unknown as typeof fetch;
}

describe('a wait', () => {
  test('is shown after a second, says after ten what it is for, and is gone with its answer', async () => {
    stage(<WaitingNote />);
    let answer: (words: string) => void = () => undefined;
    const asked = waitedFor('the lamp', new Promise<string>((resolve) => (answer = resolve)));
    await seconds(0.2);
    expect(note()).toBeNull();
    await seconds(1.2);
    expect(note()).toBe('Working …');
    await seconds(8.6);
    expect(note()).toMatch(/^Waiting for the lamp, for 10 seconds now\. What you typed is kept\./);
    answer('lit');
    await expect(asked).resolves.toBe('lit');
    await seconds(1);
    expect(note()).toBeNull();
  });
  test('for a saving is ended by whoever waits, with a sentence', async () => {
    stage(<WaitingNote />);
    neverAnswers();
    const failure = api('/workouts', { body: { text: 'x' } }).catch((error: unknown) => (error as Error).message);
    await seconds(10.5);
    expect(note()).toContain('Waiting for the server to save the workout');
    await act(async () => screen.getByRole('button', { name: 'Stop waiting' }).click());
    await expect(failure).resolves.toMatch(/^You stopped waiting\. It may be done all the same/);
    expect(inFlight.now()).toEqual([]);
  });
  test('for a reading ends by itself after half a minute', async () => {
    neverAnswers();
    const failure = api('/athletes').catch((error: unknown) => (error as Error).message);
    await seconds(31);
    await expect(failure).resolves.toMatch(/did not answer within half a minute/);
  });
  test('for a part of the application says so; one that does not come at first is fetched again', async () => {
    const tries = [Promise.reject(new Error('cut off')), Promise.resolve(() => <p>here it is</p>)];
    let at = 0;
    const Lamp = part('the lamp room', () => tries[at++]!);
    stage(
      <Suspense fallback={<p>on its way</p>}>
        <Lamp />
      </Suspense>,
    );
    await seconds(0.1);
    expect(screen.getByText('here it is')).toBeTruthy();
    expect(at).toBe(2);
  });
  test.each([
    ['/workouts', 'POST', 'the server to save the workout'],
    ['/workouts/7/locks/3', 'PUT', 'the server to save your decisions'],
    ['/workouts/7/board', 'GET', 'the server to send the board'],
    ['/athletes/3', 'DELETE', 'the server to delete the people of your desk'],
    ['/zibble', 'GET', 'the server to send an answer'],
  ])('%s %s is waited for in words', (path, method, words) => expect(whatIsAsked(path, method)).toBe(words));
});

describe('what was done', () => {
  test('is undone once, from its message or from the list that keeps it', async () => {
    stage(<JustDone />);
    const undone: string[] = [];
    act(() => {
      toast('Lamp lit.', { action: { label: 'Undo', onClick: () => void undone.push('lamp') } });
      toast('Horn off.', { action: { label: 'Undo', onClick: () => void undone.push('horn') } });
    });
    await seconds(60);
    expect(screen.queryByText('Lamp lit.')).toBeNull();
    await act(async () => screen.getByRole('button', { name: 'Just done' }).click());
    await act(async () => screen.getByRole('button', { name: 'Undo: Lamp lit.' }).click());
    expect(undone).toEqual(['lamp']);
    expect(screen.queryByRole('button', { name: 'Undo: Lamp lit.' })).toBeNull();
    expect(screen.getByRole('button', { name: 'Undo: Horn off.' })).toBeTruthy();
  });
  test('keeps its message while the focus is in it', async () => {
    stage(<JustDone />);
    act(() => toast('Lamp lit.', { action: { label: 'Undo', onClick: () => undefined } }));
    await seconds(1);
    screen.getByRole('button', { name: 'Undo' }).focus();
    await seconds(60);
    expect(screen.getByText('Lamp lit.')).toBeTruthy();
    screen.getByRole('button', { name: 'Undo' }).blur();
    await seconds(3);
    expect(screen.queryByText('Lamp lit.')).toBeNull();
  });
});
