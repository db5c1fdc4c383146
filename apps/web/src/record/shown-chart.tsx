/** What each score shows of a person, over time, with how unsure it is: the line is what their file says. */
import { CartesianGrid, ComposedChart, ErrorBar, ReferenceLine, ResponsiveContainer, Scatter, Tooltip, XAxis, YAxis } from 'recharts';
import { shortDay } from '../shell/days';
import { signed } from '../ui/signed';
import { giveOrTake, type Shown } from './sessions';

const dayOf = (at: number): string => shortDay(new Date(at).toISOString().slice(0, 10));

export function ShownChart({ shown }: { shown: readonly Shown[] }) {
  if (shown.length < 2) return null;
  const words = shown.map(({ title, percent }) => `${title} ${signed(percent)}`).join(', ');
  return (
    <figure className="mb-3">
      <figcaption className="text-xs text-soft">What each score shows beside the file, and how unsure it is</figcaption>
      <div role="img" aria-label={`What each score shows beside the file: ${words}`}>
        <ResponsiveContainer width="100%" height={150}>
          <ComposedChart data={[...shown]} margin={{ top: 6, right: 12, bottom: 0, left: -14 }}>
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={dayOf}
              fontSize={11}
              stroke="var(--soft)"
              padding={{ left: 10, right: 10 }}
            />
            <YAxis tickFormatter={signed} fontSize={11} width={58} stroke="var(--soft)" />
            <ReferenceLine y={0} stroke="var(--ink)" />
            <Tooltip content={({ payload }) => <Hint shown={payload?.[0]?.payload as Shown | undefined} />} />
            <Scatter dataKey="percent" fill="var(--amber)" stroke="var(--ink)" isAnimationActive={false}>
              <ErrorBar dataKey="spread" direction="y" width={4} stroke="var(--soft)" />
            </Scatter>
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

function Hint({ shown }: { shown: Shown | undefined }) {
  if (!shown) return null;
  return (
    <p className="rounded border border-line bg-sheet px-2 py-1 text-xs">
      {shown.title}: {shown.score}, {signed(shown.percent)}, give or take {giveOrTake(shown)} %
    </p>
  );
}
