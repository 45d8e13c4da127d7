import type { SessionView, SignInDto } from '@vendu/contract';
import { api } from '../api/api';

export const { useSessionQuery, useSignInMutation, useSignOutMutation } = api.injectEndpoints({
  endpoints: (build) => ({
    session: build.query<SessionView, void>({ query: () => 'session', providesTags: ['Session'] }),
    signIn: build.mutation<SessionView, SignInDto>({
      query: (body) => ({ url: 'session', method: 'POST', body }),
      invalidatesTags: ['Session', 'Kit', 'Lot', 'Recipe', 'Brew'],
    }),
    signOut: build.mutation<SessionView, void>({
      query: () => ({ url: 'session', method: 'DELETE' }),
      invalidatesTags: ['Session'],
    }),
  }),
});
