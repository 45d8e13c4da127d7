import {
  benchSteps,
  HANDS,
  pourKettlesC,
  simulatedScale,
  simulatedThermometer,
  type BenchEvent,
  type BrewPlan,
  type StepDone,
  type Trace,
} from '@vendu/core';

/** Ten readings a second, as bench scales send them. */
const EVERY_MS = 100;
/** A hand that hits the totals which were written down, and sways as hands do. */
const HAND = { ...HANDS.usual, delayS: 0, overG: 0, overSdG: 0, flowShare: 1 };

/** What scale and thermometer showed of a demo brew: the totals and times that its steps tell, with their noise. */
export function inventRecord({
  plan,
  steps,
  roomC,
  seed,
}: {
  plan: BrewPlan;
  steps: readonly StepDone[];
  roomC: number;
  seed: number;
}): { trace: Trace; events: BenchEvent[] } {
  const scale = simulatedScale({ hand: HAND, seed });
  const thermometer = simulatedThermometer({ setC: plan.kettleC, roomC, seed });
  const kettlesC = pourKettlesC(plan);
  const planned = benchSteps(plan);
  const events: BenchEvent[] = [];
  for (const { stepIndex, atS, totalG } of steps) {
    const step = planned[stepIndex];
    if (step?.kind !== 'pour' || totalG === null) continue;
    const pour = plan.pours[step.pourNumber - 1];
    scale.pour({ atS, toTotalG: totalG, flowGps: pour?.flowGps ?? 0 });
    // A kettle set anew has come to its temperature by the time it is poured from.
    const setBy = (kettlesC[step.pourNumber - 1] ?? plan.kettleC) - plan.kettleC;
    const kettleC = Math.round((thermometer.read(atS) + setBy) * 10) / 10;
    events.push({ kind: 'kettle-read', atS, kettleC, instrument: 'Kettle thermometer', isSimulated: false });
    thermometer.lift({ atS, forS: step.amountG / (pour?.flowGps ?? 1) });
  }
  const endMs = (steps.at(-1)?.atS ?? 0) * 1000;
  const atMs = Array.from({ length: Math.floor(endMs / EVERY_MS) + 1 }, (_, index) => index * EVERY_MS);
  return { trace: { atMs, massG: atMs.map((at) => scale.read(at / 1000)?.massG ?? 0) }, events };
}
