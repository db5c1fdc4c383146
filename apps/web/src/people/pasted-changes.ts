/** What is taken of an athlete's sentences, put into the form: lists grow by a line, a field is replaced. */
import type { MessageChange } from '@gambito/core';
import type { AthleteForm, PlaceForm } from './athlete-form';

const withLine = (text: string, line: string): string => {
  const lines = text.split('\n').filter((each) => each.trim() !== '');
  return lines.some((each) => each.trim().toLowerCase() === line.toLowerCase()) ? text : [...lines, line].join('\n');
};

/** @param at the place that is open */
export function withPasted(form: AthleteForm, at: number, change: MessageChange): AthleteForm {
  const inPlace = (next: Partial<PlaceForm>): AthleteForm => ({
    ...form,
    places: form.places.map((place, index) => (index === at ? { ...place, ...next } : place)),
  });
  switch (change.kind) {
    case 'kit':
      return inPlace({ kit: withLine(form.places[at]?.kit ?? '', change.line) });
    case 'place':
      return inPlace({ [change.field]: change.value });
    case 'avoid':
      return form.avoid.includes(change.tag) ? form : { ...form, avoid: [...form.avoid, change.tag] };
    case 'list':
      return { ...form, [change.field]: withLine(form[change.field], change.line) };
    case 'field':
      return { ...form, [change.field]: change.value };
  }
}
