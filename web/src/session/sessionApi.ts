import type { OpenSessionView, SessionView, SignInDto } from '@vendu/contract';
import { api, TAGS } from '../api/api';

export const sessionApi = api.injectEndpoints({
  endpoints: (build) => ({
    session: build.query<SessionView, void>({ query: () => 'session', providesTags: ['Session'] }),
    openSessions: build.query<OpenSessionView[], void>({
      query: () => 'sessions',
      providesTags: ['OpenSession'],
    }),
    endSession: build.mutation<void, string>({
      query: (key) => ({ url: `sessions/${key}`, method: 'DELETE' }),
      invalidatesTags: ['OpenSession'],
    }),
    endOtherSessions: build.mutation<void, void>({
      query: () => ({ url: 'sessions', method: 'DELETE' }),
      invalidatesTags: ['OpenSession'],
    }),
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

export const {
  useSessionQuery,
  useOpenSessionsQuery,
  useEndSessionMutation,
  useEndOtherSessionsMutation,
  useSignInMutation,
  useSignOutMutation,
} = sessionApi;
