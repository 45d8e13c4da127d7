import {
  broughtUp,
  entryFault,
  mergedLogs,
  PAPER_FOLDS,
  PAPER_SEATINGS,
  WALL_MATERIALS,
  type BrewEntry,
  type BrewPlan,
} from '@vendu/core';
import { checkDto, PlanDto } from '@vendu/contract';
import type { BoardGround } from '../board/forecaster';
import { OUTFLOW_CHOICES, type OutflowChoice } from '../instruments/outflowChoices';
import { SCALE_CHOICES, type ScaleChoice } from '../instruments/scaleChoices';
import { THERMOMETER_CHOICES, type ThermometerChoice } from '../instruments/thermometerChoices';
import type { BenchArm, BenchBrew } from './benchBrew';
import { logOfKeptMarks } from './keptMarks';

type Kept = Record<string, unknown>;

const isObject = (value: unknown): value is Kept =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isNumber = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value);
const isId = (value: unknown): value is number => Number.isInteger(value) && Number(value) > 0;

/**
 * A brew as it was kept on this device or on the server, by whichever version of the application: what the brew cannot do
 * without has to be there and readable, all else is as it is before anybody has touched it.
 *
 * @returns `null` for what is no brew that can go on here
 */
export function readKeptBrew(kept: unknown): BenchBrew | null {
  if (!isObject(kept)) return null;
  const { key, lotId, recipeId, recipeVersionId, roastBatchId, plan } = kept;
  // Before there were logs a brew was kept as what had become of it.
  const log = 'log' in kept ? logOfKept(kept['log']) : logOfKeptMarks(kept);
  if (typeof key !== 'string' || log === null || !isPlan(plan)) return null;
  if (!isId(lotId) || !isId(recipeId) || !isId(recipeVersionId) || !isId(roastBatchId)) return null;
  return {
    key,
    lotId,
    recipeId,
    recipeVersionId,
    roastBatchId,
    plan,
    log,
    lotName: words(kept['lotName']),
    additions: words(kept['additions']),
    brewerName: words(kept['brewerName']),
    paper: words(kept['paper']),
    grinderId: isId(kept['grinderId']) ? kept['grinderId'] : null,
    fromCard: kept['fromCard'] === true,
    arm: armOf(kept['arm']),
    grinderName: words(kept['grinderName']),
    noteTyped: typeof kept['noteTyped'] === 'string' ? kept['noteTyped'] : null,
    rinseG: number(kept['rinseG']) ?? 0,
    fold: oneOf(PAPER_FOLDS, kept['fold']),
    seating: oneOf(PAPER_SEATINGS, kept['seating']),
    wallMaterial: oneOf(WALL_MATERIALS, kept['wallMaterial']),
    soakMin: number(kept['soakMin']),
    retainedG: number(kept['retainedG']),
    grinderSetting: number(kept['grinderSetting']),
    secondSetting: number(kept['secondSetting']),
    versionNumber: number(kept['versionNumber']) ?? 1,
    seq: number(kept['seq']) ?? 1,
    ground: groundOf(kept['ground']),
    scale: scaleOf(kept['scale']),
    thermometer: thermometerOf(kept['thermometer']),
    outflowScale: outflowScaleOf(kept['outflowScale']),
  };
}

/** `null` where an entry cannot be read: a brew without one of its marks is another brew. */
function logOfKept(kept: unknown): BenchBrew['log'] | null {
  const entries = Array.isArray(kept) ? kept.map(broughtUp) : null;
  if (!entries || entries.some((entry) => entryFault(entry) !== null)) return null;
  return mergedLogs(entries as BrewEntry[]);
}

function armOf(kept: unknown): BenchArm | null {
  if (!isObject(kept)) return null;
  const { id, comparisonId, letter } = kept;
  return isId(id) && isId(comparisonId) ? { id, comparisonId, letter: words(letter) } : null;
}

function words(value: unknown): string {
  return typeof value === 'string' ? value : '';
}

function oneOf<T extends string>(values: readonly T[], value: unknown): T | null {
  return values.find((each) => each === value) ?? null;
}

function number(value: unknown): number | null {
  return isNumber(value) ? value : null;
}

function isPlan(value: unknown): value is BrewPlan {
  return isObject(value) && checkDto(PlanDto, value).length === 0;
}

/** What the forecast knows can be had anew; half of it would be worse than nothing. */
function groundOf(value: unknown): BoardGround | null {
  const isWhole =
    isObject(value) && isObject(value['kit']) && isObject(value['prior']) && Array.isArray(value['brews']);
  // Older pages kept nothing of other kit.
  return isWhole ? { elsewhere: [], ...(value as Omit<BoardGround, 'elsewhere'>) } : null;
}

function scaleOf(value: unknown): ScaleChoice {
  const text = JSON.stringify(value);
  return SCALE_CHOICES.find(({ choice }) => JSON.stringify(choice) === text)?.choice ?? { kind: 'none' };
}

function thermometerOf(value: unknown): ThermometerChoice {
  return THERMOMETER_CHOICES.find(({ choice }) => choice === value)?.choice ?? 'none';
}

function outflowScaleOf(value: unknown): OutflowChoice {
  return OUTFLOW_CHOICES.find(({ choice }) => choice === value)?.choice ?? 'none';
}
