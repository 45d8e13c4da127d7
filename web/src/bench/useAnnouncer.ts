import { useEffect, useRef } from 'react';
import { tone } from './tone';

/** Warning this long before a step is due, s. */
const AHEAD_S = 3;
/** A call later than this after its moment would only confuse, s; browsers tick hidden pages once a second. */
const LATEST_CALL_S = 2;
const WARNING_HZ = 520;
const DUE_HZ = 880;
/** Unlike a step's: the hands are at the cups then, not at the kettle. */
const CUP_HZ = 660;

/**
 * Sounds a low tone shortly before a step is due and a high one when it is, and one of its own when a cup is to be
 * changed. The flash is drawn by the page.
 *
 * @param stepIndex - of the step that comes; each step is announced once
 */
export function useAnnouncer({
  dueInS,
  stepIndex,
  isCupDue,
  isMuted,
}: {
  dueInS: number | null;
  stepIndex: number;
  isCupDue: boolean;
  isMuted: boolean;
}): void {
  const said = useRef({ stepIndex: -1, warned: false, called: false });
  useEffect(() => {
    if (said.current.stepIndex !== stepIndex) said.current = { stepIndex, warned: false, called: false };
    if (dueInS === null || isMuted) return;
    if (dueInS <= 0 && !said.current.called) {
      said.current.called = said.current.warned = true;
      // A step that was overdue when it became the next one is not called: its moment has passed.
      if (dueInS > -LATEST_CALL_S) tone(DUE_HZ);
    } else if (dueInS <= AHEAD_S && !said.current.warned) {
      said.current.warned = true;
      tone(WARNING_HZ);
    }
  }, [dueInS, stepIndex, isMuted]);
  useEffect(() => {
    if (isCupDue && !isMuted) tone(CUP_HZ);
  }, [isCupDue, isMuted]);
}
