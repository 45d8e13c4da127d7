import { HANDS, QUIET_BENCH, simulatedScale, type HandName, type ScaleFaults } from '@vendu/core';
import type { ScaleSource } from './sources';

/** Ten readings a second, as bench scales send them. */
const EVERY_MS = 100;
/** A battery that gives out within a minute of the start. */
const DYING: ScaleFaults = { ...QUIET_BENCH, batteryPercent: 0.9, batteryPerMin: 1 };

/**
 * A scale that shows what a hand would pour, to try the bench without hardware.
 *
 * @param alreadyG - what stands on it already, where a brew goes on after a reload
 */
export function simulatedScaleSource({
  hand,
  isDying,
  seed,
  alreadyG = 0,
}: {
  hand: HandName;
  isDying: boolean;
  seed: number;
  alreadyG?: number;
}): ScaleSource {
  const scale = simulatedScale({ hand: HANDS[hand], faults: isDying ? DYING : QUIET_BENCH, seed });
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
