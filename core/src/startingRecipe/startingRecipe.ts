import { pourEndS, planWaterG, roundToTenth, type BrewPlan, type Pour } from '../plan/plan.js';
import { formatDuration } from '../quantity/duration.js';
import { boilingPointC } from '../water/boilingPoint.js';
import type { StartingFacts } from './facts.js';
import {
  FIGURE_LIMITS,
  HOUSE_FIGURES,
  STARTING_FLOW_GPS,
  type Figure,
  type StartingFigures,
} from './figures.js';
import { STARTING_RULES, type StartingRule } from './rules.js';

/** One step on the way from the house recipe to the figure proposed. */
export interface FigureStep {
  ruleId: string;
  because: string;
  /** Signed size in the unit of the figure; what the rule wanted, also where it was overruled. */
  by: number;
  /** The rule that silenced this push, where one did. */
  overruledBy: string | null;
}

/** Why a figure of the starting recipe is what it is. */
export interface FigureReason {
  figure: Figure;
  houseValue: number;
  steps: FigureStep[];
  /** Why the sum of the pushes was not taken as it was; `null` where it was. */
  limitedBy: 'usual-span' | 'boiling-point' | null;
  value: number;
}

/** A figure of the plan that no rule pushes: it follows from others. */
export interface DerivedReason {
  figure: 'dose' | 'water' | 'pour times';
  because: string;
}

/** Why the whole plan is what it is, figure by figure. */
export interface StartingReasons {
  figures: FigureReason[];
  derived: DerivedReason[];
}

export interface StartingRecipe {
  plan: BrewPlan;
  reasons: StartingReasons;
}

/** Share of the drain time in which the water should all be in the brewer (assumed). */
const POURED_BY_SHARE = 0.6;
/** Shortest pause between two pours, s (assumed: time to put the kettle down and read the scale). */
const SHORTEST_PAUSE_S = 5;

/**
 * The first recipe for a lot on one brewer, each figure with its reasons. A table of pushes, no
 * forecast: until the lot was brewed and measured it is a place to start from.
 */
export function startingRecipe(facts: StartingFacts): StartingRecipe {
  const active = STARTING_RULES.filter((rule) => rule.applies(facts));
  const boilingC = boilingPointC({ elevationM: facts.labElevationM });
  const figureReasons = (Object.keys(HOUSE_FIGURES) as Figure[]).map((figure) =>
    reasonFor({ figure, active, boilingC }),
  );
  const figures = Object.fromEntries(
    figureReasons.map(({ figure, value }) => [figure, value]),
  ) as unknown as StartingFigures;
  const plan = planFrom({ figures, doseG: facts.brewer.usualDoseG });
  return { plan, reasons: { figures: figureReasons, derived: derivedReasons(plan, figures) } };
}

function reasonFor({
  figure,
  active,
  boilingC,
}: {
  figure: Figure;
  active: readonly StartingRule[];
  boilingC: number;
}): FigureReason {
  const steps = active.flatMap((rule) =>
    rule.pushes
      .filter((push) => push.figure === figure)
      .map(({ by }) => ({
        ruleId: rule.id,
        because: rule.because,
        by,
        overruledBy: overruler({ rule, figure, active }),
      })),
  );
  const houseValue = HOUSE_FIGURES[figure];
  const wanted = steps.reduce((sum, step) => sum + (step.overruledBy === null ? step.by : 0), houseValue);
  const { low, high, step } = FIGURE_LIMITS[figure];
  const inSpan = roundTo(Math.min(high, Math.max(low, wanted)), step);
  if (figure === 'kettleC' && inSpan > boilingC) {
    return { figure, houseValue, steps, limitedBy: 'boiling-point', value: Math.floor(boilingC) };
  }
  const limitedBy = wanted < low || wanted > high ? 'usual-span' : null;
  return { figure, houseValue, steps, limitedBy, value: inSpan };
}

function overruler({
  rule,
  figure,
  active,
}: {
  rule: StartingRule;
  figure: Figure;
  active: readonly StartingRule[];
}): string | null {
  const winner = active.find((other) =>
    other.overrules?.some(({ ruleId, figures }) => ruleId === rule.id && figures.includes(figure)),
  );
  return winner?.id ?? null;
}

function derivedReasons(plan: BrewPlan, { ratio, mainPours }: StartingFigures): DerivedReason[] {
  const lastEndS = Math.max(...plan.pours.map(pourEndS));
  return [
    { figure: 'dose', because: `${plan.doseG} g is the usual dose of this brewer` },
    { figure: 'water', because: `${plan.doseG} g x ${ratio}, to the nearest 5 g: ${planWaterG(plan)} g` },
    {
      figure: 'pour times',
      because:
        mainPours === 1
          ? 'one pour when the bloom is over'
          : `${mainPours} equal pours, so that the water is in by ${formatDuration(lastEndS)} and the bed has the rest to drain`,
    },
  ];
}

function planFrom({ figures, doseG }: { figures: StartingFigures; doseG: number }): BrewPlan {
  const bloomG = Math.round(doseG * figures.bloomMultiple);
  const waterG = Math.round((doseG * figures.ratio) / 5) * 5;
  const amountsG = splitEvenly({ totalG: waterG - bloomG, parts: figures.mainPours });
  const bloom: Pour = {
    startS: 0,
    amountG: bloomG,
    flowGps: STARTING_FLOW_GPS,
    agitation: figures.bloomSwirls > 0 ? 'swirl' : 'none',
    isBloom: true,
  };
  const longestPourS = Math.max(...amountsG) / STARTING_FLOW_GPS;
  const spreadS = figures.drawdownS * POURED_BY_SHARE - figures.bloomS - longestPourS;
  const gapS = roundTo(
    Math.max(longestPourS + SHORTEST_PAUSE_S, spreadS / Math.max(1, figures.mainPours - 1)),
    FIGURE_LIMITS.bloomS.step,
  );
  const mainPours = amountsG.map((amountG, index): Pour => ({
    startS: figures.bloomS + index * gapS,
    amountG,
    flowGps: STARTING_FLOW_GPS,
    agitation: 'none',
    isBloom: false,
  }));
  return {
    doseG,
    kettleC: figures.kettleC,
    grindUm: figures.grindUm,
    pours: [bloom, ...mainPours],
    drawdownS: figures.drawdownS,
  };
}

/** Whole grams each; the last part takes up the rounding. */
function splitEvenly({ totalG, parts }: { totalG: number; parts: number }): number[] {
  const each = Math.round(totalG / parts);
  return Array.from({ length: parts }, (_, index) =>
    index < parts - 1 ? each : roundToTenth(totalG - each * (parts - 1)),
  );
}

function roundTo(value: number, step: number): number {
  return Math.round(Math.round(value / step) * step * 10) / 10;
}
