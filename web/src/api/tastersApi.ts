import type { CaffeineView, ReferenceCupsView, ReferenceTrialDto, TasterView } from '@vendu/contract';
import { api } from './api';
import { showing } from './showing';
import { LIST } from './tags';

const tasterQueries = api.injectEndpoints({
  endpoints: (build) => ({
    tasters: build.query<TasterView[], void>({
      query: () => 'tasters',
      providesTags: [{ type: 'Lot', id: LIST }],
    }),
    houseWords: build.query<string[], void>({ query: () => 'tasters/words' }),
    referenceCups: build.query<ReferenceCupsView, void>({ query: () => 'tasters/me/reference-cups' }),
    caffeine: build.query<CaffeineView, void>({
      query: () => 'tasters/me/caffeine',
      providesTags: [{ type: 'Lot', id: LIST }],
    }),
  }),
});

const tastersApi = tasterQueries.injectEndpoints({
  endpoints: (build) => ({
    addReferenceCups: build.mutation<ReferenceCupsView, ReferenceTrialDto>({
      query: (body) => ({ url: 'tasters/me/reference-cups', method: 'POST', body }),
      onQueryStarted: showing<ReferenceCupsView>((view) =>
        tasterQueries.util.updateQueryData('referenceCups', undefined, () => view),
      ),
    }),
  }),
});

export const {
  useTastersQuery,
  useCaffeineQuery,
  useHouseWordsQuery,
  useReferenceCupsQuery,
  useAddReferenceCupsMutation,
} = tastersApi;
