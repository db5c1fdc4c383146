/** `11 of 14 as written`, while one types; who needs another version, and what the last change did to that. */
import { changeWords } from '@gambito/core';
import { Link } from 'react-router';
import { Progress } from '../ui/states';
import { useClass, type ClassLook } from './use-class';

const asWritten = ({ looked }: ClassLook): number => looked.filter(({ change }) => change === 'asWritten').length;

interface Props {
  readonly workoutId: number;
  readonly text: string;
  /** a text with errors has no versions */
  readonly readable: boolean;
}

export function ClassReading({ workoutId, text, readable }: Props) {
  const { now, before } = useClass(workoutId, text);
  if (!readable || !now || now.of === 0) return null;
  const others = now.looked.filter(({ change }) => change !== 'asWritten');
  return (
    <section aria-label="The class" aria-busy={now.text !== text} className={`border-l-4 border-line pl-3 text-sm ${now.text === text ? '' : 'opacity-60'}`}>
      {now.looked.length < now.of ? (
        <Progress done={now.looked.length} of={now.of} what="Looking through the class" />
      ) : (
        <p>
          <b>
            {asWritten(now)} of {now.of} as written
          </b>
          {before && asWritten(before) !== asWritten(now) && <span className="text-soft">, {asWritten(before)} before the last change</span>}
        </p>
      )}
      {others.length > 0 && (
        <p className="text-soft">
          {others.map(({ athleteId, name, change }, index) => (
            <span key={athleteId}>
              {index > 0 && ' · '}
              <Link to={`/workouts/${workoutId}/adapt?who=${athleteId}`} className="hover:underline">
                {name}
              </Link>{' '}
              {change ? changeWords[change] : 'no version'}
            </span>
          ))}
        </p>
      )}
    </section>
  );
}
