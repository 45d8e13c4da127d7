import { scaleLinear } from 'd3-scale';
import {
  Bar,
  CartesianGrid,
  ComposedChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { SIGNAL_WORDS, WATCHED_WORDS, type WatchedFigure } from '@vendu/core';
import type { WatchView } from '@vendu/contract';
import { shortDayOf } from '../ui/dates';
import { HUE, PRINT } from './figureWords';
import { watchRows, type Order, type Row } from './watchRows';

interface FigureChartProps {
  watch: WatchView;
  figure: WatchedFigure;
  order: Order;
}

const TICK = { fontSize: 11, fill: 'var(--color-quiet)', fontFamily: 'var(--font-readings)' };
const HEIGHT = 172;
const RANGES_HEIGHT = 46;
const Y_WIDTH = 56;
/** The last day must not be cut off. */
const MARGIN = { top: 8, right: 24, bottom: 0, left: 0 };

/** One figure of a public recipe, brew by brew, over the limits of its proof; what is off is ringed and named. */
export function FigureChart({ watch, figure, order }: FigureChartProps) {
  const { rows, stretches, batches } = watchRows(watch, figure, order);
  if (rows.length === 0) return null;
  const print = PRINT[figure];
  const drawn = [...rows.map(({ value }) => value), ...stretches.flatMap(({ low, high }) => [low, high])];
  const [least, most] = [Math.min(...drawn), Math.max(...drawn)];
  const y = scaleLinear([least, most], [0, 1]).nice(4);
  const words = rows
    .map((row) => `brew ${row.number} ${print(row.value)}${row.signals.length > 0 ? ', off' : ''}`)
    .join('; ');
  const tick = (x: number) =>
    order === 'date' ? shortDayOf(new Date(x)) : order === 'age' ? `${x} d` : (batches[x]?.slice(5) ?? '');
  const xs = rows.map(({ x }) => x);
  const [first, last] = [Math.min(...xs), Math.max(...xs)];
  const beside = (last - first) * 0.04 || 0.5;
  const [now] = stretches.slice(-1);
  const chartNow = watch.phases.at(-1)?.charts.find((chart) => chart.figure === figure);
  return (
    <figure role="img" aria-label={`${WATCHED_WORDS[figure]}: ${words}`} className="min-w-0">
      <figcaption className="flex items-baseline gap-3 text-small">
        <span className="font-semibold first-letter:uppercase inline-block" style={{ color: HUE[figure] }}>
          {WATCHED_WORDS[figure]}
        </span>
        {now && (
          <span className="reading text-quiet">
            proven {print(now.centre)}, may be {print(now.low)} to {print(now.high)}
          </span>
        )}
      </figcaption>
      <div aria-hidden style={{ height: HEIGHT }}>
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart accessibilityLayer={false} margin={MARGIN}>
            <CartesianGrid stroke="var(--color-rule)" vertical={false} />
            <XAxis
              dataKey="x"
              type="number"
              domain={[first - beside, last + beside]}
              ticks={order === 'batch' ? batches.map((_, index) => index) : undefined}
              tickFormatter={tick}
              tick={TICK}
              stroke="var(--color-ink)"
              minTickGap={24}
              allowDecimals={false}
            />
            <YAxis
              domain={y.domain()}
              ticks={y.ticks(4)}
              width={Y_WIDTH}
              tickFormatter={print}
              tick={TICK}
              stroke="var(--color-rule)"
            />
            {stretches.map(({ from, to, low, high }, index) => (
              <ReferenceArea
                key={`band ${index}`}
                x1={from - beside / 2}
                x2={to + beside / 2}
                y1={low}
                y2={high}
                fill={HUE[figure]}
                fillOpacity={0.1}
                stroke="none"
              />
            ))}
            {stretches.map(({ from, to, centre }, index) => (
              <ReferenceLine
                key={`centre ${index}`}
                segment={[
                  { x: from - beside / 2, y: centre },
                  { x: to + beside / 2, y: centre },
                ]}
                stroke={HUE[figure]}
                strokeDasharray="5 3"
              />
            ))}
            <Scatter
              data={rows}
              dataKey="value"
              isAnimationActive={false}
              shape={(point: unknown) => <Brewed {...(point as Point)} figure={figure} />}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      {order === 'date' && (
        <MovingRanges
          rows={rows}
          limit={chartNow?.movingRangeLimit ?? null}
          hue={HUE[figure]}
          domain={[first - beside, last + beside]}
          print={print}
        />
      )}
      <ul className="text-small">
        {rows
          .filter(({ signals }) => signals.length > 0)
          .map((row) => (
            <li key={row.brewId} className="text-alarm">
              Brew {row.number}: {print(row.value)},{' '}
              {row.signals.map((each) => SIGNAL_WORDS[each]).join(', ')}.
            </li>
          ))}
      </ul>
    </figure>
  );
}

/** How far each brew lies from the one before; beyond the line two neighbours differ more than hands and meter do. */
function MovingRanges({
  rows,
  limit,
  hue,
  domain,
  print,
}: {
  rows: readonly Row[];
  limit: number | null;
  hue: string;
  domain: [number, number];
  print: (value: number) => string;
}) {
  const ranges = rows.flatMap(({ x, movingRange }) => (movingRange === null ? [] : [{ x, movingRange }]));
  if (ranges.length === 0 || limit === null) return null;
  return (
    <div aria-hidden style={{ height: RANGES_HEIGHT }} className="mt-1">
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart accessibilityLayer={false} data={ranges} margin={{ ...MARGIN, top: 4, bottom: 2 }}>
          <XAxis dataKey="x" type="number" domain={domain} hide />
          <YAxis
            domain={[0, (most: number) => Math.max(most, limit * 1.1)]}
            ticks={[0, limit]}
            width={Y_WIDTH}
            tickFormatter={(value: number) => (value === 0 ? 'apart' : print(value))}
            tick={TICK}
            stroke="var(--color-rule)"
          />
          <ReferenceLine y={limit} stroke={hue} strokeDasharray="2 3" />
          <Bar dataKey="movingRange" barSize={3} fill={hue} isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}

interface Point {
  cx: number;
  cy: number;
  payload: Row;
}

/** Of the proof a ring, since then a disc; ringed once more where it is off. */
function Brewed({ cx, cy, payload, figure }: Point & { figure: WatchedFigure }) {
  const { isRecheck, signals, number } = payload;
  return (
    <g transform={`translate(${cx} ${cy})`}>
      <circle
        r={4.5}
        fill={isRecheck ? HUE[figure] : 'var(--color-sheet)'}
        stroke={HUE[figure]}
        strokeWidth={2}
      />
      {signals.length > 0 && (
        <>
          <circle r={9} fill="none" stroke="var(--color-alarm)" strokeWidth={2} />
          <text y={-13} textAnchor="middle" className="reading fill-alarm text-[11px] font-semibold">
            {number}
          </text>
        </>
      )}
    </g>
  );
}
