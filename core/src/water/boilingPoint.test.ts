import { describe, expect, it } from 'vitest';
import { boilingPointC } from './boilingPoint.js';
import { saturationPressurePa } from './saturationPressure.js';
import { airPressurePa } from './standardAtmosphere.js';

describe('boiling point', () => {
  // Computed: ICAO standard atmosphere with the Wagner-Pruss saturation equation.
  it.each([
    [0, 99.97],
    [500, 98.31],
    [1000, 96.65],
    [2000, 93.32],
    [2500, 91.64],
  ])('at %d m is %d °C', (elevationM, expectedC) => {
    expect(boilingPointC({ elevationM })).toBeCloseTo(expectedC, 1);
    expect(Math.abs(boilingPointC({ elevationM }) - expectedC)).toBeLessThan(0.011);
  });

  it('rests on saturation pressures of the steam tables (IAPWS-95, from memory: 19.95, 47.41, 101.42 kPa)', () => {
    expect(saturationPressurePa({ temperatureC: 60 }) / 1000).toBeCloseTo(19.95, 1);
    expect(saturationPressurePa({ temperatureC: 80 }) / 1000).toBeCloseTo(47.41, 1);
    expect(saturationPressurePa({ temperatureC: 100 }) / 1000).toBeCloseTo(101.42, 1);
  });

  it('rests on the standard atmosphere (ICAO Doc 7488: 89,874.6 Pa at 1000 m, 79,495.2 Pa at 2000 m)', () => {
    expect(airPressurePa({ elevationM: 1000 })).toBeCloseTo(89_874.6, -1);
    expect(airPressurePa({ elevationM: 2000 })).toBeCloseTo(79_495.2, -1);
  });
});
