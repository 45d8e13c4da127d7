import { useState } from 'react';
import { HoursDto, type TodayPerson } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useSetHoursMutation } from '../api/todayApi';
import { Button } from '../ui/Button';
import { TroubleNotice } from '../ui/Notice';
import { TextField } from '../ui/TextField';
import { useChecked } from '../ui/useChecked';

/** When somebody is usually in, every day until it is changed; or at any time. */
export function HoursForm({
  person: { id, name, hours },
  onDone,
}: {
  person: TodayPerson;
  onDone: () => void;
}) {
  const [from, setFrom] = useState(hours?.from ?? '');
  const [until, setUntil] = useState(hours?.until ?? '');
  const [setHours, { error, isLoading }] = useSetHoursMutation();
  const { faultAt, troubleBelow, submit } = useChecked(
    HoursDto,
    troubleOf(error),
    async (asked) => !(await setHours({ id, hours: asked })).error,
  );
  async function end() {
    if (!(await setHours({ id, hours: null })).error) onDone();
  }
  return (
    <form
      noValidate
      className="pb-3"
      aria-label={`Hours of ${name}`}
      onSubmit={(event) => void submit(event, { from, until }, onDone)}
    >
      <div className="grid grid-cols-2 gap-3">
        <TextField label="In from" type="time" value={from} onChange={setFrom} error={faultAt['from']} />
        <TextField label="In until" type="time" value={until} onChange={setUntil} error={faultAt['until']} />
      </div>
      <div className="mt-2 flex gap-2">
        <Button type="submit" disabled={isLoading}>
          Save
        </Button>
        {hours && (
          <Button weight="quiet" disabled={isLoading} onClick={() => void end()}>
            Any time
          </Button>
        )}
      </div>
      <TroubleNotice trouble={troubleBelow} />
    </form>
  );
}
