import { cleanup, render } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { BrewerSeen } from '@vendu/core';
import { BREW_KIT } from '../testing/fixtures';
import { BrewerSection, brewerWords } from './BrewerSection';

const geometry = BREW_KIT.brewer;
const seen = (changes: Partial<BrewerSeen> = {}): BrewerSeen => ({
  bedMm: 35,
  waterMm: 35,
  aboveBedG: 0,
  outflowGps: 0,
  beverageG: 0,
  evaporatedG: 0,
  ...changes,
});

afterEach(cleanup);

describe('a simulated brewer cut open', () => {
  it.each([
    [seen(), 'the bed is dry'],
    [seen({ waterMm: 58.4 }), 'water stands 23 mm over the bed'],
    [seen({ beverageG: 90, outflowGps: 1.2 }), 'the bed shows, the stream runs'],
    [seen({ beverageG: 220, outflowGps: 0.1 }), 'the bed shows, drops only'],
    [seen({ waterMm: 86 }), 'water runs over the rim'],
  ])('is said in words', (state, words) => {
    expect(brewerWords(geometry, state)).toBe(words);
  });

  it('draws the bed, the water over it up to the rim, and the wall, to one scale', () => {
    const pathsOf = (state: BrewerSeen) =>
      [
        ...render(
          <BrewerSection geometry={geometry} seen={state} heightPx={85} />,
        ).container.querySelectorAll('path'),
      ].map((path) => path.getAttribute('d') ?? '');
    expect(pathsOf(seen())).toHaveLength(2);
    const [bed, water, wall] = pathsOf(seen({ waterMm: 200 }));
    const topOf = (path = '') => Math.min(...[...path.matchAll(/,([\d.]+)/g)].map(([, y]) => Number(y)));
    // One px a mm: the bed reaches 35 mm up, the water no higher than the rim.
    expect(topOf(bed)).toBeCloseTo(85 - 35 + 1, 6);
    expect(topOf(water)).toBeCloseTo(topOf(wall), 6);
  });
});
