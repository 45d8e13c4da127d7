import { formatClock } from '../quantity/duration.js';
import { planChanges, type PlanChange } from '../plan/planChanges.js';
import { planWaterG, type BrewPlan } from '../plan/plan.js';
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
  bypass: 'rest',
  serving: 'rest',
};

/**
 * In what the arms differ by what is planned: kit, lot and plan. Pours that are the same shares of the water at the same
 * times are the same pours, whatever the dose.
 */
export function armDifferences(arms: readonly ComparedArm[]): ArmDifference[] {
  const told: ArmDifference[] = [
    { axis: 'lot', values: arms.map(({ lotName }) => lotName) },
    { axis: 'brewer', values: arms.map(({ brewerName }) => brewerName) },
    { axis: 'paper', values: arms.map(({ paperName }) => paperName) },
    { axis: 'water', values: arms.map(({ waterName }) => (waterName === '' ? 'not said' : waterName)) },
    { axis: 'grinder', values: arms.map(({ grinderName }) => grinderName) },
    ...ofPlans(arms.map(({ plan }) => plan)),
    { axis: 'bloom', values: arms.map(({ plan }) => bloomWords(plan)) },
    { axis: 'pours', values: arms.map(({ plan }) => pourWords(plan)) },
    { axis: 'end', values: arms.map(({ plan }) => endWords(plan)) },
  ];
  return told.filter(({ values }) => new Set(values).size > 1);
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

/** Of the water, in whole percent: what is left of the pours when dose and ratio are taken out. */
const share = (amountG: number, plan: BrewPlan) => `${Math.round((100 * amountG) / planWaterG(plan))} %`;

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
