import { describe, expect, it } from 'vitest';
import { USUAL_SCHOOLS, type Schools } from '../schools/schools.js';
import { FINDINGS, type Finding } from './findings.js';
import type { Situation } from './situation.js';
import { figureRulesFor, rulesFor, TASTE_RULES, type Push } from './tasteRules.js';

const situation = (changes: Partial<Situation> = {}): Situation => ({
  strength: 'unknown',
  yield: 'unknown',
  time: 'unknown',
  withinUncertainty: false,
  ...changes,
});
const said = ({ lever, direction }: Push) => `${lever} ${direction}`;
const spoken = (finding: Finding, changes: Partial<Situation> = {}, schools: Partial<Schools> = {}) => {
  const [rule, ...more] = rulesFor([finding], situation(changes), { ...USUAL_SCHOOLS, ...schools });
  expect(more).toEqual([]);
  return {
    wants: rule!.wants.map(said),
    avoids: rule!.avoids.map(said),
    because: rule!.because,
    isWanted: rule!.isWanted ?? false,
  };
};

// What a finding asks for, and what it speaks against: common practice of the trade, read in its direction.
describe('a finding asks for', () => {
  it.each([
    ['sour', {}, ['grind down', 'kettle up'], ['grind up', 'kettle down'], 'under-extracted'],
    ['sour', { yield: 'low' }, ['grind down', 'kettle up'], ['grind up', 'kettle down'], 'under-extracted'],
    [
      'sour',
      { yield: 'on-aim' },
      ['agitation up', 'bloom up'],
      ['grind down'],
      'although the yield is there',
    ],
    ['sour', { yield: 'high' }, ['agitation up', 'bloom up'], ['grind down'], 'although the yield is there'],
    ['watery', {}, ['grind down'], ['grind up'], 'drained too fast'],
    ['watery', { yield: 'on-aim' }, ['ratio down'], ['grind down'], 'less water per dose'],
    ['bitter', {}, ['grind up', 'kettle down'], ['grind down', 'kettle up'], 'over-extracted'],
    ['bitter', { yield: 'high' }, ['grind up', 'kettle down'], ['grind down', 'kettle up'], 'over-extracted'],
    [
      'bitter',
      { yield: 'low' },
      ['agitation down', 'kettle down'],
      ['grind down', 'kettle up'],
      'calm the bed',
    ],
    ['dry', { yield: 'high' }, ['grind up', 'agitation down'], ['grind down', 'agitation up'], 'the tail'],
    ['dry', { time: 'high' }, ['grind up', 'agitation down'], ['grind down', 'agitation up'], 'the tail'],
    [
      'dry',
      { yield: 'on-aim', time: 'high' },
      ['grind up', 'agitation down'],
      ['grind down', 'agitation up'],
      'the tail',
    ],
    ['dry', { yield: 'low' }, ['grind down', 'agitation up'], ['grind up'], 'floated'],
    ['dry', { yield: 'low', time: 'high' }, ['grind down', 'agitation up'], ['grind up'], 'floated'],
    ['dry', { time: 'low' }, ['grind down', 'agitation up'], ['grind up'], 'floated'],
    ['dry', {}, [], [], 'two opposite causes'],
    ['dry', { yield: 'on-aim' }, [], [], 'two opposite causes'],
    ['dry', { yield: 'on-aim', time: 'low' }, [], [], 'two opposite causes'],
    ['muddled', {}, ['grind up'], ['grind down', 'agitation up'], 'blurred'],
    ['sour-and-bitter', {}, ['agitation up', 'bloom up'], ['grind down', 'grind up'], 'uneven'],
    ['boozy', {}, ['kettle down', 'pours down'], ['kettle up', 'grind down'], 'fermented'],
    ['flat', {}, ['kettle up', 'pours up'], ['kettle down'], 'hotter water'],
    ['stalled', {}, ['grind up', 'agitation down'], ['grind down', 'agitation up'], 'stall'],
    ['drained-fast', {}, ['grind down', 'pours up'], ['grind up'], 'too coarse'],
    ['drained-fast', { yield: 'on-aim' }, ['ratio down'], ['grind down'], 'time alone is no fault'],
    ['level-high', {}, ['grind up'], ['grind down'], 'standing high'],
    ['bed-dry', {}, ['grind down'], ['grind up'], 'runs dry'],
    ['bed-cratered', {}, ['agitation up'], [], 'final swirl'],
  ] as const)('%s, where %o, %o and against %o', (finding, changes, wants, avoids, why) => {
    expect(spoken(finding, changes)).toEqual({
      wants,
      avoids,
      because: expect.stringContaining(why) as string,
      isWanted: false,
    });
  });

  it('nothing where the house has it so', () => {
    expect(spoken('bed-dry', {}, { 'pour-when': 'when-drained' })).toEqual({
      wants: [],
      avoids: [],
      because: expect.stringContaining('what is wanted') as string,
      isWanted: true,
    });
    expect(spoken('bed-cratered', {}, { agitation: 'leave-still' })).toMatchObject({
      wants: [],
      because: expect.stringContaining('leaves the bed alone') as string,
    });
  });

  it('something, whatever it is', () => {
    for (const finding of FINDINGS) expect(spoken(finding).because.length).toBeGreaterThan(20);
    expect(new Set(TASTE_RULES.map(({ id }) => id)).size).toBe(TASTE_RULES.length);
    expect(TASTE_RULES.every(({ id }) => id !== '')).toBe(true);
  });

  it('several at once, each by its own rule', () => {
    const rules = rulesFor(['flat', 'stalled'], situation(), USUAL_SCHOOLS);
    expect(rules.map(({ finding }) => finding)).toEqual(['flat', 'stalled']);
  });
});

describe('strength alone asks for', () => {
  const asked = (changes: Partial<Situation>) =>
    figureRulesFor(situation(changes)).map(({ wants, avoids, because }) => [
      wants.map(said),
      avoids,
      because,
    ]);

  it('more or less water where the yield is there', () => {
    expect(asked({ yield: 'on-aim', strength: 'high' })).toEqual([
      [['ratio up'], [], 'it is too strong and the yield is there: use more water, not another grind'],
    ]);
    expect(asked({ yield: 'on-aim', strength: 'low' })).toEqual([
      [['ratio down'], [], 'it is too weak and the yield is there: use less water, not another grind'],
    ]);
  });

  it('nothing where it is on its aim, or the yield is not there', () => {
    for (const strength of ['on-aim', 'unknown'] as const) {
      expect(asked({ yield: 'on-aim', strength })).toEqual([]);
    }
    for (const standing of ['low', 'high', 'unknown'] as const) {
      expect(asked({ yield: standing, strength: 'high' })).toEqual([]);
    }
  });
});
