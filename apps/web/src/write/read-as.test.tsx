import { describe, expect, jest, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import type { HouseWord, Question } from '@gambito/core';
import { stage } from '../../test/stage';
import { ReadAs } from './read-as';
import type { Message } from './use-read-as';

const message = 'morning team! 12 min amrap today:\n8 deck rolls, 12 air squats. bring 2 towels';
const unknown: Question = {
  about: 'deck roll',
  sentence: '“deck roll” is no movement Gambito knows.',
  asks: 'Gambito does not know “deck roll”. What is it?',
  choices: [
    { label: 'The same as burpee', answer: { kind: 'name', words: 'deck roll', means: 'Burpee' } },
    { label: 'Keep it as written, not checked', answer: { kind: 'asWritten', words: 'deck roll', means: '' } },
  ],
  movement: true,
};
const figure: Question = {
  about: '2',
  sentence: '“2” found no place.',
  asks: 'Where does “2” belong?',
  choices: [{ label: 'It is no part of the workout', answer: { kind: 'figure', words: '2', means: '' } }],
  movement: false,
};
const unit = (at: number): Question => ({ ...figure, about: `${at}`, asks: `“${at}”: in which unit?` });

/** The box, with what was done to it. */
function boxOf(change: Partial<Message> = {}) {
  const did = { take: jest.fn<(text: string) => void>(), show: jest.fn<(line: number) => void>(), answer: jest.fn<(word: HouseWord) => void>() };
  const reading: Message = {
    notation: 'AMRAP 12:00\n8 deck roll\n12 air squat',
    from: [null, 1, 1],
    questions: [unknown, figure],
    open: ['Left aside: “morning”.'],
    answer: did.answer,
    takeBack: null,
    ...change,
  };
  return { ...did, reading, ...stage(<ReadAs message={message} reading={reading} take={did.take} show={did.show} />, { answers: {} }) };
}

describe('a message on the Write screen', () => {
  test('is shown as plain notation with what found no place; a click takes it, and what it was comes back', async () => {
    const { user, take, reading } = boxOf();
    expect(screen.getByRole('group', { name: 'Plain notation' }).textContent).toContain('12 air squat');
    expect(screen.getByRole('list', { name: 'Not read' }).textContent).toBe('Left aside: “morning”.');
    await user.click(screen.getByRole('button', { name: 'Take it' }));
    expect(take).toHaveBeenLastCalledWith(reading.notation);
  });
  test('is taken by a key', () => {
    const { take } = boxOf({ open: [], questions: [] });
    fireEvent.keyDown(window, { key: 'r', code: 'KeyR' });
    expect(take).not.toHaveBeenCalled();
    fireEvent.keyDown(window, { key: 'r', code: 'KeyR', altKey: true });
    expect(take).toHaveBeenCalledTimes(1);
    expect(screen.queryByRole('list', { name: 'Not read' })).toBeNull();
    expect(screen.queryByRole('list', { name: 'Questions' })).toBeNull();
  });
  test('each line leads to where it came from', async () => {
    const { user, show } = boxOf();
    await user.click(screen.getByRole('button', { name: '8 deck roll' }));
    expect(show).toHaveBeenCalledWith(1);
    expect(screen.queryByRole('button', { name: 'AMRAP 12:00' })).toBeNull();
  });
});

describe('its questions', () => {
  test('are answered by a click, the first one by a key whatever sign the key types', async () => {
    const { user, answer } = boxOf();
    const [first, second] = screen.getAllByRole('group', { name: /\?$/ });
    fireEvent.keyDown(window, { key: '€', code: 'Digit2', altKey: true });
    expect(answer).toHaveBeenLastCalledWith(unknown.choices[1]!.answer);
    await user.click(within(first!).getByRole('button', { name: /The same as burpee/ }));
    expect(answer).toHaveBeenLastCalledWith(unknown.choices[0]!.answer);
    await user.click(within(second!).getByRole('button', { name: 'It is no part of the workout' }));
    expect(answer).toHaveBeenLastCalledWith(figure.choices[0]!.answer);
  });
  test('keys that answer nothing do nothing', () => {
    const { answer } = boxOf();
    fireEvent.keyDown(window, { key: '9', code: 'Digit9', altKey: true });
    fireEvent.keyDown(window, { key: '1', code: 'Digit1' });
    fireEvent.keyDown(window, { key: 'Backspace', code: 'Backspace', altKey: true });
    expect(answer).not.toHaveBeenCalled();
  });
  test('an unknown movement may be one of the coach’s own, as hard as one that is known', async () => {
    const { user, answer } = boxOf();
    const use = screen.getByRole('button', { name: 'Use it' });
    expect(use.hasAttribute('disabled')).toBe(true);
    await user.type(screen.getByRole('combobox', { name: 'A movement of its own, about as hard as' }), 'burpee');
    await user.click(use);
    expect(answer).toHaveBeenLastCalledWith({ kind: 'like', words: 'deck roll', means: 'Burpee' });
  });
  test('are three at a time; how many follow is said, and the last answer is taken back by a key', () => {
    const takeBack = jest.fn();
    boxOf({ questions: [unknown, figure, unit(24), unit(20)], takeBack });
    expect(screen.getAllByRole('group', { name: /\?$/ })).toHaveLength(3);
    expect(screen.getByText('One more question follows.')).toBeTruthy();
    fireEvent.keyDown(window, { key: 'Backspace', code: 'Backspace', altKey: true });
    expect(takeBack).toHaveBeenCalledTimes(1);
  });
});
