import { simulatedThermometer } from '@vendu/core';
import type { ThermometerSource } from './sources';

const EVERY_MS = 1000;

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
    name: 'Simulated thermometer',
    start({ onReading }) {
      const timer = setInterval(() => onReading(thermometer.read(nowS())), EVERY_MS);
      return () => clearInterval(timer);
    },
    lift: (forS) => thermometer.lift({ atS: nowS(), forS }),
  };
}
