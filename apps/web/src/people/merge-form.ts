/**
 * A form that was begun of one file, and the file that stands there now: merged field by field. What only one side changed is that side's; what somebody avoids stays avoided
 * whoever added it, until a person takes it off; where both changed a field, what was typed here stands, and the other is shown beside it.
 */
import type { AthleteForm } from './athlete-form';

export interface Clash {
  readonly field: keyof AthleteForm;
  /** what stands elsewhere, as the form would hold it */
  readonly theirs: AthleteForm[keyof AthleteForm];
}
export interface Merged {
  readonly form: AthleteForm;
  /** fields that came from elsewhere */
  readonly taken: readonly (keyof AthleteForm)[];
  readonly clashes: readonly Clash[];
}

const same = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other);
/** Limits that somebody typed away elsewhere are not gone before a person here has decided. */
const limits: readonly (keyof AthleteForm)[] = ['squatDepth', 'reachLimit'];

/** Everything that is avoided on either side, but for what was taken off here. @param base null: nobody knows what ours began from */
function mergedAvoid(base: readonly string[] | null, mine: readonly string[], theirs: readonly string[]): string[] {
  const takenOff = (base ?? []).filter((word) => !mine.includes(word));
  return [...new Set([...mine, ...theirs.filter((word) => !takenOff.includes(word))])];
}

/** @param base the form of the file that ours began from; null where it was not kept */
export function mergeForm(base: AthleteForm | null, mine: AthleteForm, theirs: AthleteForm): Merged {
  let form = mine;
  const taken: (keyof AthleteForm)[] = [];
  const clashes: Clash[] = [];
  for (const field of Object.keys(mine) as (keyof AthleteForm)[]) {
    if (field === 'avoid' || same(mine[field], theirs[field])) continue;
    const untouched = base !== null && same(mine[field], base[field]);
    const gone = limits.includes(field) && theirs[field] === '' && mine[field] !== '';
    if (untouched && !gone) {
      form = { ...form, [field]: theirs[field] };
      taken.push(field);
    } else if (base === null || !same(theirs[field], base[field])) clashes.push({ field, theirs: theirs[field] });
  }
  const avoid = mergedAvoid(base?.avoid ?? null, mine.avoid, theirs.avoid);
  const answers = [...mine.answers, ...theirs.answers.filter((answer) => !mine.answers.some((other) => same(answer, other)))];
  if (!same(avoid, mine.avoid)) taken.push('avoid');
  return { form: { ...form, avoid, answers }, taken, clashes: clashes.filter(({ field }) => field !== 'answers') };
}
