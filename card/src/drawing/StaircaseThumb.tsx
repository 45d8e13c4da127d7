import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { staircase, type BrewPlan, type StaircasePoint } from '@vendu/core';

/** Seconds across every thumbnail, so that two of them can be told apart by length as well as by shape. */
const THUMB_SPAN_S = 300;

/** The staircase small enough for a row. */
export function StaircaseThumb({
  plan,
  width = 96,
  height = 30,
}: {
  plan: BrewPlan;
  width?: number;
  height?: number;
}) {
  const points = staircase({ pours: plan.pours, endS: plan.drawdownS });
  const x = scaleLinear([0, Math.max(THUMB_SPAN_S, plan.drawdownS)], [1, width - 1]);
  const y = scaleLinear([0, points.at(-1)?.totalG ?? 1], [height - 2, 3]);
  const path = line<StaircasePoint>(
    ({ atS }) => x(atS),
    ({ totalG }) => y(totalG),
  );
  return (
    <svg width={width} height={height} aria-hidden className="block shrink-0">
      <line x1={0} x2={width} y1={height - 1} y2={height - 1} className="stroke-rule" />
      <path
        d={path(points) ?? ''}
        className="fill-none stroke-water"
        strokeWidth={1.75}
        strokeLinejoin="round"
      />
    </svg>
  );
}
