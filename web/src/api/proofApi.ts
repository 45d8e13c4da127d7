import type { ProofCheckId } from '@vendu/core';
import type { ChecklistDto, HouseChecklistDto, KitView, ProofView, RecipeView } from '@vendu/contract';
import { api } from './api';
import { showing } from './showing';
import { lotTags, recipeTags, touchedByRecipe } from './tags';

const proofQueries = api.injectEndpoints({
  endpoints: (build) => ({
    proof: build.query<ProofView, number>({
      query: (versionId) => `recipe-versions/${versionId}/proof`,
      providesTags: (proof) =>
        proof
          ? [...recipeTags({ id: proof.recipeId, lot: { id: proof.lotId } }), ...lotTags(proof.lotId), 'Kit']
          : [],
    }),
  }),
});

const showProof = showing<ProofView>((proof) =>
  proofQueries.util.updateQueryData('proof', proof.recipeVersionId, () => proof),
);

const proofApi = proofQueries.injectEndpoints({
  endpoints: (build) => ({
    waive: build.mutation<ProofView, { versionId: number; check: ProofCheckId; reason: string }>({
      query: ({ versionId, check, reason }) => ({
        url: `recipe-versions/${versionId}/waivers/${check}`,
        method: 'PUT',
        body: { reason },
      }),
      onQueryStarted: showProof,
    }),
    takeWaiverBack: build.mutation<ProofView, { versionId: number; check: ProofCheckId }>({
      query: ({ versionId, check }) => ({
        url: `recipe-versions/${versionId}/waivers/${check}`,
        method: 'DELETE',
      }),
      onQueryStarted: showProof,
    }),
    setRecipeChecklist: build.mutation<RecipeView, { recipeId: number; checklist: ChecklistDto | null }>({
      query: ({ recipeId, checklist }) => ({
        url: `recipes/${recipeId}/checklist`,
        method: 'PUT',
        body: { checklist },
      }),
      invalidatesTags: (recipe) =>
        recipe ? [...touchedByRecipe(recipe), { type: 'Recipe' as const, id: recipe.id }] : [],
    }),
    setHouseChecklist: build.mutation<KitView, HouseChecklistDto>({
      query: (body) => ({ url: 'kit/checklist', method: 'PUT', body }),
      invalidatesTags: ['Kit'],
    }),
  }),
});

export const {
  useProofQuery,
  useWaiveMutation,
  useTakeWaiverBackMutation,
  useSetRecipeChecklistMutation,
  useSetHouseChecklistMutation,
} = proofApi;
