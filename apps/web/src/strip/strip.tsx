/** The strip: every version a lane on one time axis. Blocks are sets with their reps, gaps are rests, the amber band is the window. */
import { formatClock } from '@gambito/core';
import { Boundary } from '../ui/boundary';
import { glyphPath } from '../ui/glyph';
import { tickSeconds, type Lane } from './lane';
import { useWidth } from './use-width';

export function StripAxis({ total }: { total: number }) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const step = tickSeconds(total);
  const ticks = Array.from({ length: Math.floor(total / step) + 1 }, (_, index) => index * step);
  return (
    <div ref={ref} className="h-5 w-full" aria-hidden="true">
      <svg width={width} height={20} className="block">
        {ticks.map((tick) => (
          <g key={tick} transform={`translate(${(tick / total) * width} 0)`}>
            <line y1={14} y2={20} stroke="var(--line)" />
            <text y={11} x={tick === 0 ? 0 : 0} textAnchor={tick === 0 ? 'start' : tick / total > 0.96 ? 'end' : 'middle'} fontSize={11} fill="var(--soft)">
              {formatClock(tick)}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}

/** A lane that cannot be drawn leaves its row empty rather than taking the screen with it. */
export function StripLane(props: LaneProps) {
  return (
    <Boundary what="The strip" resetKeys={[props.lane]}>
      <Drawn {...props} />
    </Boundary>
  );
}

interface LaneProps {
  lane: Lane;
  total: number;
  height?: number;
  title: string;
  finish?: { low: number; median: number; high: number } | null;
}

type Scale = (seconds: number) => number;

function Drawn({ lane, total, height = 26, title, finish }: LaneProps) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const x: Scale = (seconds) => (Math.min(seconds, total) / total) * width;
  return (
    <div ref={ref} className="w-full">
      <svg width={width} height={height} role="img" aria-label={title} className="block">
        <title>{title}</title>
        {lane.parts.map((part, index) => part.window && <Window key={`w${index}`} window={part.window} x={x} height={height} />)}
        {lane.parts.map(
          (part, index) =>
            part.isRest && <rect key={`r${index}`} x={x(part.start)} width={x(part.end) - x(part.start)} y={height / 2 - 0.5} height={1} fill="var(--line)" />,
        )}
        {lane.blocks.map((block) => (
          <Bout key={block.key} block={block} x={x} height={height - 6} />
        ))}
        {finish && <Finish finish={finish} x={x} height={height} />}
      </svg>
    </div>
  );
}

/** The coach's window, behind the bouts. */
const Window = ({ window, x, height }: { window: NonNullable<Lane['parts'][number]['window']>; x: Scale; height: number }) => (
  <g>
    <rect x={x(window.from)} width={Math.max(2, x(window.to) - x(window.from))} y={0} height={height} fill="var(--amber-wash)" />
    <line x1={x(window.from)} x2={x(window.from)} y1={0} y2={height} stroke="var(--amber)" />
    <line x1={x(window.to)} x2={x(window.to)} y1={0} y2={height} stroke="var(--amber)" />
  </g>
);

/** px from which a bout has room for its glyph, and px a figure takes */
const glyphRoom = 34;
const figureWidth = 6.5;
/** One bout: filled as written, outlined where it was swapped; its glyph and its count where there is room. */
function Bout({ block, x, height }: { block: Lane['blocks'][number]; x: Scale; height: number }) {
  const left = x(block.start);
  const wide = Math.max(1, x(block.end) - left - 1);
  const text = `${block.count}`;
  const ink = block.swapped ? 'var(--ink)' : 'var(--paper)';
  const roomy = wide > glyphRoom;
  return (
    <g transform={`translate(${left} 3)`}>
      <title>{`${block.label}, ${formatClock(block.start)} to ${formatClock(block.end)}`}</title>
      <rect
        width={wide}
        height={height}
        rx={1.5}
        fill={block.swapped ? 'var(--sheet)' : 'var(--block)'}
        stroke={block.swapped ? 'var(--block)' : 'none'}
        strokeWidth={1}
      />
      {roomy && <path d={glyphPath(block.pattern)} transform={`translate(3 ${(height - 11) / 2}) scale(0.8)`} fill="none" stroke={ink} strokeWidth={1.6} />}
      {wide > text.length * figureWidth + 3 && (
        <text x={roomy ? 17 : wide / 2} y={height / 2 + 4} fontSize={10.5} textAnchor={roomy ? 'start' : 'middle'} fill={ink}>
          {text}
        </text>
      )}
    </g>
  );
}

/** Where it is predicted to end, as a small hill. */
const Finish = ({ finish, x, height }: { finish: NonNullable<LaneProps['finish']>; x: Scale; height: number }) => (
  <g>
    <path
      d={`M${x(finish.low)} ${height - 1} Q${x(finish.median)} ${-height * 0.7} ${x(finish.high)} ${height - 1}`}
      fill="none"
      stroke="var(--ink)"
      strokeWidth={1.2}
    />
    <line x1={x(finish.median)} x2={x(finish.median)} y1={1} y2={height} stroke="var(--ink)" strokeWidth={1.5} />
  </g>
);

/** The predicted score as a small distribution on its own scale, with the window behind it. */
export function ScoreRange({
  low,
  median,
  high,
  window,
  from,
  to,
}: {
  low: number;
  median: number;
  high: number;
  window: { low: number | null; high: number | null } | null;
  from: number;
  to: number;
}) {
  const at = (value: number): number => Math.max(0, Math.min(100, (100 * (value - from)) / Math.max(1e-6, to - from)));
  return (
    <svg viewBox="0 0 100 16" preserveAspectRatio="none" className="h-4 w-full" aria-hidden="true">
      {window && (
        <rect x={at(window.low ?? from)} width={Math.max(1, at(window.high ?? to) - at(window.low ?? from))} y={0} height={16} fill="var(--amber-wash)" />
      )}
      <line x1={0} x2={100} y1={15.5} y2={15.5} stroke="var(--line)" vectorEffect="non-scaling-stroke" />
      <path
        d={`M${at(low)} 15 Q${at(median)} -9 ${at(high)} 15`}
        fill="var(--block)"
        fillOpacity={0.25}
        stroke="var(--block)"
        vectorEffect="non-scaling-stroke"
      />
      <line x1={at(median)} x2={at(median)} y1={2} y2={15} stroke="var(--ink)" strokeWidth={2} vectorEffect="non-scaling-stroke" />
    </svg>
  );
}
