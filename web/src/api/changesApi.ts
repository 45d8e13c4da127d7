import type { ChangeView, ScoresView } from '@vendu/contract';
import { api } from './api';
import { LIST, lotTags } from './tags';

export const changesApi = api.injectEndpoints({
  endpoints: (build) => ({
    changes: build.query<ChangeView[], number>({
      query: (lotId) => `lots/${lotId}/changes`,
      providesTags: (_, __, lotId) => lotTags(lotId),
    }),
    scores: build.query<ScoresView, void>({
      query: () => 'changes/scores',
      providesTags: [{ type: 'Lot', id: LIST }],
    }),
  }),
});

export const { useChangesQuery, useScoresQuery } = changesApi;
