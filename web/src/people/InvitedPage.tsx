import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { AcceptInvitationDto, PASSWORD_FEWEST, type InvitationView } from '@vendu/contract';
import { useAcceptInvitationMutation, useInvitationQuery } from '../api/peopleApi';
import { troubleOf } from '../api/problem';
import { useSignInMutation } from '../session/sessionApi';
import { Button } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Mark } from '../ui/Mark';
import { TroubleNotice } from '../ui/Notice';
import { TextField } from '../ui/TextField';
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
  const [email, setEmail] = useState(invitation.email);
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
      <TextField label="Name" error={faultAt['name']} autoComplete="name" value={name} onChange={setName} />
      <TextField
        label="E-mail, to sign in with"
        error={faultAt['email']}
        type="email"
        autoComplete="username"
        value={email}
        onChange={setEmail}
      />
      <TextField
        label={`Password, ${PASSWORD_FEWEST} characters or more`}
        error={faultAt['password']}
        type="password"
        autoComplete="new-password"
        value={password}
        onChange={setPassword}
      />
      <TroubleNotice trouble={troubleBelow} />
      <Button type="submit" weight="main" className="h-11" disabled={isLoading || signingIn.isLoading}>
        Begin
      </Button>
    </form>
  );
}
