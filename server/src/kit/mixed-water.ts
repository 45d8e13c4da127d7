import { invalidField } from '../problem/problem-error.js';

/** As much as a water by analysis may have: no recipe for coffee comes near it, a slipped decimal point does. */
const MOST_MG_PER_L = 1000;

export function refuseOverdosed(reached: { hardnessMgPerL: number; alkalinityMgPerL: number }): void {
  for (const [what, mgPerL] of [
    ['hardness', reached.hardnessMgPerL],
    ['alkalinity', reached.alkalinityMgPerL],
  ] as const) {
    if (mgPerL <= MOST_MG_PER_L) continue;
    throw invalidField({
      field: 'mix.concentrates',
      message: `This mix comes to a ${what} of ${mgPerL} mg/L; check the grams per litre.`,
      allowed: `up to ${MOST_MG_PER_L} mg/L`,
    });
  }
}

export function reachedBy(
  base: number,
  concentrates: readonly { hardnessPerG: number; alkalinityPerG: number; gPerL: number }[],
  field: 'hardnessPerG' | 'alkalinityPerG',
): number {
  const reached = concentrates.reduce((sum, each) => sum + each.gPerL * each[field], base);
  return Math.round(reached * 10) / 10;
}
