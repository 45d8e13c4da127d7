import type { BrewPlan } from '../plan/plan.js';
import type { ComparedAxis, GrindMatch } from '../vocabulary.js';

/** Questions that leave the pours alone: for them one arm can be given the plan of the other. */
const LEAVE_POURS: readonly ComparedAxis[] = [
  'lot',
  'brewer',
  'paper',
  'water',
  'kettle',
  'grinder',
  'grind',
  'temperature',
];

/**
 * The plan of one arm for another, but for what is asked about and for a grind that is matched otherwise.
 *
 * @returns `null` where the question is about the pours themselves, and where nothing would change
 */
export function alignedPlan({
  from,
  to,
  asks,
  matchedBy,
}: {
  /** The plan that is taken over. */
  from: BrewPlan;
  /** The plan it takes the place of. */
  to: BrewPlan;
  asks: readonly ComparedAxis[];
  matchedBy: GrindMatch;
}): BrewPlan | null {
  if (asks.some((axis) => !LEAVE_POURS.includes(axis))) return null;
  const ground = asks.includes('grind') || matchedBy !== 'dial' ? withGrindOf(from, to) : from;
  const aligned = asks.includes('temperature') ? withKettleOf(ground, to) : ground;
  return JSON.stringify(aligned) === JSON.stringify(to) ? null : aligned;
}

function withGrindOf({ secondGrind: _, sieveUm: __, ...plan }: BrewPlan, to: BrewPlan): BrewPlan {
  const { grindUm, secondGrind, sieveUm } = to;
  return {
    ...plan,
    grindUm,
    ...(secondGrind === undefined ? {} : { secondGrind }),
    ...(sieveUm === undefined ? {} : { sieveUm }),
  };
}

/** Of a kettle that is set anew from pour to pour only the first setting can be kept: there may be other pours. */
function withKettleOf(plan: BrewPlan, { kettleC }: BrewPlan): BrewPlan {
  return { ...plan, kettleC, pours: plan.pours.map(({ kettleC: _, ...pour }) => pour) };
}
