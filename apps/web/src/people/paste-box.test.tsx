import { describe, expect, jest, test } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import { useState } from 'react';
import { stage } from '../../test/stage';
import { emptyForm, type AthleteForm } from './athlete-form';
import { PasteBox } from './paste-box';
import { withPasted } from './pasted-changes';
import type { PersonForm } from './use-person';

const sentences = "I've two 15s and a chair, the rower is broken, ceiling 2.2, left shoulder is dodgy, 20 push-ups. The gym is closed";

/** The box over a form that is shown as data. */
function Form({ seen }: { seen: (form: AthleteForm) => void }) {
  const [form, setForm] = useState(emptyForm);
  seen(form);
  const change = (next: Partial<AthleteForm>): void => setForm((before) => ({ ...before, ...next }));
  return <PasteBox person={{ form, change, places: { at: 0 } } as unknown as PersonForm} />;
}
async function pasted() {
  const seen = jest.fn<(form: AthleteForm) => void>();
  const { user } = stage(<Form seen={seen} />, { answers: {} });
  await user.click(screen.getByText('Paste what they wrote'));
  await user.click(screen.getByRole('textbox', { name: 'What they wrote' }));
  await user.paste(sentences);
  return { user, form: (): AthleteForm => seen.mock.calls.at(-1)![0] };
}
const rows = (): HTMLElement[] => within(screen.getByRole('list', { name: 'Proposed from the text' })).getAllByRole('listitem');

describe('what an athlete wrote, pasted on their page', () => {
  test('changes nothing by itself; harm is on top; what is not there is struck through', async () => {
    const { form } = await pasted();
    expect(form()).toEqual(emptyForm);
    expect(rows()[0]!.textContent).toMatch(/left shoulder is dodgy.*Avoids overhead.*Avoids hanging.*Keep the words/);
    expect(screen.getByText('rowing machine').tagName).toBe('S');
    expect(screen.getByText(/Not understood: “The gym is closed”/)).toBeTruthy();
  });
  test('is taken one by one or all that is clear, which leaves out what speaks of harm; and one undo takes it back', async () => {
    const { user, form } = await pasted();
    await user.click(screen.getByRole('button', { name: 'Avoids overhead' }));
    expect(form().avoid).toEqual(['overhead']);
    await user.click(screen.getByRole('button', { name: 'Take the 4 that are clear' }));
    expect(form()).toMatchObject({ avoid: ['overhead'], bestSets: 'push-up 20', places: [{ kit: 'dumbbell 15 kg x 2\nchair', ceiling: '2.2 m' }] });
    expect(screen.queryByRole('list', { name: 'Proposed from the text' })).toBeNull();
    await user.click((await screen.findAllByRole('button', { name: 'Undo' }))[0]!);
    expect(form().places[0]!.kit).toBe('');
    expect(rows()).toHaveLength(4);
  });
  test('what is left is not proposed again, and takes nothing', async () => {
    const { user, form } = await pasted();
    await user.click(screen.getByRole('button', { name: 'Leave “20 push-ups”' }));
    expect(rows()).toHaveLength(4);
    expect(form()).toEqual(emptyForm);
  });
});

describe('taken into the form', () => {
  test('a list grows by a line, and no line stands twice', () => {
    const once = withPasted({ ...emptyForm, lifts: 'deadlift 100 kg' }, 0, { kind: 'list', field: 'lifts', line: 'back squat 80 kg' });
    expect(once.lifts).toBe('deadlift 100 kg\nback squat 80 kg');
    expect(withPasted(once, 0, { kind: 'list', field: 'lifts', line: 'Back squat 80 kg' }).lifts).toBe(once.lifts);
  });
  test('the place that is open is changed, and no other', () => {
    const two = { ...emptyForm, places: [emptyForm.places[0]!, { ...emptyForm.places[0]!, name: 'shed' }] };
    const taken = withPasted(two, 1, { kind: 'place', field: 'noise', value: 'quiet' });
    expect(taken.places.map(({ noise }) => noise)).toEqual(['normal', 'quiet']);
  });
  test('a field is replaced', () => expect(withPasted({ ...emptyForm, born: '1970' }, 0, { kind: 'field', field: 'born', value: '1988' }).born).toBe('1988'));
});
