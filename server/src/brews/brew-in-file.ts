import { createHash } from 'node:crypto';
import { isAfter, isBefore } from 'date-fns';
import {
  beverageFault,
  benchSteps,
  logOf,
  planWaterG,
  readingFault,
  type BrewLog,
  type BrewPlan,
} from '@vendu/core';
import type { BrewInFileDto, FieldError } from '@vendu/contract';
import { EARLIEST_BREW } from './believable-start.js';

/** A batch of the lot, and a version of its recipe, as far as a line of a table asks for them. */
export interface KnownBatch {
  id: number;
  roastedOn: string;
}
export interface KnownVersion {
  id: number;
  number: number;
  plan: BrewPlan;
}

/** What a line means in this lot. */
export interface BrewMeant {
  startedAt: Date;
  version: KnownVersion;
  batch: KnownBatch;
}

/** The batch and version that a line means; or what is wrong with it, by field. */
export function meantBy(
  brew: BrewInFileDto,
  {
    batches,
    versions,
    now,
  }: { batches: readonly KnownBatch[]; versions: readonly KnownVersion[]; now: Date },
): BrewMeant | FieldError[] {
  const { brewedAt, roastedOn, version: number } = brew;
  if (brewedAt === null) return [{ field: 'brewedAt', message: 'Brewed is required.' }];
  const startedAt = new Date(brewedAt);
  if (isBefore(startedAt, EARLIEST_BREW) || isAfter(startedAt, now)) {
    return [{ field: 'brewedAt', message: 'Brewed must be from 2020 until now.' }];
  }
  const day = startedAt.toISOString().slice(0, 10);
  const batch =
    roastedOn === null
      ? batches.findLast((each) => each.roastedOn <= day)
      : batches.find((each) => each.roastedOn === roastedOn);
  if (!batch) {
    const message =
      roastedOn === null
        ? 'No batch was roasted by then; add it to the lot first.'
        : `No batch of this lot was roasted on ${roastedOn}; add it to the lot first.`;
    return [{ field: 'roastedOn', message }];
  }
  if (batch.roastedOn > day) {
    return [{ field: 'roastedOn', message: 'This batch was roasted later than it was brewed.' }];
  }
  const version = number === null ? versions.at(-1) : versions.find((each) => each.number === number);
  if (!version) return [{ field: 'version', message: `The recipe has no version ${number}.` }];
  const faults = figureFaults(brew, version.plan);
  return faults.length > 0 ? faults : { startedAt, version, batch };
}

/** What core says of the figures of a line. */
export function figureFaults(
  { beverageG, waterG, tdsPercents }: BrewInFileDto,
  plan: BrewPlan,
): FieldError[] {
  const tooMuch =
    beverageG === null ? null : beverageFault({ beverageG, waterG: waterG ?? planWaterG(plan), bypassG: 0 });
  const slipped = tdsPercents.flatMap((tdsPercent) => readingFault({ tdsPercent }) ?? []);
  return [
    ...(tooMuch ? [{ field: 'beverageG', message: tooMuch.message }] : []),
    ...slipped.slice(0, 1).map(({ message }) => ({ field: 'tdsPercents', message })),
  ];
}

/** All that such a line tells of the clock: when the first pour began, and when the bed had drained. */
export function logInFile(
  { drainS, note }: Pick<BrewInFileDto, 'drainS' | 'note'>,
  { startedAt, version }: BrewMeant,
): BrewLog {
  const drawdown = benchSteps(version.plan).length - 1;
  const startMs = startedAt.getTime();
  const mark = (stepIndex: number, atS: number) => ({
    kind: 'marked' as const,
    atMs: startMs + atS * 1000,
    stepIndex,
    skipped: false,
    by: 'table' as const,
  });
  return logOf('a table', [
    mark(0, 0),
    ...(drainS === null ? [] : [mark(drawdown, drainS)]),
    ...(note === '' ? [] : [{ kind: 'noted' as const, atMs: startMs, text: note }]),
  ]);
}

/** The same line has the same key, so that a table read in twice is stored once; a UUID (version 8, RFC 9562). */
export function keyOfLine(recipeId: number, brew: BrewInFileDto): string {
  const { brewedAt, version, doseG, waterG, beverageG, drainS } = brew;
  const told = JSON.stringify([recipeId, brewedAt, version, doseG, waterG, beverageG, drainS]);
  const hex = createHash('sha256').update(told).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
