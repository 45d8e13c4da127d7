import { pourEndS, roundToTenth, type Pour } from './plan.js';

/** A corner of the staircase: water poured so far at a moment of the brew clock. */
export interface StaircasePoint {
  atS: number;
  totalG: number;
}

/**
 * The recipe's face: cumulative water against time, rising while a pour runs and level between pours.
 *
 * @param endS - where the last level part ends, usually the drawdown; never before the last pour's end
 * @returns corners in order, starting at 0 g; empty for no pours
 */
export function staircase({ pours, endS }: { pours: readonly Pour[]; endS: number }): StaircasePoint[] {
  const points: StaircasePoint[] = [];
  let totalG = 0;
  for (const pour of pours) {
    points.push({ atS: pour.startS, totalG });
    totalG = roundToTenth(totalG + pour.amountG);
    points.push({ atS: pourEndS(pour), totalG });
  }
  const last = points.at(-1);
  if (last && endS > last.atS) points.push({ atS: endS, totalG });
  return points;
}

/** Water the staircase shows at a moment, g, by straight lines between its corners. */
export function staircaseTotalG({ points, atS }: { points: readonly StaircasePoint[]; atS: number }): number {
  let before: StaircasePoint = { atS: 0, totalG: 0 };
  for (const point of points) {
    if (atS < point.atS) {
      const share = (atS - before.atS) / (point.atS - before.atS);
      return before.totalG + share * (point.totalG - before.totalG);
    }
    before = point;
  }
  return before.totalG;
}
