import type {
  NewRecipeDto,
  NewVersionDto,
  PublishDto,
  RecipeSetupDto,
  RecipeView,
  StandsDto,
  StartingPreview,
} from '@vendu/contract';
import { api } from '../api/api';

const ALL = ['Recipe', 'Lot', 'Published'] as const;

export const {
  useLazyRecipeQuery,
  useRecipeQuery,
  useStartingRecipeQuery,
  useSetRecipeSchoolsMutation,
  useSetUpRecipeMutation,
  useStartRecipeMutation,
  useAddVersionMutation,
  useSetAcceptedMutation,
  useSetSignedOffMutation,
  usePublishMutation,
  useSetWithdrawnMutation,
} = api.injectEndpoints({
  endpoints: (build) => ({
    recipe: build.query<RecipeView, number>({ query: (id) => `recipes/${id}`, providesTags: ['Recipe'] }),
    startingRecipe: build.query<StartingPreview, { lotId: number; recipe: NewRecipeDto }>({
      query: ({ lotId, recipe }) => ({ url: `lots/${lotId}/starting-recipe`, method: 'POST', body: recipe }),
      providesTags: ['Lot', 'Kit'],
    }),
    setUpRecipe: build.mutation<RecipeView, { id: number; setup: RecipeSetupDto }>({
      query: ({ id, setup }) => ({ url: `recipes/${id}/setup`, method: 'PUT', body: setup }),
      invalidatesTags: (_, error) => (error ? [] : ['Recipe']),
    }),
    setRecipeSchools: build.mutation<RecipeView, { id: number; schools: StandsDto | null }>({
      query: ({ id, schools }) => ({ url: `recipes/${id}/schools`, method: 'PUT', body: { schools } }),
      invalidatesTags: (_, error) => (error ? [] : ['Recipe']),
    }),
    startRecipe: build.mutation<RecipeView, { lotId: number; recipe: NewRecipeDto }>({
      query: ({ lotId, recipe }) => ({ url: `lots/${lotId}/recipes`, method: 'POST', body: recipe }),
      invalidatesTags: [...ALL],
    }),
    addVersion: build.mutation<RecipeView, { id: number; version: NewVersionDto }>({
      query: ({ id, version }) => ({ url: `recipes/${id}/versions`, method: 'POST', body: version }),
      // After a stale save the newer version is fetched too, so that it can be looked at beside the draft.
      invalidatesTags: [...ALL],
    }),
    setAccepted: build.mutation<RecipeView, { versionId: number; accepted: boolean }>({
      query: ({ versionId, accepted }) => ({
        url: `recipe-versions/${versionId}/acceptance`,
        method: accepted ? 'PUT' : 'DELETE',
      }),
      invalidatesTags: [...ALL],
    }),
    setSignedOff: build.mutation<RecipeView, { versionId: number; signedOff: boolean }>({
      query: ({ versionId, signedOff }) => ({
        url: `recipe-versions/${versionId}/sign-off`,
        method: signedOff ? 'PUT' : 'DELETE',
      }),
      invalidatesTags: [...ALL],
    }),
    publish: build.mutation<RecipeView, PublishDto>({
      query: (body) => ({ url: 'publications', method: 'POST', body }),
      invalidatesTags: [...ALL],
    }),
    setWithdrawn: build.mutation<RecipeView, { publicationId: number; withdrawn: boolean }>({
      query: ({ publicationId, withdrawn }) => ({
        url: withdrawn ? `publications/${publicationId}` : `publications/${publicationId}/restore`,
        method: withdrawn ? 'DELETE' : 'POST',
      }),
      invalidatesTags: [...ALL],
    }),
  }),
});
