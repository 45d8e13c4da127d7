import { describe, expect, it } from 'vitest';
import { drainBelief } from '../bench/drainBelief.js';
import { drainOutlook } from '../bench/drainWatch.js';
import { BREWER_CLASSES, PAPER_PER_M } from '../brewModel/hardware.js';
import { valueOf } from '../result.js';
import { calibrateLot } from './calibrateLot.js';
import { conditionsOfPlan, FACTORS } from './conditions.js';
import { modelledBrew, modelledOutflowG } from './modelled.js';
import { withOutflow } from './outflowSeen.js';

const FLOW = FACTORS.indexOf('flow');
const calibration = valueOf(calibrateLot({ brews: [] }));
const brew = conditionsOfPlan({
  plan: {
    doseG: 16,
    grindUm: 720,
    kettleC: 94,
    drawdownS: 170,
    pours: [
      { startS: 0, amountG: 40, flowGps: 6, agitation: 'none', isBloom: true },
      { startS: 45, amountG: 110, flowGps: 6, agitation: 'none', isBloom: false },
      { startS: 85, amountG: 100, flowGps: 6, agitation: 'none', isBloom: false },
    ],
  },
  kit: {
    brewer: BREWER_CLASSES.cone,
    paperPerM: PAPER_PER_M.ordinary,
    ambientC: 22,
    elevationM: 0,
  },
});

/** What runs through a bed of another flow than the lot's, by the model, up to a moment. */
function outflowOf(flowTimes: number, untilS: number, offG = 0) {
  const timesS = Array.from({ length: Math.floor(untilS / 5) }, (_, index) => (index + 1) * 5);
  const { factors } = calibration;
  const grams = modelledOutflowG(brew, { ...factors, flow: factors.flow * flowTimes }, timesS);
  return timesS.map((atS, index) => ({ atS, beverageG: (grams[index] ?? 0) + offG }));
}

const flowAfter = (outflow: ReturnType<typeof outflowOf>) =>
  withOutflow({ calibration, brew, outflow }).factors.flow / calibration.factors.flow;

describe('the outflow of a running brew', () => {
  it('tells nothing before it runs', () => {
    expect(withOutflow({ calibration, brew, outflow: [] })).toBe(calibration);
    expect(withOutflow({ calibration, brew, outflow: outflowOf(1, 10) })).toBe(calibration);
  });

  it.each([0.4, 0.7, 1, 1.5, 2.5])('of a bed that resists %d times as its lot finds it', (flowTimes) => {
    // The errors that the outflow is granted leave a fifth open; most of it has to be found.
    const found = flowAfter(outflowOf(flowTimes, 120));
    expect(Math.abs(Math.log(found / flowTimes))).toBeLessThan(0.2);
  });

  it.each([
    [60, 2],
    [90, 3],
    [120, 4],
  ])('makes the flow of the bed surer than the lot alone, after %d s %d times', (untilS, times) => {
    const learned = withOutflow({ calibration, brew, outflow: outflowOf(1, untilS) });
    const priorVar = calibration.lnCovariance[FLOW]?.[FLOW] ?? 0;
    expect(learned.lnCovariance[FLOW]?.[FLOW]).toBeLessThan(priorVar / times);
  });

  it('takes an amount that stays for what the bed keeps, not for a change of its flow', () => {
    const usual = flowAfter(outflowOf(1, 120));
    expect(Math.abs(Math.log(flowAfter(outflowOf(1, 120, -4)) / usual))).toBeLessThan(0.12);
  });

  it('moves the forecast of the drain before half of it is over', () => {
    const asLot = valueOf(drainBelief({ calibration, brew, seen: [] }));
    const slow = outflowOf(2.5, 0.45 * asLot.valueS);
    const belief = valueOf(drainBelief({ calibration, brew, seen: [], outflow: slow }));
    expect(belief.valueS).toBeGreaterThan(asLot.valueS * 1.3);
    expect(belief.lnSd).toBeLessThan(asLot.lnSd);
  });

  it.each([45, 55, 65, 80, 100])(
    'of a usual bed whose course lags as in a brew of other physics is no warning after %d s',
    (untilS) => {
      const { factors } = calibration;
      const known = valueOf(
        calibrateLot({
          brews: [1, 2, 3].map(() => ({ brew, ...modelledBrew(brew, factors, []), trace: [] })),
        }),
      );
      const plannedS = valueOf(drainBelief({ calibration: known, brew, seen: [] })).valueS;
      // Computed: a brew in layers runs 5 to 6 s behind the model's course once the first pour is in.
      const late = outflowOf(1, 200)
        .map(({ atS, beverageG }) => ({ atS: atS + 5, beverageG }))
        .filter(({ atS }) => atS <= untilS);
      const belief = valueOf(drainBelief({ calibration: known, brew, seen: [], outflow: late }));
      expect(drainOutlook({ plannedS, belief, elapsedS: untilS })).toBe('on-plan');
    },
  );

  it('that no bed explains changes nothing', () => {
    const taken = outflowOf(1, 120).map(({ atS }) => ({ atS, beverageG: -800 }));
    expect(withOutflow({ calibration, brew, outflow: taken })).toBe(calibration);
  });
});
