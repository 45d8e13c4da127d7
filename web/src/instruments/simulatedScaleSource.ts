import { HANDS, SCALE_BENCHES, simulatedScale, type HandName, type ScaleBench } from '@vendu/core';
import type { ScaleSource } from './sources';

/** Ten readings a second, as bench scales send them. */
const EVERY_MS = 100;
/**
 * A scale that shows what a hand would pour, to try the bench without hardware.
 *
 * @param alreadyG - what stands on it already, where a brew goes on after a reload
 */
export function simulatedScaleSource({
  hand,
  bench,
  seed,
  alreadyG = 0,
}: {
  hand: HandName;
  bench: ScaleBench;
  seed: number;
  alreadyG?: number;
}): ScaleSource {
  const scale = simulatedScale({ hand: HANDS[hand], faults: SCALE_BENCHES[bench], seed });
  const startMs = Date.now();
  const nowS = () => (Date.now() - startMs) / 1000;
  return {
    name: `Simulated scale, ${hand} hand`,
    start({ onReading }) {
      const timer = setInterval(() => {
        const reading = scale.read(nowS());
        if (reading) onReading({ ...reading, massG: Math.round((reading.massG + alreadyG) * 10) / 10 });
      }, EVERY_MS);
      return () => clearInterval(timer);
    },
    pour({ toTotalG, flowGps }) {
      scale.pour({ atS: nowS(), toTotalG: toTotalG - alreadyG, flowGps });
    },
  };
}
