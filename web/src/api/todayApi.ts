import type { HandoverNoteDto, HandoverView, TodayView } from '@vendu/contract';
import { api } from './api';
import { showing } from './showing';
import { LIST } from './tags';

const todayQueries = api.injectEndpoints({
  endpoints: (build) => ({
    today: build.query<TodayView, void>({
      query: () => 'today',
      // Whatever is done anywhere changes what is left of the day.
      providesTags: [{ type: 'Lot', id: LIST }, { type: 'Recipe', id: LIST }, 'Brew', 'Kit'],
    }),
    handover: build.query<HandoverView, void>({
      query: () => 'handover',
      providesTags: [{ type: 'Lot', id: LIST }, { type: 'Recipe', id: LIST }, 'Brew'],
    }),
  }),
});

const showHandover = showing<HandoverView>((handover) =>
  todayQueries.util.updateQueryData('handover', undefined, () => handover),
);

const todayApi = todayQueries.injectEndpoints({
  endpoints: (build) => ({
    leaveNote: build.mutation<HandoverView, HandoverNoteDto>({
      query: (body) => ({ url: 'handover/notes', method: 'POST', body }),
      onQueryStarted: showHandover,
    }),
  }),
});

export const { useHandoverQuery, useLeaveNoteMutation, useTodayQuery } = todayApi;
