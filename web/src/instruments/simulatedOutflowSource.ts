import { normalDraw, seededRandom, type BrewerSeen } from '@vendu/core';
import type { ScaleSource } from './sources';

/** Ten readings a second, as bench scales send them. */
const EVERY_MS = 100;
/** A scale on a quiet bench, g (assumed). */
const NOISE_G = 0.05;
/** So long without a brewer on the other stand-in, and it is told, ms. */
const WAITS_MS = 3000;

/**
 * A scale under the server of a stand-in's brewer: what has run into it, and nothing of the brewer above.
 *
 * @param seen - the brewer on the other stand-in scale; `null` where there is none
 */
export function simulatedOutflowSource({
  seen,
  seed,
}: {
  seen: () => BrewerSeen | null;
  seed: number;
}): ScaleSource {
  return {
    name: 'Simulated scale under the server',
    start({ onReading, onTrouble }) {
      const random = seededRandom(seed + 17);
      let waitedMs = 0;
      const timer = setInterval(() => {
        const brewer = seen();
        if (brewer) {
          waitedMs = 0;
          const massG = brewer.beverageG + normalDraw(random, { mean: 0, sd: NOISE_G });
          // Adding nothing turns -0 into 0.
          onReading({ massG: Math.round(massG * 10) / 10 + 0 });
          return;
        }
        waitedMs += EVERY_MS;
        if (waitedMs === WAITS_MS) onTrouble('It needs a simulated scale under the brewer too.');
      }, EVERY_MS);
      return () => clearInterval(timer);
    },
  };
}
