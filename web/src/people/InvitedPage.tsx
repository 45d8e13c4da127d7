import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { AcceptInvitationDto, PASSWORD_FEWEST, type InvitationView } from '@vendu/contract';
import { useAcceptInvitationMutation, useInvitationQuery } from '../api/peopleApi';
import { troubleOf } from '../api/problem';
import { useSignInMutation } from '../session/sessionApi';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { Loading } from '../ui/Loading';
import { Mark } from '../ui/Mark';
import { TroubleNotice } from '../ui/Notice';
import { Unavailable } from '../ui/Unavailable';
import { useChecked } from '../ui/useChecked';

/** Where somebody who was invited says who he is, and is in. */
export function InvitedPage() {
  const secret = useParams()['secret'] ?? '';
  const { data: invitation, error, isLoading, refetch } = useInvitationQuery(secret);
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-6 p-8">
      <p className="flex items-center gap-2 text-large font-bold tracking-tight">
        <Mark />
        Vendu
      </p>
      {isLoading && <Loading />}
      {error && <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />}
      {invitation && <Accept secret={secret} invitation={invitation} />}
    </main>
  );
}

function Accept({ secret, invitation }: { secret: string; invitation: InvitationView }) {
  const [name, setName] = useState(invitation.name);
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [accept, { error, isLoading }] = useAcceptInvitationMutation();
  const [signIn, signingIn] = useSignInMutation();
  const navigate = useNavigate();
  const { faultAt, troubleBelow, submit } = useChecked(
    AcceptInvitationDto,
    troubleOf(error),
    async (told) => !(await accept({ secret, told })).error,
  );
  async function goIn() {
    await signIn({ email, password });
    // Signed in or not: the page of the day asks where that failed.
    void navigate('/today', { replace: true });
  }
  return (
    <form
      noValidate
      className="flex flex-col gap-4"
      onSubmit={(event) =>
        void submit(event, { name: name.trim(), email: email.trim(), password }, () => void goIn())
      }
    >
      <h1 className="text-title font-bold">
        {invitation.name === '' ? 'The first lead of this lab' : `Welcome, ${invitation.name}`}
      </h1>
      <Field label="Name" error={faultAt['name']}>
        {(control) => (
          <input
            {...control}
            autoComplete="name"
            className={INPUT}
            value={name}
            onChange={({ target }) => setName(target.value)}
          />
        )}
      </Field>
      <Field label="E-mail, to sign in with" error={faultAt['email']}>
        {(control) => (
          <input
            {...control}
            type="email"
            autoComplete="username"
            className={INPUT}
            value={email}
            onChange={({ target }) => setEmail(target.value)}
          />
        )}
      </Field>
      <Field label={`Password, ${PASSWORD_FEWEST} characters or more`} error={faultAt['password']}>
        {(control) => (
          <input
            {...control}
            type="password"
            autoComplete="new-password"
            className={INPUT}
            value={password}
            onChange={({ target }) => setPassword(target.value)}
          />
        )}
      </Field>
      <TroubleNotice trouble={troubleBelow} />
      <Button type="submit" weight="main" className="h-11" disabled={isLoading || signingIn.isLoading}>
        Begin
      </Button>
    </form>
  );
}
