import type { RunningBrewDto, RunningBrewKept, RunningBrewView } from '@vendu/contract';
import type { Trace } from '@vendu/core';
import { deviceId } from '../device/device';
import { api } from '../api/api';

export const benchApi = api.injectEndpoints({
  endpoints: (build) => ({
    runningBrews: build.query<RunningBrewView[], void>({
      query: () => 'running-brews',
      providesTags: ['Running'],
    }),
    runningTrace: build.query<{ trace: Trace | null }, string>({
      query: (key) => `running-brews/${key}/trace`,
      keepUnusedDataFor: 0,
    }),
    keepRunning: build.mutation<RunningBrewKept, { key: string; brew: RunningBrewDto }>({
      query: ({ key, brew }) => ({ url: `running-brews/${key}`, method: 'PUT', body: brew }),
    }),
    clearRunning: build.mutation<null, string>({
      query: (key) => ({
        url: `running-brews/${key}`,
        method: 'DELETE',
        params: { device: deviceId() },
      }),
      invalidatesTags: ['Running'],
    }),
  }),
});

export const { useRunningBrewsQuery, useLazyRunningTraceQuery } = benchApi;
