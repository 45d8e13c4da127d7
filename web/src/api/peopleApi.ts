import type {
  AcceptInvitationDto,
  BeginSecondFactorDto,
  ChangePasswordDto,
  InvitationView,
  InvitedView,
  MemberView,
  NewPersonDto,
  RecoveryCodesView,
  SecondFactorBegunView,
  SecondFactorCodeDto,
  SecondFactorView,
} from '@vendu/contract';
import type { Role } from '@vendu/core';
import { api } from './api';

const peopleQueries = api.injectEndpoints({
  endpoints: (build) => ({
    people: build.query<MemberView[], void>({ query: () => 'people', providesTags: ['Person'] }),
    secondFactor: build.query<SecondFactorView, void>({
      query: () => 'second-factor',
      providesTags: ['SecondFactor'],
    }),
    invitation: build.query<InvitationView, string>({ query: (secret) => `invitations/${secret}` }),
  }),
});

const peopleApi = peopleQueries.injectEndpoints({
  endpoints: (build) => ({
    addPerson: build.mutation<InvitedView, NewPersonDto>({
      query: (body) => ({ url: 'people', method: 'POST', body }),
      invalidatesTags: ['Person'],
    }),
    invitePerson: build.mutation<InvitedView, number>({
      query: (id) => ({ url: `people/${id}/invitation`, method: 'POST' }),
      invalidatesTags: ['Person'],
    }),
    setRole: build.mutation<MemberView, { id: number; role: Role }>({
      query: ({ id, role }) => ({ url: `people/${id}/role`, method: 'PUT', body: { role } }),
      invalidatesTags: ['Person', 'Session'],
    }),
    setLeft: build.mutation<MemberView, { id: number; hasLeft: boolean }>({
      query: ({ id, hasLeft }) => ({ url: `people/${id}/left`, method: hasLeft ? 'PUT' : 'DELETE' }),
      invalidatesTags: ['Person'],
    }),
    changePassword: build.mutation<void, ChangePasswordDto>({
      query: (body) => ({ url: 'password', method: 'PUT', body }),
      invalidatesTags: ['OpenSession'],
    }),
    beginSecondFactor: build.mutation<SecondFactorBegunView, BeginSecondFactorDto>({
      query: (body) => ({ url: 'second-factor', method: 'POST', body }),
    }),
    proveSecondFactor: build.mutation<RecoveryCodesView, SecondFactorCodeDto>({
      query: (body) => ({ url: 'second-factor', method: 'PUT', body }),
      invalidatesTags: (_, error) => (error ? [] : ['SecondFactor', 'OpenSession', 'Person']),
    }),
    endSecondFactor: build.mutation<void, SecondFactorCodeDto>({
      query: (body) => ({ url: 'second-factor/end', method: 'POST', body }),
      invalidatesTags: (_, error) => (error ? [] : ['SecondFactor', 'Person']),
    }),
    acceptInvitation: build.mutation<void, { secret: string; told: AcceptInvitationDto }>({
      query: ({ secret, told }) => ({ url: `invitations/${secret}`, method: 'PUT', body: told }),
    }),
  }),
});

export const {
  usePeopleQuery,
  useInvitationQuery,
  useAddPersonMutation,
  useInvitePersonMutation,
  useSetRoleMutation,
  useSetLeftMutation,
  useChangePasswordMutation,
  useAcceptInvitationMutation,
  useSecondFactorQuery,
  useBeginSecondFactorMutation,
  useProveSecondFactorMutation,
  useEndSecondFactorMutation,
} = peopleApi;
