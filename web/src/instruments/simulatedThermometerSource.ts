import { simulatedThermometer } from '@vendu/core';
import type { ThermometerSource } from './sources';

const EVERY_MS = 1000;
/** What it signs its readings with; by this they are told from measured ones. */
export const SIMULATED_THERMOMETER = 'Simulated thermometer';

/** A thermometer in a kettle that nobody filled, to try the bench without hardware. */
export function simulatedThermometerSource(kettle: {
  setC: number;
  roomC: number;
  seed: number;
}): ThermometerSource {
  const thermometer = simulatedThermometer(kettle);
  const startMs = Date.now();
  const nowS = () => (Date.now() - startMs) / 1000;
  return {
    name: SIMULATED_THERMOMETER,
    start({ onReading }) {
      const timer = setInterval(() => onReading(thermometer.read(nowS())), EVERY_MS);
      return () => clearInterval(timer);
    },
    lift: (forS) => thermometer.lift({ atS: nowS(), forS }),
  };
}
