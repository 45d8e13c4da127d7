import { standingOf, TARGETS, type Targets, type Window } from '../aim/aim.js';
import type { LotCalibration } from '../calibration/calibrateLot.js';
import type { BrewPlan } from '../plan/plan.js';
import type { Limits } from './levers.js';
import type { Candidate } from './search.js';
import type { Situation } from './situation.js';
import type { ChangeRule } from './tasteRules.js';
import { describeMove } from './wording.js';
import { formatDuration } from '../quantity/duration.js';

/** A plan likelier than this to be on target is better repeated than changed (assumed). */
export const REPEAT_CHANCE = 0.6;

/** Below this no change found is likely to do (assumed). */
const UNLIKELY = 0.25;

/** What to know before choosing a change. */
export function adviceNotes({
  situation,
  isThere,
  chance,
  rules,
  nearest,
  likeliest,
  targets,
  calibration,
  first,
  limits,
  boilingC,
}: {
  situation: Situation;
  isThere: boolean;
  /** Of the plan as it is. */
  chance: number;
  rules: readonly ChangeRule[];
  /** The plan that comes nearest to the aim, the last one included. */
  nearest: Candidate;
  /** The best chance of all plans. */
  likeliest: number;
  targets: Targets;
  calibration: LotCalibration;
  first: BrewPlan | null;
  limits: Limits;
  boilingC: number;
}): string[] {
  const notes: string[] = [];
  const misses = [situation.strength, situation.yield, situation.time].some(
    (standing) => standing === 'low' || standing === 'high',
  );
  // Strength and yield err together: each may be near enough by itself, and both at once all but ruled out.
  if (!isThere && misses && situation.withinUncertainty && chance >= UNLIKELY) {
    notes.push(
      'The last brew misses the aim by less than its own uncertainty: read it or brew it again before changing anything.',
    );
  }
  notes.push(...rules.filter(({ wants }) => wants.length === 0).map(({ because }) => sentence(because)));
  if (calibration.knowledge === 'nothing') {
    notes.push('No brew of this lot has been measured yet: take every figure as a rough range.');
  }
  if (calibration.disagreeing.length > 0) {
    notes.push('One of the brews disagrees with the rest: check its record, or exclude it.');
  }
  if (likeliest < UNLIKELY) notes.push(outOfReach(nearest, targets));
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

/** What of the aim the nearest plan does not meet; where its figures do, the band is what is too wide. */
function outOfReach({ moves, forecast }: Candidate, targets: Targets): string {
  const missed = TARGETS.flatMap((figure) => {
    const window = targets[figure];
    const { value } = forecast[figure];
    if (window === undefined || standingOf(value, window) === 'on-aim') return [];
    return [`${PRINT[figure](value)} (aim ${aimWords(window, PRINT[figure])})`];
  });
  const plan = moves.length === 0 ? 'the recipe as it is' : moves.map(describeMove).join('; ');
  if (missed.length === 0) {
    return `The aim can be met by ${plan}, but the forecast is too uncertain to promise it: weigh and read one brew to narrow it.`;
  }
  return `No one or two changes are likely to reach the whole aim. The nearest, ${plan}, is expected to give ${missed.join(' and ')}: move the aim, or try another brewer or paper.`;
}

const PRINT: Record<keyof Targets, (value: number) => string> = {
  tdsPercent: (value) => `${value.toFixed(2)} % strength`,
  yieldPercent: (value) => `${value.toFixed(1)} % yield`,
  drawdownS: (value) => `${formatDuration(Math.round(value))} to drain`,
};

function aimWords({ low, high }: Window, print: (value: number) => string): string {
  const [from, to] = [low, high].map((value) => print(value).split(' ')[0]);
  return `${from} to ${to}`;
}

function sentence(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
}
