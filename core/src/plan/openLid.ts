import { kettleAfterC } from '../water/kettle.js';
import { planWaterG, pourKettlesC, type BrewPlan } from './plan.js';

/** What a bench kettle holds at the start, g, and what is left in it at least (assumed). */
const KETTLE_G = 800;
const LEAST_LEFT_G = 200;
/** A room of which nobody told the temperature, C (assumed). */
export const USUAL_ROOM_C = 21;

/**
 * How hot the kettle is when each pour begins, C: as set, and falling from where its lid was opened, by the cooling of
 * an open kettle. A pour that sets the kettle anew ends the fall; a reading only says where it had come to.
 *
 * @param readsC - what was read at each pour, C; `null` where nobody read it
 */
export function pouredAtC(
  plan: Pick<BrewPlan, 'kettleC' | 'pours' | 'lidOpensS'>,
  ambientC: number = USUAL_ROOM_C,
  readsC: readonly (number | null)[] = [],
): number[] {
  const { pours, lidOpensS } = plan;
  const setC = pourKettlesC(plan);
  if (lidOpensS === undefined) return setC;
  let isFalling = true;
  let fallen = { atS: lidOpensS, kettleC: plan.kettleC };
  return pours.map(({ startS, kettleC }, index) => {
    const readC = readsC[index] ?? null;
    const settingC = readC ?? setC[index] ?? plan.kettleC;
    if (startS <= lidOpensS) {
      fallen = { atS: lidOpensS, kettleC: settingC };
      return settingC;
    }
    if (readC !== null) {
      fallen = { atS: startS, kettleC: readC };
      return readC;
    }
    if (kettleC !== undefined) isFalling = false;
    if (!isFalling) return settingC;
    const leftG = KETTLE_G - planWaterG({ pours: pours.slice(0, index) });
    const after = kettleAfterC({
      waterG: Math.max(LEAST_LEFT_G, leftG),
      startC: fallen.kettleC,
      ambientC,
      seconds: startS - fallen.atS,
      lid: 'open',
    });
    fallen = { atS: startS, kettleC: after.ok ? after.value : fallen.kettleC };
    return fallen.kettleC;
  });
}

/** The pours with the kettle as hot as it was read; under an open lid those after a reading fall on from it. */
export function withKettlesRead<P extends Pick<BrewPlan, 'kettleC' | 'pours' | 'lidOpensS'>>(
  plan: P,
  readsC: readonly (number | null)[],
  ambientC?: number,
): P {
  const kettlesC =
    plan.lidOpensS === undefined || readsC.every((readC) => readC === null)
      ? readsC
      : pouredAtC(plan, ambientC, readsC);
  const pours = plan.pours.map((pour, index) => {
    const kettleC = kettlesC[index] ?? null;
    return kettleC === null ? pour : { ...pour, kettleC };
  });
  return { ...plan, pours };
}
