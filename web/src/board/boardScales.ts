import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { runningTotalsG, type BrewPlan } from '@vendu/core';

export interface BoardScales {
  x: ScaleLinear<number, number>;
  y: ScaleLinear<number, number>;
  width: number;
  height: number;
  /** Where the drawing ends on the clock, s. */
  lastS: number;
}

export const BOARD_MARGIN = { top: 26, right: 50, bottom: 24, left: 52 };
/** Room past the end, so that the drain can be dragged later; whole half minutes, so that a drag seldom rescales. */
const ROOM_S = 30;
/** Room above the water, as a share. */
const ROOM_SHARE = 1.08;

/** Scales of the board and of the courses under it, which share its clock. */
export function boardScales(
  plan: BrewPlan,
  {
    width,
    height,
    behind,
    forecastEndS,
  }: { width: number; height: number; behind?: BrewPlan | undefined; forecastEndS: number },
): BoardScales {
  const totalOf = (each: BrewPlan) => runningTotalsG(each).at(-1) ?? 0;
  const latestS = Math.max(plan.drawdownS, behind?.drawdownS ?? 0, forecastEndS);
  const lastS = Math.ceil((latestS + ROOM_S / 2) / ROOM_S) * ROOM_S;
  const topG = Math.max(totalOf(plan), behind ? totalOf(behind) : 0) * ROOM_SHARE;
  return {
    x: scaleLinear([0, lastS], [BOARD_MARGIN.left, width - BOARD_MARGIN.right]),
    y: scaleLinear([0, topG], [height - BOARD_MARGIN.bottom, BOARD_MARGIN.top]),
    width,
    height,
    lastS,
  };
}
