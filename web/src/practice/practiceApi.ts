import type { PracticeDto, PracticeView } from '@vendu/contract';
import { api } from '../api/api';

export const practiceApi = api.injectEndpoints({
  endpoints: (build) => ({
    practice: build.query<PracticeView[], void>({ query: () => 'practice', providesTags: ['Practice'] }),
    putPractice: build.mutation<PracticeView[], { key: string; run: PracticeDto }>({
      query: ({ key, run }) => ({ url: `practice/${key}`, method: 'PUT', body: run }),
      invalidatesTags: (_, error) => (error ? [] : ['Practice']),
    }),
  }),
});

export const { usePracticeQuery, usePutPracticeMutation } = practiceApi;
