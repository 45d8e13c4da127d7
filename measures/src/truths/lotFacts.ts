import { seededRandom, type Process, type RoastLevel } from '@vendu/core';
import type { LotFacts } from './truth.js';

const PROCESSES: readonly Process[] = ['washed', 'washed', 'natural', 'honey', 'anaerobic', 'decaffeinated'];
const ROASTS: readonly (RoastLevel | null)[] = ['light', 'medium-light', 'medium-light', 'medium', null];

/** What sack and roaster say of a lot; some of it nobody says. */
export function factsOf(seed: number): LotFacts {
  const random = seededRandom(seed * 31 + 17);
  const oneOf = <V>(list: readonly V[]): V => list[Math.floor(random() * list.length)] as V;
  return {
    process: oneOf(PROCESSES),
    elevationM: random() < 0.2 ? null : Math.round(900 + random() * 1300),
    roastLevel: oneOf(ROASTS),
    roastAgeDays: Math.round(5 + random() * 25),
  };
}

/**
 * What those facts do to a lot in truth: directions as the trade has them, sizes invented, and other ones than the
 * prior believes in (twice, none, and the half of it).
 */
export function shiftsOf({ process, elevationM, roastLevel }: LotFacts) {
  const isFermented = process === 'anaerobic' || process === 'natural';
  const isDarker = roastLevel === 'medium';
  const isLow = elevationM !== null && elevationM < 1200;
  return {
    soluble: (process === 'decaffeinated' ? 0.98 : 1) * (isDarker ? 1.01 : 1),
    rate: (isFermented ? 1.1 : 1) * (isDarker ? 1.1 : 1),
    resistance: (isLow ? 0.8 : 1) * (process === 'decaffeinated' ? 1.1 : 1),
  };
}
