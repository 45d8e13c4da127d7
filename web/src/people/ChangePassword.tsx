import { useState } from 'react';
import { toast } from 'sonner';
import { ChangePasswordDto } from '@vendu/contract';
import { useChangePasswordMutation } from '../api/peopleApi';
import { troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { TroubleNotice } from '../ui/Notice';
import { TextField } from '../ui/TextField';
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
    toast('The password is changed; everywhere else it is asked for again');
  }
  return (
    <form noValidate onSubmit={(event) => void submit(event, { present, next }, done)}>
      <h2 className="heading mb-3">Your password</h2>
      <div className="flex flex-col gap-3">
        <TextField
          label="Present password"
          error={faultAt['present']}
          type="password"
          autoComplete="current-password"
          value={present}
          onChange={setPresent}
        />
        <TextField
          label="New password"
          error={faultAt['next']}
          type="password"
          autoComplete="new-password"
          value={next}
          onChange={setNext}
        />
      </div>
      <Button type="submit" className="mt-3" disabled={isLoading}>
        Change it
      </Button>
      <TroubleNotice trouble={troubleBelow} />
    </form>
  );
}
