import { describe, expect, it } from 'vitest';
import { hasSign, isHeldBackBelow, isOpenBelow, type StartingFacts } from './facts.js';

const facts = (
  brewer: Partial<StartingFacts['brewer']>,
  more: Partial<StartingFacts> = {},
): StartingFacts => ({
  process: 'washed',
  elevation: null,
  roastLevel: null,
  roastAgeDays: 10,
  brewer: { shape: 'cone', usualDoseG: 16, ...brewer },
  labElevationM: 0,
  ...more,
});

describe('the hole below', () => {
  // One hole of 12 mm and more is open; smaller or more of them, or a valve, are not. Between the two lies several large ones.
  it.each([
    ['one large hole', { outletCount: 1, outletDiameterMm: 16 }, true, false],
    ['one of 12 mm', { outletCount: 1, outletDiameterMm: 12 }, true, false],
    ['one small hole', { outletCount: 1, outletDiameterMm: 6 }, false, true],
    ['three small holes', { outletCount: 3, outletDiameterMm: 4 }, false, true],
    ['several large ones', { outletCount: 20, outletDiameterMm: 14 }, false, false],
    ['a large one with a valve', { outletCount: 1, outletDiameterMm: 16, hasValve: true }, false, true],
    ['what a cone usually has', {}, true, false],
  ])('%s', (_, brewer, isOpen, isHeldBack) => {
    expect(isOpenBelow(facts(brewer))).toBe(isOpen);
    expect(isHeldBackBelow(facts(brewer))).toBe(isHeldBack);
  });
});

describe('what was noticed of a lot', () => {
  it('is nothing where nobody noticed anything', () => {
    expect(hasSign(facts({}), 'many-fines')).toBe(false);
    expect(hasSign(facts({}, { signs: ['many-fines'] }), 'many-fines')).toBe(true);
  });
});
