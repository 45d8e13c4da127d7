import { elevationOf, type KeptElevation } from '../quantity/elevation.js';
import { isHigh, isLow } from './grown.js';
import { isOfProcess } from './process.js';
import type { BaseProcess, Process } from '../vocabulary.js';

/** What two lots of one producer are told apart by. */
export interface LotOrigin extends KeptElevation {
  process: Process;
  baseProcess: BaseProcess | null;
  additions: string;
  isDecaffeinated: boolean;
  variety: string;
  harvest: string;
  drying: string;
}

const LOT_DIFFERENCES = ['process', 'elevation', 'variety', 'harvest', 'drying'] as const;
export type LotDifference = (typeof LOT_DIFFERENCES)[number];

/** Apart by more than this, two elevations ask for another recipe, m (assumed). */
const APART_M = 100;

/** In what two lots differ as far as it is known of both, the most telling for a recipe first. */
export function lotDifferences(one: LotOrigin, other: LotOrigin): LotDifference[] {
  return LOT_DIFFERENCES.filter((fact) => DIFFERS[fact](one, other));
}

const DIFFERS: Record<LotDifference, (one: LotOrigin, other: LotOrigin) => boolean> = {
  process: (one, other) =>
    (one.process !== other.process && one.process !== 'not-known' && other.process !== 'not-known') ||
    (one.baseProcess !== other.baseProcess && one.baseProcess !== null && other.baseProcess !== null) ||
    isOfProcess(one, 'co-fermented') !== isOfProcess(other, 'co-fermented') ||
    isOfProcess(one, 'decaffeinated') !== isOfProcess(other, 'decaffeinated'),
  elevation: grewApart,
  variety: (one, other) => saysOtherwise(one.variety, other.variety),
  harvest: (one, other) => saysOtherwise(one.harvest, other.harvest),
  drying: (one, other) => saysOtherwise(one.drying, other.drying),
};

function saysOtherwise(one: string, other: string): boolean {
  const [a, b] = [one.trim().toLowerCase(), other.trim().toLowerCase()];
  return a !== '' && b !== '' && a !== b;
}

function grewApart(one: LotOrigin, other: LotOrigin): boolean {
  const [a, b] = [elevationOf(one), elevationOf(other)];
  if (a === null || b === null) return false;
  if (typeof a === 'string' || typeof b === 'string') return isHigh(a) !== isHigh(b) || isLow(a) !== isLow(b);
  return a.fromM > b.toM + APART_M || b.fromM > a.toM + APART_M;
}
