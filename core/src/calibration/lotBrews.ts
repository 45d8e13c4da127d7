import type { BrewKit } from './conditions.js';
import { sameBrewer } from './discrepancy.js';
import type { MeasuredBrew } from './evidence.js';
import { recordedBrew, type BrewRecord } from './recordedBrew.js';

/** Brews of one lot in one kit; two kits have two names. */
export interface BrewsInKit {
  name: string;
  kit: BrewKit;
  brews: readonly BrewRecord[];
}

/**
 * So many of its own, the newest, are learned from: from half as many again the next brew is forecast nearer by 0.001 %
 * TDS, and they take half as long again (`./vendu bench many`).
 */
export const MOST_OF_OWN = 16;
/** So many of another kit say what they can of the lot; more would only take time (assumed). */
const MOST_OF_A_KIT = 8;

/**
 * What a lot's brews say to somebody who brews it with one kit: its own newest brews, and those in other kits, which teach the
 * lot and not the kit.
 *
 * @param elsewhere - other recipes of the lot; one with the same brewer and paper counts as the recipe's own
 */
export function lotBrews(
  kit: BrewKit,
  own: readonly BrewRecord[],
  elsewhere: readonly BrewsInKit[],
): MeasuredBrew[] {
  return [
    ...elsewhere.flatMap(({ name, kit: other, brews }) =>
      brews.slice(-MOST_OF_A_KIT).map((brew): MeasuredBrew => {
        const measured = recordedBrew(brew, other);
        return isOneKit(kit, other) ? measured : { ...measured, otherKit: name };
      }),
    ),
    ...own.slice(-MOST_OF_OWN).map((brew) => recordedBrew(brew, kit)),
  ];
}

function isOneKit(a: BrewKit, b: BrewKit): boolean {
  return a.paperPerM === b.paperPerM && sameBrewer(a, b);
}
