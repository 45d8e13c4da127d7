import type { SessionView, SignInDto } from '@vendu/contract';
import { api, TAGS } from '../api/api';

export const sessionApi = api.injectEndpoints({
  endpoints: (build) => ({
    session: build.query<SessionView, void>({ query: () => 'session', providesTags: ['Session'] }),
    signIn: build.mutation<SessionView, SignInDto>({
      query: (body) => ({ url: 'session', method: 'POST', body }),
      // Everything is read again for whoever signs in; pages stay, and what is typed in them.
      invalidatesTags: (_, error) => (error ? [] : [...TAGS]),
    }),
    signOut: build.mutation<SessionView, void>({
      query: () => ({ url: 'session', method: 'DELETE' }),
      // Nothing that was read for one person waits on a shared device for the next.
      async onQueryStarted(_, { dispatch, queryFulfilled }) {
        await queryFulfilled.then(
          () => dispatch(api.util.resetApiState()),
          () => undefined,
        );
      },
    }),
  }),
});

export const { useSessionQuery, useSignInMutation, useSignOutMutation } = sessionApi;
