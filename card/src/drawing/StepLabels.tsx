import { agitationWords, pourEndS, type BrewPlan } from '@vendu/core';

/** What a word under a step needs, and how wide a total with its unit is, px. */
const AGITATION_ROOM_PX = 20;
const TOTAL_WIDTH_PX = 46;
/** Labels at the edge stand this far apart, px. */
const APART_PX = 14;

interface StepLabelsProps {
  plan: BrewPlan;
  totals: readonly number[];
  x: (atS: number) => number;
  y: (totalG: number) => number;
  floor: number;
}

/** Totals and agitation at the steps they name, where nothing else is drawn. */
export function StepLabels({ plan, totals, x, y, floor }: StepLabelsProps) {
  return plan.pours.map((pour, index) => {
    const totalG = totals[index] ?? 0;
    const endX = x(pourEndS(pour));
    // Under its step, or beside its total where the step is low.
    const isLow = floor - y(totalG) < AGITATION_ROOM_PX;
    return (
      <g key={index}>
        <text x={endX + 2} y={y(totalG) - 7} className="reading halo fill-water text-[13px] font-semibold">
          {totalG}
          <tspan className="text-[11px] font-normal"> g</tspan>
        </text>
        {pour.agitation !== 'none' && (
          <text
            x={endX + (isLow ? TOTAL_WIDTH_PX : 4)}
            y={y(totalG) + (isLow ? -7 : 15)}
            className="fill-quiet text-[11px]"
          >
            {agitationWords(pour)}
          </text>
        )}
      </g>
    );
  });
}

/** The same outside the drawing, where a curve runs along the steps: totals at the right edge, words under the clock. */
export function EdgeLabels({ plan, totals, x, y, floor, right }: StepLabelsProps & { right: number }) {
  const places = apart(totals.map(y));
  return plan.pours.map((pour, index) => {
    const totalG = totals[index] ?? 0;
    const place = places[index] ?? 0;
    return (
      <g key={index}>
        <line
          x1={x(pourEndS(pour))}
          x2={right}
          y1={y(totalG)}
          y2={y(totalG)}
          className="stroke-water/40"
          strokeDasharray="1 4"
        />
        <text x={right + 4} y={place + 4} className="reading fill-water text-[12px] font-semibold">
          {totalG}
          <tspan className="text-[11px] font-normal"> g</tspan>
        </text>
        {pour.agitation !== 'none' && (
          <text x={x(pourEndS(pour))} y={floor + 30} textAnchor="middle" className="fill-quiet text-[11px]">
            {agitationWords(pour)}
          </text>
        )}
      </g>
    );
  });
}

/** Heights of rising totals, from the lowest line up, each at least a line above the one before. */
function apart(heights: readonly number[]): number[] {
  let above = Infinity;
  return heights.map((height) => {
    above = Math.min(height, above - APART_PX);
    return above;
  });
}
