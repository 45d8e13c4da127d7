import { CALCIUM_CARBONATE_G_PER_MOL, ION_G_PER_MOL, IONS, SALTS, type Ion, type Salt } from './salts.js';

/** A brewing water in the figures that the trade states. */
export interface WaterChemistry {
  /** Calcium and magnesium, mg/L as CaCO3. */
  hardnessMgPerL: number;
  /** Bicarbonate, mg/L as CaCO3: what softens acidity in the cup. */
  alkalinityMgPerL: number;
  /** Each ion, mg/L of the ion itself. */
  ionsMgPerL: Record<Ion, number>;
  /** Sum of the ions, mg/L. A conductivity meter's reading is another figure and is never mixed with this. */
  totalMineralsMgPerL: number;
}

/** 1 degree of German hardness as mg/L CaCO3: 10 mg/L CaO by definition. */
export const GERMAN_DEGREE_MG_PER_L = 17.85;

/**
 * What a litre of pure water becomes when salts are dissolved in it.
 *
 * @param saltsMgPerL - mg of each salt per litre, 0 or more, with its water of crystal as weighed
 * @example waterChemistry({ saltsMgPerL: { 'sodium bicarbonate': 1000 } }).alkalinityMgPerL // 595.7
 *
 * Source: stoichiometry. Hardness counts one CaCO3 per Ca or Mg; alkalinity one half per bicarbonate.
 */
export function waterChemistry({
  saltsMgPerL,
}: {
  saltsMgPerL: Partial<Record<Salt, number>>;
}): WaterChemistry {
  const mmolPerL = Object.fromEntries(IONS.map((ion) => [ion, 0])) as Record<Ion, number>;
  for (const [salt, mgPerL = 0] of Object.entries(saltsMgPerL) as [Salt, number | undefined][]) {
    const { gPerMol, ions } = SALTS[salt];
    for (const [ion, count] of Object.entries(ions) as [Ion, number][])
      mmolPerL[ion] += (mgPerL / gPerMol) * count;
  }
  const ionsMgPerL = Object.fromEntries(
    IONS.map((ion) => [ion, mmolPerL[ion] * ION_G_PER_MOL[ion]]),
  ) as Record<Ion, number>;
  return {
    hardnessMgPerL: (mmolPerL.calcium + mmolPerL.magnesium) * CALCIUM_CARBONATE_G_PER_MOL,
    alkalinityMgPerL: (mmolPerL.bicarbonate / 2) * CALCIUM_CARBONATE_G_PER_MOL,
    ionsMgPerL,
    totalMineralsMgPerL: IONS.reduce((sum, ion) => sum + ionsMgPerL[ion], 0),
  };
}
