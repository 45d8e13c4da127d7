import type { LotCalibration } from '../calibration/calibrateLot.js';
import type { BrewPlan } from '../plan/plan.js';
import type { Limits } from './levers.js';
import type { Candidate } from './search.js';
import type { Situation } from './situation.js';
import type { TasteRule } from './tasteRules.js';

/** A plan likelier than this to be on target is better repeated than changed (assumed). */
export const REPEAT_CHANCE = 0.6;

/** Below this the best single change is not likely to do (assumed). */
const UNLIKELY = 0.25;

/** What to know before choosing a change. */
export function adviceNotes({
  situation,
  rules,
  asItIs,
  bestSingle,
  calibration,
  first,
  limits,
  boilingC,
}: {
  situation: Situation;
  rules: readonly TasteRule[];
  asItIs: Candidate;
  bestSingle: number;
  calibration: LotCalibration;
  first: BrewPlan | null;
  limits: Limits;
  boilingC: number;
}): string[] {
  const notes: string[] = [];
  if (situation.withinUncertainty || asItIs.chance > REPEAT_CHANCE) {
    notes.push('The last brew lies on target within its uncertainty: repeat it before changing anything.');
  }
  notes.push(...rules.filter(({ wants }) => wants.length === 0).map(({ because }) => sentence(because)));
  if (calibration.knowledge === 'nothing') {
    notes.push('No brew of this lot was measured yet: take every figure as a rough range.');
  }
  if (calibration.disagreeing.length > 0) {
    notes.push('One of the brews disagrees with the rest: check what was written down, or leave it out.');
  }
  if (bestSingle < UNLIKELY && asItIs.distance > 1) {
    notes.push('No single change is likely to reach every target at once.');
  }
  if (first && first.grindUm <= limits.finestUm)
    notes.push(`The grinder goes no finer than ${limits.finestUm} µm.`);
  if (first && first.grindUm >= limits.coarsestUm) {
    notes.push(`The grinder goes no coarser than ${limits.coarsestUm} µm.`);
  }
  if (limits.hottestC >= boilingC && first && first.kettleC >= Math.floor(boilingC)) {
    notes.push(`Water boils at ${boilingC.toFixed(1)} °C here: the kettle goes no hotter.`);
  }
  return notes;
}

function sentence(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
}
