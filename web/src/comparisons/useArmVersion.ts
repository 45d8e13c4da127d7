import type { BrewPlan } from '@vendu/core';
import type { ComparisonArmView } from '@vendu/contract';
import { useSetArmVersionMutation } from '../api/comparisonsApi';
import { troubleOf } from '../api/problem';
import { useAddVersionMutation, useRecipeQuery } from '../api/recipesApi';

/** Saves a plan as a new version of an arm's recipe, and has the arm compare that. */
export function useArmVersion(comparisonId: number, arm: ComparisonArmView) {
  const { data: recipe } = useRecipeQuery(arm.recipeId);
  const [addVersion, adding] = useAddVersionMutation();
  const [setVersion, setting] = useSetArmVersionMutation();
  const newest = recipe?.versions[0]?.number;
  return {
    trouble: troubleOf(adding.error ?? setting.error),
    isReady: newest !== undefined && !adding.isLoading && !setting.isLoading,
    compare: async (plan: BrewPlan, note: string) => {
      if (newest === undefined) return;
      const version = { basedOn: newest, plan: { ...plan, pours: [...plan.pours] }, note, expectation: null };
      const { data } = await addVersion({ id: arm.recipeId, version });
      const recipeVersionId = data?.versions[0]?.id;
      if (recipeVersionId !== undefined) {
        await setVersion({ id: comparisonId, armId: arm.id, recipeVersionId });
      }
    },
  };
}
