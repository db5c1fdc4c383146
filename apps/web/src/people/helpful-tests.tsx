/** Which test would tell most of somebody, of what the coach has asked for lately. */
import { helpfulTests, wordsOf, type Athlete, type HelpfulTest } from '@gambito/core';
import { subDays } from 'date-fns';
import { useMemo } from 'react';
import { useDatedWorkouts } from '../api/queries';
import { dayText } from '../shell/days';

/** days back that count as lately */
const lately = 60;
const mostTests = 2;
const mostNames = 4;

const testWords: Readonly<Record<HelpfulTest['kind'], (movement: string) => string>> = {
  max: (movement) => `a max of ${wordsOf(movement)}`,
  bestSet: (movement) => `a best set of ${wordsOf(movement)}`,
  run: () => 'a run of 400 m against the clock',
};
/** `28 %` of a log standard deviation */
const percentOf = (spread: number): string => `${Math.round((Math.exp(spread) - 1) * 100)} %`;

export function HelpfulTests({ athlete, today }: { athlete: Athlete; today: string }) {
  const { data: workouts = [] } = useDatedWorkouts(dayText(subDays(today, lately)));
  const asked = useMemo(() => workouts.flatMap(({ facts }) => facts?.movements ?? []), [workouts]);
  const tests = useMemo(() => helpfulTests(athlete, asked).slice(0, mostTests), [athlete, asked]);
  if (tests.length === 0) return null;
  return (
    <section aria-label="Tests that would help" className="mb-4 text-sm">
      <h2 className="font-serif text-base font-semibold">Best tests to ask for</h2>
      <ul>
        {tests.map((test) => (
          <li key={test.movement} className="mt-1">
            <b className="font-medium">{testWords[test.kind](test.movement)}</b>
            <span className="block text-soft">
              With it, predictions of {test.narrows.slice(0, mostNames).map(wordsOf).join(', ')}
              {test.narrows.length > mostNames && ` and ${test.narrows.length - mostNames} more`} are within {percentOf(test.after)}. Without it they are within{' '}
              {percentOf(test.before)}.
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
