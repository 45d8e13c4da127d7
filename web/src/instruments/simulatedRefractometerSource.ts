import { simulatedRefractometer } from '@vendu/core';
import type { InstrumentListener, RefractometerReading, RefractometerSource } from './sources';

/** A refractometer that reads what it is told lies on its prism, with a crept zero, to try the bench without one. */
export function simulatedRefractometerSource(seed: number): RefractometerSource {
  const meter = simulatedRefractometer({ seed });
  const listeners = new Set<InstrumentListener<RefractometerReading>>();
  return {
    name: 'Simulated refractometer',
    start(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    put(sample) {
      const reading: RefractometerReading =
        sample === 'clean-water'
          ? { tdsPercent: meter.zero(), sampleC: null, isZero: true }
          : { tdsPercent: meter.read(sample), sampleC: sample.sampleC, isZero: false };
      for (const { onReading } of listeners) onReading(reading);
    },
  };
}
