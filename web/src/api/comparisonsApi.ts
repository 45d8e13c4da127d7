import type {
  BlindAnswerDto,
  ChangeComparisonDto,
  ComparisonListItem,
  ComparisonView,
  NewBlindTestDto,
  NewComparisonDto,
  PlaceView,
  PouringView,
} from '@vendu/contract';
import type { HousePosition, TastingStage } from '@vendu/core';
import { api } from './api';
import { LIST, lotTags } from './tags';
import { showing } from './showing';

const comparisonQueries = api.injectEndpoints({
  endpoints: (build) => ({
    comparisons: build.query<ComparisonListItem[], void>({
      query: () => 'comparisons',
      providesTags: ['Comparison'],
    }),
    positions: build.query<HousePosition[], void>({
      query: () => 'comparison-positions',
      providesTags: ['Comparison', { type: 'Lot', id: LIST }],
    }),
    comparison: build.query<ComparisonView, number>({
      query: (id) => `comparisons/${id}`,
      // Whatever is brewed, read or tasted of its lots.
      providesTags: (comparison, _, id) => [
        { type: 'Comparison', id },
        ...(comparison?.arms ?? []).flatMap(({ lotId }) => lotTags(lotId)),
      ],
    }),
  }),
});

/** What a comparison is answered is the whole of it as it is now. */
const onQueryStarted = showing<ComparisonView>((comparison) =>
  comparisonQueries.util.updateQueryData('comparison', comparison.id, () => comparison),
);
const invalidatesTags = ['Comparison'] as const;
const changed = { onQueryStarted, invalidatesTags };

interface ArmBrew {
  id: number;
  armId: number;
  brewId: number;
}
const brewPath = ({ id, armId, brewId }: ArmBrew) => `comparisons/${id}/arms/${armId}/brews/${brewId}`;

const comparisonsApi = comparisonQueries.injectEndpoints({
  endpoints: (build) => ({
    makeComparison: build.mutation<ComparisonView, NewComparisonDto>({
      query: (body) => ({ url: 'comparisons', method: 'POST', body }),
      invalidatesTags,
    }),
    changeComparison: build.mutation<ComparisonView, { id: number; told: ChangeComparisonDto }>({
      query: ({ id, told }) => ({ url: `comparisons/${id}`, method: 'PUT', body: told }),
      ...changed,
    }),
    setArmVersion: build.mutation<ComparisonView, { id: number; armId: number; recipeVersionId: number }>({
      query: ({ id, armId, recipeVersionId }) => ({
        url: `comparisons/${id}/arms/${armId}/version`,
        method: 'PUT',
        body: { recipeVersionId },
      }),
      ...changed,
    }),
    addArmBrew: build.mutation<ComparisonView, ArmBrew>({
      query: (arm) => ({ url: brewPath(arm), method: 'PUT' }),
      ...changed,
    }),
    removeArmBrew: build.mutation<ComparisonView, ArmBrew>({
      query: (arm) => ({ url: brewPath(arm), method: 'DELETE' }),
      ...changed,
    }),
    serveBlind: build.mutation<ComparisonView, { id: number; test: NewBlindTestDto }>({
      query: ({ id, test }) => ({ url: `comparisons/${id}/blind-tests`, method: 'POST', body: test }),
      ...changed,
    }),
    pourBlind: build.mutation<PouringView, number>({
      query: (testId) => ({ url: `blind-tests/${testId}/pouring`, method: 'POST' }),
      invalidatesTags,
    }),
    lookAtBlind: build.mutation<ComparisonView, number>({
      query: (testId) => ({ url: `blind-tests/${testId}/looks`, method: 'POST' }),
      ...changed,
    }),
    endBlind: build.mutation<ComparisonView, number>({
      query: (testId) => ({ url: `blind-tests/${testId}/ended`, method: 'PUT' }),
      ...changed,
    }),
    openBlind: build.mutation<ComparisonView, number>({
      query: (testId) => ({ url: `blind-tests/${testId}/opened`, method: 'PUT' }),
      ...changed,
    }),
    /** A place is taken by the first who asks, and found again by him. */
    takePlace: build.query<PlaceView, { secret: string; device: string }>({
      query: ({ secret, device }) => ({ url: `blind/${secret}/taken`, method: 'PUT', body: { device } }),
    }),
  }),
});

/** What an answer is answered is the place as it is now. */
const placesApi = comparisonsApi.injectEndpoints({
  endpoints: (build) => ({
    answerBlind: build.mutation<PlaceView, { secret: string; stage: TastingStage; answer: BlindAnswerDto }>({
      query: ({ secret, stage, answer }) => ({
        url: `blind/${secret}/answers/${stage}`,
        method: 'PUT',
        body: answer,
      }),
      async onQueryStarted({ secret, answer: { device } }, { dispatch, queryFulfilled }) {
        try {
          const { data } = await queryFulfilled;
          dispatch(comparisonsApi.util.updateQueryData('takePlace', { secret, device }, () => data));
        } catch {
          // Told where it was sent.
        }
      },
    }),
  }),
});

export const {
  useComparisonsQuery,
  usePositionsQuery,
  useComparisonQuery,
  useMakeComparisonMutation,
  useChangeComparisonMutation,
  useSetArmVersionMutation,
  useAddArmBrewMutation,
  useRemoveArmBrewMutation,
  useServeBlindMutation,
  usePourBlindMutation,
  useLookAtBlindMutation,
  useEndBlindMutation,
  useOpenBlindMutation,
  useTakePlaceQuery,
} = comparisonsApi;
export const { useAnswerBlindMutation } = placesApi;
