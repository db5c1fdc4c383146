/** A nested part in a plain sentence, its rows in their order, and the boxes an athlete will tick. */
import { formatSlot, pageOf, slotsOfPart, type Part } from '@gambito/core';

/** boxes of a row that are drawn; the rest is counted */
const mostBoxes = 12;
const mostRows = 6;

export function PlainReading({ part }: { part: Part }) {
  const page = pageOf(part);
  if (page.grid.length === 0) return null;
  const slots = slotsOfPart(part);
  return (
    <div className="mt-1 text-sm" role="group" aria-label="As it will be read">
      {page.sentence && <p>{page.sentence}</p>}
      <ul>
        {page.rows.map((row, index) => (
          <li key={index} className={row.kind === 'head' ? 'font-medium' : 'text-soft'} style={{ paddingLeft: `${row.depth}rem` }}>
            {row.kind === 'line' && row.slot !== undefined && slots[row.slot] ? formatSlot({ ...slots[row.slot]!, alternatives: [] }) : row.text}
          </li>
        ))}
      </ul>
      <div className="mt-1 flex flex-wrap gap-x-4 gap-y-1" aria-hidden="true">
        {page.grid.slice(0, mostRows).map(({ label, boxes }, index) => (
          <span key={index} className="inline-flex items-center gap-0.5 text-xs text-soft">
            {label && <span className="mr-1">{label}</span>}
            {boxes.slice(0, mostBoxes).map((_box, at) => (
              <span key={at} className="inline-block size-3.5 rounded-xs border border-line bg-sheet" />
            ))}
            {boxes.length > mostBoxes && `+${boxes.length - mostBoxes}`}
          </span>
        ))}
        {page.grid.length > mostRows && <span className="text-xs text-soft">and {page.grid.length - mostRows} more</span>}
      </div>
    </div>
  );
}
