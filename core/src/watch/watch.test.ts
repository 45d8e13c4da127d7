import { describe, expect, it } from 'vitest';
import { normalDraw, seededRandom } from '../random/seededRandom.js';
import { batchShift, batchShiftWords } from './batchShift.js';
import { houseBatches } from './houseBatches.js';
import { likelyCause } from './likelyCause.js';
import type { LotShift } from './sharedShifts.js';
import { recheckDue, type WatchedNow } from './recheckDue.js';
import { watchChart } from './watchChart.js';
import type { WatchedBrew } from './watchedBrew.js';
import { USUAL_SPREAD, USUAL_WATCH_LIMITS } from './watchLimits.js';
import { causeWords, recheckWords } from './watchWords.js';

let made = 0;
const brew = (facts: Partial<WatchedBrew> = {}): WatchedBrew => {
  made += 1;
  return {
    id: made,
    number: made,
    startedAt: '2026-11-01T09:00:00Z',
    by: 'Tamsin',
    roastBatchId: 1,
    roastedOn: '2026-10-22',
    roastAgeDays: 10,
    grinder: 'house',
    brewer: 'cone',
    paper: 'white',
    water: 'mixed',
    tdsPercent: 1.3,
    yieldPercent: 20,
    drainS: 170,
    liked: 7,
    ...facts,
  };
};
const read = (...tds: (number | null)[]) => tds.map((tdsPercent) => brew({ tdsPercent }));
const charted = (proof: WatchedBrew[], rechecks: WatchedBrew[]) => {
  const chart = watchChart({ figure: 'strength', proof, rechecks, limits: USUAL_WATCH_LIMITS });
  if (!chart) throw new Error('nothing was measured');
  return chart;
};

describe('the chart of a public recipe', () => {
  it('has what was proven in its middle, and its own spread beside the usual one', () => {
    const chart = charted(read(1.28, 1.32, 1.3), read(1.31, null, 1.29));
    expect(chart.centre).toBeCloseTo(1.3, 10);
    // Ranges 0.04 and 0.02 over d2, and four times the usual: by hand.
    const own = (0.04 / 1.128) ** 2 + (0.02 / 1.128) ** 2;
    expect(chart.sd).toBeCloseTo(Math.sqrt((4 * USUAL_SPREAD.strength ** 2 + own) / 6), 10);
    expect(chart.points.map(({ isRecheck }) => isRecheck)).toEqual([false, false, false, true, true]);
    expect(chart.points[3]?.movingRange).toBeCloseTo(0.01, 10);
    expect(chart.points.flatMap(({ signals }) => signals)).toEqual([]);
    expect(
      watchChart({
        figure: 'liking',
        proof: [brew({ liked: null })],
        rechecks: [],
        limits: USUAL_WATCH_LIMITS,
      }),
    ).toBeNull();
  });

  it('gives one far off as what it is, and two that are off on one side', () => {
    const far = charted(read(1.3, 1.3, 1.3), read(1.31, 1.14));
    expect(far.points.at(-1)?.signals).toEqual(['beyond-3-sigma', 'beyond-limit']);
    const twice = charted(read(1.3, 1.3, 1.3), read(1.215, 1.3, 1.21));
    expect(twice.points.at(-1)?.signals).toEqual(['two-of-three-beyond-2-sigma']);
    // What was proven cannot go off.
    expect(charted(read(1.3, 1.3, 1.0), []).points.flatMap(({ signals }) => signals)).toEqual([]);
  });

  it('seldom calls what did not drift, and soon what did', () => {
    const random = seededRandom(2026);
    const draws = (count: number, mean: number) =>
      Array.from({ length: count }, () => normalDraw(random, { mean, sd: USUAL_SPREAD.strength }));
    const RUNS = 1500;
    const RECHECKS = 12;
    let called = 0;
    let waited = 0;
    for (let run = 0; run < RUNS; run++) {
      const quiet = charted(read(...draws(3, 1.3)), read(...draws(RECHECKS, 1.3)));
      called += quiet.points.filter(({ signals }) => signals.length > 0).length;
      const drifted = charted(read(...draws(3, 1.3)), read(...draws(RECHECKS, 1.2)));
      const seen = drifted.points.findIndex(({ signals }) => signals.length > 0);
      waited += seen < 0 ? RECHECKS : seen - 2;
    }
    const falseShare = called / (RUNS * RECHECKS);
    // 1.0 of 100 and at the third recheck, when this was written.
    expect(falseShare).toBeLessThan(0.015);
    expect(waited / RUNS).toBeLessThan(3.5);
  });
});

describe('a recheck', () => {
  const now = (facts: Partial<WatchedNow> = {}): WatchedNow => ({
    today: '2026-11-10',
    publishedOn: '2026-10-31',
    batches: [{ id: 1, roastedOn: '2026-10-22' }],
    grinder: 'house',
    brewer: 'cone',
    paper: 'white',
    water: 'mixed',
    ...facts,
  });
  const due = (facts: Partial<WatchedNow> = {}, brews = [brew()]) =>
    recheckDue({ brews, now: now(facts), limits: USUAL_WATCH_LIMITS });

  it('is due by time, and says when it will be', () => {
    // Brewed on the 1st at ten days: by age on the 11th, by time on the 15th.
    expect(due()).toEqual({ reasons: [], dueOn: '2026-11-11' });
    expect(due({}, [brew({ roastAgeDays: 20 })]).dueOn).toBe('2026-11-15');
    expect(due({ today: '2026-11-15' }).reasons[0]).toEqual({ kind: 'time', sinceDays: 14 });
    const never = due({}, []);
    expect(never.dueOn).toBe('2026-10-31');
    expect(recheckWords(never.reasons[0]!)).toBe('Last brewed 10 days ago.');
  });

  it('is due for a batch that it was never brewed with, and for one that grew old', () => {
    const batches = [
      { id: 1, roastedOn: '2026-10-22' },
      { id: 2, roastedOn: '2026-11-08' },
    ];
    expect(due({ batches }).reasons).toEqual([
      { kind: 'new-batch', roastBatchId: 2, roastedOn: '2026-11-08' },
    ]);
    expect(due({ batches }, [brew(), brew({ roastBatchId: 2 })]).reasons).toEqual([]);
    // Nineteen days on the 10th, brewed at ten; at nine it was near enough.
    expect(due({ today: '2026-11-11' }).reasons).toEqual([{ kind: 'older', ageDays: 20, oldestDays: 10 }]);
  });

  it('is due after another grinder, paper or water, where both are known', () => {
    expect(due({ grinder: 'house, new burrs', water: null }).reasons).toEqual([
      { kind: 'kit', what: 'grinder', from: 'house', to: 'house, new burrs' },
    ]);
    expect(due({ water: 'tap' }).reasons.map(recheckWords)).toEqual(['Another water since: mixed, now tap.']);
  });
});

describe('a new batch', () => {
  it('is expected to do what those before it did, by the first brew of each', () => {
    const proof = read(1.3, 1.3, 1.3);
    const since = [
      brew({ tdsPercent: 1.31 }),
      brew({ roastBatchId: 2, tdsPercent: null }),
      brew({ roastBatchId: 2, tdsPercent: 1.26 }),
      brew({ roastBatchId: 2, tdsPercent: 1.1 }),
      brew({ roastBatchId: 3, tdsPercent: 1.28 }),
    ];
    const found = batchShift({ proof, brews: since });
    expect(found?.batches).toBe(2);
    expect(found?.meanPercent).toBeCloseTo(-0.03, 10);
    expect(found?.mostPercent).toBeCloseTo(0.04, 10);
    expect(batchShiftWords(found, null)).toBe(
      'The 2 batches before it were 0.03 % weaker on the mean, 0.04 % at most.',
    );
    const none = batchShift({ proof, brews: since.slice(0, 1) });
    expect(batchShiftWords(none, null)).toMatch(/is not known\.$/);
    expect(batchShiftWords(none, houseBatches([[0.03, -0.05], [0.04], []]))).toBe(
      // By hand: sqrt((9 + 25 + 16) / 3) = 4.08 hundredths; Student's 0.95 at 3 degrees is 2.353 (published tables).
      'No batch came after its proof yet. 3 new batches of 2 recipes here moved strength by 0.04 % (root mean square): expect it within ±0.10 %, nine times of ten.',
    );
    expect(houseBatches([[0.03, -0.05]])).toBeNull();
    expect(batchShift({ proof: [], brews: since })).toBeNull();
  });
});

describe('what likely drifted', () => {
  const proof = read(1.3, 1.3, 1.3);
  const off = (facts: Partial<WatchedBrew> = {}, others: LotShift[] = []) => {
    const drifted = brew({ tdsPercent: 1.15, ...facts });
    return likelyCause({ chart: charted(proof, [drifted]), brew: drifted, proof, others });
  };
  const moved = (lotId: number, grinder: string, byStrengthSd: number): LotShift => ({
    lotId,
    grinder,
    byStrengthSd,
    byDrainSd: null,
  });

  it('is the grinder where its other lots moved the same way, and lots elsewhere did not', () => {
    const onIt = [moved(2, 'house', -2), moved(3, 'house', -1.5)];
    expect(off({ roastBatchId: 9 }, onIt)).toEqual({ kind: 'grinder', grinder: 'house', lots: 2 });
    expect(off({ roastBatchId: 9 }, [...onIt, moved(4, 'travel', -2)])).toMatchObject({ kind: 'batch' });
    expect(off({}, [moved(2, 'house', 2), moved(3, 'house', 1.5)])).toEqual({ kind: 'unknown' });
    expect(off({}, [moved(2, 'house', -3)])).toEqual({ kind: 'unknown' });
  });

  it('is what none of the proof had: water before batch, batch before age, age before hand', () => {
    expect(off({ water: 'tap', roastBatchId: 9 })).toMatchObject({ kind: 'water', from: 'mixed', to: 'tap' });
    expect(off({ roastBatchId: 9, roastAgeDays: 30 })).toMatchObject({ kind: 'batch' });
    expect(off({ roastAgeDays: 18, by: 'Joss' })).toEqual({ kind: 'age', ageDays: 18, provenToDays: 10 });
    expect(off({ by: 'Joss' })).toEqual({ kind: 'hand', by: 'Joss' });
    expect(causeWords(off()).tellsApart).toMatch(/^Brew it once more as it is/);
  });
});
