import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import type { WatchedFigure } from '@vendu/core';
import type { WatchView } from '@vendu/contract';
import { parsedJson } from '../database/raw-row.js';
import { NOTHING_ELSEWHERE, type WatchReader } from './watch-reader.js';
import type { KeptShift, WatchState } from './watch-state.js';

/** A lot with nothing public is in nobody's watch. */
const NOT_WATCHED = { recheckOn: null, alarms: 0, state: null };

/**
 * Brings what the lists say of a lot's public recipes up to date: when they are due, what is off, and how far.
 *
 * @returns the recipes that held until now and are off
 */
export async function refreshWatch(
  sequelize: Sequelize,
  reader: WatchReader,
  lotId: number,
): Promise<WatchView[]> {
  const rows = await sequelize.query<{ id: number }>(
    `SELECT DISTINCT recipes.id FROM recipes JOIN publications ON publications.recipe_id = recipes.id
    WHERE recipes.lot_id = :lotId AND publications.withdrawn_at IS NULL`,
    { replacements: { lotId }, type: QueryTypes.SELECT },
  );
  const states: WatchState[] = [];
  const wentOff: WatchView[] = [];
  const wereOff = await offBefore(sequelize, lotId);
  for (const { id } of rows) {
    // What other lots say of the grinder changes with them, and is read when somebody looks.
    const view = await reader.ofRecipe(id, NOTHING_ELSEWHERE);
    if (!view) continue;
    states.push(stateOf(view));
    if (view.alarms.length > 0 && !wereOff.has(id)) wentOff.push(view);
  }
  const [earliest] = states.map(dueOf).sort();
  const kept = earliest
    ? {
        recheckOn: earliest,
        alarms: states.reduce((sum, { alarms }) => sum + alarms.length, 0),
        state: JSON.stringify(states),
      }
    : NOT_WATCHED;
  await sequelize.query(
    'UPDATE lots SET recheck_on = :recheckOn, watch_alarms = :alarms, watch_state = :state WHERE id = :lotId',
    { replacements: { lotId, ...kept } },
  );
  return wentOff;
}

async function offBefore(sequelize: Sequelize, lotId: number): Promise<Set<number>> {
  const [row] = await sequelize.query<{ state: string | WatchState[] | null }>(
    'SELECT watch_state AS state FROM lots WHERE id = :lotId',
    { replacements: { lotId }, type: QueryTypes.SELECT },
  );
  const states = row?.state ? parsedJson<WatchState[]>(row.state) : [];
  return new Set(states.flatMap(({ recipeId, alarms }) => (alarms.length > 0 ? [recipeId] : [])));
}

function stateOf(view: WatchView): WatchState {
  const { recipeId, recipeVersionId, versionNumber, due, alarms, phases, batchShift } = view;
  const now = phases.find((phase) => phase.versionNumber === versionNumber);
  const brews = now ? [...now.proof, ...now.rechecks] : [];
  return {
    recipeId,
    recipeVersionId,
    versionNumber,
    dueOn: due.dueOn,
    reasons: due.reasons.filter(({ kind }) => kind === 'new-batch' || kind === 'kit'),
    alarms,
    lastCheckedAt: brews.at(-1)?.startedAt ?? null,
    shift: shiftOf(now),
    batchShiftsPercent: batchShift?.shiftsPercent ?? [],
  };
}

/** A new batch, other kit, and a cup that went off ask at once. */
function dueOf({ dueOn, reasons, alarms }: WatchState): string {
  const today = new Date().toISOString().slice(0, 10);
  return (reasons.length > 0 || alarms.length > 0) && today < dueOn ? today : dueOn;
}

function shiftOf(phase: WatchView['phases'][number] | undefined): KeptShift | null {
  const last = phase?.rechecks.at(-1);
  if (!phase || !last) return null;
  const byStrengthSd = offBy(phase, 'strength', last.id);
  if (byStrengthSd === null) return null;
  return {
    grinder: last.grinder,
    byStrengthSd,
    byDrainSd: offBy(phase, 'drain', last.id),
    on: last.startedAt.slice(0, 10),
  };
}

/** In standard deviations of one brew. */
function offBy({ charts }: WatchView['phases'][number], of: WatchedFigure, brewId: number): number | null {
  const chart = charts.find(({ figure }) => figure === of);
  const point = chart?.points.find((each) => each.brewId === brewId);
  return chart && point ? (point.value - chart.centre) / chart.sd : null;
}
