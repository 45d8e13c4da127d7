import { describe, expect, it } from 'vitest';
import { brewerFaults } from './brewerFaults.js';
import { brimfulG, classMeasures } from './brewerGeometry.js';

const CONE = classMeasures('cone');
const fields = (change: object) =>
  brewerFaults({ ...CONE, capacityG: brimfulG(CONE), ...change }).map(({ field }) => field);

describe('a brewer whose figures contradict each other', () => {
  it('has none where they fit, brimful included', () => {
    expect(fields({})).toEqual([]);
    expect(fields({ wallMaterial: 'ceramic', wallMm: 5 })).toEqual([]);
    expect(fields({ advisedLowC: 90, advisedHighC: 90 })).toEqual([]);
    expect(fields({ advisedLowC: null, advisedHighC: 90 })).toEqual([]);
    for (const shape of ['flat-bottom', 'carafe'] as const) {
      const measures = classMeasures(shape);
      expect(brewerFaults({ ...measures, capacityG: brimfulG(measures) })).toEqual([]);
    }
  });

  it.each([
    [{ topDiameterMm: CONE.bottomDiameterMm - 1 }, 'topDiameterMm'],
    [{ outletDiameterMm: CONE.bottomDiameterMm + 1 }, 'outletDiameterMm'],
    // Computed: four holes of 11 mm cover more than a floor of 20 mm.
    [{ bottomDiameterMm: 20, outletDiameterMm: 11, outletCount: 4, capacityG: 50 }, 'outletDiameterMm'],
    [{ wallMm: 5 }, 'wallMaterial'],
    [{ advisedLowC: 94, advisedHighC: 90 }, 'advisedHighC'],
    [{ capacityG: brimfulG(CONE) + 1 }, 'capacityG'],
  ])('%o is refused at %s', (change, field) => {
    expect(fields(change)).toContain(field);
  });
});
