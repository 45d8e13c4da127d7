import { formatClock } from '../quantity/duration.js';
import { formatRatio } from '../quantity/ratio.js';
import { planChanges, type PlanChange } from '../plan/planChanges.js';
import { planRatio, planWaterG, roundToTenth, type BrewPlan } from '../plan/plan.js';
import type { ComparedAxis } from '../vocabulary.js';
import type { ComparedArm } from './arms.js';

/** Something in which the arms of a comparison are not alike. */
export interface ArmDifference {
  axis: ComparedAxis;
  /** As each arm has it, ready for print. */
  values: string[];
}

/** Which axis a figure of a plan is on; `null` of what only follows from another, or is no more than a target. */
const AXIS_OF: Record<PlanChange['figure'], ComparedAxis | null> = {
  grind: 'grind',
  kettle: 'temperature',
  dose: 'dose',
  water: null,
  ratio: 'ratio',
  bloom: null,
  pours: null,
  pouring: 'pouring',
  regulator: 'regulator',
  agitation: 'agitation',
  drawdown: null,
  ball: 'rest',
  lid: 'rest',
  'on-top': 'rest',
  'dry-bed': 'rest',
  tail: 'rest',
  cups: 'rest',
  bypass: 'rest',
  serving: 'rest',
};

/**
 * In what the arms differ by what is planned: kit, lot and plan. Pours that are the same shares of the water at the same
 * times are the same pours, whatever the dose; figures that a bench does not tell apart are alike.
 */
export function armDifferences(arms: readonly ComparedArm[]): ArmDifference[] {
  const plans = arms.map(({ plan }) => plan);
  const named: ArmDifference[] = [
    { axis: 'lot', values: arms.map(({ lotName }) => lotName) },
    { axis: 'brewer', values: arms.map(({ brewerName }) => brewerName) },
    { axis: 'paper', values: arms.map(({ paperName }) => paperName) },
    { axis: 'water', values: arms.map(({ waterName }) => (waterName === '' ? 'not said' : waterName)) },
    { axis: 'kettle', values: arms.map(({ kettleName }) => (kettleName === '' ? 'not said' : kettleName)) },
    { axis: 'grinder', values: arms.map(({ grinderName }) => grinderName) },
    { axis: 'end', values: plans.map(endWords) },
  ];
  return [
    ...named.filter(({ values }) => new Set(values).size > 1),
    ...ofPlans(plans).filter(({ axis }) => axis !== 'dose' && axis !== 'ratio'),
    ...measured(
      'dose',
      plans,
      ({ doseG }) => [doseG],
      ({ doseG }) => `${roundToTenth(doseG)} g`,
    ),
    ...measured(
      'ratio',
      plans,
      (plan) => [planRatio(plan)],
      (plan) => formatRatio(planRatio(plan)),
    ),
    ...measured('bloom', plans, bloomFigures, bloomWords),
    ...measured('pours', plans, pourFigures, pourWords),
  ];
}

/** Closer than this, as a share of the larger, and two figures are one at a bench (common practice). */
const ALIKE = 0.03;
/** The same of times and shares of the water: a few of them are small, s and points. */
const ALIKE_BY = 3;

/** Something that is measured: alike where its figures lie close together in all arms. */
function measured(
  axis: ComparedAxis,
  plans: readonly BrewPlan[],
  figures: (plan: BrewPlan) => number[],
  words: (plan: BrewPlan) => string,
): ArmDifference[] {
  const [first, ...others] = plans.map(figures);
  const isAlike = others.every(
    (other) =>
      other.length === first?.length &&
      other.every((value, index) => isClose(value, first[index] ?? 0, axis)),
  );
  return isAlike ? [] : [{ axis, values: plans.map(words) }];
}

function isClose(a: number, b: number, axis: ComparedAxis): boolean {
  const apart = Math.abs(a - b);
  return axis === 'dose' || axis === 'ratio' ? apart <= ALIKE * Math.max(a, b) : apart <= ALIKE_BY;
}

function ofPlans(plans: readonly BrewPlan[]): ArmDifference[] {
  const [first, ...others] = plans;
  if (!first) return [];
  const changes = others.map((to) => planChanges({ from: first, to }));
  const figures = new Set(changes.flat().map(({ figure }) => figure));
  return [...figures].flatMap((figure): ArmDifference[] => {
    const axis = AXIS_OF[figure];
    if (axis === null) return [];
    const own = changes.flat().find((change) => change.figure === figure)?.from ?? '';
    return [
      {
        axis,
        values: [own, ...changes.map((of) => of.find((change) => change.figure === figure)?.to ?? own)],
      },
    ];
  });
}

/** Of the water, in percent: what is left of the pours when dose and ratio are taken out. */
const sharePercent = (amountG: number, plan: BrewPlan) => (100 * amountG) / planWaterG(plan);
const share = (amountG: number, plan: BrewPlan) => `${Math.round(sharePercent(amountG, plan))} %`;

function bloomFigures(plan: BrewPlan): number[] {
  const [first, second] = plan.pours;
  return first?.isBloom ? [sharePercent(first.amountG, plan), second?.startS ?? 0] : [];
}

function pourFigures(plan: BrewPlan): number[] {
  return plan.pours
    .filter(({ isBloom }) => !isBloom)
    .flatMap(({ startS, amountG }) => [startS, sharePercent(amountG, plan)]);
}

function bloomWords(plan: BrewPlan): string {
  const [first, second] = plan.pours;
  if (!first?.isBloom) return 'none';
  return `${share(first.amountG, plan)} to ${formatClock(second?.startS ?? 0)}`;
}

function pourWords(plan: BrewPlan): string {
  return plan.pours
    .filter(({ isBloom }) => !isBloom)
    .map(({ startS, amountG }) => `${share(amountG, plan)} at ${formatClock(startS)}`)
    .join(', ');
}

const endWords = ({ lifts, drawdownS }: BrewPlan) =>
  lifts ? `lifted at ${formatClock(drawdownS)}` : 'drains';
