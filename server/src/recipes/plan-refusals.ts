import { boilingPointC, planFaults, valueOf, type BrewPlan } from '@vendu/core';
import type { KitService } from '../kit/kit.service.js';
import { ProblemError } from '../problem/problem-error.js';

/** @throws ProblemError `invalid-input` with every fault of a plan at its field */
export async function refusePlanFaults(plan: BrewPlan, kit: KitService): Promise<void> {
  const { elevationM } = await kit.house();
  const faults = planFaults({ plan, boilingC: valueOf(boilingPointC({ elevationM })) });
  const errors = faults.map(({ field, message }) => ({ field: `plan.${field}`, message }));
  if (errors[0]) throw new ProblemError('invalid-input', errors[0].message, errors);
}

/** JSON columns want plain objects, not class instances. */
export function plainPlan(plan: BrewPlan): BrewPlan {
  return { ...plan, pours: plan.pours.map((pour) => ({ ...pour })) };
}
