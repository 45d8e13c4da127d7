import { USUAL_SCHOOLS, type Schools } from '../schools/schools.js';
import type { PourPattern } from '../vocabulary.js';
import { pourEndS, planWaterG, roundToTenth, type BrewPlan, type Pour } from '../plan/plan.js';
import { formatDuration } from '../quantity/duration.js';
import { boilingPointC } from '../water/boilingPoint.js';
import { doseOf, type StartingFacts } from './facts.js';
import { FIGURE_LIMITS, HOUSE_FIGURES, type Figure, type StartingFigures } from './figures.js';
import { TIGHT } from './schoolRules.js';
import { STARTING_RULES, type StartingRule } from './rules.js';
import type { GrindFit } from './fitGrind.js';
import { supposedFacts, type Supposed } from './supposed.js';
import { withOffers, type Offer, type OfferId } from './offers.js';
import { adviceNote, overfullNote, waterNote, type KitNote } from './kitNotes.js';
import { schoolNotes, type SchoolNote } from './schoolNotes.js';
import type { RatioForAim } from './ratioForAim.js';
import type { SchoolPoint } from '../schools/schools.js';

/** One step on the way from the house recipe to the figure proposed. */
export interface FigureStep {
  ruleId: string;
  /** The disputed point on which the house's stand spoke; left out where the lot or the brewer did. */
  school?: SchoolPoint;
  because: string;
  /** Signed size in the unit of the figure; what the rule wanted, also where it was overruled. */
  by: number;
  /** The rule that silenced this push, where one did. */
  overruledBy: string | null;
  /** Somebody switched this rule off for the lot. */
  switchedOff?: boolean;
}

/** Why a figure of the starting recipe is what it is. */
export interface FigureReason {
  figure: Figure;
  /** What the pushes depart from: the house recipe's, or the ratio that the aim asks for. */
  houseValue: number;
  steps: FigureStep[];
  /** Why the sum of the pushes was not taken as it was; `null` where it was. */
  limitedBy: 'usual-span' | 'boiling-point' | 'kettle-step' | 'aim' | null;
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
  /** What the house's schools say beyond figures; left out in recipes older than the schools. */
  notes?: SchoolNote[];
  /** What some do with such a lot; left out where nothing is offered, and in older recipes. */
  offers?: Offer[];
  /** What nobody told of lot and kit, and what is taken instead; left out where all was told, and in older recipes. */
  supposed?: Supposed[];
  /** What the water says; left out where none was chosen. */
  kitNotes?: KitNote[];
  /** The ratio that the aim asks for, from which the pushes depart; left out where no aim was given. */
  ratioForAim?: RatioForAim;
  /** How the model set the grind; left out where it was not asked. */
  grindFit?: GrindFit;
}

export interface StartingRecipe {
  plan: BrewPlan;
  reasons: StartingReasons;
}

/** Time a bed has to drain after the last pour, at the least, s (assumed). */
const SHORTEST_DRAIN_S = 30;
/** Shortest pause between two pours, s (assumed: time to put the kettle down, read the scale and look at the bed). */
const SHORTEST_PAUSE_S = 15;

/**
 * The first recipe for a lot on one brewer, each figure with its reasons. A table of pushes, no
 * forecast: until the lot was brewed and measured it is a place to start from.
 *
 * @param offersTaken - what somebody took of what is offered beside the recipe
 * @param forAim - the ratio that the aim asks for: pushes depart from it, within its strength; without it they depart
 *   from the house recipe's
 */
export function startingRecipe(
  facts: StartingFacts,
  {
    switchedOff = [],
    offersTaken = [],
    forAim,
  }: { switchedOff?: readonly string[]; offersTaken?: readonly OfferId[]; forAim?: RatioForAim } = {},
): StartingRecipe {
  const speaking = STARTING_RULES.filter((rule) => rule.applies(facts));
  // A house that brews tight says its ratio itself; its aim is met by the grind, in strength.
  const aimsByRatio = !speaking.some(({ id }) => id === TIGHT && !switchedOff.includes(id));
  const boilingC = boilingPointC({ elevationM: facts.labElevationM });
  const figureReasons = (Object.keys(HOUSE_FIGURES) as Figure[]).map((figure) =>
    reasonFor({
      figure,
      speaking,
      switchedOff,
      boilingC,
      kettleStepC: facts.kettleStepC,
      forAim: aimsByRatio ? forAim : undefined,
    }),
  );
  const figures = Object.fromEntries(
    figureReasons.map(({ figure, value }) => [figure, value]),
  ) as unknown as StartingFigures;
  const poured = asTheHousePours(planFrom({ figures, doseG: doseOf(facts) }), facts.schools ?? USUAL_SCHOOLS);
  const { plan, offers } = withOffers(poured, facts, { taken: offersTaken, boilingC });
  const supposed = supposedFacts(facts);
  return {
    plan,
    reasons: {
      figures: figureReasons,
      derived: derivedReasons(plan, figures, facts),
      notes: schoolNotes(facts.schools),
      ...(forAim && aimsByRatio ? { ratioForAim: forAim } : {}),
      ...(offers.length > 0 ? { offers } : {}),
      ...(supposed.length > 0 ? { supposed } : {}),
      ...kitNotesOf(plan, facts),
    },
  };
}

function reasonFor({
  figure,
  speaking,
  switchedOff,
  boilingC,
  kettleStepC,
  forAim,
}: {
  figure: Figure;
  speaking: readonly StartingRule[];
  switchedOff: readonly string[];
  boilingC: number;
  kettleStepC: number | undefined;
  forAim: RatioForAim | undefined;
}): FigureReason {
  const active = speaking.filter(({ id }) => !switchedOff.includes(id));
  const steps = speaking.flatMap((rule): FigureStep[] =>
    rule.pushes
      .filter((push) => push.figure === figure)
      .map(({ by }) => ({
        ruleId: rule.id,
        ...(rule.school ? { school: rule.school } : {}),
        because: rule.because,
        by,
        overruledBy: overruler({ rule, figure, active }),
        ...(switchedOff.includes(rule.id) ? { switchedOff: true } : {}),
      })),
  );
  const byAim = figure === 'ratio' ? forAim : undefined;
  const houseValue = byAim?.ratio ?? HOUSE_FIGURES[figure];
  const wanted = steps.reduce((sum, step) => sum + (isHeard(step) ? step.by : 0), houseValue);
  const { step, ...usual } = FIGURE_LIMITS[figure];
  const { low, high } = byAim ? { low: byAim.tightest, high: byAim.widest } : usual;
  const inSpan = roundTo(Math.min(high, Math.max(low, wanted)), step);
  if (figure === 'kettleC' && inSpan > boilingC) {
    const value = Math.floor(boilingC / (kettleStepC ?? step)) * (kettleStepC ?? step);
    return { figure, houseValue, steps, limitedBy: 'boiling-point', value };
  }
  if (figure === 'kettleC' && kettleStepC !== undefined && roundTo(inSpan, kettleStepC) !== inSpan) {
    // Downwards: the water must not be hotter than any reason asks for.
    const value = Math.floor(inSpan / kettleStepC) * kettleStepC;
    return { figure, houseValue, steps, limitedBy: 'kettle-step', value };
  }
  const limitedBy = wanted < low || wanted > high ? (byAim ? 'aim' : 'usual-span') : null;
  return { figure, houseValue, steps, limitedBy, value: inSpan };
}

/** Whether a push counts: neither overruled nor switched off. */
export function isHeard({ overruledBy, switchedOff }: FigureStep): boolean {
  return overruledBy === null && !switchedOff;
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

function kitNotesOf(plan: BrewPlan, { water, brewer }: StartingFacts): { kitNotes?: KitNote[] } {
  const overfull = overfullNote(planWaterG(plan), brewer.capacityG);
  const advised = adviceNote(plan.kettleC, brewer);
  const kitNotes = [
    ...(overfull ? [overfull] : []),
    ...(advised ? [advised] : []),
    ...(water ? [waterNote(water)] : []),
  ];
  return kitNotes.length > 0 ? { kitNotes } : {};
}

function derivedReasons(
  plan: BrewPlan,
  { ratio, mainPours }: StartingFigures,
  { brewer: { usualDoseG } }: StartingFacts,
): DerivedReason[] {
  const lastEndS = Math.max(...plan.pours.map(pourEndS));
  return [
    {
      figure: 'dose',
      because:
        plan.doseG === usualDoseG
          ? `${plan.doseG} g is the usual dose of this brewer`
          : `${plan.doseG} g was asked for; this brewer's usual dose is ${usualDoseG} g`,
    },
    { figure: 'water', because: `${plan.doseG} g x ${ratio}, to the nearest 5 g: ${planWaterG(plan)} g` },
    {
      figure: 'pour times',
      because:
        mainPours === 1
          ? plan.pours.length === 1
            ? 'one continuous pour from the start'
            : 'one pour when the bloom is over'
          : `${mainPours} equal pours, so that the water is in by ${formatDuration(lastEndS)} and the bed has the rest to drain`,
    },
  ];
}

/** Where the house pours; `null` where the brewer says. */
const PATTERNS: Record<Schools['pour-where'], PourPattern | null> = {
  'by-brewer': null,
  centre: 'centre',
  circle: 'circle',
};

/** Holes of the sieve of a house that takes the fines out, um: those of the model lie about 40 (assumed). */
const USUAL_SIEVE_UM = 300;
/** How much coarser a house that blends grinds the second part, and how much of it there is (assumed). */
const SECOND_GRIND = { times: 1.4, sharePercent: 40 };

/** What the house's positions do to a plan that no figure tells: where it pours, what it waits for, what becomes of the fines. */
function asTheHousePours(plan: BrewPlan, schools: Schools): BrewPlan {
  const pattern = PATTERNS[schools['pour-where']];
  const waits = schools['pour-when'] === 'when-drained';
  const firstMain = plan.pours.findIndex(({ isBloom }) => !isBloom);
  return {
    ...plan,
    ...(schools.fines === 'sieve' ? { sieveUm: USUAL_SIEVE_UM } : {}),
    ...(schools.fines === 'blend-grinds'
      ? {
          secondGrind: {
            grindUm: roundTo(plan.grindUm * SECOND_GRIND.times, FIGURE_LIMITS.grindUm.step),
            sharePercent: SECOND_GRIND.sharePercent,
          },
        }
      : {}),
    pours: plan.pours.map((pour, index) => ({
      ...pour,
      ...(pattern === null || pour.isBloom ? {} : { pattern }),
      // A bloom is held for its time, however soon it is through.
      ...(waits && index > firstMain ? { startsWhen: 'through' as const } : {}),
    })),
  };
}

function planFrom({ figures, doseG }: { figures: StartingFigures; doseG: number }): BrewPlan {
  const isBloomed = figures.bloomed > 0;
  const bloomG = isBloomed ? Math.round(doseG * figures.bloomMultiple) : 0;
  // A thin stream may take longer to wet a large dose than the bloom is to last.
  const firstS = isBloomed ? Math.max(figures.bloomS, Math.ceil(bloomG / figures.flowGps / 5) * 5) : 0;
  const waterG = Math.round((doseG * figures.ratio) / 5) * 5;
  const amountsG = splitEvenly({ totalG: waterG - bloomG, parts: figures.mainPours });
  const bloom: Pour = {
    startS: 0,
    amountG: bloomG,
    flowGps: figures.flowGps,
    agitation: figures.bloomSwirls > 0 ? 'swirl' : 'none',
    isBloom: true,
  };
  const longestPourS = Math.max(...amountsG) / figures.flowGps;
  const spreadS = (figures.drawdownS * figures.pouredByPercent) / 100 - firstS - longestPourS;
  const gapS = roundTo(
    Math.max(longestPourS + SHORTEST_PAUSE_S, spreadS / Math.max(1, figures.mainPours - 1)),
    FIGURE_LIMITS.bloomS.step,
  );
  const mainPours = amountsG.map((amountG, index): Pour => ({
    startS: firstS + index * gapS,
    amountG,
    flowGps: figures.flowGps,
    agitation: 'none',
    isBloom: false,
  }));
  const lastEndS = Math.max(...mainPours.map(pourEndS));
  return {
    doseG,
    kettleC: figures.kettleC,
    grindUm: figures.grindUm,
    pours: isBloomed ? [bloom, ...mainPours] : mainPours,
    drawdownS: Math.max(figures.drawdownS, Math.ceil(lastEndS + SHORTEST_DRAIN_S)),
    ...(figures.lifted > 0 ? { lifts: true } : {}),
    ...(figures.bypassPercent > 0 ? { bypassG: Math.round((waterG * figures.bypassPercent) / 100) } : {}),
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
