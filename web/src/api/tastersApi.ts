import type { CaffeineView, TasterView } from '@vendu/contract';
import { api } from './api';
import { LIST } from './tags';

export const { useTastersQuery, useCaffeineQuery, useHouseWordsQuery } = api.injectEndpoints({
  endpoints: (build) => ({
    tasters: build.query<TasterView[], void>({
      query: () => 'tasters',
      providesTags: [{ type: 'Lot', id: LIST }],
    }),
    houseWords: build.query<string[], void>({ query: () => 'tasters/words' }),
    caffeine: build.query<CaffeineView, void>({
      query: () => 'tasters/me/caffeine',
      providesTags: [{ type: 'Lot', id: LIST }],
    }),
  }),
});
