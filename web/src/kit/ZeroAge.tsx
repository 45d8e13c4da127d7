import { useState } from 'react';
import { differenceInCalendarDays } from 'date-fns';
import type { InstrumentView } from '@vendu/contract';
import { classes } from '../ui/classes';

/** How much of the time to the next zero check is gone. */
export function ZeroAge({
  instrument: { lastZero, zeroEveryDays, isZeroDue },
}: {
  instrument: InstrumentView;
}) {
  const [today] = useState(() => new Date());
  const ageDays = lastZero ? Math.max(0, differenceInCalendarDays(today, new Date(lastZero.at))) : null;
  const share = ageDays === null ? 1 : Math.min(1, ageDays / zeroEveryDays);
  return (
    <span className="flex items-center gap-3">
      <span aria-hidden className="relative h-2 w-32 border-x border-edge bg-wash">
        <span
          className={classes('absolute inset-y-0 left-0', isZeroDue ? 'bg-alarm' : 'bg-ink')}
          style={{ width: `${share * 100}%` }}
        />
      </span>
      <span className={classes('text-small', isZeroDue ? 'font-semibold text-alarm' : 'text-quiet')}>
        {isZeroDue ? 'zero check due' : `${ageDays} of ${zeroEveryDays} days`}
      </span>
    </span>
  );
}
