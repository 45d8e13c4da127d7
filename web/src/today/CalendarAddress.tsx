import { useCalendarQuery, useEndCalendarMutation, useMakeCalendarMutation } from '../api/todayApi';
import { troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { dayOf } from '../ui/dates';
import { INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';

/** Launches and rechecks in a calendar of one's own, at an address that is told once and can be ended. */
export function CalendarAddress() {
  const { data } = useCalendarQuery();
  const [make, making] = useMakeCalendarMutation();
  const [end, ending] = useEndCalendarMutation();
  if (!data) return null;
  return (
    <section>
      <h2 className="heading mb-2">In your calendar</h2>
      <p className="text-small text-quiet">
        {data.madeAt === null
          ? 'Launches and rechecks, for any calendar that reads an address.'
          : `Your address was made on ${dayOf(data.madeAt)}. Whoever has it sees launches and rechecks.`}
      </p>
      {data.address && (
        <label className="mt-2 block text-small">
          Your address, shown once
          <input
            readOnly
            className={`${INPUT} reading`}
            value={data.address}
            onFocus={({ target }) => target.select()}
          />
        </label>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button disabled={making.isLoading} onClick={() => void make()}>
          {data.madeAt === null ? 'Make an address' : 'Make a new one'}
        </Button>
        {data.madeAt !== null && (
          <Button weight="quiet" disabled={ending.isLoading} onClick={() => void end()}>
            End it
          </Button>
        )}
      </div>
      <TroubleNotice trouble={troubleOf(making.error) ?? troubleOf(ending.error)} />
    </section>
  );
}
