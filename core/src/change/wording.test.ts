import { describe, expect, it } from 'vitest';
import { LEVERS } from './levers.js';
import { characterOf, describeMove } from './wording.js';

describe('a move, as it is said at the bench,', () => {
  it.each([
    ['grind', 680, 630, 'grind 50 µm finer, to 630 µm'],
    ['grind', 630, 680, 'grind 50 µm coarser, to 680 µm'],
    ['ratio', 16, 16.5, 'more water per dose, 1:16 to 1:16.5'],
    ['ratio', 16.5, 16, 'less water per dose, 1:16.5 to 1:16'],
    ['kettle', 93, 91, 'kettle 2 °C cooler, to 91 °C'],
    ['kettle', 91, 93, 'kettle 2 °C hotter, to 93 °C'],
    ['bloom', 40, 30, 'bloom 10 s shorter, to 0:30'],
    ['bloom', 40, 65, 'bloom 25 s longer, to 1:05'],
    ['pours', 2, 1, '1 pour after the bloom instead of 2'],
    ['pours', 2, 3, '3 pours after the bloom instead of 2'],
    ['agitation', 2, 1, 'agitate less: after 1 pour instead of 2'],
    ['agitation', 1, 2, 'agitate more: after 2 pours instead of 1'],
  ] as const)('of %s from %s to %s', (lever, from, to, words) => {
    expect(describeMove({ lever, from, to })).toBe(words);
  });
});

// Where a move takes the taste: common practice.
describe('where a move takes the taste, and what speaks against it', () => {
  it.each([
    ['grind', 'up', 'brighter', 'thin'],
    ['grind', 'down', 'sweeter', 'clogs'],
    ['ratio', 'up', 'lighter', 'fills the brewer'],
    ['ratio', 'down', 'heavier', 'yield nearly where it was'],
    ['kettle', 'up', 'stronger', 'matters little'],
    ['kettle', 'down', 'softer', 'matters little'],
    ['bloom', 'up', 'fuller', 'lengthens'],
    ['bloom', 'down', 'lighter', 'dry pockets'],
    ['pours', 'up', 'longer contact', 'get wrong'],
    ['pours', 'down', 'shorter contact', 'turbulence'],
    ['agitation', 'up', 'sweeter', 'fines'],
    ['agitation', 'down', 'cleaner', 'dry pockets'],
  ] as const)('of %s, %s', (lever, way, taste, against) => {
    const character = characterOf(way === 'up' ? { lever, from: 1, to: 2 } : { lever, from: 2, to: 1 });
    expect(character.taste).toContain(taste);
    expect(character.against).toContain(against);
  });

  it('is another thing each way, of every lever', () => {
    for (const lever of LEVERS) {
      const [up, down] = [characterOf({ lever, from: 1, to: 2 }), characterOf({ lever, from: 2, to: 1 })];
      expect(up.taste).not.toBe(down.taste);
    }
  });
});
