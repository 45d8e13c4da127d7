import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { celsiusToFahrenheit, fahrenheitToCelsius } from '../temperature/scales.js';
import { formatClock, formatDuration, parseDurationS } from './duration.js';
import { elevationOf, formatElevation, keptElevation, parseElevation, type Elevation } from './elevation.js';
import { parseMassOrMultipleG } from './massOrMultiple.js';
import { parseNumber, parseWithUnit } from './parseNumber.js';
import { formatRatio, parseRatio } from './ratio.js';
import { parseTemperatureC } from './temperature.js';

describe('a number', () => {
  it.each([
    ['1.35', 1.35],
    ['1,35', 1.35],
    [' 18 ', 18],
    ['.5', 0.5],
    ['-2', -2],
  ])('reads %j as %d', (text, value) => {
    expect(parseNumber(text)).toEqual({ ok: true, value });
  });

  it.each(['', 'abc', '1.2.3', '1e3', 'Infinity', '1 000', '12 g'])('refuses %j', (text) => {
    expect(parseNumber(text).ok).toBe(false);
  });

  it('accepts its own unit and no other', () => {
    expect(parseWithUnit('15 g', 'g')).toEqual({ ok: true, value: 15 });
    expect(parseWithUnit('15 oz', 'g')).toMatchObject({ ok: false, reason: 'not-a-number' });
  });
});

describe('a time on the brew clock', () => {
  it.each([
    ['1:40', 100],
    ['0:05', 5],
    ['100', 100],
    ['100s', 100],
    ['12:00', 720],
  ])('reads %j as %d s', (text, value) => {
    expect(parseDurationS(text)).toEqual({ ok: true, value });
  });

  it('names what is wrong', () => {
    expect(parseDurationS('')).toMatchObject({ reason: 'empty' });
    expect(parseDurationS('1:75')).toMatchObject({ reason: 'seconds-past-59' });
    expect(parseDurationS('soon')).toMatchObject({ reason: 'not-a-duration' });
    expect(parseDurationS('-1:00')).toMatchObject({ reason: 'not-a-duration' });
  });

  it('reads back everything it writes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 59_999 }), (seconds) => {
        expect(parseDurationS(formatDuration(seconds))).toEqual({ ok: true, value: seconds });
      }),
    );
  });

  it('shows a running clock as a stopwatch does: full seconds only', () => {
    expect([0, 59.9, 60, 148.5].map(formatClock)).toEqual(['0:00', '0:59', '1:00', '2:28']);
  });

  it('keeps the sign of a lead, and has no minus zero', () => {
    expect(formatDuration(-75)).toBe('−1:15');
    expect(formatDuration(-0.2)).toBe('0:00');
  });
});

describe('a temperature', () => {
  // Common practice: the three Fahrenheit settings most heard, with their Celsius equivalents.
  it.each([
    ['203f', 95.0],
    ['205 °F', 96.1],
    ['208F', 97.8],
    ['96c', 96],
    ['93.5', 93.5],
  ])('reads %j as %d °C', (text, value) => {
    expect(parseTemperatureC(text)).toEqual({ ok: true, value });
  });

  it('asks for the scale where a bare figure cannot be Celsius', () => {
    expect(parseTemperatureC('205')).toMatchObject({ reason: 'scale-missing' });
    // The end of a roast is far above boiling (common practice: 195 to 230 C).
    expect(parseTemperatureC('208', { hottestC: 260 })).toEqual({ ok: true, value: 208 });
    expect(parseTemperatureC('406f', { hottestC: 260 })).toEqual({ ok: true, value: 207.8 });
    expect(parseTemperatureC('406', { hottestC: 260 })).toMatchObject({ reason: 'scale-missing' });
  });

  it('converts both ways (fixed points of the scales by definition)', () => {
    expect(celsiusToFahrenheit({ temperatureC: 0 })).toBe(32);
    expect(celsiusToFahrenheit({ temperatureC: 100 })).toBe(212);
    expect(celsiusToFahrenheit({ temperatureC: -40 })).toBe(-40);
    fc.assert(
      fc.property(fc.double({ min: -50, max: 150, noNaN: true }), (temperatureC) => {
        const back = fahrenheitToCelsius({ temperatureF: celsiusToFahrenheit({ temperatureC }) });
        expect(back).toBeCloseTo(temperatureC, 10);
      }),
    );
  });
});

describe('a ratio', () => {
  it.each([
    ['1:16', 16],
    ['1 : 15,5', 15.5],
    ['17', 17],
  ])('reads %j as %d', (text, value) => {
    expect(parseRatio(text)).toEqual({ ok: true, value });
  });

  it.each(['1:0', '1:-3', '2:16', 'x'])('refuses %j', (text) => {
    expect(parseRatio(text)).toMatchObject({ reason: 'not-a-ratio' });
  });

  it('writes one decimal only where it says something', () => {
    expect(formatRatio(16)).toBe('1:16');
    expect(formatRatio(15.625)).toBe('1:15.6');
  });
});

describe('a mass of water', () => {
  it('reads grams and multiples of the dose', () => {
    expect(parseMassOrMultipleG({ text: '45 g', doseG: 18 })).toEqual({ ok: true, value: 45 });
    expect(parseMassOrMultipleG({ text: '2.5x', doseG: 18 })).toEqual({ ok: true, value: 45 });
    expect(parseMassOrMultipleG({ text: '2,5 ×', doseG: 15 })).toEqual({ ok: true, value: 37.5 });
  });

  it('refuses other units', () => {
    expect(parseMassOrMultipleG({ text: '2 oz', doseG: 18 })).toMatchObject({ reason: 'not-a-mass' });
  });
});

describe('an elevation', () => {
  it.each([
    ['1850', { fromM: 1850, toM: 1850 }],
    ['1700-1950 m', { fromM: 1700, toM: 1950 }],
    ['1,700 – 1,950', { fromM: 1700, toM: 1950 }],
    ['', null],
    [' High ', 'high'],
    ['middling', 'middling'],
  ])('reads %j', (text, value) => {
    expect(parseElevation(text)).toEqual({ ok: true, value });
  });

  it('names what is wrong', () => {
    expect(parseElevation('1950-1700')).toMatchObject({ reason: 'range-reversed' });
    expect(parseElevation('very high')).toMatchObject({ reason: 'not-an-elevation' });
  });

  it('writes one figure or a range', () => {
    expect(formatElevation({ fromM: 1850, toM: 1850 })).toBe('1850 m');
    expect(formatElevation({ fromM: 1700, toM: 1950 })).toBe('1700–1950 m');
    expect(formatElevation('low')).toBe('low');
  });

  it.each<[Elevation | null]>([[null], ['high'], [{ fromM: 1850, toM: 1850 }], [{ fromM: 1700, toM: 1950 }]])(
    'is the same after it was kept and written out: %j',
    (elevation) => {
      expect(elevationOf(keptElevation(elevation))).toEqual(elevation);
      expect(parseElevation(elevation ? formatElevation(elevation) : '')).toEqual({
        ok: true,
        value: elevation,
      });
    },
  );

  it('kept before words could be told, is what its figures say', () => {
    expect(elevationOf({ elevationFromM: null, elevationToM: null })).toBeNull();
    expect(elevationOf({ elevationFromM: 1850, elevationToM: null })).toEqual({ fromM: 1850, toM: 1850 });
  });
});
