import type {
  BrewTraces,
  BrewView,
  FractionDto,
  MendStepDto,
  NewReadingDto,
  PutBrewDto,
  TastingDto,
  VerdictDto,
  WeighBrewDto,
} from '@vendu/contract';
import type { TypedMutationOnQueryStarted } from '@reduxjs/toolkit/query/react';
import type { TastingStage } from '@vendu/core';
import { api, type askInOrder } from '../api/api';

const ALL = ['Brew', 'Lot', 'Recipe'] as const;

const brewQueries = api.injectEndpoints({
  endpoints: (build) => ({
    brew: build.query<BrewView, number>({ query: (id) => `brews/${id}`, providesTags: ['Brew'] }),
    trace: build.query<BrewTraces, number>({ query: (id) => `brews/${id}/trace` }),
  }),
});

/**
 * What a change is answered is the brew as it is now, and shown at once: until it was read again, what is typed on the
 * heels of a change would be built on the brew of before.
 */
const showAnswer: TypedMutationOnQueryStarted<BrewView, unknown, typeof askInOrder, 'api'> = async (
  _,
  { dispatch, queryFulfilled },
) => {
  try {
    const { data } = await queryFulfilled;
    dispatch(brewQueries.util.updateQueryData('brew', data.id, () => data));
  } catch {
    // A refusal is told where the change was asked for.
  }
};

export const brewsApi = brewQueries.injectEndpoints({
  endpoints: (build) => ({
    mendStep: build.mutation<BrewView, { id: number; stepIndex: number; mended: MendStepDto }>({
      query: ({ id, stepIndex, mended }) => ({
        url: `brews/${id}/steps/${stepIndex}`,
        method: 'PATCH',
        body: mended,
      }),
      onQueryStarted: showAnswer,
      invalidatesTags: [...ALL],
    }),
    putFractions: build.mutation<BrewView, { id: number; fractions: FractionDto[] }>({
      query: ({ id, fractions }) => ({ url: `brews/${id}/fractions`, method: 'PUT', body: { fractions } }),
      onQueryStarted: showAnswer,
      invalidatesTags: (_, error) => (error ? [] : [...ALL]),
    }),
    putBrew: build.mutation<BrewView, { key: string; brew: PutBrewDto }>({
      query: ({ key, brew }) => ({ url: `brews/by-key/${key}`, method: 'PUT', body: brew }),
      onQueryStarted: showAnswer,
      invalidatesTags: [...ALL],
    }),
    weighBrew: build.mutation<BrewView, { id: number; weighed: WeighBrewDto }>({
      query: ({ id, weighed }) => ({ url: `brews/${id}`, method: 'PATCH', body: weighed }),
      onQueryStarted: showAnswer,
      invalidatesTags: (_, error) => (error ? [] : [...ALL]),
    }),
    addReading: build.mutation<BrewView, { id: number; reading: NewReadingDto }>({
      query: ({ id, reading }) => ({ url: `brews/${id}/readings`, method: 'POST', body: reading }),
      onQueryStarted: showAnswer,
      invalidatesTags: [...ALL],
    }),
    setReadingRemoved: build.mutation<BrewView, { id: number; readingId: number; removed: boolean }>({
      query: ({ id, readingId, removed }) => ({
        url: `brews/${id}/readings/${readingId}${removed ? '' : '/restore'}`,
        method: removed ? 'DELETE' : 'POST',
      }),
      onQueryStarted: showAnswer,
      invalidatesTags: [...ALL],
    }),
    putTasting: build.mutation<BrewView, { id: number; stage: TastingStage; tasting: TastingDto }>({
      query: ({ id, stage, tasting }) => ({
        url: `brews/${id}/tastings/${stage}`,
        method: 'PUT',
        body: tasting,
      }),
      onQueryStarted: showAnswer,
      invalidatesTags: [...ALL],
    }),
    giveVerdict: build.mutation<BrewView, { id: number; verdict: VerdictDto }>({
      query: ({ id, verdict }) => ({ url: `brews/${id}/verdict`, method: 'PUT', body: verdict }),
      onQueryStarted: showAnswer,
      invalidatesTags: [...ALL],
    }),
    setAside: build.mutation<BrewView, { id: number; aside: boolean }>({
      query: ({ id, aside }) => ({ url: `brews/${id}/set-aside`, method: aside ? 'POST' : 'DELETE' }),
      onQueryStarted: showAnswer,
      invalidatesTags: [...ALL],
    }),
  }),
});

export const {
  useBrewQuery,
  useTraceQuery,
  useMendStepMutation,
  usePutFractionsMutation,
  usePutBrewMutation,
  useWeighBrewMutation,
  useAddReadingMutation,
  useSetReadingRemovedMutation,
  usePutTastingMutation,
  useGiveVerdictMutation,
  useSetAsideMutation,
} = brewsApi;
