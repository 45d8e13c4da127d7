import type { BrewKit } from '@vendu/core';
import type { BrewerView, HouseView } from '@vendu/contract';

/** What a brewer with its usual paper, in this lab, is to the brew model. */
export function brewKitOf(brewer: BrewerView, house: HouseView): BrewKit {
  return {
    brewer: brewer.geometry,
    paperPerM: brewer.paperResistancePerM,
    ambientC: house.roomC,
    elevationM: house.elevationM,
  };
}
