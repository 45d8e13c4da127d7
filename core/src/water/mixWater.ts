import type { Salt } from './salts.js';
import { waterChemistry } from './waterChemistry.js';

/** What a water should come to, mg/L as CaCO3 each. */
export interface WaterTarget {
  hardnessMgPerL: number;
  alkalinityMgPerL: number;
}

/**
 * Salts for a litre of pure water that reach a hardness and an alkalinity: each of the two figures has one
 * salt that alone moves it, so the answer is exact and unique.
 *
 * @param hardnessSalt - brings calcium or magnesium and no bicarbonate
 * @param alkalinitySalt - brings bicarbonate and neither calcium nor magnesium
 * @returns mg per litre of each salt
 */
export function saltsForWater({
  target,
  hardnessSalt,
  alkalinitySalt,
}: {
  target: WaterTarget;
  hardnessSalt: Exclude<Salt, 'sodium bicarbonate' | 'potassium bicarbonate'>;
  alkalinitySalt: 'sodium bicarbonate' | 'potassium bicarbonate';
}): Partial<Record<Salt, number>> {
  const perMg = (salt: Salt) => waterChemistry({ saltsMgPerL: { [salt]: 1 } });
  return {
    [hardnessSalt]: target.hardnessMgPerL / perMg(hardnessSalt).hardnessMgPerL,
    [alkalinitySalt]: target.alkalinityMgPerL / perMg(alkalinitySalt).alkalinityMgPerL,
  };
}

/** A blend of two waters: how much of the first, what it comes to, and what is still missing. */
export interface WaterBlend {
  shareOfFirst: number;
  reached: WaterTarget;
  /** Target less reached, mg/L as CaCO3; both 0 where the blend hits the target. */
  missing: WaterTarget;
}

/**
 * The blend of two waters that comes nearest to a target. Two waters span a line and a target is a point,
 * so it is seldom hit: the foot of the perpendicular, kept between the two waters, is the closest.
 */
export function blendWaters({
  first,
  second,
  target,
}: {
  first: WaterTarget;
  second: WaterTarget;
  target: WaterTarget;
}): WaterBlend {
  const across = {
    hardness: first.hardnessMgPerL - second.hardnessMgPerL,
    alkalinity: first.alkalinityMgPerL - second.alkalinityMgPerL,
  };
  const squared = across.hardness ** 2 + across.alkalinity ** 2;
  const along =
    (target.hardnessMgPerL - second.hardnessMgPerL) * across.hardness +
    (target.alkalinityMgPerL - second.alkalinityMgPerL) * across.alkalinity;
  // Two equal waters blend to the same whatever the shares.
  const shareOfFirst = squared === 0 ? 0 : Math.min(1, Math.max(0, along / squared));
  const reached = {
    hardnessMgPerL: second.hardnessMgPerL + shareOfFirst * across.hardness,
    alkalinityMgPerL: second.alkalinityMgPerL + shareOfFirst * across.alkalinity,
  };
  return {
    shareOfFirst,
    reached,
    missing: {
      hardnessMgPerL: target.hardnessMgPerL - reached.hardnessMgPerL,
      alkalinityMgPerL: target.alkalinityMgPerL - reached.alkalinityMgPerL,
    },
  };
}
