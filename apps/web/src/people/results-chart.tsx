/** Each score beside what was expected of its athlete, over time: above the line it was better. */
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { ListedResult } from '../api/types';
import { shortDay } from '../shell/days';
import { signed } from '../ui/signed';

interface Point {
  readonly at: number;
  readonly percent: number;
  readonly title: string;
  readonly score: string;
}
export const pointsOf = (results: readonly ListedResult[]): Point[] =>
  results
    .flatMap(({ beyond, loggedAt, title, score }) =>
      beyond === null ? [] : [{ at: Date.parse(loggedAt), percent: Math.round((Math.exp(beyond) - 1) * 100), title, score }],
    )
    .sort((a, b) => a.at - b.at);

/** The same in words, for who does not see the line. */
const wordsOf = (points: readonly Point[]): string => points.map(({ title, percent }) => `${title} ${signed(percent)}`).join(', ');

export function ResultsChart({ results }: { results: readonly ListedResult[] }) {
  const points = pointsOf(results);
  return (
    <figure className="mt-2">
      <figcaption className="text-xs text-soft">Each score beside what was expected</figcaption>
      <div role="img" aria-label={`Each score beside what was expected: ${wordsOf(points)}`}>
        <ResponsiveContainer width="100%" height={110}>
          <LineChart data={points} margin={{ top: 6, right: 8, bottom: 0, left: -18 }}>
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={(at: number) => shortDay(new Date(at).toISOString())}
              fontSize={11}
              stroke="var(--soft)"
            />
            <YAxis tickFormatter={signed} fontSize={11} width={58} stroke="var(--soft)" />
            <ReferenceLine y={0} stroke="var(--ink)" />
            <Tooltip content={({ payload }) => <Hint point={payload?.[0]?.payload as Point | undefined} />} />
            <Line
              dataKey="percent"
              stroke="var(--ink)"
              strokeWidth={1.5}
              dot={{ r: 3, fill: 'var(--amber)', stroke: 'var(--ink)' }}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

function Hint({ point }: { point: Point | undefined }) {
  if (!point) return null;
  return (
    <p className="rounded border border-line bg-sheet px-2 py-1 text-xs">
      {point.title}: {point.score}, {signed(point.percent)}
    </p>
  );
}
