import { describe, expect, it } from 'vitest';
import { BREWER_CLASSES } from '../brewModel/hardware.js';
import { BREWER_SHAPES } from '../vocabulary.js';
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

  it('counts the outlets', () => {
    const one = brewerGeometry({ ...classMeasures('cone'), outletDiameterMm: 5, outletCount: 1 });
    const three = brewerGeometry({ ...classMeasures('cone'), outletDiameterMm: 5, outletCount: 3 });
    expect(three.outletAreaM2 / one.outletAreaM2).toBeCloseTo(3, 9);
  });
});
