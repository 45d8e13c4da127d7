import jStat from 'jstat';

/** Share of a standard normal figure that lies below `z`. */
export function normalCdf(z: number): number {
  return jStat.normal.cdf(z, 0, 1);
}
