/** The coach's own house rules that made this version what it is, each with the version as it would read under the default. */
import { formatWorkout, parseWorkout } from '@gambito/core';
import { useQuery } from '@tanstack/react-query';
import { core } from '../workers/core-client';
import type { VersionAsked } from '../workers/core-worker';
import { useRoom } from '../api/room';

export function RulesAtWork({ text, who, today, rules, locks }: VersionAsked) {
  const units = useRoom();
  const { data: atWork } = useQuery({
    queryKey: ['rules-at-work', text, units, who, today, rules, locks],
    queryFn: () => core().rulesAtWork({ text, units }, who, today, rules, locks),
    staleTime: Infinity,
  });
  if (!atWork || atWork.length === 0) return null;
  return (
    <section className="mt-3 text-sm" aria-label="House rules at work">
      <h3 className="text-soft">Your house rules at work</h3>
      {atWork.map((each) => (
        <details key={each.rule}>
          <summary>{each.said}</summary>
          <p className="text-soft">Under the default it would read:</p>
          <pre className="font-mono text-xs whitespace-pre-wrap">{bodyOf(each.otherwise)}</pre>
        </details>
      ))}
    </section>
  );
}

/** Without its title: the panel has that already. */
const bodyOf = (text: string): string => formatWorkout({ ...parseWorkout(text).workout, title: null }).trim();
