import { useState } from 'react';
import { toast } from 'sonner';
import { ChangePasswordDto } from '@vendu/contract';
import { useChangePasswordMutation } from '../api/peopleApi';
import { troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { useChecked } from '../ui/useChecked';

/** One's own password, by whoever knows the present one. */
export function ChangePassword() {
  const [present, setPresent] = useState('');
  const [next, setNext] = useState('');
  const [change, { error, isLoading }] = useChangePasswordMutation();
  const { faultAt, troubleBelow, submit } = useChecked(
    ChangePasswordDto,
    troubleOf(error),
    async (passwords) => !(await change(passwords)).error,
  );
  function done() {
    setPresent('');
    setNext('');
    toast('The password is changed');
  }
  return (
    <form noValidate onSubmit={(event) => void submit(event, { present, next }, done)}>
      <h2 className="heading mb-3">Your password</h2>
      <div className="flex flex-col gap-3">
        <Field label="Present password" error={faultAt['present']}>
          {(control) => (
            <input
              {...control}
              type="password"
              autoComplete="current-password"
              className={INPUT}
              value={present}
              onChange={({ target }) => setPresent(target.value)}
            />
          )}
        </Field>
        <Field label="New password" error={faultAt['next']}>
          {(control) => (
            <input
              {...control}
              type="password"
              autoComplete="new-password"
              className={INPUT}
              value={next}
              onChange={({ target }) => setNext(target.value)}
            />
          )}
        </Field>
      </div>
      <Button type="submit" className="mt-3" disabled={isLoading}>
        Change it
      </Button>
      <TroubleNotice trouble={troubleBelow} />
    </form>
  );
}
