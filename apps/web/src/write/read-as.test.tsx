import { describe, expect, jest, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { stage } from '../../test/stage';
import { ReadAs } from './read-as';

const message = 'morning team! 12 min amrap today: 8 burpees, 12 air squats. bring 2 towels';
const reading = { notation: 'AMRAP 12:00\n8 burpee\n12 air squat', open: ['“2” found no place.'] };

describe('a message on the Write screen', () => {
  test('is shown as plain notation with what found no place; a click takes it, and what it was comes back', async () => {
    const take = jest.fn<(text: string) => void>();
    const { user } = stage(<ReadAs message={message} reading={reading} take={take} />, { answers: {} });
    expect(screen.getByRole('region', { name: 'Read as' }).textContent).toContain('12 air squat');
    expect(screen.getByRole('list', { name: 'Not read' }).textContent).toBe('“2” found no place.');
    await user.click(screen.getByRole('button', { name: 'Take it' }));
    expect(take).toHaveBeenLastCalledWith(reading.notation);
  });
  test('is taken by a key', () => {
    const take = jest.fn<(text: string) => void>();
    stage(<ReadAs message={message} reading={{ ...reading, open: [] }} take={take} />, { answers: {} });
    fireEvent.keyDown(window, { key: 'r' });
    expect(take).not.toHaveBeenCalled();
    fireEvent.keyDown(window, { key: 'r', altKey: true });
    expect(take).toHaveBeenCalledTimes(1);
    expect(screen.queryByRole('list', { name: 'Not read' })).toBeNull();
  });
});
