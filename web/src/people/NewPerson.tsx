import { useState } from 'react';
import { ROLES, type Role } from '@vendu/core';
import { NewPersonDto, type InvitedView } from '@vendu/contract';
import { useAddPersonMutation } from '../api/peopleApi';
import { troubleOf } from '../api/problem';
import { useSessionQuery } from '../session/sessionApi';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { TextField } from '../ui/TextField';
import { ROLE_WORDS } from '../ui/words';
import { useChecked } from '../ui/useChecked';

/** What those see who make no recipes. */
const SEES: Partial<Record<Role, string>> = {
  taster: 'A guest taster sees the cups on the table and his own sheets, and nothing else of the lab.',
  admin:
    'An admin sees people, programs, copies and how it runs, and no recipe: for whoever looks after the machine.',
};

/** Somebody new: a name and a role now, the rest he says himself. */
export function NewPerson({ onInvited }: { onInvited: (invited: InvitedView) => void }) {
  const [name, setName] = useState('');
  const [role, setRole] = useState<Role>('barista');
  const [email, setEmail] = useState('');
  const sendsMail = useSessionQuery().data?.sendsMail === true;
  const typed = { name: name.trim(), role, ...(email.trim() === '' ? {} : { email: email.trim() }) };
  function clear() {
    setName('');
    setEmail('');
  }
  const [add, { error, isLoading }] = useAddPersonMutation();
  const { faultAt, troubleBelow, submit } = useChecked(NewPersonDto, troubleOf(error), async (person) => {
    const { data } = await add(person);
    if (data) onInvited(data);
    return data !== undefined;
  });
  return (
    <form noValidate className="max-w-[40rem]" onSubmit={(event) => void submit(event, typed, clear)}>
      <h2 className="heading mb-3">Somebody new</h2>
      <div className="grid grid-cols-1 items-start gap-3 sm:grid-cols-[minmax(0,1fr)_10rem]">
        <TextField label="Name" error={faultAt['name']} value={name} onChange={setName} />
        <Field label="Role" error={faultAt['role']}>
          {(control) => (
            <select
              {...control}
              className={INPUT}
              value={role}
              onChange={({ target }) => setRole(target.value as Role)}
            >
              {ROLES.map((each) => (
                <option key={each} value={each}>
                  {ROLE_WORDS[each]}
                </option>
              ))}
            </select>
          )}
        </Field>
      </div>
      {sendsMail && (
        <div className="mt-3">
          <TextField
            label="E-mail, where the way in is sent"
            error={faultAt['email']}
            type="email"
            autoComplete="off"
            value={email}
            onChange={setEmail}
          />
          <p className="caption mt-1">Left empty, you hand it over yourself.</p>
        </div>
      )}
      {SEES[role] && <p className="mt-2 text-small text-quiet">{SEES[role]}</p>}
      <Button type="submit" className="mt-3" disabled={isLoading}>
        Invite
      </Button>
      <TroubleNotice trouble={troubleBelow} />
    </form>
  );
}
