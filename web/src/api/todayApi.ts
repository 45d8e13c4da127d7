import type { CalendarView, HandoverNoteDto, HandoverView, HoursDto, TodayView } from '@vendu/contract';
import { api } from './api';
import { showing } from './showing';
import { LIST } from './tags';

const todayQueries = api.injectEndpoints({
  endpoints: (build) => ({
    today: build.query<TodayView, void>({
      query: () => 'today',
      // Whatever is done anywhere changes what is left of the day.
      providesTags: [{ type: 'Lot', id: LIST }, { type: 'Recipe', id: LIST }, 'Brew', 'Kit', 'Person'],
    }),
    calendar: build.query<CalendarView, void>({ query: () => 'calendar' }),
    handover: build.query<HandoverView, void>({
      query: () => 'handover',
      providesTags: [{ type: 'Lot', id: LIST }, { type: 'Recipe', id: LIST }, 'Brew'],
    }),
  }),
});

const showHandover = showing<HandoverView>((handover) =>
  todayQueries.util.updateQueryData('handover', undefined, () => handover),
);

const showCalendar = showing<CalendarView>((calendar) =>
  todayQueries.util.updateQueryData('calendar', undefined, () => calendar),
);

const todayApi = todayQueries.injectEndpoints({
  endpoints: (build) => ({
    makeCalendar: build.mutation<CalendarView, void>({
      query: () => ({ url: 'calendar', method: 'POST' }),
      onQueryStarted: showCalendar,
    }),
    endCalendar: build.mutation<CalendarView, void>({
      query: () => ({ url: 'calendar', method: 'DELETE' }),
      onQueryStarted: showCalendar,
    }),
    setHours: build.mutation<void, { id: number; hours: HoursDto | null }>({
      query: ({ id, hours }) =>
        hours
          ? { url: `people/${id}/hours`, method: 'PUT', body: hours }
          : { url: `people/${id}/hours`, method: 'DELETE' },
      invalidatesTags: ['Person'],
    }),
    leaveNote: build.mutation<HandoverView, HandoverNoteDto>({
      query: (body) => ({ url: 'handover/notes', method: 'POST', body }),
      onQueryStarted: showHandover,
    }),
  }),
});

export const {
  useCalendarQuery,
  useEndCalendarMutation,
  useHandoverQuery,
  useLeaveNoteMutation,
  useMakeCalendarMutation,
  useSetHoursMutation,
  useTodayQuery,
} = todayApi;
