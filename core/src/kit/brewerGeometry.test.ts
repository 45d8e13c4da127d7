import { describe, expect, it } from 'vitest';
import { BREWER_CLASSES } from '../brewModel/hardware.js';
import { DEFAULT_LOT, simulateBrew } from '../brewModel/simulateBrew.js';
import { conditionsOfPlan } from '../calibration/conditions.js';
import { forecastPlan } from '../forecast/forecastPlan.js';
import { valueOf } from '../result.js';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { BREWER_SHAPES, type PaperFold, type Ribs, type WallMaterial } from '../vocabulary.js';
import { brewerGeometry, brimfulG, classMeasures } from './brewerGeometry.js';

describe('a brewer from a ruler’s figures', () => {
  it.each(BREWER_SHAPES)('gives the %s class back from its own measures', (shape) => {
    const geometry = brewerGeometry(classMeasures(shape));
    for (const [field, value] of Object.entries(BREWER_CLASSES[shape])) {
      // No ruler finds a hole wider than its floor; the class of carafes has one, so that only paper holds back.
      if (shape === 'carafe' && field === 'outletAreaM2') continue;
      // A tenth of a millimetre is what the measures are rounded to.
      expect(geometry[field as keyof typeof geometry] / value).toBeCloseTo(1, 1);
    }
  });

  it('holds what a cylinder and a cone hold', () => {
    const upright = {
      ...classMeasures('flat-bottom'),
      topDiameterMm: 100,
      bottomDiameterMm: 100,
      heightMm: 100,
    };
    // Computed: 785.4 ml; water at 90 °C weighs 965.3 kg/m3 (IAPWS-95, from memory).
    expect(brimfulG(upright)).toBeCloseTo(758, -0.5);
    const pointed = { ...upright, bottomDiameterMm: 0 };
    expect(brimfulG(pointed) / brimfulG(upright)).toBeCloseTo(1 / 3, 2);
    expect(brewerGeometry(upright).wallSlope).toBe(0);
  });

  const cone = classMeasures('cone');
  const flat = classMeasures('flat-bottom');

  it('drains slower without ribs, and pleats make up for them (common practice)', () => {
    const shareOf = (ribs: Ribs | null, fold: PaperFold | null) =>
      brewerGeometry({ ...cone, ribs }, { fold }).drainShare;
    expect(shareOf('full', 'smooth')).toBe(shareOf(null, null));
    expect(shareOf('part-way', 'smooth')).toBeLessThan(shareOf('full', 'smooth'));
    expect(shareOf('none', 'smooth')).toBeLessThan(shareOf('part-way', 'smooth'));
    expect(shareOf('none', 'pleated')).toBe(shareOf('full', 'smooth'));
    expect(brewerGeometry(flat, { fold: 'smooth' }).drainShare).toBeLessThan(brewerGeometry(flat).drainShare);
    const drainsS = (ribs: Ribs) =>
      valueOf(forecastPlan({ plan: PLAN, kit: { ...CONE_KIT, brewer: brewerGeometry({ ...cone, ribs }) } }))
        .drawdownS ?? NaN;
    expect(drainsS('none')).toBeGreaterThan(drainsS('full') + 5);
  });

  it('a heavy wall takes warmth: 5 mm of ceramic cools the slurry more than 2.5 mm of plastic (common practice)', () => {
    const slurryC = (wallMaterial: WallMaterial) =>
      Math.max(
        ...valueOf(
          simulateBrew({
            ...conditionsOfPlan({
              plan: PLAN,
              kit: { ...CONE_KIT, brewer: brewerGeometry({ ...cone, wallMaterial }) },
            }),
            lot: DEFAULT_LOT,
          }),
        ).series.slurryC,
      );
    // Both thicknesses are what is usual of the material; 216 cm2 of wall and floor by hand.
    expect(brewerGeometry({ ...cone, wallMaterial: 'ceramic' }).heatCapacityJPerK).toBeCloseTo(233, -1);
    expect(slurryC('ceramic')).toBeLessThan(slurryC('plastic') - 0.3);
    expect(brewerGeometry({ ...cone, wallMaterial: 'ceramic', wallMm: 10 }).heatCapacityJPerK).toBeCloseTo(
      2 * brewerGeometry({ ...cone, wallMaterial: 'ceramic' }).heatCapacityJPerK,
      6,
    );
  });

  it('counts the outlets', () => {
    const one = brewerGeometry({ ...classMeasures('cone'), outletDiameterMm: 5, outletCount: 1 });
    const three = brewerGeometry({ ...classMeasures('cone'), outletDiameterMm: 5, outletCount: 3 });
    expect(three.outletAreaM2 / one.outletAreaM2).toBeCloseTo(3, 9);
  });
});
