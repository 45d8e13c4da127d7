import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { valueOf } from '../result.js';
import { concentrateDoses } from './concentrates.js';
import { decantedC, kettleAfterC, waterVolumeMl } from './kettle.js';

describe('a kettle left standing', () => {
  const kettle = { waterG: 700, startC: 94, ambientC: 22, lid: 'open' } as const;

  // Common practice: an open lid lets 94 fall to 90-91 over a minute or two.
  it('falls from 94 to 90-91 °C in 60 to 120 s with its lid open', () => {
    expect(valueOf(kettleAfterC({ ...kettle, seconds: 60 }))).toBeGreaterThan(90);
    expect(valueOf(kettleAfterC({ ...kettle, seconds: 60 }))).toBeLessThan(92.5);
    expect(valueOf(kettleAfterC({ ...kettle, seconds: 120 }))).toBeLessThan(91);
    expect(valueOf(kettleAfterC({ ...kettle, seconds: 120 }))).toBeGreaterThan(88);
  });

  it('keeps most of that under a shut lid, and loses less the more water it holds', () => {
    const shut = valueOf(kettleAfterC({ ...kettle, lid: 'shut', seconds: 120 }));
    expect(94 - shut).toBeLessThan((94 - valueOf(kettleAfterC({ ...kettle, seconds: 120 }))) / 2);
    expect(valueOf(kettleAfterC({ ...kettle, waterG: 1400, seconds: 120 }))).toBeGreaterThan(
      valueOf(kettleAfterC({ ...kettle, seconds: 120 })),
    );
  });

  it('lets a tenth of its steam and warm air get away under a shut lid', () => {
    // As an open one of a tenth of the surface does (share assumed).
    const left = (change: object) => valueOf(kettleAfterC({ ...kettle, seconds: 60, ...change }));
    expect(left({ lid: 'shut', surfaceCm2: 100 })).toBeCloseTo(left({ lid: 'open', surfaceCm2: 10 }), 6);
  });

  it('never falls below the room, and stays put there', () => {
    fc.assert(
      fc.property(fc.integer({ min: 22, max: 99 }), fc.integer({ min: 0, max: 7200 }), (startC, seconds) => {
        const after = valueOf(kettleAfterC({ ...kettle, lid: 'shut', startC, seconds }));
        expect(after).toBeLessThanOrEqual(startC);
        expect(after).toBeGreaterThan(15);
      }),
      { numRuns: 50 },
    );
    expect(kettleAfterC({ ...kettle, seconds: -1 })).toMatchObject({
      field: 'seconds',
      allowed: '0 to 7200 s',
    });
  });

  // Common practice: pouring from the boiler into a second kettle costs about 2 degrees.
  it('loses about two degrees when poured into a light, warm kettle', () => {
    const lost = 94 - valueOf(decantedC({ waterG: 600, waterC: 94, kettleC: 60 }));
    expect(lost).toBeGreaterThan(1.5);
    expect(lost).toBeLessThan(4);
    expect(decantedC({ waterG: 600, waterC: 140, kettleC: 60 })).toMatchObject({ field: 'waterC' });
  });

  it('fills more room hot than cold', () => {
    // Computed from IAPWS-95 densities (from memory): 1000 g at 20 and 90 °C.
    expect(valueOf(waterVolumeMl({ waterG: 1000, temperatureC: 20 }))).toBeCloseTo(1001.8, 1);
    expect(valueOf(waterVolumeMl({ waterG: 1000, temperatureC: 90 }))).toBeCloseTo(1035.9, 1);
  });
});

describe('doses of two concentrates', () => {
  const pure = { hardnessMgPerL: 0, alkalinityMgPerL: 0 };
  // One bottle of hardness, one of alkalinity: 10 and 5 mg/L as CaCO3 a gram.
  const bottles = [
    { hardnessPerG: 10, alkalinityPerG: 0 },
    { hardnessPerG: 0, alkalinityPerG: 5 },
  ] as const;

  it('hit a target that lies between them, by hand', () => {
    const target = { hardnessMgPerL: 70, alkalinityMgPerL: 40 };
    const { dosesG, missing } = valueOf(concentrateDoses({ base: pure, target, concentrates: bottles }));
    expect(dosesG).toEqual([7, 8]);
    expect(missing).toEqual(pure);
  });

  it('take nothing out: what is too much stays, and is told', () => {
    const hard = { hardnessMgPerL: 120, alkalinityMgPerL: 20 };
    const target = { hardnessMgPerL: 70, alkalinityMgPerL: 40 };
    const { dosesG, missing } = valueOf(concentrateDoses({ base: hard, target, concentrates: bottles }));
    expect(dosesG).toEqual([0, 4]);
    expect(missing).toEqual({ hardnessMgPerL: -50, alkalinityMgPerL: 0 });
  });

  it('stop at the most that may go in, and tell what is missing', () => {
    const capped = [{ ...bottles[0], mostG: 5 }, bottles[1]] as const;
    const target = { hardnessMgPerL: 70, alkalinityMgPerL: 40 };
    const { dosesG, missing } = valueOf(concentrateDoses({ base: pure, target, concentrates: capped }));
    expect(dosesG).toEqual([5, 8]);
    expect(missing.hardnessMgPerL).toBe(20);
  });

  it('are never beaten by any other doses', () => {
    const figure = fc.integer({ min: 0, max: 30 });
    const water = fc.record({
      hardnessMgPerL: fc.integer({ min: 0, max: 200 }),
      alkalinityMgPerL: fc.integer({ min: 0, max: 200 }),
    });
    const bottle = fc.record({ hardnessPerG: figure, alkalinityPerG: figure });
    const dose = fc.double({ min: 0, max: 50, noNaN: true });
    fc.assert(
      fc.property(water, water, bottle, bottle, dose, dose, (base, target, a, b, first, second) => {
        const { missing } = valueOf(concentrateDoses({ base, target, concentrates: [a, b] }));
        const other = Math.hypot(
          target.hardnessMgPerL - base.hardnessMgPerL - first * a.hardnessPerG - second * b.hardnessPerG,
          target.alkalinityMgPerL -
            base.alkalinityMgPerL -
            first * a.alkalinityPerG -
            second * b.alkalinityPerG,
        );
        expect(Math.hypot(missing.hardnessMgPerL, missing.alkalinityMgPerL)).toBeLessThanOrEqual(
          other + 1e-6,
        );
      }),
    );
  });

  it('name the figure that cannot be', () => {
    const bad = [{ hardnessPerG: -1, alkalinityPerG: 0 }, bottles[1]] as const;
    expect(concentrateDoses({ base: pure, target: pure, concentrates: bad })).toMatchObject({
      field: 'concentrates.0.hardnessPerG',
    });
  });
});
