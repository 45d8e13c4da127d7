import type {
  AcceptInvitationDto,
  BeginSecondFactorDto,
  ChangePasswordDto,
  CodeRuleDto,
  CodeRuleView,
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
    codeRule: build.query<CodeRuleView, void>({ query: () => 'code-rule', providesTags: ['CodeRule'] }),
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
    signOutPerson: build.mutation<void, number>({
      query: (id) => ({ url: `people/${id}/sessions`, method: 'DELETE' }),
      invalidatesTags: ['Person', 'OpenSession'],
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
      invalidatesTags: (_, error) => (error ? [] : ['SecondFactor', 'OpenSession', 'Person', 'Session']),
    }),
    endSecondFactor: build.mutation<void, SecondFactorCodeDto>({
      query: (body) => ({ url: 'second-factor/end', method: 'POST', body }),
      invalidatesTags: (_, error) => (error ? [] : ['SecondFactor', 'Person', 'Session']),
    }),
    saveCodeRule: build.mutation<CodeRuleView, CodeRuleDto>({
      query: (body) => ({ url: 'code-rule', method: 'PUT', body }),
      invalidatesTags: ['CodeRule', 'Session'],
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
  useSignOutPersonMutation,
  useChangePasswordMutation,
  useAcceptInvitationMutation,
  useSecondFactorQuery,
  useBeginSecondFactorMutation,
  useProveSecondFactorMutation,
  useEndSecondFactorMutation,
  useCodeRuleQuery,
  useSaveCodeRuleMutation,
} = peopleApi;
