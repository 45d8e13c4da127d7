import { useEffect, useRef } from 'react';

/** Warning this long before a step is due, s. */
const AHEAD_S = 3;
/** A call later than this after its moment would only confuse, s; browsers tick hidden pages once a second. */
const LATEST_CALL_S = 2;
const WARNING_HZ = 520;
const DUE_HZ = 880;

/**
 * Sounds a low tone shortly before a step is due and a high one when it is. The flash is drawn by the page.
 *
 * @param stepIndex - of the step that comes; each step is announced once
 */
export function useAnnouncer({
  dueInS,
  stepIndex,
  isMuted,
}: {
  dueInS: number | null;
  stepIndex: number;
  isMuted: boolean;
}): void {
  const said = useRef({ stepIndex: -1, warned: false, called: false });
  const audio = useRef<AudioContext | null>(null);
  useEffect(() => {
    if (said.current.stepIndex !== stepIndex) said.current = { stepIndex, warned: false, called: false };
    if (dueInS === null || isMuted) return;
    if (dueInS <= 0 && !said.current.called) {
      said.current.called = said.current.warned = true;
      // A step that was overdue when it became the next one is not called: its moment has passed.
      if (dueInS > -LATEST_CALL_S) tone(audio, DUE_HZ);
    } else if (dueInS <= AHEAD_S && !said.current.warned) {
      said.current.warned = true;
      tone(audio, WARNING_HZ);
    }
  }, [dueInS, stepIndex, isMuted]);
}

function tone(audio: { current: AudioContext | null }, frequencyHz: number): void {
  // A machine without sound must not stop a brew: the flash remains.
  if (typeof AudioContext === 'undefined') return;
  audio.current ??= new AudioContext();
  const context = audio.current;
  const oscillator = context.createOscillator();
  const gain = context.createGain();
  oscillator.frequency.value = frequencyHz;
  gain.gain.setValueAtTime(0.25, context.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + 0.25);
  oscillator.connect(gain).connect(context.destination);
  oscillator.start();
  oscillator.stop(context.currentTime + 0.26);
}
