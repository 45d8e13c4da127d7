import { kettleAfterC } from '../water/kettle.js';
import { planWaterG, pourKettlesC, type BrewPlan } from './plan.js';

/** What a bench kettle holds at the start, g, and what is left in it at least (assumed). */
const KETTLE_G = 800;
const LEAST_LEFT_G = 200;
const USUAL_ROOM_C = 21;

/**
 * How hot the kettle is when each pour begins, C: as set, and falling from where its lid was opened, by the cooling of
 * an open kettle. A pour that sets the kettle anew ends the fall.
 */
export function pouredAtC(
  plan: Pick<BrewPlan, 'kettleC' | 'pours' | 'lidOpensS'>,
  ambientC: number = USUAL_ROOM_C,
): number[] {
  const { pours, lidOpensS } = plan;
  const setC = pourKettlesC(plan);
  if (lidOpensS === undefined) return setC;
  let isFalling = true;
  let fallen = { atS: lidOpensS, kettleC: plan.kettleC };
  return pours.map(({ startS, kettleC }, index) => {
    const settingC = setC[index] ?? plan.kettleC;
    if (startS <= lidOpensS) {
      fallen = { atS: lidOpensS, kettleC: settingC };
      return settingC;
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
