/** One part of a version as the athlete reads it: what stands over it, its rounds, rests and minutes in order, and boxes to tick. */
import { useState } from 'react';
import type { AthletePage } from '../api/types';
import { showScore } from '../ui/scores';

type BriefPart = AthletePage['brief']['parts'][number];
type Line = BriefPart['lines'][number];

export function BriefPartView({ part, several }: { part: BriefPart; several: boolean }) {
  return (
    <div className="mb-4 break-inside-avoid">
      <h2 className="text-xl">
        {part.name && <span className="mr-2 text-soft">{part.name}</span>}
        {part.header}
      </h2>
      {several && part.predicted && (
        <p className="text-sm">
          Expect {showScore(part.predicted.median, part.predicted.unit)}
          {part.predicted.each && ' a set'}{' '}
          <span className="text-soft">
            ({showScore(part.predicted.low, part.predicted.unit)} to {showScore(part.predicted.high, part.predicted.unit)})
          </span>
          {part.window && <span className="ml-2 rounded bg-amber-wash px-1.5 text-amber-ink">window {part.window}</span>}
        </p>
      )}
      {part.sentence && <p className="text-sm text-soft">{part.sentence}</p>}
      <ul className="border-y border-line">
        {part.rows.length > 0
          ? part.rows.map((row, index) => <Row key={index} row={row} lines={part.lines} />)
          : part.lines.map((line, at) => <Work key={at} line={line} depth={0} />)}
      </ul>
      {part.notes.map((note) => (
        <p key={note} className="mt-1 text-sm">
          {note}
        </p>
      ))}
      {part.grid.length > 0 && <Grid rows={part.grid} />}
    </div>
  );
}

const indent = (depth: number): React.CSSProperties => ({ paddingLeft: `${depth * 0.9}rem` });

function Row({ row, lines }: { row: BriefPart['rows'][number]; lines: readonly Line[] }) {
  if (row.kind === 'head')
    return (
      <li className="pt-2 font-serif text-lg font-semibold" style={indent(row.depth)}>
        {row.text}
      </li>
    );
  if (row.kind === 'rest')
    return (
      <li className="py-1 text-soft" style={indent(row.depth)}>
        {row.text}
      </li>
    );
  const line = lines[row.slot ?? -1];
  return line ? <Work line={line} depth={row.depth} /> : null;
}

function Work({ line, depth }: { line: Line; depth: number }) {
  return (
    <li className="border-b border-line py-1.5 last:border-b-0" style={indent(depth)}>
      <p className="flex flex-wrap items-baseline gap-x-2 text-lg">
        <b>{line.text}</b>
        {line.load && <span>@ {line.load}</span>}
      </p>
      {line.plates && <p className="text-sm">Plates: {line.plates}</p>}
      {line.original && (
        <p className="text-sm text-soft">
          instead of {line.original}
          {line.reason && <>. {line.reason}.</>}
        </p>
      )}
      {line.fallback && <p className="text-sm text-soft">Plan B, {line.fallback}</p>}
    </li>
  );
}

/** Boxes to tick on the page, a row a set; on paper empty squares. */
function Grid({ rows }: { rows: BriefPart['grid'] }) {
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const toggle = (key: string): void =>
    setTicked((before) => {
      const after = new Set(before);
      if (!after.delete(key)) after.add(key);
      return after;
    });
  return (
    <div className="mt-2 flex flex-col gap-1" role="group" aria-label="Rounds to tick off">
      {rows.map((row, index) => (
        <div key={index} className="flex flex-wrap items-center gap-1">
          {row.label && <span className="w-28 text-sm text-soft">{row.label}</span>}
          {row.boxes.map((box, at) => {
            const key = `${index}.${at}`;
            const on = ticked.has(key);
            return (
              <button
                key={key}
                type="button"
                aria-pressed={on}
                aria-label={`${row.label ? `${row.label}, ` : ''}${box}`}
                onClick={() => toggle(key)}
                className={`min-h-9 min-w-9 rounded border px-1 text-sm ${on ? 'border-ink bg-ink text-paper line-through' : 'border-line bg-sheet'}`}
              >
                {box}
              </button>
            );
          })}
        </div>
      ))}
    </div>
  );
}
