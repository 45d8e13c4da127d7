import type { RunningBrewDto, RunningBrewView } from '@vendu/contract';
import { api } from '../api/api';

export const benchApi = api.injectEndpoints({
  endpoints: (build) => ({
    runningBrews: build.query<RunningBrewView[], void>({
      query: () => 'running-brews',
      providesTags: ['Running'],
    }),
    keepRunning: build.mutation<{ seq: number }, { key: string; brew: RunningBrewDto }>({
      query: ({ key, brew }) => ({ url: `running-brews/${key}`, method: 'PUT', body: brew }),
    }),
    clearRunning: build.mutation<null, string>({
      query: (key) => ({ url: `running-brews/${key}`, method: 'DELETE' }),
      invalidatesTags: ['Running'],
    }),
  }),
});

export const { useRunningBrewsQuery, useClearRunningMutation } = benchApi;
