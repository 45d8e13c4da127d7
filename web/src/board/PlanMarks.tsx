import { line } from 'd3-shape';
import {
  cupMarks,
  cupUnit,
  formatDuration,
  runningTotalsG,
  throughRegulator,
  type BrewPlan,
  type StaircasePoint,
} from '@vendu/core';
import type { BoardScales } from './boardScales';

/** What a regulator on top lets reach the bed, beside what is poured into it. */
export function FedLine({
  plan: { pours },
  regulatorGps,
  scales: { x, y },
}: {
  plan: BrewPlan;
  regulatorGps: number;
  scales: BoardScales;
}) {
  const totals = runningTotalsG({ pours });
  const points = throughRegulator(pours, regulatorGps).flatMap(({ startS, endS }, index) => [
    { atS: startS, totalG: totals[index - 1] ?? 0 },
    { atS: endS, totalG: totals[index] ?? 0 },
  ]);
  const [from, to] = points.slice(-2);
  const beside = from && to && { atS: (from.atS + to.atS) / 2, totalG: (from.totalG + to.totalG) / 2 };
  const path = line<StaircasePoint>(
    ({ atS }) => x(atS),
    ({ totalG }) => y(totalG),
  );
  return (
    <g aria-hidden>
      <path
        d={path(points) ?? ''}
        className="fill-none stroke-flow"
        strokeWidth={1.5}
        strokeDasharray="6 3"
      />
      {beside && (
        <text x={x(beside.atS) + 8} y={y(beside.totalG) + 14} className="halo fill-flow text-[11px]">
          through the regulator
        </text>
      )}
    </g>
  );
}

/** Where the cup of a split brew is changed by the clock; the scale has no place on this axis. */
export function CupMarks({ scales: { x, y }, plan }: { scales: BoardScales; plan: BrewPlan }) {
  const [floor = 0, top = 0] = y.range();
  if (plan.cups === undefined || cupUnit(plan.cups) !== 's') return null;
  return (
    <g aria-hidden>
      {cupMarks(plan.cups, plan.drawdownS).map((atS, index) => (
        <g key={atS}>
          <line
            x1={x(atS)}
            x2={x(atS)}
            y1={top}
            y2={floor}
            className="stroke-strength"
            strokeDasharray="1 4"
            strokeWidth={1.5}
          />
          <text x={x(atS) + 4} y={top + 10} className="halo fill-strength text-[11px]">
            {index === 0 ? 'cup 2' : index + 2}
          </text>
        </g>
      ))}
    </g>
  );
}

/** How long a chilled ball lies under the outlet. */
export function BallMark({ scales: { x, y }, untilS }: { scales: BoardScales; untilS: number }) {
  const top = y.range()[1] ?? 0;
  return (
    <g aria-hidden>
      <line
        x1={x(0)}
        x2={x(untilS)}
        y1={top - 8}
        y2={top - 8}
        className="stroke-temperature"
        strokeWidth={3}
      />
      <text x={x(0)} y={top - 13} className="fill-temperature text-[11px]">
        chilled ball until {formatDuration(untilS)}
      </text>
    </g>
  );
}
