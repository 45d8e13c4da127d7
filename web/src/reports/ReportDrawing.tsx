import { parseISO } from 'date-fns';
import {
  Bar,
  BarChart,
  CartesianGrid,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { scaleLinear } from 'd3-scale';
import type { ReportChart } from '@vendu/core';
import { TICK } from '../ui/chartTick';
import { shortDayOf } from '../ui/dates';

const HEIGHT = 240;
const Y_WIDTH = 48;
const MARGIN = { top: 8, right: 24, bottom: 0, left: 0 };
/** Room for what a line is called. */
const MARGIN_BESIDE_LINE = { ...MARGIN, right: 88 };
const LINE_LABEL = { position: 'right', fontSize: 11, fill: 'var(--color-quiet)' } as const;
const HUE: Record<ReportChart['quantity'], string> = {
  strength: 'var(--color-strength)',
  mass: 'var(--color-water)',
  none: 'var(--color-ink)',
};
/** A single day would have no room of its own. */
const LEAST_SPAN_MS = 7 * 86_400_000;

/** The records of a report as dots over time or beside names, or as bars; every dot says whose it is. */
export function ReportDrawing({ chart, answer }: { chart: ReportChart; answer: string }) {
  const { kind, x, yLabel, points, line, decimals, quantity } = chart;
  const level = line === null ? [] : [line.y];
  // What is counted stands on its nought.
  const floor = decimals === 0 ? [0] : [];
  const ys = [...points.map(({ y }) => y), ...level, ...floor];
  const y = scaleLinear([Math.min(...ys), Math.max(...ys)], [0, 1]).nice(5);
  const ticks = y.ticks(5).filter((tick) => decimals > 0 || Number.isInteger(tick));
  const colour = HUE[quantity];
  const margin = line ? MARGIN_BESIDE_LINE : MARGIN;
  const print = (value: number) => value.toFixed(decimals).replace('-', '−');
  const yAxis = (
    <YAxis
      dataKey="y"
      type="number"
      domain={y.domain()}
      ticks={ticks}
      width={Y_WIDTH}
      tickFormatter={y.tickFormat(5)}
      tick={TICK}
      stroke="var(--color-rule)"
    />
  );
  const grid = <CartesianGrid stroke="var(--color-rule)" vertical={false} />;
  const reference = line && (
    <ReferenceLine
      y={line.y}
      stroke="var(--color-ink)"
      strokeDasharray="5 3"
      label={{ ...LINE_LABEL, value: line.label }}
    />
  );
  const tooltip = (
    <Tooltip cursor={false} isAnimationActive={false} content={<Told print={print} yLabel={yLabel} />} />
  );
  return (
    <figure role="img" aria-label={`${yLabel}: ${points.length} drawn. ${answer}`} className="min-w-0">
      <figcaption className="caption mb-1">{yLabel}</figcaption>
      <div aria-hidden style={{ height: HEIGHT }}>
        <ResponsiveContainer width="100%" height="100%">
          {kind === 'bars' ? (
            <BarChart accessibilityLayer={false} margin={margin} data={points}>
              {grid}
              <XAxis dataKey="x" tick={TICK} stroke="var(--color-ink)" interval="preserveStartEnd" />
              {yAxis}
              {reference}
              {tooltip}
              <Bar dataKey="y" fill={colour} maxBarSize={28} isAnimationActive={false} />
            </BarChart>
          ) : (
            <ScatterChart accessibilityLayer={false} margin={margin}>
              {grid}
              {x === 'day' ? <DayAxis days={points.map((point) => point.x)} /> : <NameAxis />}
              {yAxis}
              {reference}
              {tooltip}
              <Scatter
                data={points.map((point) => (x === 'day' ? { ...point, x: momentOf(point.x) } : point))}
                fill={colour}
                isAnimationActive={false}
              />
            </ScatterChart>
          )}
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

function DayAxis({ days }: { days: readonly string[] }) {
  const moments = days.map(momentOf);
  const [first, last] = [Math.min(...moments), Math.max(...moments)];
  const beside = Math.max((last - first) * 0.03, LEAST_SPAN_MS / 2);
  return (
    <XAxis
      dataKey="x"
      type="number"
      domain={[first - beside, last + beside]}
      tickFormatter={(moment: number) => shortDayOf(new Date(moment))}
      tick={TICK}
      stroke="var(--color-ink)"
      minTickGap={24}
    />
  );
}

const NameAxis = () => (
  <XAxis dataKey="x" type="category" allowDuplicatedCategory={false} tick={TICK} stroke="var(--color-ink)" />
);

const momentOf = (day: string) => parseISO(day).getTime();

/** What a dot is, while it is pointed at. */
function Told({
  payload,
  print,
  yLabel,
}: {
  payload?: readonly { payload?: { of: string; y: number } }[];
  print: (value: number) => string;
  yLabel: string;
}) {
  const point = payload?.[0]?.payload;
  if (!point) return null;
  return (
    <p className="border border-rule bg-raised px-2 py-1 text-small">
      {point.of}: <span className="reading">{print(point.y)}</span> {yLabel}
    </p>
  );
}
