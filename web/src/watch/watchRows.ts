import type { WatchedFigure, WatchPoint } from '@vendu/core';
import type { WatchPhaseView, WatchView } from '@vendu/contract';

export const ORDERS = ['date', 'age', 'batch'] as const;
export type Order = (typeof ORDERS)[number];

/** A brew as it stands on a chart. */
export interface Row extends WatchPoint {
  x: number;
  number: number;
  versionNumber: number;
  roastAgeDays: number;
  roastedOn: string;
  by: string;
}

/** The limits over a stretch of the chart. */
export interface Stretch {
  from: number;
  to: number;
  centre: number;
  low: number;
  high: number;
}

/** Batches stand beside each other, their brews a little apart in the order brewed. */
const BESIDE = 0.12;

/**
 * One figure, brew by brew. By date every version that was public has its own limits; by age and by batch only the one that
 * is public now is shown, since another one is another recipe.
 */
export function watchRows(
  { phases, versionNumber }: Pick<WatchView, 'phases' | 'versionNumber'>,
  figure: WatchedFigure,
  order: Order,
): { rows: Row[]; stretches: Stretch[]; batches: string[] } {
  const shown = order === 'date' ? phases : phases.filter((phase) => phase.versionNumber === versionNumber);
  const batches = [
    ...new Set(
      shown.flatMap(({ proof, rechecks }) => [...proof, ...rechecks]).map(({ roastedOn }) => roastedOn),
    ),
  ].sort();
  const rows = shown.flatMap((phase) => rowsOf(phase, figure, order, batches));
  const ends = rows.map(({ x }) => x);
  const stretches = shown.flatMap((phase): Stretch[] => {
    const chart = phase.charts.find((each) => each.figure === figure);
    const own = rows.filter((row) => row.versionNumber === phase.versionNumber).map(({ x }) => x);
    if (!chart || own.length === 0) return [];
    const { centre, low, high } = chart;
    const [from, to] =
      order === 'date' ? [Math.min(...own), Math.max(...own)] : [Math.min(...ends), Math.max(...ends)];
    return [{ from, to, centre, low, high }];
  });
  return { rows, stretches, batches };
}

function rowsOf(
  phase: WatchPhaseView,
  figure: WatchedFigure,
  order: Order,
  batches: readonly string[],
): Row[] {
  const chart = phase.charts.find((each) => each.figure === figure);
  const inBatch = new Map<string, number>();
  return [...phase.proof, ...phase.rechecks].flatMap((brew): Row[] => {
    const place = inBatch.get(brew.roastedOn) ?? 0;
    inBatch.set(brew.roastedOn, place + 1);
    const point = chart?.points.find(({ brewId }) => brewId === brew.id);
    if (!point) return [];
    const { number, roastAgeDays, roastedOn, by } = brew;
    const x = {
      date: Date.parse(brew.startedAt),
      age: roastAgeDays,
      batch: batches.indexOf(roastedOn) + BESIDE * place,
    }[order];
    return [{ ...point, x, number, versionNumber: phase.versionNumber, roastAgeDays, roastedOn, by }];
  });
}
