import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import {
  endWords,
  formatDuration,
  runningTotalsG,
  staircase,
  type BrewPlan,
  type StaircasePoint,
} from '@vendu/core';
import { EdgeLabels, StepLabels } from './StepLabels.js';

interface StaircaseProps {
  plan: BrewPlan;
  width: number;
  height: number;
  /** What was really poured, drawn over the plan. */
  actual?: readonly StaircasePoint[];
  /** What has run into the server, where it was weighed. */
  outflow?: readonly StaircasePoint[] | undefined;
  /** Where the clock stands, s. */
  nowS?: number;
  /** A second plan, drawn thin behind. */
  behind?: BrewPlan;
  label: string;
}

/** Closer than this two time labels would run into each other, px. */
const LABEL_WIDTH_PX = 34;
const ROOM_S = 30;
const MARGIN = { top: 22, right: 46, bottom: 26, left: 44 };
/** Words under the clock, where the steps have a curve along them. */
const WORDS_PX = 12;

/** The recipe's face: cumulative water against time, with totals and times at the steps they name. */
export function Staircase({ plan, width, height, actual, outflow, nowS, behind, label }: StaircaseProps) {
  const totals = runningTotalsG(plan);
  const waterG = totals.at(-1) ?? 0;
  const behindG = behind ? (runningTotalsG(behind).at(-1) ?? 0) : 0;
  const plannedS = Math.max(plan.drawdownS, behind?.drawdownS ?? 0);
  const reachedS = Math.max(actual?.at(-1)?.atS ?? 0, nowS ?? 0);
  // Past its plan a brew gets room by the half minute: a scale that creeps moves everything all the time.
  const lastS = reachedS <= plannedS ? plannedS : Math.ceil(reachedS / ROOM_S) * ROOM_S;
  const actualG = (actual ?? []).reduce((top, { totalG }) => (totalG > top ? totalG : top), 0);
  const topG = Math.max(waterG, behindG, actualG);
  const x = scaleLinear([0, lastS], [MARGIN.left, width - MARGIN.right]);
  const y = scaleLinear([0, topG], [height - MARGIN.bottom - (actual ? WORDS_PX : 0), MARGIN.top]);
  const path = line<StaircasePoint>(
    ({ atS }) => x(atS),
    ({ totalG }) => y(totalG),
    // A scale that was silent leaves a gap.
  ).defined(({ totalG }) => !Number.isNaN(totalG));
  const isCrowded = (index: number) => {
    const [before, own] = [plan.pours[index - 1], plan.pours[index]];
    return before !== undefined && own !== undefined && x(own.startS) - x(before.startS) < LABEL_WIDTH_PX;
  };
  const points = staircase({ pours: plan.pours, endS: plan.drawdownS });
  const floor = y(0);
  const area = `${path(points) ?? ''}L${x(plan.drawdownS)},${floor}L${x(0)},${floor}Z`;
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={label}
      className="block max-w-full"
    >
      <TimeAxis x={x} lastS={lastS} floor={floor} top={MARGIN.top} />
      <path d={area} className="fill-water/7" />
      {behind && (
        <path
          d={path(staircase({ pours: behind.pours, endS: behind.drawdownS })) ?? ''}
          className="fill-none stroke-edge"
          strokeDasharray="2 3"
        />
      )}
      <path
        d={path(points) ?? ''}
        className="fill-none stroke-water"
        strokeWidth={actual ? 1.5 : 2.5}
        strokeLinejoin="round"
      />
      {plan.pours.map((pour, index) => {
        return (
          <g key={index}>
            <line x1={x(pour.startS)} x2={x(pour.startS)} y1={floor} y2={floor + 5} className="stroke-time" />
            {!isCrowded(index) && (
              <text
                x={x(pour.startS)}
                y={floor + 18}
                textAnchor="middle"
                className="reading fill-time text-[12px] font-medium"
              >
                {formatDuration(pour.startS)}
              </text>
            )}
          </g>
        );
      })}
      {actual ? (
        <EdgeLabels {...{ plan, totals, x, y, floor }} right={width - MARGIN.right} />
      ) : (
        <StepLabels {...{ plan, totals, x, y, floor }} />
      )}
      <line
        x1={x(plan.drawdownS)}
        x2={x(plan.drawdownS)}
        y1={y(waterG)}
        y2={floor + 5}
        className="stroke-time"
        strokeDasharray="3 3"
      />
      <text
        x={x(plan.drawdownS)}
        y={floor + 18}
        textAnchor="middle"
        className="reading fill-time text-[12px] font-medium"
      >
        {endWords(plan)}
      </text>
      <text
        x={x(plan.drawdownS) + (actual ? 0 : 5)}
        y={floor + (actual ? 30 : -8)}
        textAnchor={actual ? 'middle' : 'start'}
        className="fill-quiet text-[11px]"
      >
        drained
      </text>
      {outflow && (
        <path
          d={path([...outflow]) ?? ''}
          className="fill-none stroke-flow"
          strokeWidth={2}
          strokeLinejoin="round"
        />
      )}
      {actual && (
        <path
          d={path([...actual]) ?? ''}
          className="fill-none stroke-ink"
          strokeWidth={3}
          strokeLinejoin="round"
        />
      )}
      {nowS !== undefined && (
        <line
          x1={x(nowS)}
          x2={x(nowS)}
          y1={MARGIN.top}
          y2={floor}
          className="stroke-alarm"
          strokeWidth={1.5}
        />
      )}
    </svg>
  );
}

function TimeAxis({
  x,
  lastS,
  floor,
  top,
}: {
  x: (s: number) => number;
  lastS: number;
  floor: number;
  top: number;
}) {
  const halfMinutes = Array.from({ length: Math.floor(lastS / 30) + 1 }, (_, index) => index * 30);
  return (
    <g aria-hidden>
      {halfMinutes.map((atS) => (
        <line
          key={atS}
          x1={x(atS)}
          x2={x(atS)}
          y1={top}
          y2={floor}
          className="stroke-rule"
          strokeDasharray={atS % 60 === 0 ? undefined : '1 4'}
        />
      ))}
      <line x1={x(0)} x2={x(lastS)} y1={floor} y2={floor} className="stroke-ink" />
      <text x={x(0) - 8} y={floor + 1} textAnchor="end" className="fill-quiet text-[11px]">
        water
      </text>
    </g>
  );
}
