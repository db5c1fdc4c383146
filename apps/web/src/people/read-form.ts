/** What a form says so far: the athlete, and every problem beside its field. */
import { readAthlete, type Athlete, type AthleteProblem } from '@gambito/core';
import { fileOf, lineKeys, type AthleteForm } from './athlete-form';

export interface ReadForm {
  readonly athlete: Athlete;
  readonly problems: Readonly<Record<string, string>>;
}

const fieldOfKey: Readonly<Record<string, string>> = {
  body_mass: 'bodyMass',
  stature: 'stature',
  reach: 'reach',
  born: 'born',
  age: 'born',
  time_available: 'timeAvailable',
  avoid: 'avoid',
  units: 'units',
  tier: 'tier',
  'place.floor': 'floor',
  'place.ceiling': 'ceiling',
  'place.to_street': 'street',
  'place.kit': 'kit',
};
const fieldOf = ({ key }: AthleteProblem): string | null => fieldOfKey[key] ?? lineKeys.find(([, list]) => key.startsWith(`${list}.`))?.[0] ?? null;

/** @param before the file as it was @param place the one whose problems are told: several have the same fields */
export function readForm(form: AthleteForm, before: Record<string, unknown>, today: string, place = 0): ReadForm {
  const whole = { ...form, places: [form.places[place] ?? form.places[0]!] };
  const { problems } = readAthlete(fileOf(whole, before), today);
  const byField: Record<string, string> = {};
  const add = (field: string, message: string): void => void (byField[field] = byField[field] ? `${byField[field]} ${message}` : message);
  for (const [field, , reader] of lineKeys) for (const message of reader(form[field]).problems) add(field, message);
  for (const problem of problems) {
    const field = fieldOf(problem);
    // lines nobody can read are told above
    if (field && problem.level !== 'info') add(field, problem.message);
  }
  if (form.name.trim() === '') add('name', 'Expected a name.');
  return { athlete: readAthlete(fileOf(form, before), today).athlete, problems: byField };
}
