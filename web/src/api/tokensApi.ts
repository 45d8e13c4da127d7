import type { NewTokenDto, NewTokenView, TokenView } from '@vendu/contract';
import { api } from './api';

const tokenQueries = api.injectEndpoints({
  endpoints: (build) => ({
    tokens: build.query<TokenView[], void>({ query: () => 'tokens', providesTags: ['Token'] }),
  }),
});

const tokensApi = tokenQueries.injectEndpoints({
  endpoints: (build) => ({
    makeToken: build.mutation<NewTokenView, NewTokenDto>({
      query: (body) => ({ url: 'tokens', method: 'POST', body }),
      invalidatesTags: ['Token'],
    }),
    setTokenEnded: build.mutation<TokenView, { id: number; isEnded: boolean }>({
      query: ({ id, isEnded }) => ({ url: `tokens/${id}/ended`, method: isEnded ? 'PUT' : 'DELETE' }),
      invalidatesTags: ['Token'],
    }),
  }),
});

export const { useTokensQuery, useMakeTokenMutation, useSetTokenEndedMutation } = tokensApi;
