import {
  BENCH_EVENTS,
  NOT_STARTED,
  PREPARATION_TASKS,
  type BenchEvent,
  type BenchMark,
  type BrewPlan,
  type CupRule,
  type PreparationTask,
} from '@vendu/core';
import { checkDto, PlanDto } from '@vendu/contract';
import type { BoardGround } from '../board/forecaster';
import { OUTFLOW_CHOICES, type OutflowChoice } from '../instruments/outflowChoices';
import { SCALE_CHOICES, type ScaleChoice } from '../instruments/scaleChoices';
import { THERMOMETER_CHOICES, type ThermometerChoice } from '../instruments/thermometerChoices';
import { HEARD_OUTFLOW, type BenchBrew, type HeardOutflow } from './benchBrew';

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
  const run = isObject(kept['run']) ? marksOf(kept['run']['marks']) : null;
  if (typeof key !== 'string' || run === null || !isPlan(plan)) return null;
  if (!isId(lotId) || !isId(recipeId) || !isId(recipeVersionId) || !isId(roastBatchId)) return null;
  return {
    key,
    lotId,
    recipeId,
    recipeVersionId,
    roastBatchId,
    plan,
    run: run.length === 0 ? NOT_STARTED : { marks: run },
    wasStarted: kept['wasStarted'] === true || run.length > 0,
    lotName: words(kept['lotName']),
    additions: words(kept['additions']),
    brewerName: words(kept['brewerName']),
    paper: words(kept['paper']),
    grinderName: words(kept['grinderName']),
    note: words(kept['note']),
    rinseG: number(kept['rinseG']) ?? 0,
    grinderSetting: number(kept['grinderSetting']),
    versionNumber: number(kept['versionNumber']) ?? 1,
    seq: number(kept['seq']) ?? 1,
    ground: groundOf(kept['ground']),
    totalsG: totalsOf(kept['totalsG']),
    moved: listOf(kept['moved'], isMove),
    answered: listOf(kept['answered'], isNumber),
    prepared: listOf(kept['prepared'], isTask),
    leftOut: listOf(kept['leftOut'], isTask),
    events: listOf(kept['events'], isEvent),
    scale: scaleOf(kept['scale']),
    thermometer: thermometerOf(kept['thermometer']),
    outflowScale: outflowScaleOf(kept['outflowScale']),
    heard: listOf(kept['heard'], isHeard),
    cups: cupsOf(kept['cups']),
  };
}

function words(value: unknown): string {
  return typeof value === 'string' ? value : '';
}

function number(value: unknown): number | null {
  return isNumber(value) ? value : null;
}

function listOf<T>(value: unknown, isOne: (each: unknown) => each is T): T[] {
  return Array.isArray(value) ? value.filter(isOne) : [];
}

function isPlan(value: unknown): value is BrewPlan {
  return isObject(value) && checkDto(PlanDto, value).length === 0;
}

/** `null` where one of them cannot be read: a brew without one of its marks is another brew. */
function marksOf(value: unknown): BenchMark[] | null {
  if (!Array.isArray(value) || !value.every(isMark)) return null;
  return value;
}

function isMark(value: unknown): value is BenchMark {
  return (
    isObject(value) &&
    Number.isInteger(value['stepIndex']) &&
    isNumber(value['atMs']) &&
    typeof value['skipped'] === 'boolean'
  );
}

function isMove(value: unknown): value is BenchBrew['moved'][number] {
  return isObject(value) && isNumber(value['fromPour']) && isNumber(value['byG']);
}

function isTask(value: unknown): value is PreparationTask {
  return PREPARATION_TASKS.some((task) => task === value);
}

function isEvent(value: unknown): value is BenchEvent {
  return (
    isObject(value) &&
    BENCH_EVENTS.some((kind) => kind === value['kind']) &&
    isNumber(value['atS']) &&
    (value['figure'] === null || isNumber(value['figure'])) &&
    typeof value['text'] === 'string'
  );
}

function totalsOf(value: unknown): Record<number, number> {
  if (!isObject(value)) return {};
  return Object.fromEntries(
    Object.entries(value).filter((entry): entry is [string, number] => isNumber(entry[1])),
  );
}

/** What the forecast knows can be had anew; half of it would be worse than nothing. */
function groundOf(value: unknown): BoardGround | null {
  const isWhole =
    isObject(value) && isObject(value['kit']) && isObject(value['prior']) && Array.isArray(value['brews']);
  return isWhole ? (value as unknown as BoardGround) : null;
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

function isHeard(value: unknown): value is HeardOutflow {
  return HEARD_OUTFLOW.some((heard) => heard === value);
}

function cupsOf(value: unknown): CupRule {
  if (!isObject(value)) return { kind: 'none' };
  if (value['kind'] === 'time' && isNumber(value['everyS'])) return { kind: 'time', everyS: value['everyS'] };
  if (value['kind'] === 'mass' && isNumber(value['everyG'])) return { kind: 'mass', everyG: value['everyG'] };
  return { kind: 'none' };
}
