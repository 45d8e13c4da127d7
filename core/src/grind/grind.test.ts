import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BREWER_CLASSES, PAPER_PER_M } from '../brewModel/hardware.js';
import type { BrewConditions } from '../calibration/conditions.js';
import { modelledBrew } from '../calibration/modelled.js';
import { valueOf } from '../result.js';
import { blendGrinds, grindDistribution } from './grindDistribution.js';
import { grindFromDrainTimes } from './grindFromDrainTimes.js';
import { grinderCurve, settingAt, sizeAt } from './grinderCurve.js';
import { sieveGrind } from './sieveGrind.js';
import { grindEquivalent } from './grindEquivalent.js';
import { settingForSize, sizeOfSetting } from './settingForSize.js';

describe('sizes of a grind', () => {
  it('has the quantiles of a log-normal when there are no fines', () => {
    // Computed: ln-quantiles at -1.2816, 0 and 1.2816 spreads (standard normal table).
    const { d10Um, d50Um, d90Um } = valueOf(grindDistribution({ d50Um: 700, sigmaG: 1.5, finesShare: 0 }));
    expect(d50Um / 700).toBeCloseTo(1, 2);
    expect(d10Um / (700 * Math.pow(1.5, -1.2816))).toBeCloseTo(1, 2);
    expect(d90Um / (700 * Math.pow(1.5, 1.2816))).toBeCloseTo(1, 2);
  });

  it('adds up to one, and holds its fines below 100 um', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 300, max: 1500 }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        (d50Um, finesShare) => {
          const { classes, below100Share } = valueOf(grindDistribution({ d50Um, finesShare }));
          expect(classes.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
          expect(Math.min(...classes.map(({ share }) => share))).toBeGreaterThanOrEqual(0);
          expect(below100Share).toBeGreaterThan(0.97 * finesShare);
          expect(below100Share).toBeLessThan(finesShare + 0.01);
        },
      ),
    );
  });

  it('blends by mass: all of one is that one, half and half lies between', () => {
    const [fine, coarse] = [{ d50Um: 500 }, { d50Um: 1000 }];
    const all = valueOf(blendGrinds({ first: fine, second: coarse, firstShare: 1 }));
    expect(all.d50Um).toBeCloseTo(valueOf(grindDistribution(fine)).d50Um, 9);
    const half = valueOf(blendGrinds({ first: fine, second: coarse, firstShare: 0.5 }));
    expect(half.d50Um).toBeGreaterThan(all.d50Um);
    expect(half.d50Um).toBeLessThan(valueOf(grindDistribution(coarse)).d50Um);
  });

  it('names the figure that cannot be', () => {
    expect(grindDistribution({ d50Um: 3 })).toMatchObject({ field: 'd50Um', allowed: '50 to 5000 µm' });
    expect(blendGrinds({ first: { d50Um: 500 }, second: { d50Um: 600 }, firstShare: 2 })).toMatchObject({
      field: 'firstShare',
    });
  });
});

describe('a sieve', () => {
  const grind = { d50Um: 700, finesShare: 0.12 };

  it('takes out the fines it lets through and keeps the rest of the mass', () => {
    const {
      leftG,
      removedG,
      grind: left,
      grindPerG,
    } = valueOf(sieveGrind({ grind, doseG: 20, apertureUm: 150, passing: 1 }));
    expect(leftG + removedG).toBeCloseTo(20, 9);
    // All fines and nearly nothing else: 12 % of 20 g.
    expect(removedG).toBeCloseTo(2.4, 1);
    expect(left.finesShare).toBeLessThan(0.001);
    expect(left.d50Um / 700).toBeCloseTo(1, 1);
    expect(grindPerG * leftG).toBeCloseTo(20, 9);
  });

  it('leaves what clings, and everything when nothing passes', () => {
    const shaken = valueOf(sieveGrind({ grind, doseG: 20, apertureUm: 150 }));
    expect(shaken.grind.finesShare).toBeGreaterThan(0.01);
    expect(valueOf(sieveGrind({ grind, doseG: 20, apertureUm: 150, passing: 0 })).leftG).toBeCloseTo(20, 9);
  });

  it('says when nothing would be left', () => {
    expect(sieveGrind({ grind: { d50Um: 300 }, doseG: 20, apertureUm: 1900, passing: 1 })).toMatchObject({
      reason: 'nothing-left',
    });
  });
});

describe('a grinder’s curve', () => {
  const points = [
    { setting: 10, grindUm: 400, sdUm: 10 },
    { setting: 20, grindUm: 700, sdUm: 20 },
    { setting: 30, grindUm: 900, sdUm: 20 },
  ];
  const curve = valueOf(grinderCurve({ points }));

  it('goes through its points and is least sure between them', () => {
    expect(sizeAt(curve, 20)).toEqual({ grindUm: 700, sdUm: 20 });
    expect(sizeAt(curve, 15)?.grindUm).toBe(550);
    // Half and half of 10 and 20 um, and a bow of a tenth of 300 um.
    expect(sizeAt(curve, 15)?.sdUm).toBeCloseTo(Math.hypot(5, 10, 30), 9);
    expect(sizeAt(curve, 31)).toBeNull();
    expect(settingAt(curve, 550)).toBe(15);
  });

  it('averages points that contradict each other, by weight, and says which', () => {
    const bent = valueOf(
      grinderCurve({
        points: [
          { setting: 1, grindUm: 400, sdUm: 10 },
          { setting: 2, grindUm: 640, sdUm: 20 },
          { setting: 3, grindUm: 600, sdUm: 10 },
          { setting: 4, grindUm: 900, sdUm: 10 },
        ],
      }),
    );
    // (640 / 400 + 600 / 100) / (1 / 400 + 1 / 100) = 608 by hand.
    expect(bent.points.map(({ grindUm }) => Math.round(grindUm))).toEqual([400, 608, 608, 900]);
    expect(bent.averagedSettings).toEqual([2, 3]);
    expect(settingAt(bent, bent.points[1]?.grindUm ?? 0)).toBe(2.5);
  });

  it('names the point that cannot be', () => {
    const tiny = [...points, { setting: 40, grindUm: 1100, sdUm: 5e-324 }];
    expect(grinderCurve({ points: tiny })).toMatchObject({
      reason: 'out-of-range',
      field: 'points.3.sdUm',
      allowed: '0.1 to 2000 µm',
    });
  });

  it('never falls, whatever was measured', () => {
    const measured = fc.record({
      setting: fc.integer({ min: 0, max: 40 }),
      grindUm: fc.integer({ min: 200, max: 1500 }),
    });
    fc.assert(
      fc.property(fc.array(measured, { maxLength: 12 }), (list) => {
        const result = grinderCurve({ points: list });
        if (!result.ok) {
          expect(['too-few-points', 'no-rise']).toContain(result.reason);
          return;
        }
        const sizes = result.value.points.map(({ grindUm }) => grindUm);
        expect(sizes).toEqual([...sizes].sort((a, b) => a - b));
      }),
    );
  });

  it('gives a setting for a size with the range its uncertainty leaves', () => {
    const { setting, lowSetting, highSetting } = valueOf(settingForSize({ curve, grindUm: 700, sdUm: 15 }));
    expect(setting).toBe(20);
    // 1.645 times hypot(15, 20) = 41.1 um: 1.37 settings below at 30 um each, 2.06 above at 20 um each.
    expect(setting - lowSetting).toBeCloseTo(41.125 / 30, 3);
    expect(highSetting - setting).toBeCloseTo(41.125 / 20, 3);
  });

  it('translates a setting to another grinder, or says how near that one gets', () => {
    const other = valueOf(
      grinderCurve({
        points: [
          { setting: 3, grindUm: 600 },
          { setting: 6, grindUm: 1000 },
        ],
      }),
    );
    const translated = valueOf(
      settingForSize({ curve: other, ...valueOf(sizeOfSetting({ curve, setting: 25 })) }),
    );
    expect(translated.grindUm).toBe(800);
    expect(translated.setting).toBeCloseTo(4.5, 9);
    expect(translated.lowSetting).toBeLessThan(4.5);
    const fine = valueOf(sizeOfSetting({ curve, setting: 12 }));
    expect(settingForSize({ curve: other, ...fine })).toMatchObject({
      reason: 'finer-than-reach',
      nearest: { setting: 3, grindUm: 600 },
    });
    expect(sizeOfSetting({ curve, setting: 50 })).toMatchObject({
      reason: 'setting-not-measured',
    });
    expect(settingForSize({ curve, grindUm: NaN })).toMatchObject({ ok: false });
  });
});

describe('the same grind on another grinder', () => {
  // Points four steps apart and exact, so that steps and reach can be told by hand.
  const grinder = {
    settingStep: 0.5,
    points: [3, 5, 7].map((setting) => ({ setting, grindUm: 500 + (setting - 3) * 100, sdUm: 1 })),
  };

  it('is the nearest step of its scale, and what that grinds', () => {
    expect(grindEquivalent({ grinder, grindUm: 620 })).toMatchObject({ setting: 4, grindUm: 600 });
    expect(grindEquivalent({ grinder, grindUm: 626 })).toMatchObject({ setting: 4.5, grindUm: 650 });
  });

  it('has a range as wide as the size is uncertain, and never beyond what was measured', () => {
    const range = (grindUm: number, sdUm: number) => {
      const found = grindEquivalent({ grinder, grindUm, sdUm });
      return found.kind === 'setting' ? [found.lowSetting, found.highSetting] : [];
    };
    expect(range(700, 1)).toEqual([5, 5]);
    // 1.645 times 50 um is 82 um, four fifths of a setting.
    expect(range(700, 50)).toEqual([4, 6]);
    expect(range(505, 80)).toEqual([3, 4.5]);
    const coarse = { settingStep: 8, points: grinder.points };
    expect(grindEquivalent({ grinder: coarse, grindUm: 895 })).toMatchObject({
      setting: 7,
      highSetting: 7,
      grindUm: 900,
    });
    expect(grindEquivalent({ grinder: coarse, grindUm: 505 })).toMatchObject({
      setting: 3,
      lowSetting: 3,
      grindUm: 500,
    });
  });

  it('says how near it gets, and what makes up for it', () => {
    expect(grindEquivalent({ grinder, grindUm: 440 })).toMatchObject({
      kind: 'out-of-reach',
      nearest: { setting: 3, grindUm: 500 },
      offUm: 60,
      instead: expect.stringContaining('more contact') as string,
    });
    expect(grindEquivalent({ grinder, grindUm: 1000 })).toMatchObject({
      nearest: { setting: 7, grindUm: 900 },
      offUm: -100,
      instead: expect.stringContaining('less contact') as string,
    });
  });

  it('is not guessed of a grinder that was hardly measured', () => {
    const hardly = { settingStep: 1, points: grinder.points.slice(0, 1) };
    expect(grindEquivalent({ grinder: hardly, grindUm: 600 })).toMatchObject({ kind: 'not-measured' });
  });
});

describe('sizes from the drain times of a reference brew', () => {
  const brew: BrewConditions = {
    doseG: 15,
    grind: { d50Um: 700 },
    kettleC: 94,
    pours: [
      { startS: 0, amountG: 45, flowGps: 6 },
      { startS: 40, amountG: 205, flowGps: 6 },
    ],
    agitation: [],
    brewer: BREWER_CLASSES.cone,
    paperPerM: PAPER_PER_M.ordinary,
    ambientC: 22,
    elevationM: 0,
  };
  const drainedS = (d50Um: number) =>
    modelledBrew(
      { ...brew, grind: { d50Um } },
      { solubility: 1, rate: 1, flow: 1.7, retained: 1, steepness: 1 },
    ).drawdownS;

  it('finds the sizes that the times came from, whatever the coffee', () => {
    const points = valueOf(
      grindFromDrainTimes({
        brew,
        known: { grindUm: 700, drawdownS: drainedS(700) },
        drained: [550, 800, 1000].map((grindUm, index) => ({ setting: index, drawdownS: drainedS(grindUm) })),
      }),
    );
    const sizes = points.map(({ grindUm }) => grindUm);
    [550, 800, 1000].forEach((grindUm, index) => {
      expect(Math.abs((sizes[index] ?? 0) - grindUm)).toBeLessThan(5);
    });
    // Coarse grinds all drain alike: their sizes are known less well.
    expect(points[2]?.sdUm).toBeGreaterThan(points[0]?.sdUm ?? 0);
  });

  it('says when no grind drains so', () => {
    const known = { grindUm: 700, drawdownS: drainedS(700) };
    expect(grindFromDrainTimes({ brew, known, drained: [{ setting: 1, drawdownS: 20 }] })).toMatchObject({
      reason: 'time-not-possible',
    });
    expect(grindFromDrainTimes({ brew, known: { ...known, grindUm: 9 }, drained: [] })).toMatchObject({
      field: 'known.grindUm',
    });
  });
});
