import type { TodayView } from '@vendu/contract';
import { api } from './api';
import { LIST } from './tags';

const todayApi = api.injectEndpoints({
  endpoints: (build) => ({
    today: build.query<TodayView, void>({
      query: () => 'today',
      // Whatever is done anywhere changes what is left of the day.
      providesTags: [{ type: 'Lot', id: LIST }, { type: 'Recipe', id: LIST }, 'Brew', 'Kit'],
    }),
  }),
});

export const { useTodayQuery } = todayApi;
