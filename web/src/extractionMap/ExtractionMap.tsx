import {
  CartesianGrid,
  ErrorBar,
  Label,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
} from 'recharts';
import {
  formatRatio,
  planRatio,
  ratioLineTdsPercent,
  type AimSource,
  type BrewResult,
  type CalibratedForecast,
  type ExtractionWindow,
} from '@vendu/core';
import type { BrewListItem } from '@vendu/contract';
import { AIM_SOURCE_WORDS } from '../ui/words';
import { Mark, markOf, type MarkShape } from './Mark';
import { labelPlaces, type LabelPlace } from './labelPlaces';
import { TICK } from '../ui/chartTick';

interface ExtractionMapProps {
  /** In the order brewed; brews without readings are left out, and simulated ones but that in hand. */
  brews: readonly BrewListItem[];
  /** The brew in hand, drawn full; the others stand back. */
  currentId?: number;
  /** What was forecast of it. */
  forecast?: CalibratedForecast | undefined;
  aim: ExtractionWindow;
  aimSource: AimSource;
  height?: number;
  /** Of the lot's recipes, where brews of more than one are on the map: each has a mark of its own. */
  names?: ReadonlyMap<number, string> | null;
}

interface MapPoint {
  id: number;
  recipeId: number;
  number: number;
  tdsPercent: number;
  yieldPercent: number;
  tdsError: number;
  yieldError: [number, number];
  isAssumed: boolean;
}

/** Strength against yield: the window aimed at, the brews on their path with their uncertainty, lines of equal ratio. */
export function ExtractionMap({
  brews: all,
  currentId,
  forecast,
  aim,
  aimSource,
  height = 320,
  names = null,
}: ExtractionMapProps) {
  const brews = all.filter(({ id, isSimulated }) => !isSimulated || id === currentId);
  const points = brews.flatMap((brew) => (brew.result ? [mapPoint(brew, brew.result)] : []));
  const recipeIds = [...new Set(points.map(({ recipeId }) => recipeId))];
  const forecasts = forecast ? [forecastPoint(forecast)] : [];
  const { xDomain, yDomain } = domains([...points, ...forecasts], aim);
  const ratios = ratiosToDraw(brews.map((brew) => planRatio(brew.plan)));
  // Without a brew in hand the newest stands out; a brew in hand that is not read yet lets none stand out.
  const last = currentId === undefined ? points.at(-1) : points.find(({ id }) => id === currentId);
  // What stands out is read first, so its number keeps its place.
  const inOrder = last ? [...points.filter((point) => point !== last), last] : points;
  const places = labelPlaces(inOrder, {
    yieldPercent: xDomain[1] - xDomain[0],
    tdsPercent: yDomain[1] - yDomain[0],
  });
  const label = last
    ? `Extraction map: brew ${last.number} at ${last.tdsPercent.toFixed(2)} % strength and ${last.yieldPercent.toFixed(1)} % yield`
    : `Extraction map, ${points.length} brews measured`;
  return (
    <figure aria-label={label}>
      <ResponsiveContainer width="100%" height={height}>
        <ScatterChart margin={{ top: 14, right: 26, bottom: 18, left: 4 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--color-rule)" strokeDasharray="1 4" />
          <XAxis
            dataKey="yieldPercent"
            type="number"
            domain={xDomain}
            ticks={ticks(xDomain, 1)}
            stroke="var(--color-ink)"
            tick={TICK}
            tickLine={false}
            allowDataOverflow
          >
            <Label
              value="yield, % of dose"
              position="bottom"
              offset={0}
              className="fill-yield text-[12px] font-semibold"
            />
          </XAxis>
          <YAxis
            dataKey="tdsPercent"
            type="number"
            domain={yDomain}
            ticks={ticks(yDomain, 0.1)}
            stroke="var(--color-ink)"
            tick={TICK}
            tickLine={false}
            width={52}
            tickFormatter={(value: number) => value.toFixed(2)}
            allowDataOverflow
          >
            <Label
              value="strength, % TDS"
              angle={-90}
              position="insideLeft"
              offset={8}
              className="fill-strength text-[12px] font-semibold"
              style={{ textAnchor: 'middle' }}
            />
          </YAxis>
          <ReferenceArea
            x1={aim.yieldLowPercent}
            x2={aim.yieldHighPercent}
            y1={aim.tdsLowPercent}
            y2={aim.tdsHighPercent}
            fill="var(--color-wash)"
            fillOpacity={1}
            stroke="var(--color-edge)"
            strokeDasharray="4 3"
          >
            <Label
              value={`aim, ${AIM_SOURCE_WORDS[aimSource]}`}
              position="insideBottomRight"
              className="fill-quiet text-[11px]"
            />
          </ReferenceArea>
          {ratios.map((ratio) => {
            const segment = ratioSegment(ratio, xDomain, yDomain);
            return (
              segment && (
                <ReferenceLine
                  key={ratio}
                  segment={segment}
                  stroke="var(--color-edge)"
                  strokeWidth={1}
                  ifOverflow="hidden"
                >
                  <Label content={({ viewBox }) => <RatioName ratio={ratio} box={viewBox} />} />
                </ReferenceLine>
              )
            );
          })}
          {forecasts.length > 0 && (
            <Scatter data={forecasts} isAnimationActive={false} shape={ForecastMark}>
              <ErrorBar
                dataKey="tdsError"
                direction="y"
                width={0}
                isAnimationActive={false}
                stroke="var(--color-quiet)"
                strokeDasharray="3 3"
              />
              <ErrorBar
                dataKey="yieldError"
                direction="x"
                width={0}
                isAnimationActive={false}
                stroke="var(--color-quiet)"
                strokeDasharray="3 3"
              />
            </Scatter>
          )}
          {recipeIds.map((recipeId, index) => (
            <Scatter
              key={recipeId}
              data={points.filter((point) => point.recipeId === recipeId)}
              line={{ stroke: 'var(--color-quiet)', strokeWidth: 1, strokeDasharray: '2 3' }}
              isAnimationActive={false}
              shape={({ cx, cy, payload }: { cx?: number; cy?: number; payload?: MapPoint }) =>
                payload && cx !== undefined && cy !== undefined ? (
                  <BrewDot
                    cx={cx}
                    cy={cy}
                    point={payload}
                    place={places.get(payload.id) ?? DEFAULT_PLACE}
                    isCurrent={payload.id === last?.id}
                    mark={markOf(index)}
                  />
                ) : (
                  <g />
                )
              }
            >
              <ErrorBar
                dataKey="tdsError"
                direction="y"
                width={5}
                isAnimationActive={false}
                stroke="var(--color-strength)"
                strokeWidth={1.2}
              />
              <ErrorBar
                dataKey="yieldError"
                direction="x"
                width={5}
                isAnimationActive={false}
                stroke="var(--color-yield)"
                strokeWidth={1.2}
              />
            </Scatter>
          ))}
        </ScatterChart>
      </ResponsiveContainer>
      {points.length === 0 && (
        <figcaption className="caption -mt-2 pl-14">The first reading puts the first point here.</figcaption>
      )}
      {names && recipeIds.length > 1 && (
        <figcaption className="flex flex-wrap gap-x-4 pl-14 text-tiny">
          {recipeIds.map((recipeId, index) => (
            <span key={recipeId} className="flex items-center gap-1.5">
              <svg width="12" height="12" aria-hidden>
                <Mark mark={markOf(index)} cx={6} cy={6} r={4} fill="var(--color-quiet)" />
              </svg>
              {names.get(recipeId)}
            </span>
          ))}
        </figcaption>
      )}
      {points.some(({ isAssumed }) => isAssumed) && (
        <figcaption className="caption pl-14">
          Open points: yield from an assumed beverage, bar over its band.
        </figcaption>
      )}
    </figure>
  );
}

const DEFAULT_PLACE: LabelPlace = { dx: 9, dy: -11, hasLeader: false };
const MOST_RATIOS = 3;
/** Lines nearer than this lie on one another, and so do their names. */
const RATIOS_APART = 0.3;

/** The newest ratios that can be told apart, each to a tenth as it is told everywhere else. */
function ratiosToDraw(ratios: readonly number[]): number[] {
  const drawn: number[] = [];
  for (const ratio of ratios.map((each) => Math.round(each * 10) / 10).reverse()) {
    if (drawn.length < MOST_RATIOS && drawn.every((other) => Math.abs(other - ratio) >= RATIOS_APART)) {
      drawn.push(ratio);
    }
  }
  return drawn;
}

/** Names a ratio at the upper end of its line. */
function RatioName({ ratio, box }: { ratio: number; box: unknown }) {
  const { x = 0, y = 0, width = 0 } = (box ?? {}) as { x?: number; y?: number; width?: number };
  return (
    <text x={x + width - 4} y={y + 18} textAnchor="end" className="reading fill-quiet text-[11px]">
      {formatRatio(ratio)}
    </text>
  );
}

function BrewDot({
  cx,
  cy,
  point,
  place,
  isCurrent,
  mark,
}: {
  cx: number;
  cy: number;
  point: MapPoint;
  place: LabelPlace;
  isCurrent: boolean;
  mark: MarkShape;
}) {
  const fill = point.isAssumed
    ? 'var(--color-raised)'
    : isCurrent
      ? 'var(--color-ink)'
      : 'var(--color-quiet)';
  return (
    <g>
      <Mark mark={mark} cx={cx} cy={cy} r={isCurrent ? 6 : 4} fill={fill} />
      {place.hasLeader && (
        <line
          x1={cx}
          y1={cy}
          x2={cx + place.dx * 0.8}
          y2={cy + place.dy * 0.8}
          stroke="var(--color-quiet)"
          strokeWidth={0.75}
        />
      )}
      <text
        x={cx + place.dx}
        y={cy + place.dy}
        textAnchor={place.dx < 0 ? 'end' : 'start'}
        dominantBaseline="middle"
        className={
          isCurrent ? 'halo reading fill-ink text-[13px] font-bold' : 'halo reading fill-quiet text-[11px]'
        }
      >
        {point.number}
      </text>
    </g>
  );
}

/** What was forecast: a ring without a number, its bars the band that holds nine times of ten. */
function ForecastMark({ cx, cy }: { cx?: number; cy?: number }) {
  if (cx === undefined || cy === undefined) return <g />;
  return (
    <g>
      <circle cx={cx} cy={cy} r={6} fill="none" stroke="var(--color-ink)" strokeDasharray="3 2" />
      <text x={cx - 14} y={cy + 30} textAnchor="end" className="halo fill-quiet text-[11px]">
        forecast
      </text>
    </g>
  );
}

function forecastPoint({ tdsPercent, yieldPercent }: CalibratedForecast) {
  return {
    tdsPercent: tdsPercent.value,
    yieldPercent: yieldPercent.value,
    tdsError: tdsPercent.high - tdsPercent.value,
    yieldError: [yieldPercent.value - yieldPercent.low, yieldPercent.high - yieldPercent.value],
  };
}

function mapPoint(brew: BrewListItem, result: BrewResult): MapPoint {
  const { yieldPercent } = result.yield;
  return {
    id: brew.id,
    recipeId: brew.recipeId,
    number: brew.number,
    tdsPercent: result.strength.meanPercent,
    yieldPercent,
    tdsError: result.strength.uncertaintyPercent,
    yieldError:
      result.yield.basis === 'weighed'
        ? [result.yield.uncertaintyPoints, result.yield.uncertaintyPoints]
        : [yieldPercent - result.yield.lowPercent, result.yield.highPercent - yieldPercent],
    isAssumed: result.yield.basis === 'assumed',
  };
}

/** Whole points of yield and tenths of strength around aim and brews. */
function domains(
  points: readonly Pick<MapPoint, 'tdsPercent' | 'yieldPercent'>[],
  aim: ExtractionWindow,
): { xDomain: [number, number]; yDomain: [number, number] } {
  const yields = points.map(({ yieldPercent }) => yieldPercent);
  const strengths = points.map(({ tdsPercent }) => tdsPercent);
  return {
    xDomain: [
      Math.floor(Math.min(aim.yieldLowPercent - 1.5, ...yields.map((value) => value - 0.8))),
      Math.ceil(Math.max(aim.yieldHighPercent + 1.5, ...yields.map((value) => value + 0.8))),
    ],
    yDomain: [
      Math.floor(Math.min(aim.tdsLowPercent - 0.1, ...strengths.map((value) => value - 0.06)) * 10) / 10,
      Math.ceil(Math.max(aim.tdsHighPercent + 0.1, ...strengths.map((value) => value + 0.06)) * 10) / 10,
    ],
  };
}

/** The line of one ratio across the map, cut where it leaves it; `null` where the bed would keep all water. */
function ratioSegment(
  ratio: number,
  [fromYield, toYield]: [number, number],
  [fromTds, toTds]: [number, number],
): [{ x: number; y: number }, { x: number; y: number }] | null {
  // Strength is proportional to yield on such a line.
  const perPoint = ratioLineTdsPercent({ yieldPercent: 1, waterPerDose: ratio });
  if (!perPoint.ok) return null;
  const at = (yieldPercent: number) => ({ x: yieldPercent, y: yieldPercent * perPoint.value });
  return [at(Math.max(fromYield, fromTds / perPoint.value)), at(Math.min(toYield, toTds / perPoint.value))];
}

/** Every step from low to high, both ends too. */
function ticks([low, high]: [number, number], step: number): number[] {
  return Array.from(
    { length: Math.round((high - low) / step) + 1 },
    (_, index) => Math.round((low + index * step) * 100) / 100,
  );
}
