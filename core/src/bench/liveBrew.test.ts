import { describe, expect, it } from 'vitest';
import { planWaterG, pourKettlesC, runningTotalsG } from '../plan/plan.js';
import { planFaults } from '../plan/planFaults.js';
import { valueOf } from '../result.js';
import { PLAN as plan } from '../testing/brews.js';
import { afterBrew } from './afterBrew.js';
import { benchSteps } from './benchSteps.js';
import { isCupDue } from './cupChanges.js';
import { drainToCome, type DrainBelief } from './drainBelief.js';
import { drainOutlook, stalledAfterS } from './drainWatch.js';
import { normalDraw, seededRandom } from '../random/seededRandom.js';
import { correctionAfter, leadOf, planAsGoing, withTotalsMoved } from './liveBrew.js';
import { HANDS } from '../instruments/hands.js';
import { simulatedScale } from '../instruments/simulatedScale.js';
import { closingOf } from './closing.js';
import { preparationOf } from './preparation.js';
import { totalsFromTrace } from './totalsFromTrace.js';

const totals = runningTotalsG(plan);
const stepOf = (pourNumber: number) =>
  benchSteps(plan).findIndex((step) => step.kind === 'pour' && step.pourNumber === pourNumber);
const done = (stepIndex: number, atS: number, skipped = false) => ({ stepIndex, atS, skipped, totalG: null });

describe('lead and lag', () => {
  it('is nothing on the plan', () => {
    const pour = plan.pours[1]!;
    const totalG = (totals[0] ?? 0) + 3 * pour.flowGps;
    expect(leadOf({ plan, atS: pour.startS + 3, totalG })).toEqual({
      aheadG: 0,
      aheadS: expect.closeTo(0, 6) as number,
    });
  });

  it('tells seconds while pouring and grams always', () => {
    const pour = plan.pours[1]!;
    const late = leadOf({ plan, atS: pour.startS + 5, totalG: (totals[0] ?? 0) + 2 * pour.flowGps });
    expect(late.aheadS).toBeCloseTo(-3, 6);
    expect(late.aheadG).toBeCloseTo(-3 * pour.flowGps, 1);
    const over = leadOf({ plan, atS: pour.startS - 12, totalG: (totals[0] ?? 0) + 6 });
    expect(over).toEqual({ aheadG: 6, aheadS: null });
  });
});

describe('a pour that missed its total', () => {
  it('offers to keep the next total or the next amount', () => {
    expect(correctionAfter({ plan, pourNumber: 1, shownG: (totals[0] ?? 0) + 6.2 })).toEqual({
      pourNumber: 1,
      overG: 6.2,
      moveByG: 6,
      keepAmountG: (totals[1] ?? 0) + 6,
      keepTotalG: totals[1],
    });
  });

  it('says nothing of a scatter, of the last pour, or of a pour that is none', () => {
    expect(correctionAfter({ plan, pourNumber: 1, shownG: (totals[0] ?? 0) + 1.5 })).toBeNull();
    expect(correctionAfter({ plan, pourNumber: plan.pours.length, shownG: 400 })).toBeNull();
    expect(correctionAfter({ plan, pourNumber: 9, shownG: 400 })).toBeNull();
  });

  it('moves every later total by what was chosen', () => {
    const moved = withTotalsMoved(plan, { fromPour: 2, byG: 6 });
    expect(runningTotalsG(moved)).toEqual([totals[0], (totals[1] ?? 0) + 6, (totals[2] ?? 0) + 6]);
  });
});

describe('the plan as the brew is going', () => {
  it('is the plan while nothing was done', () => {
    expect(planAsGoing({ plan, done: [], events: [] })).toEqual(plan);
  });

  it('has late pours late, misses taken up by the next, and swirls left out gone', () => {
    const swirl = benchSteps(plan).findIndex((step) => step.kind === 'agitate');
    const going = planAsGoing({
      plan,
      done: [{ ...done(0, 0), totalG: (totals[0] ?? 0) + 6 }, done(swirl, 9, true), done(stepOf(2), 52)],
      events: [],
    });
    expect(going.pours[0]).toMatchObject({ amountG: (totals[0] ?? 0) + 6, agitation: 'none' });
    expect(going.pours[1]).toMatchObject({ startS: 52, amountG: (plan.pours[1]?.amountG ?? 0) - 6 });
    expect(planWaterG(going)).toBe(planWaterG(plan));
    expect(planFaults({ plan: { ...going, drawdownS: 600 } })).toEqual([]);
  });

  it('never lets pours run into each other, however late one is', () => {
    const going = planAsGoing({ plan, done: [done(0, 0), done(stepOf(2), 95)], events: [] });
    expect(planFaults({ plan: { ...going, drawdownS: 600 } })).toEqual([]);
    expect(going.pours[2]?.startS).toBeGreaterThan(95);
  });

  it('has not begun a pour that is due and not marked, at any moment that something else was written down', () => {
    const seen = { kind: 'bed-shows' as const, atS: 71 };
    const going = planAsGoing({ plan, done: [done(0, 0)], events: [seen] });
    expect(going.pours[0]?.startS).toBe(0);
    expect(going.pours[1]?.startS).toBe(71);
    expect(planFaults({ plan: { ...going, drawdownS: 600 } })).toEqual([]);
  });

  it('has the water as hot as it was read for the pour that began nearest', () => {
    const by = { instrument: '', isSimulated: false };
    const read = (atS: number, kettleC: number) => ({ kind: 'kettle-read' as const, atS, kettleC, ...by });
    const going = planAsGoing({
      plan,
      done: [done(0, 0), done(stepOf(2), 44)],
      events: [read(0, 91), read(43.6, 90), read(44, 89.5)],
    });
    expect(going.pours.map(({ kettleC }) => kettleC)).toEqual([91, 89.5, undefined]);
    expect(pourKettlesC(going)).toEqual([91, 89.5, 89.5]);
  });
});

describe('the watch on the drain', () => {
  const sure = (valueS: number): DrainBelief => ({ valueS, lnSd: 0.05, amissLnSd: 0.4, isRough: false });
  const rough = (valueS: number): DrainBelief => ({ valueS, lnSd: 0.3, amissLnSd: 0.5, isRough: true });

  it.each([
    [160, 0, 'on-plan'],
    [200, 0, 'late'],
    [300, 0, 'stall'],
    [120, 0, 'early'],
    [70, 0, 'rush'],
    // The clock overtakes the forecast.
    [160, 230, 'stall'],
  ] as const)('a plan of 160 s surely expected at %s after %s s is %s', (expectedS, elapsedS, outlook) => {
    expect(drainOutlook({ plannedS: 160, belief: sure(expectedS), elapsedS })).toBe(outlook);
  });

  it('says nothing while the plan lies inside the band, wherever its middle is', () => {
    for (const valueS of [110, 160, 230]) {
      const belief = rough(valueS);
      const { lowS, highS } = drainToCome(belief, 0);
      expect([valueS, lowS < 160 && highS > 160]).toEqual([valueS, true]);
      expect(drainOutlook({ plannedS: 160, belief, elapsedS: 0 })).toBe('on-plan');
    }
  });

  it('has the clock alone where nothing is believed', () => {
    const by = (elapsedS: number) => drainOutlook({ plannedS: 160, belief: null, elapsedS });
    // A fifth and half past the plan: to the second.
    expect([192, 192.1, 240, 240.1].map(by)).toEqual(['on-plan', 'late', 'late', 'stall']);
    expect([by(60), by(195), by(250)]).toEqual(['on-plan', 'late', 'stall']);
  });

  it('is forecast for what is still to come, and never for what is past', () => {
    const belief = sure(165);
    expect(drainToCome(belief, 60).valueS).toBeCloseTo(165, 1);
    let beforeS = 165;
    for (const elapsedS of [150, 165, 180, 240, 600, 7200]) {
      const { lowS, valueS, highS } = drainToCome(belief, elapsedS);
      expect(lowS).toBeGreaterThan(elapsedS);
      expect(valueS).toBeGreaterThan(Math.max(lowS, beforeS));
      expect(highS).toBeGreaterThan(valueS);
      beforeS = valueS;
    }
  });

  it('does not creep along with the clock once it is past: what is left is a brew with something amiss', () => {
    const { lowS, valueS, highS } = drainToCome(sure(165), 200);
    expect(lowS).toBeGreaterThan(201.5);
    expect(valueS - 200).toBeGreaterThan(20);
    expect(highS - 200).toBeGreaterThan(100);
  });

  // Computed: one normal in the logarithm, drawn 200,000 times.
  it('holds nine in ten of those that have not drained yet', () => {
    const random = seededRandom(7);
    const belief = sure(165);
    for (const elapsedS of [100, 170, 190]) {
      const drains = Array.from({ length: 200_000 }, () => {
        const sd = random() < 0.1 ? belief.amissLnSd : belief.lnSd;
        return belief.valueS * Math.exp(normalDraw(random, { mean: 0, sd }));
      }).filter((atS) => atS > elapsedS);
      const { lowS, highS, laterThan } = drainToCome(belief, elapsedS);
      const share = (is: (atS: number) => boolean) => drains.filter(is).length / drains.length;
      expect(share((atS) => atS > lowS && atS < highS)).toBeCloseTo(0.9, 1);
      expect(share((atS) => atS > 210)).toBeCloseTo(laterThan(210), 1);
    }
  });

  it('has stalled after a quarter more, or past what was forecast', () => {
    expect(stalledAfterS({ drawdownS: 160 })).toBe(200);
    expect(stalledAfterS({ drawdownS: 160, forecastHighS: 240 })).toBe(240);
  });
});

describe('what to have ready', () => {
  const tasks = (more: object, rinseG: number) =>
    preparationOf({ plan: { ...plan, ...more }, rinseG }).map(({ task }) => task);
  it('follows paper and plan', () => {
    expect(tasks({}, 300)).toEqual(['water', 'rinse', 'discard', 'weigh', 'grind', 'level', 'tare']);
    expect(tasks({ ballUntilS: 40 }, 0)).toEqual(['water', 'weigh', 'grind', 'level', 'chill-ball', 'tare']);
    const hotFirst = {
      ...plan,
      pours: plan.pours.map((pour, at) => (at === 0 ? { ...pour, kettleC: 98 } : pour)),
    };
    expect(preparationOf({ plan: hotFirst, rinseG: 0 })[0]).toEqual({ task: 'water', figure: 98 });
    const built = preparationOf({ plan, rinseG: 300, fold: 'pleated', wallMaterial: 'ceramic' });
    expect(built.map(({ task }) => task).slice(0, 3)).toEqual(['water', 'fold', 'rinse']);
    // Half as much again warms a thick wall through (assumed).
    expect(built.find(({ task }) => task === 'rinse')?.figure).toBe(450);
    expect(closingOf(plan)).not.toContain('brush-sieve');
    expect(closingOf({ ...plan, sieveUm: 300, ballUntilS: 40 })).toEqual(
      expect.arrayContaining(['brush-sieve', 'chill-ball']),
    );
    expect(preparationOf({ plan, rinseG: 300 }).find(({ task }) => task === 'rinse')?.figure).toBe(300);
  });
});

describe('after the brew', () => {
  it('comes due in the order of cooling: sample, warm, cool', () => {
    expect(valueOf(afterBrew({ roomC: 21 })).map(({ task }) => task)).toEqual([
      'read',
      'taste-warm',
      'taste-cool',
    ]);
  });

  it('cools by Newton to the room: half of the excess in each half-life', () => {
    // Computed: from 80 to 50.5 °C in a room of 21 °C is one half-life of the cup, 22 min; 50 °C comes just after.
    const warm = valueOf(afterBrew({ roomC: 21, beverageC: 80 })).find(({ task }) => task === 'taste-warm');
    expect(warm?.dueS).toBeGreaterThan(1320);
    expect(warm?.dueS).toBeLessThan(1360);
  });

  it('lets a sample be read within three degrees of the room', () => {
    // Computed: (80 - 21) / 3 by half-lives of 150 s: ln(59 / 3) / ln(2) x 150 s.
    const read = valueOf(afterBrew({ roomC: 21, beverageC: 80 })).find(({ task }) => task === 'read');
    expect(read?.dueS).toBe(645);
  });

  it('is sooner for a cooler cup, and names a room that cannot be', () => {
    const at = (beverageC: number) => valueOf(afterBrew({ roomC: 21, beverageC })).map(({ dueS }) => dueS);
    for (const [index, dueS] of at(65).entries()) expect(dueS).toBeLessThan(at(85)[index] ?? 0);
    expect(afterBrew({ roomC: 60 })).toMatchObject({ reason: 'out-of-range', field: 'roomC' });
  });
});

describe('totals off the scale', () => {
  const traceOf = (untilS: number, silentFromS = Infinity) => {
    const scale = simulatedScale({ hand: { ...HANDS.steady, overSdG: 0, overG: 4 }, seed: 8 });
    let beforeG = 0;
    for (const pour of plan.pours) {
      beforeG += pour.amountG;
      scale.pour({ atS: pour.startS, toTotalG: beforeG, flowGps: pour.flowGps });
    }
    const atMs = Array.from({ length: untilS * 10 }, (_, index) => index * 100).filter(
      (at) => at < silentFromS * 1000,
    );
    return { atMs, massG: atMs.map((at) => scale.read(at / 1000)?.massG ?? 0) };
  };
  const marks = plan.pours.map((pour, index) => done(stepOf(index + 1), pour.startS));
  const read = (untilS: number, silentFromS?: number) =>
    totalsFromTrace({
      plan,
      done: marks.filter(({ atS }) => atS < untilS),
      trace: traceOf(untilS, silentFromS),
      nowMs: untilS * 1000,
    });

  it('are what stood there before the next pour, and the last once it stands still', () => {
    const after = read(140);
    // Each pour was to go 4 g over and the next to take it up, so every total is 4 g over but for noise.
    for (const [index, totalG] of totals.entries()) {
      expect(Math.abs((after[stepOf(index + 1)] ?? 0) - totalG - 4)).toBeLessThan(0.6);
    }
  });

  it('are not those of a knock on the bench', () => {
    const trace = traceOf(140);
    const knockedAt = (atS: number) =>
      trace.massG.map((massG, index) => (trace.atMs[index] === atS * 1000 ? massG + 6 : massG));
    // At the mark of the second pour, and at the moment when the last total is taken.
    for (const atS of [plan.pours[1]?.startS ?? 0, 139.9]) {
      const knocked = totalsFromTrace({
        plan,
        done: marks,
        trace: { ...trace, massG: knockedAt(atS) },
        nowMs: 139_900,
      });
      for (const [stepIndex, totalG] of Object.entries(read(140))) {
        expect(Math.abs((knocked[Number(stepIndex)] ?? 0) - totalG)).toBeLessThan(0.6);
      }
    }
  });

  it('say nothing of a pour under way, nor of one the scale did not see', () => {
    expect(read((plan.pours[1]?.startS ?? 0) + 4)).toEqual({ [stepOf(1)]: expect.any(Number) as number });
    expect(Object.keys(read(140, 30))).toEqual([]);
  });
});

describe('the cup of a split brew', () => {
  const due = (changes: number, elapsedS: number, massG: number | null) => ({
    time: isCupDue({ rule: { kind: 'time', everyS: 15 }, changes, elapsedS, massG }),
    mass: isCupDue({ rule: { kind: 'mass', everyG: 60 }, changes, elapsedS, massG }),
  });
  it('is called shortly before its time or its mass, once for each change', () => {
    expect(due(0, 12, 56)).toEqual({ time: false, mass: false });
    expect(due(0, 13.5, 57.5)).toEqual({ time: true, mass: true });
    expect(due(1, 16, 70)).toEqual({ time: false, mass: false });
    expect(due(1, 28, 118)).toEqual({ time: true, mass: true });
  });

  it('is never called by a mass that nobody knows, nor where the brew is not split', () => {
    expect(due(0, 100, null).mass).toBe(false);
    expect(isCupDue({ rule: { kind: 'none' }, changes: 0, elapsedS: 500, massG: 500 })).toBe(false);
  });
});
