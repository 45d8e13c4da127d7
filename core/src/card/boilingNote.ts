import { boilingPointC } from '../water/boilingPoint.js';

const STEP_M = 50;
/** Nobody brews from a card much higher. */
const HIGHEST_M = 5000;

/** From which elevation on water boils before the kettle is as hot as asked, m; `null` where it never matters. */
export function boilsTooSoonM(kettleC: number): number | null {
  for (let elevationM = 0; elevationM <= HIGHEST_M; elevationM += STEP_M) {
    if (boilingPointC({ elevationM }) < kettleC) return elevationM;
  }
  return null;
}
