import {
  elevationOf,
  roastAgeDays,
  UNROASTED_AGE_DAYS,
  type Schools,
  type StartingFacts,
  type WaterFacts,
} from '@vendu/core';
import type { BrewerView, KettleView, PaperView, WaterView } from '@vendu/contract';
import type { LotModel } from '../lots/lot.model.js';
import type { RoastBatchModel } from '../lots/roast-batch.model.js';

/** What the starting recipe is made from, as the records have it. */
export function startingFacts({
  lot,
  batch,
  onDate,
  brewer,
  doseG = null,
  paper,
  kettle = null,
  water = null,
  schools,
  labElevationM,
}: {
  lot: LotModel;
  /** `null` before the first roast. */
  batch: RoastBatchModel | null;
  onDate: string;
  brewer: Pick<
    BrewerView,
    | 'shape'
    | 'usualDoseG'
    | 'capacityG'
    | 'outletCount'
    | 'outletDiameterMm'
    | 'hasValve'
    | 'ribs'
    | 'advisedLowC'
    | 'advisedHighC'
  >;
  doseG?: number | null;
  paper: Pick<PaperView, 'resistancePerM'>;
  kettle?: KettleView | null;
  water?: WaterView | null;
  schools: Schools;
  labElevationM: number;
}): StartingFacts {
  return {
    process: lot.process,
    baseProcess: lot.baseProcess,
    additions: lot.additions,
    isDecaffeinated: lot.isDecaffeinated,
    elevation: elevationOf(lot),
    roastLevel: batch?.level ?? null,
    roastAgeDays: batch ? roastAgeDays({ roastedOn: batch.roastedOn, onDate }) : UNROASTED_AGE_DAYS,
    isRoasted: batch !== null,
    brewer: {
      shape: brewer.shape,
      usualDoseG: brewer.usualDoseG,
      outletCount: brewer.outletCount,
      outletDiameterMm: brewer.outletDiameterMm,
      hasValve: brewer.hasValve,
      ribs: brewer.ribs,
      capacityG: brewer.capacityG,
      advisedLowC: brewer.advisedLowC,
      advisedHighC: brewer.advisedHighC,
    },
    ...(doseG === null ? {} : { doseG }),
    paperPerM: paper.resistancePerM,
    ...(kettle ? { kettleStepC: kettle.stepC } : {}),
    ...(water ? { water: waterFacts(water) } : {}),
    signs: lot.signs ?? [],
    schools,
    labElevationM,
  };
}

function waterFacts({ name, hardnessMgPerL, alkalinityMgPerL, mineralsMgPerL }: WaterView): WaterFacts {
  return { name, hardnessMgPerL, alkalinityMgPerL, mineralsMgPerL };
}
