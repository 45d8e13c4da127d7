import { useState } from 'react';
import { Link } from 'react-router';
import type { Role } from '@vendu/core';
import { ROLES } from '@vendu/core';
import type { InvitedView, MemberView, Standing } from '@vendu/contract';
import {
  useInvitePersonMutation,
  usePeopleQuery,
  useSetLeftMutation,
  useSetRoleMutation,
  useSignOutPersonMutation,
} from '../api/peopleApi';
import { troubleOf } from '../api/problem';
import { Edits } from '../saving/Edits';
import { useRunsTheLab } from '../session/roles';
import { useSessionQuery } from '../session/sessionApi';
import { Button } from '../ui/Button';
import { classes } from '../ui/classes';
import { dayOf } from '../ui/dates';
import { INPUT } from '../ui/Field';
import { Loading } from '../ui/Loading';
import { TroubleNotice } from '../ui/Notice';
import { offerUndoOf } from '../ui/offerUndo';
import { ROLE_WORDS } from '../ui/words';
import { Unavailable } from '../ui/Unavailable';
import { ChangePassword } from './ChangePassword';
import { CodeRule } from './CodeRule';
import { OpenSessions } from './OpenSessions';
import { NewPerson } from './NewPerson';
import { SignInCode } from './SignInCode';
import { WayIn } from './WayIn';

/** Who works here: let in by an invitation, and out without a trace being lost. */
export function PeoplePage() {
  const runsTheLab = useRunsTheLab();
  const role = useSessionQuery().data?.person?.role;
  return (
    <>
      <h1 className="mb-5 text-title font-bold">People</h1>
      <div className="grid grid-cols-1 gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_20rem]">
        {runsTheLab ? (
          <Members />
        ) : (
          <p className="text-small text-quiet">A lead or an admin invites people and lets them go.</p>
        )}
        <div className="flex flex-col gap-8">
          <ChangePassword />
          <SignInCode />
          <OpenSessions />
          {/* An admin has it among the parts. */}
          {role === 'lead' && (
            <p>
              <Link to="/operations" className="inline-block min-h-6 underline underline-offset-3">
                How it runs
              </Link>
              <span className="caption block">Database, copies, clocks and what was slow</span>
            </p>
          )}
        </div>
      </div>
    </>
  );
}

function Members() {
  const { data: members, error, isLoading, refetch } = usePeopleQuery();
  const [invited, setInvited] = useState<InvitedView | null>(null);
  return (
    <div className="flex min-w-0 flex-col gap-6">
      {isLoading && <Loading />}
      {error && <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />}
      {members && (
        <ul className="border-t border-ink">
          {members.map((member) => (
            <Member key={member.id} member={member} onInvited={setInvited} />
          ))}
        </ul>
      )}
      {invited && <WayIn invited={invited} />}
      <NewPerson onInvited={setInvited} />
      {members && <CodeRule members={members} />}
      <Edits of="people" />
    </div>
  );
}

const STANDING_WORDS: Record<Standing, (member: MemberView) => string> = {
  in: ({ email, hasCode, devices }) =>
    [
      email,
      hasCode && 'with a code at sign-in',
      devices > 0 && `signed in on ${devices} ${devices === 1 ? 'device' : 'devices'}`,
    ]
      .filter(Boolean)
      .join(', '),
  invited: ({ invitedUntil, email }) =>
    [`invited until ${invitedUntil ? dayOf(invitedUntil) : ''}`, email].filter(Boolean).join(', '),
  named: () => 'came with a file, or never took the invitation; cannot sign in',
  left: () => 'left; stays in every record',
};

function Member({ member, onInvited }: { member: MemberView; onInvited: (invited: InvitedView) => void }) {
  const { id, name, role, standing, devices } = member;
  const own = useSessionQuery().data?.person?.id;
  const [invite, inviting] = useInvitePersonMutation();
  const [setRole, changing] = useSetRoleMutation();
  const [setLeft, leaving] = useSetLeftMutation();
  const [signOut, signingOut] = useSignOutPersonMutation();
  const isBusy = inviting.isLoading || changing.isLoading || leaving.isLoading || signingOut.isLoading;
  async function inviteAgain() {
    const { data } = await invite(id);
    if (data) onInvited(data);
  }
  const letGo = () =>
    void offerUndoOf(
      setLeft({ id, hasLeft: true }),
      `${name} is let in no more`,
      () => void setLeft({ id, hasLeft: false }),
    );
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule py-2">
      <div className="min-w-0 grow basis-60">
        <p className={classes('font-semibold break-words', standing === 'left' && 'text-quiet line-through')}>
          {name}
        </p>
        <p className="caption break-words">{STANDING_WORDS[standing](member)}</p>
      </div>
      {standing === 'in' && devices > 0 && id !== own && (
        <Button
          weight="quiet"
          disabled={isBusy}
          aria-label={`Sign ${name} out`}
          onClick={() => void signOut(id)}
        >
          Sign out
        </Button>
      )}
      <label>
        <span className="sr-only">Role of {name}</span>
        <select
          className={classes(INPUT, 'text-small')}
          value={role}
          disabled={isBusy || standing === 'left'}
          onChange={({ target }) => void setRole({ id, role: target.value as Role })}
        >
          {ROLES.map((each) => (
            <option key={each} value={each}>
              {ROLE_WORDS[each]}
            </option>
          ))}
        </select>
      </label>
      {standing === 'left' ? (
        <Button weight="quiet" disabled={isBusy} onClick={() => void setLeft({ id, hasLeft: false })}>
          Let {name} in again
        </Button>
      ) : (
        <>
          <Button
            weight="quiet"
            className="min-w-33"
            disabled={isBusy}
            aria-label={`${standing === 'in' ? 'New password for' : 'Invite'} ${name}`}
            onClick={() => void inviteAgain()}
          >
            {standing === 'in' ? 'New password' : 'Invite'}
          </Button>
          <Button weight="quiet" disabled={isBusy} aria-label={`Let ${name} go`} onClick={letGo}>
            Let go
          </Button>
        </>
      )}
      <TroubleNotice
        trouble={troubleOf(inviting.error) ?? troubleOf(changing.error) ?? troubleOf(signingOut.error)}
      />
    </li>
  );
}
