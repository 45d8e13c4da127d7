import { addDays } from 'date-fns';
import { brewerGeometry, USUAL_CHECKLIST, USUAL_SCHOOLS } from '@vendu/core';
import type {
  BrewerView,
  FeederView,
  GrinderView,
  HouseView,
  InstrumentView,
  KettleView,
  PaperView,
  SieveView,
  StatedSettingView,
  WaterView,
} from '@vendu/contract';
import type { BrewerModel } from './brewer.model.js';
import type { GrinderModel } from './grinder.model.js';
import type { HouseModel } from './house.model.js';
import type { InstrumentModel } from './instrument.model.js';
import type { KettleModel } from './kettle.model.js';
import type { PaperModel } from './paper.model.js';
import type { FeederModel } from './feeder.model.js';
import type { SieveModel } from './sieve.model.js';
import type { StatedSettingModel } from './stated-setting.model.js';
import type { WaterModel } from './water.model.js';

export function paperView(row: PaperModel): PaperView {
  const { id, revision, name, resistancePerM, rinseG, fold, seating, body, isBleached, soakMin } = row;
  return { id, revision, name, resistancePerM, rinseG, fold, seating, body, isBleached, soakMin };
}

/** Needs `paper` loaded. */
export function brewerView(row: BrewerModel): BrewerView {
  const measures = {
    shape: row.shape,
    topDiameterMm: row.topDiameterMm,
    bottomDiameterMm: row.bottomDiameterMm,
    heightMm: row.heightMm,
    outletDiameterMm: row.outletDiameterMm,
    outletCount: row.outletCount,
    ribs: row.ribs,
    wallMaterial: row.wallMaterial,
    wallMm: row.wallMm,
  };
  return {
    id: row.id,
    revision: row.revision,
    name: row.name,
    ...measures,
    outlet:
      row.outletCount === 1
        ? `one hole of ${row.outletDiameterMm} mm`
        : `${row.outletCount} holes of ${row.outletDiameterMm} mm`,
    paperId: row.paperId,
    paper: row.paper.name,
    paperResistancePerM: row.paper.resistancePerM,
    usualDoseG: row.usualDoseG,
    capacityG: row.capacityG,
    hasValve: row.hasValve,
    advisedLowC: row.advisedLowC,
    advisedHighC: row.advisedHighC,
    bodyOfId: row.bodyOfId,
    geometry: brewerGeometry(measures, row.paper),
  };
}

export function grinderView(row: GrinderModel): GrinderView {
  const { id, revision, name, burrSet, owner, settingStep, points } = row;
  const { finestSetting, coarsestSetting, burrsKg, retainedG, words } = row;
  return {
    id,
    revision,
    name,
    burrSet,
    owner,
    settingStep,
    points,
    finestSetting,
    coarsestSetting,
    burrsKg,
    retainedG,
    words,
  };
}

export function kettleView(row: KettleModel): KettleView {
  const { id, revision, name, stepC, hasScale, mostFlowGps, holdsWithinC, lidStaysOpen } = row;
  return { id, revision, name, stepC, hasScale, mostFlowGps, holdsWithinC, lidStaysOpen };
}

export function sieveView({ id, revision, name, holesUm }: SieveModel): SieveView {
  return { id, revision, name, holesUm };
}

export function feederView({ id, revision, kind, name, holeMm, holdsG, flowGps }: FeederModel): FeederView {
  return { id, revision, kind, name, holeMm, holdsG, flowGps };
}

export function statedSettingView(row: StatedSettingModel): StatedSettingView {
  const { id, revision, grinderId, setting, otherGrinderId, otherSetting, source } = row;
  return { id, revision, grinderId, setting, otherGrinderId, otherSetting, source };
}

export function waterView(row: WaterModel): WaterView {
  return {
    id: row.id,
    revision: row.revision,
    name: row.name,
    origin: row.origin,
    hardnessMgPerL: row.hardnessMgPerL,
    alkalinityMgPerL: row.alkalinityMgPerL,
    mineralsMgPerL: row.mineralsMgPerL,
    mix: row.mix,
  };
}

/** Needs `zeroChecks` loaded with their checkers, newest first. */
export function instrumentView(row: InstrumentModel): InstrumentView {
  const [last] = row.zeroChecks;
  return {
    id: row.id,
    revision: row.revision,
    kind: row.kind,
    name: row.name,
    resolution: row.resolution,
    zeroEveryDays: row.zeroEveryDays,
    lastZero: last ? { shown: last.shown, by: last.checker.name, at: last.createdAt.toISOString() } : null,
    isZeroDue: !last || addDays(last.createdAt, row.zeroEveryDays) <= new Date(),
  };
}

export function houseView(row: HouseModel): HouseView {
  return {
    name: row.name,
    place: row.place,
    elevationM: row.elevationM,
    roomC: row.roomC,
    window: {
      tdsLowPercent: row.tdsLowPercent,
      tdsHighPercent: row.tdsHighPercent,
      yieldLowPercent: row.yieldLowPercent,
      yieldHighPercent: row.yieldHighPercent,
    },
    schools: row.schools ?? USUAL_SCHOOLS,
    checklist: row.checklist ?? USUAL_CHECKLIST,
    revision: row.revision,
  };
}
