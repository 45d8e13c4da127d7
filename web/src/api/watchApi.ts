import type { AgeNoteDto, WatchLimitsDto, WatchListView, WatchView } from '@vendu/contract';
import { api } from './api';
import { showing } from './showing';
import { LIST, lotTags, recipeTags } from './tags';

const watchQueries = api.injectEndpoints({
  endpoints: (build) => ({
    watchList: build.query<WatchListView, void>({
      query: () => 'watch',
      providesTags: [{ type: 'Lot', id: LIST }, { type: 'Recipe', id: LIST }, 'Kit'],
    }),
    watch: build.query<WatchView, number>({
      query: (recipeId) => `recipes/${recipeId}/watch`,
      providesTags: (watch) => (watch ? [...lotTags(watch.lotId), { type: 'Lot', id: LIST }, 'Kit'] : []),
    }),
  }),
});

const showWatch = showing<WatchView>((watch) =>
  watchQueries.util.updateQueryData('watch', watch.recipeId, () => watch),
);

const watchApi = watchQueries.injectEndpoints({
  endpoints: (build) => ({
    setWatchLimits: build.mutation<WatchView, { recipeId: number; limits: WatchLimitsDto | null }>({
      query: ({ recipeId, limits }) => ({
        url: `recipes/${recipeId}/watch-limits`,
        method: 'PUT',
        body: { limits },
      }),
      onQueryStarted: showWatch,
      invalidatesTags: [{ type: 'Lot', id: LIST }],
    }),
    setAgeNote: build.mutation<WatchView, { recipeId: number; note: AgeNoteDto | null }>({
      query: ({ recipeId, note }) => ({
        url: `recipes/${recipeId}/age-note`,
        method: 'PUT',
        body: { note },
      }),
      onQueryStarted: showWatch,
      // The card that is public is laid beside what it would say now, on lot and recipe.
      invalidatesTags: (watch) =>
        watch
          ? [{ type: 'Lot', id: LIST }, ...recipeTags({ id: watch.recipeId, lot: { id: watch.lotId } })]
          : [],
    }),
  }),
});

export const { useWatchListQuery, useWatchQuery, useSetAgeNoteMutation, useSetWatchLimitsMutation } =
  watchApi;
