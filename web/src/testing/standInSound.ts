import { vi } from 'vitest';

/**
 * Puts a stand-in in the place of the loudspeaker.
 *
 * @returns the tones that are sounded from now on, Hz
 */
export function standInSound(): number[] {
  const tonesHz: number[] = [];
  vi.stubGlobal(
    'AudioContext',
    class {
      currentTime = 0;
      destination = {};
      createOscillator() {
        const frequency = { value: 0 };
        return {
          frequency,
          connect: (to: unknown) => to,
          start: () => tonesHz.push(frequency.value),
          stop: () => undefined,
        };
      }
      createGain() {
        const ramp = () => undefined;
        return {
          gain: { setValueAtTime: ramp, exponentialRampToValueAtTime: ramp },
          connect: (to: unknown) => to,
        };
      }
    },
  );
  return tonesHz;
}
