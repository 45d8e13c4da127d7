import { useState, type SubmitEvent } from 'react';
import { checkDto, type FieldError } from '@vendu/contract';
import { byField, type Trouble } from '../api/problem';

/**
 * Checks what is typed before it is sent. What is wrong is told at its field, whether found here or by the server; what is
 * of no field is told below.
 *
 * @param send - sends it and says whether that went well
 */
export function useChecked<T extends object>(
  dto: new () => T,
  trouble: Trouble | null,
  send: (typed: T) => Promise<boolean>,
) {
  const [faults, setFaults] = useState<readonly FieldError[]>([]);
  const ofServer = trouble?.errors ?? [];
  return {
    faultAt: byField(faults.length > 0 ? faults : ofServer),
    troubleBelow: faults.length === 0 && ofServer.length === 0 ? trouble : null,
    submit: async (event: SubmitEvent, typed: T, done: () => void) => {
      event.preventDefault();
      const found = checkDto(dto, typed);
      setFaults(found);
      if (found.length === 0 && (await send(typed))) done();
    },
  };
}
