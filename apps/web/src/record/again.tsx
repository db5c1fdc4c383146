/** What came back: the same workout, alike work under other names, figures that were told otherwise before, and what hurt. */
import { feltSentence, type PersonRecord, type Recorded } from '@gambito/contract';
import { shownFitness } from '@gambito/core';
import { shortDay } from '../shell/days';
import { signed } from '../ui/signed';
import { alikeOf, giveOrTake, repeatsOf } from './sessions';

function shows({ fitness }: Recorded): string {
  if (!fitness) return '';
  const shown = shownFitness(fitness);
  return ` shows ${signed(shown.percent)} ± ${giveOrTake(shown)}`;
}

export function Again({ record }: { record: PersonRecord }) {
  return (
    <>
      <Lines
        title="Done more than once"
        rows={repeatsOf(record).map(({ title, scores }) => [title, scores.map(({ score, day }) => `${score} (${shortDay(day)})`).join(' → ')])}
      />
      <Lines
        title="Alike work"
        hint="About as long, as dense, and of the same patterns: what the scores show of this person beside the file."
        rows={alikeOf(record).map((group) => [
          [...new Set(group.map(({ title }) => title))].join(', '),
          group.map((session) => `${shortDay(session.day)} ${session.score}${shows(session)}`).join(' → '),
        ])}
      />
      <Lines
        title="Figures over time"
        rows={record.figures.map(({ name, told }) => [name, told.map(({ text, at }) => `${text === '' ? 'taken out' : text} (${shortDay(at)})`).join(' → ')])}
      />
      <Lines
        title="What hurt"
        rows={record.hurt.map(({ title, day, felt, open }) => [`${title}, ${shortDay(day)}`, `${feltSentence(felt)}${open ? ' Waits on the desk.' : ''}`])}
      />
    </>
  );
}

/** Two columns under a heading; nothing where there is no row. */
function Lines({ title, hint, rows }: { title: string; hint?: string; rows: readonly (readonly [string, string])[] }) {
  if (rows.length === 0) return null;
  return (
    <section aria-label={title} className="mt-5">
      <h2 className="text-lg">{title}</h2>
      {hint && <p className="text-xs text-soft">{hint}</p>}
      <ul className="divide-y divide-line border-y border-line text-sm">
        {rows.map(([what, words], at) => (
          <li key={at} className="flex flex-wrap justify-between gap-x-3 py-1">
            <span className="font-medium">{what}</span>
            <span>{words}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
