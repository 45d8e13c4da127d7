import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { waterDensityKgM3 } from './density.js';
import { mixingTemperatureC } from './mixing.js';
import { blendWaters, saltsForWater } from './mixWater.js';
import { GERMAN_DEGREE_MG_PER_L, waterChemistry } from './waterChemistry.js';
import { waterViscosityPaS } from './viscosity.js';

describe('water itself', () => {
  // Published: IAPWS-95 tables (from memory).
  it.each([
    [20, 998.21],
    [40, 992.22],
    [60, 983.2],
    [80, 971.8],
    [90, 965.31],
    [95, 961.9],
  ])('at %i °C weighs %d kg/m3', (temperatureC, kgPerM3) => {
    expect(Math.abs(waterDensityKgM3({ temperatureC }) - kgPerM3)).toBeLessThan(0.1);
  });

  // Published: IAPWS R12-08 (from memory), within 1 %.
  it.each([
    [20, 1.0016],
    [40, 0.6527],
    [60, 0.466],
    [80, 0.354],
    [90, 0.3142],
    [95, 0.297],
  ])('at %i °C flows with %d mPa s', (temperatureC, mPaS) => {
    expect(Math.abs((waterViscosityPaS({ temperatureC }) * 1000) / mPaS - 1)).toBeLessThan(0.01);
  });

  it('grows lighter and thinner as it heats, all the way to the boil', () => {
    for (let temperatureC = 10; temperatureC < 110; temperatureC++) {
      expect(waterDensityKgM3({ temperatureC: temperatureC + 1 })).toBeLessThan(
        waterDensityKgM3({ temperatureC }),
      );
      expect(waterViscosityPaS({ temperatureC: temperatureC + 1 })).toBeLessThan(
        waterViscosityPaS({ temperatureC }),
      );
    }
  });
});

describe('water on coffee', () => {
  const brew = { waterG: 100, kettleC: 94, doseG: 15, coffeeC: 22 };

  it('comes to 89.0-90.3 °C for 100 g at 94 °C on 15 g at 22 °C (computed energy balance)', () => {
    expect(mixingTemperatureC({ ...brew, coffeeJPerKgK: 2100 })).toBeCloseTo(89.0, 1);
    expect(mixingTemperatureC({ ...brew, coffeeJPerKgK: 1500 })).toBeCloseTo(90.3, 1);
  });

  it('is colder in a cold heavy brewer, and as hot as the kettle with no coffee in it', () => {
    expect(mixingTemperatureC({ ...brew, brewerJPerK: 150 })).toBeLessThan(mixingTemperatureC(brew));
    expect(mixingTemperatureC({ ...brew, doseG: 0 })).toBe(94);
  });
});

describe('the chemistry of water', () => {
  // Computed from IUPAC atomic weights.
  it('has alkalinity 595.7 mg/L for 1 g/L of sodium bicarbonate', () => {
    expect(waterChemistry({ saltsMgPerL: { 'sodium bicarbonate': 1000 } }).alkalinityMgPerL).toBeCloseTo(
      595.7,
      1,
    );
  });

  it('has hardness 406.1 mg/L for 1 g/L of magnesium sulphate and 680.8 for calcium chloride', () => {
    const hardness = (saltsMgPerL: Parameters<typeof waterChemistry>[0]['saltsMgPerL']) =>
      waterChemistry({ saltsMgPerL }).hardnessMgPerL;
    expect(hardness({ 'magnesium sulphate heptahydrate': 1000 })).toBeCloseTo(406.1, 1);
    expect(hardness({ 'calcium chloride dihydrate': 1000 })).toBeCloseTo(680.8, 1);
  });

  it('counts a German degree as 10 mg/L CaO (computed: 10 x 100.09 / 56.08)', () => {
    expect((10 * 100.086) / 56.077).toBeCloseTo(GERMAN_DEGREE_MG_PER_L, 2);
  });

  it('keeps charges in balance: as many positive as negative', () => {
    const { ionsMgPerL: ions } = waterChemistry({
      saltsMgPerL: {
        'magnesium sulphate heptahydrate': 120,
        'calcium chloride dihydrate': 40,
        'potassium bicarbonate': 70,
      },
    });
    const positive = (2 * ions.calcium) / 40.078 + (2 * ions.magnesium) / 24.305 + ions.potassium / 39.098;
    const negative = ions.bicarbonate / 61.016 + (2 * ions.sulphate) / 96.056 + ions.chloride / 35.45;
    expect(positive).toBeCloseTo(negative, 9);
  });

  it('gives the salts that lead back to the target', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 0, max: 120 }),
        (hardnessMgPerL, alkalinityMgPerL) => {
          const saltsMgPerL = saltsForWater({
            target: { hardnessMgPerL, alkalinityMgPerL },
            hardnessSalt: 'magnesium sulphate heptahydrate',
            alkalinitySalt: 'potassium bicarbonate',
          });
          const made = waterChemistry({ saltsMgPerL });
          expect(made.hardnessMgPerL).toBeCloseTo(hardnessMgPerL, 9);
          expect(made.alkalinityMgPerL).toBeCloseTo(alkalinityMgPerL, 9);
        },
      ),
    );
  });
});

describe('a blend of two waters', () => {
  const tap = { hardnessMgPerL: 240, alkalinityMgPerL: 160 };
  const pure = { hardnessMgPerL: 0, alkalinityMgPerL: 0 };

  it('hits a target on the line between them', () => {
    const blend = blendWaters({
      first: tap,
      second: pure,
      target: { hardnessMgPerL: 60, alkalinityMgPerL: 40 },
    });
    expect(blend.shareOfFirst).toBeCloseTo(0.25, 12);
    expect(blend.missing.hardnessMgPerL).toBeCloseTo(0, 12);
    expect(blend.missing.alkalinityMgPerL).toBeCloseTo(0, 12);
  });

  it('comes as near as any other share where it cannot, and says what is missing', () => {
    const target = { hardnessMgPerL: 80, alkalinityMgPerL: 20 };
    const best = blendWaters({ first: tap, second: pure, target });
    const distance = (share: number) =>
      Math.hypot(
        target.hardnessMgPerL - share * tap.hardnessMgPerL,
        target.alkalinityMgPerL - share * tap.alkalinityMgPerL,
      );
    for (let share = 0; share <= 1; share += 0.01)
      expect(distance(best.shareOfFirst)).toBeLessThanOrEqual(distance(share) + 1e-9);
    expect(best.missing.hardnessMgPerL).toBeGreaterThan(0);
    expect(best.missing.alkalinityMgPerL).toBeLessThan(0);
  });

  it('stays between the two waters, and survives two that are the same', () => {
    const beyond = { hardnessMgPerL: 500, alkalinityMgPerL: 400 };
    expect(blendWaters({ first: tap, second: pure, target: beyond }).shareOfFirst).toBe(1);
    expect(blendWaters({ first: tap, second: tap, target: beyond }).reached).toEqual(tap);
  });
});
