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

function Drawn({ lane, total, height = 26, title, finish }: LaneProps) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const x = (seconds: number): number => (Math.min(seconds, total) / total) * width;
  return (
    <div ref={ref} className="w-full">
      <svg width={width} height={height} role="img" aria-label={title} className="block">
        <title>{title}</title>
        {lane.parts.map((part, index) =>
          part.window ? (
            <g key={`w${index}`}>
              <rect x={x(part.window.from)} width={Math.max(2, x(part.window.to) - x(part.window.from))} y={0} height={height} fill="var(--amber-wash)" />
              <line x1={x(part.window.from)} x2={x(part.window.from)} y1={0} y2={height} stroke="var(--amber)" />
              <line x1={x(part.window.to)} x2={x(part.window.to)} y1={0} y2={height} stroke="var(--amber)" />
            </g>
          ) : null,
        )}
        {lane.parts.map((part, index) =>
          part.isRest ? (
            <rect key={`r${index}`} x={x(part.start)} width={x(part.end) - x(part.start)} y={height / 2 - 0.5} height={1} fill="var(--line)" />
          ) : null,
        )}
        {lane.blocks.map((block) => {
          const left = x(block.start);
          const wide = Math.max(1, x(block.end) - left - 1);
          const tall = height - 6;
          const text = `${block.count}`;
          return (
            <g key={block.key} transform={`translate(${left} 3)`}>
              <title>{`${block.label}, ${formatClock(block.start)} to ${formatClock(block.end)}`}</title>
              <rect
                width={wide}
                height={tall}
                rx={1.5}
                fill={block.swapped ? 'var(--sheet)' : 'var(--block)'}
                stroke={block.swapped ? 'var(--block)' : 'none'}
                strokeWidth={1}
              />
              {wide > 34 && (
                <path
                  d={glyphPath(block.pattern)}
                  transform={`translate(3 ${(tall - 11) / 2}) scale(0.8)`}
                  fill="none"
                  stroke={block.swapped ? 'var(--ink)' : 'var(--paper)'}
                  strokeWidth={1.6}
                />
              )}
              {wide > text.length * 6.5 + 3 && (
                <text
                  x={wide > 34 ? 17 : wide / 2}
                  y={tall / 2 + 4}
                  fontSize={10.5}
                  textAnchor={wide > 34 ? 'start' : 'middle'}
                  fill={block.swapped ? 'var(--ink)' : 'var(--paper)'}
                >
                  {text}
                </text>
              )}
            </g>
          );
        })}
        {finish && (
          <g>
            <path
              d={`M${x(finish.low)} ${height - 1} Q${x(finish.median)} ${-height * 0.7} ${x(finish.high)} ${height - 1}`}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={1.2}
            />
            <line x1={x(finish.median)} x2={x(finish.median)} y1={1} y2={height} stroke="var(--ink)" strokeWidth={1.5} />
          </g>
        )}
      </svg>
    </div>
  );
}

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
