import { expect, test } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { DayField, isWholeDay } from './day-field';

const field = () => screen.getByLabelText<HTMLInputElement>('Day');
/** A field over a server that takes what it is given; the button is another window that puts the first day back. */
function open(day: string | null): (string | null)[] {
  const saved: (string | null)[] = [];
  function Held() {
    const [held, setHeld] = useState(day);
    const save = (next: string | null): void => {
      saved.push(next);
      setHeld(next);
    };
    return (
      <>
        <DayField label="Day" day={held} save={save} />
        <button onClick={() => setHeld(day)}>put back</button>
      </>
    );
  }
  render(<Held />);
  return saved;
}
const type = (value: string): void => void fireEvent.change(field(), { target: { value } });

test('a year typed by keys is saved once, when it is whole', () => {
  const saved = open(null);
  for (const value of ['0002-03-04', '0020-03-04', '0202-03-04', '2027-03-04']) {
    type(value);
    expect(field().value).toBe(value);
  }
  expect(saved).toEqual(['2027-03-04']);
});
test('a date that is left half-way says what was expected, and the saved one stays', () => {
  const saved = open('2026-12-02');
  type('0202-03-04');
  fireEvent.blur(field());
  expect(screen.getByRole('alert').textContent).toBe('Expected a whole date between 2000 and 2100. The saved day is still 2026-12-02.');
  expect(field().value).toBe('0202-03-04');
  expect(saved).toEqual([]);
  type('2027-03-04');
  expect(screen.queryByRole('alert')).toBeNull();
});
test('a day that is put back elsewhere is shown, not what was typed before', () => {
  open('2026-12-02');
  type('2027-03-04');
  expect(field().value).toBe('2027-03-04');
  fireEvent.click(screen.getByText('put back'));
  expect(field().value).toBe('2026-12-02');
});
test('an emptied field takes the day away when it is left, not before', () => {
  const saved = open('2026-12-02');
  type('');
  expect(saved).toEqual([]);
  fireEvent.blur(field());
  expect(saved).toEqual([null]);
});
test('whole days have a year from 2000 to 2100', () => {
  expect(['1999-12-31', '2000-01-01', '2100-12-31', '2101-01-01', '', '12026-01-01'].map(isWholeDay)).toEqual([false, true, true, false, false, false]);
});
