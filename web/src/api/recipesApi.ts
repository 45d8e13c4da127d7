import type {
  HomeResultsView,
  NewRecipeDto,
  NewVersionDto,
  PublishDto,
  RecipeSetupDto,
  RecipeView,
  SignOffDto,
  StandsDto,
  StartingPreview,
} from '@vendu/contract';
import { api } from './api';
import { showing } from './showing';
import { LIST, lotTags, recipeTags, touchedByRecipe } from './tags';

const recipeQueries = api.injectEndpoints({
  endpoints: (build) => ({
    recipe: build.query<RecipeView, number>({
      query: (id) => `recipes/${id}`,
      providesTags: (recipe) => (recipe ? recipeTags(recipe) : []),
    }),
  }),
});

const showAnswer = showing<RecipeView>((recipe) =>
  recipeQueries.util.updateQueryData('recipe', recipe.id, () => recipe),
);

/** After a refusal all is read again: the newer version can be looked at beside the draft. */
const changed = (recipe: RecipeView | undefined) =>
  recipe ? touchedByRecipe(recipe) : (['Recipe', 'Lot', 'Published'] as const);

export const recipesApi = recipeQueries.injectEndpoints({
  endpoints: (build) => ({
    homeResults: build.query<HomeResultsView, number>({
      query: (recipeId) => `recipes/${recipeId}/home-results`,
    }),
    startingRecipe: build.query<StartingPreview, { lotId: number; recipe: NewRecipeDto }>({
      query: ({ lotId, recipe }) => ({ url: `lots/${lotId}/starting-recipe`, method: 'POST', body: recipe }),
      providesTags: (_, __, { lotId }) => [...lotTags(lotId), { type: 'Recipe', id: LIST }, 'Kit'],
    }),
    setUpRecipe: build.mutation<RecipeView, { id: number; setup: RecipeSetupDto }>({
      query: ({ id, setup }) => ({ url: `recipes/${id}/setup`, method: 'PUT', body: setup }),
      onQueryStarted: showAnswer,
      invalidatesTags: (recipe) => (recipe ? touchedByRecipe(recipe) : []),
    }),
    setRecipeSchools: build.mutation<RecipeView, { id: number; schools: StandsDto | null }>({
      query: ({ id, schools }) => ({ url: `recipes/${id}/schools`, method: 'PUT', body: { schools } }),
      onQueryStarted: showAnswer,
      invalidatesTags: (recipe) => (recipe ? touchedByRecipe(recipe) : []),
    }),
    startRecipe: build.mutation<RecipeView, { lotId: number; recipe: NewRecipeDto }>({
      query: ({ lotId, recipe }) => ({ url: `lots/${lotId}/recipes`, method: 'POST', body: recipe }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
    addVersion: build.mutation<RecipeView, { id: number; version: NewVersionDto }>({
      query: ({ id, version }) => ({ url: `recipes/${id}/versions`, method: 'POST', body: version }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
    setAccepted: build.mutation<RecipeView, { versionId: number; accepted: boolean }>({
      query: ({ versionId, accepted }) => ({
        url: `recipe-versions/${versionId}/acceptance`,
        method: accepted ? 'PUT' : 'DELETE',
      }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
    /** With why, where a lead signs what he brewed alone; `null` takes it back. */
    setSignedOff: build.mutation<RecipeView, { versionId: number; signOff: SignOffDto | null }>({
      query: ({ versionId, signOff }) => ({
        url: `recipe-versions/${versionId}/sign-off`,
        ...(signOff ? { method: 'PUT', body: signOff } : { method: 'DELETE' }),
      }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
    /** One's own name on the card, or taken off again. */
    setNameOnCard: build.mutation<RecipeView, { versionId: number; isOn: boolean }>({
      query: ({ versionId, isOn }) => ({
        url: `recipe-versions/${versionId}/signature`,
        method: isOn ? 'PUT' : 'DELETE',
      }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
    publish: build.mutation<RecipeView, PublishDto>({
      query: (body) => ({ url: 'publications', method: 'POST', body }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
    setWithdrawn: build.mutation<RecipeView, { publicationId: number; withdrawn: boolean }>({
      query: ({ publicationId, withdrawn }) => ({
        url: withdrawn ? `publications/${publicationId}` : `publications/${publicationId}/restore`,
        method: withdrawn ? 'DELETE' : 'POST',
      }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
  }),
});

export const {
  useHomeResultsQuery,
  useLazyRecipeQuery,
  useRecipeQuery,
  useStartingRecipeQuery,
  useSetRecipeSchoolsMutation,
  useSetUpRecipeMutation,
  useStartRecipeMutation,
  useAddVersionMutation,
  useSetAcceptedMutation,
  useSetSignedOffMutation,
  useSetNameOnCardMutation,
  usePublishMutation,
  useSetWithdrawnMutation,
} = recipesApi;
