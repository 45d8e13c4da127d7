import {
  HANDS,
  SCALE_BENCHES,
  simulatedScale,
  standingMassG,
  type HandName,
  type ScaleBench,
  type SimulatedBrewer,
  type Trace,
} from '@vendu/core';
import { brewNowMs } from '../device/brewClock';
import type { ScaleSource } from './sources';

/** Ten readings a second, as bench scales send them. */
const EVERY_MS = 100;

/**
 * A scale under a brewer into which a hand pours, to try the bench without hardware.
 *
 * @param before - what it showed already, by the wall clock, where a brew goes on after a reload
 * @param brewer - what stands on it; `null` where nothing is known of it, and then no water goes into the air
 */
export function simulatedScaleSource({
  hand,
  bench,
  seed,
  before = { atMs: [], massG: [] },
  brewer,
}: {
  hand: HandName;
  bench: ScaleBench;
  seed: number;
  before?: Trace;
  brewer: SimulatedBrewer | null;
}): ScaleSource {
  const scale = simulatedScale({ hand: HANDS[hand], faults: SCALE_BENCHES[bench], seed });
  const alreadyG = before.massG.at(-1) ?? 0;
  const startMs = brewNowMs();
  const filledMs = before.atMs[0] ?? startMs;
  const nowS = () => (brewNowMs() - startMs) / 1000;
  let kettleC: number | undefined;
  const brewNow = () =>
    brewer?.pass({
      toS: (brewNowMs() - filledMs) / 1000,
      pouredG: alreadyG + scale.pouredG(nowS()),
      ...(kettleC === undefined ? {} : { kettleC }),
    });
  // The brewer is where it was: by the water, whose temperature nobody kept, and without the swirls.
  for (const atMs of before.atMs) {
    brewer?.pass({ toS: (atMs - filledMs) / 1000, pouredG: standingMassG(before, atMs) ?? 0 });
  }
  const evaporatedBeforeG = brewer?.seen().evaporatedG ?? 0;
  return {
    name: `Simulated scale, ${hand} hand`,
    start({ onReading }) {
      const timer = setInterval(() => {
        brewNow();
        const reading = scale.read(nowS());
        if (!reading) return;
        const goneG = (brewer?.seen().evaporatedG ?? 0) - evaporatedBeforeG;
        onReading({ ...reading, massG: Math.round((reading.massG + alreadyG - goneG) * 10) / 10 });
      }, EVERY_MS);
      return () => clearInterval(timer);
    },
    pour({ toTotalG, flowGps, ...asked }) {
      brewNow();
      ({ kettleC } = asked);
      scale.pour({ atS: nowS(), toTotalG: toTotalG - alreadyG, flowGps });
    },
    agitate(kind) {
      brewNow();
      brewer?.agitate(kind);
    },
    seen: () => brewer?.seen() ?? null,
  };
}
