import { CartesianGrid, Label, Line, LineChart, ReferenceLine, XAxis, YAxis } from 'recharts';
import { formatDuration, type cumulativeFractions, type Success } from '@vendu/core';
import { Fitted } from '../ui/Fitted';
import { TICK } from '../ui/chartTick';

type Point = Extract<ReturnType<typeof cumulativeFractions>, Success<unknown>>['value'][number];

const HEIGHT = 200;

/** Strength and yield of the cups so far, as if the brew had been stopped at each of their ends. */
export function CupsCurve({
  points,
  atS,
  turnS,
}: {
  points: readonly Point[];
  atS: number;
  turnS: number | null;
}) {
  return (
    <div aria-hidden>
      <Fitted height={HEIGHT}>
        {(width) => (
          <LineChart
            width={width}
            height={HEIGHT}
            data={[...points]}
            accessibilityLayer={false}
            margin={{ top: 14, right: 4, bottom: 4, left: 0 }}
          >
            <CartesianGrid stroke="var(--color-rule)" vertical={false} />
            <XAxis
              dataKey="atS"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={(value: number) => formatDuration(Math.round(value))}
              stroke="var(--color-ink)"
              tick={TICK}
            />
            <YAxis yAxisId="strength" width={46} stroke="var(--color-strength)" tick={TICK} />
            <YAxis yAxisId="yield" orientation="right" width={40} stroke="var(--color-yield)" tick={TICK} />
            <Line
              yAxisId="strength"
              dataKey="tdsPercent"
              stroke="var(--color-strength)"
              strokeWidth={2}
              isAnimationActive={false}
              dot={{ r: 3 }}
            />
            <Line
              yAxisId="yield"
              dataKey="yieldPercent"
              stroke="var(--color-yield)"
              strokeWidth={2}
              isAnimationActive={false}
              dot={{ r: 3 }}
            />
            {turnS !== null && (
              <ReferenceLine yAxisId="strength" x={turnS} stroke="var(--color-quiet)" strokeDasharray="3 3">
                <Label value="turns" position="top" className="fill-quiet text-[11px]" />
              </ReferenceLine>
            )}
            <ReferenceLine yAxisId="strength" x={atS} stroke="var(--color-ink)" strokeWidth={2} />
          </LineChart>
        )}
      </Fitted>
      <p className="flex gap-4 pl-12 text-tiny">
        <span className="text-strength">strength of all cups so far, %</span>
        <span className="text-yield">their yield, % of the dose</span>
      </p>
    </div>
  );
}
