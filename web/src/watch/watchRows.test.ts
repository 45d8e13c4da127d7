import { describe, expect, it } from 'vitest';
import { USUAL_WATCH_LIMITS, watchChart, type WatchedBrew } from '@vendu/core';
import type { WatchPhaseView } from '@vendu/contract';
import { watchRows } from './watchRows';

let made = 0;
const brew = (
  startedAt: string,
  roastedOn: string,
  roastAgeDays: number,
  tdsPercent: number | null = 1.3,
): WatchedBrew => {
  made += 1;
  return {
    id: made,
    number: made,
    startedAt: `${startedAt}T09:00:00Z`,
    roastedOn,
    roastAgeDays,
    tdsPercent,
    by: 'Tamsin',
    roastBatchId: 1,
    grinder: 'house',
    brewer: 'cone',
    paper: 'white',
    water: null,
    yieldPercent: null,
    drainS: null,
    liked: null,
  };
};
function phase(versionNumber: number, proof: WatchedBrew[], rechecks: WatchedBrew[]): WatchPhaseView {
  const chart = watchChart({ figure: 'strength', proof, rechecks, limits: USUAL_WATCH_LIMITS });
  return { versionNumber, publishedAt: '', proof, rechecks, charts: chart ? [chart] : [] };
}
const watch = {
  versionNumber: 2,
  phases: [
    phase(1, [brew('2026-09-01', '2026-08-25', 7, 1.2)], [brew('2026-09-20', '2026-08-25', 26, null)]),
    phase(
      2,
      [brew('2026-10-01', '2026-09-20', 11)],
      [brew('2026-10-20', '2026-10-12', 8), brew('2026-10-22', '2026-10-12', 10)],
    ),
  ],
};

describe('the brews of a public recipe in order', () => {
  it('by date, each version over its own limits, without what nobody measured', () => {
    const { rows, stretches } = watchRows(watch, 'strength', 'date');
    expect(rows.map(({ number }) => number)).toEqual([1, 3, 4, 5]);
    expect(rows[1]?.x).toBe(Date.parse('2026-10-01T09:00:00Z'));
    expect(stretches.map(({ centre }) => centre)).toEqual([1.2, 1.3]);
  });

  it('by age and by batch, of the version that is public alone', () => {
    expect(watchRows(watch, 'strength', 'age').rows.map(({ x }) => x)).toEqual([11, 8, 10]);
    const byBatch = watchRows(watch, 'strength', 'batch');
    expect(byBatch.batches).toEqual(['2026-09-20', '2026-10-12']);
    expect(byBatch.rows.map(({ x }) => x)).toEqual([0, 1, 1.12]);
    expect(byBatch.stretches).toHaveLength(1);
  });

  it('is nothing of a figure that nobody measured', () => {
    expect(watchRows(watch, 'liking', 'date')).toMatchObject({ rows: [], stretches: [] });
  });
});
