import { writeDraft } from '../device/draft';
import type { BrewPlan, ChangeSource, Expectation, Hope } from '@vendu/core';

/** The plan being edited, with its past and future; `basedOn` is the version it started from. */
export interface PlanDraft {
  basedOn: number;
  plan: BrewPlan;
  past: BrewPlan[];
  future: BrewPlan[];
  note: string;
  /** What the change is to do in the cup. */
  hopes?: Hope[];
  /** The change that was proposed, as long as the plan is still the proposed one. */
  proposed?: { plan: BrewPlan; source: ChangeSource };
}

/** Under which key a recipe's draft is kept on this device. */
export const planDraftKey = (recipeId: number) => `recipe.${recipeId}`;

/** Puts a plan on a recipe's board from elsewhere, as an edit of its newest version that can be taken back. */
export function putOnBoard(
  recipeId: number,
  version: { number: number; plan: BrewPlan },
  plan: BrewPlan,
  note: string,
  { source, hopes }: Pick<Expectation, 'source' | 'hopes'>,
): void {
  const draft: PlanDraft = {
    basedOn: version.number,
    plan,
    past: [version.plan],
    future: [],
    note,
    hopes,
    proposed: { plan, source },
  };
  writeDraft(planDraftKey(recipeId), draft);
}
