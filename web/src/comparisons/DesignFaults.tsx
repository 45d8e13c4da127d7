import type { DesignFault } from '@vendu/core';
import { classes } from '../ui/classes';

/** What would make the answer about something else, each with what to do. */
export function DesignFaults({ faults }: { faults: readonly DesignFault[] }) {
  if (faults.length === 0) {
    return <p className="text-small">Sound: nothing differs but what is asked about.</p>;
  }
  return (
    <ul>
      {faults.map(({ kind, what, advice, isConfounding }) => (
        <li
          key={`${kind} ${what}`}
          className={classes('mb-2 border-l-2 pl-3', isConfounding ? 'border-alarm' : 'border-edge')}
        >
          <p className={classes('text-small', isConfounding && 'font-medium text-alarm')}>{what}</p>
          <p className="text-small">{advice}</p>
        </li>
      ))}
    </ul>
  );
}
