import type { TastingStage } from '@vendu/core';
import type { CupOnTable, CupView, TastingDto } from '@vendu/contract';
import { api } from './api';
import { showing } from './showing';
import { brewTags, LIST, touchedByBrew } from './tags';

const cupQueries = api.injectEndpoints({
  endpoints: (build) => ({
    cups: build.query<CupOnTable[], void>({
      query: () => 'cups',
      providesTags: [{ type: 'Lot', id: LIST }],
    }),
    cup: build.query<CupView, number>({
      query: (id) => `cups/${id}`,
      providesTags: (cup) => (cup ? brewTags(cup) : []),
    }),
  }),
});

const showAnswer = showing<CupView>((cup) => cupQueries.util.updateQueryData('cup', cup.id, () => cup));

/** Its brew says it too; after a refusal all is read again. */
const changed = (cup: CupView | undefined) =>
  cup ? [...brewTags(cup), ...touchedByBrew(cup)] : (['Brew', 'Lot', 'Recipe'] as const);

export const cupsApi = cupQueries.injectEndpoints({
  endpoints: (build) => ({
    putTasting: build.mutation<CupView, { id: number; stage: TastingStage; tasting: TastingDto }>({
      query: ({ id, stage, tasting }) => ({
        url: `brews/${id}/tastings/${stage}`,
        method: 'PUT',
        body: tasting,
      }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
    lookAtSheets: build.mutation<CupView, number>({
      query: (id) => ({ url: `brews/${id}/look`, method: 'PUT' }),
      onQueryStarted: showAnswer,
      invalidatesTags: changed,
    }),
  }),
});

export const { useCupsQuery, useCupQuery, usePutTastingMutation, useLookAtSheetsMutation } = cupsApi;
