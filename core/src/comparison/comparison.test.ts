import { describe, expect, it } from 'vitest';
import { PLAN } from '../testing/brews.js';
import { seededRandom } from '../random/seededRandom.js';
import type { BrewPlan } from '../plan/plan.js';
import { armDifferences } from './armDifferences.js';
import { figureApart, smallestFound } from './armFigures.js';
import type { ComparedArm, ComparedBrew } from './arms.js';
import { brewingOrder, comparisonCost } from './brewingOrder.js';
import { checkDesign, type ComparisonDesign, type DesignFaultKind } from './checkDesign.js';
import { housePositions, positionWords } from './housePositions.js';
import { serveBlind } from './serveBlind.js';

const HOUR_MS = 3_600_000;

function brew(over: Partial<ComparedBrew> = {}): ComparedBrew {
  return {
    brewedBy: 'Joss',
    startedAtMs: 0,
    roastAgeDays: 10,
    doseG: 15,
    drainS: 170,
    tdsPercent: 1.3,
    yieldPercent: 19,
    ...over,
  };
}

function arm(over: Partial<ComparedArm> = {}): ComparedArm {
  return {
    lotName: 'Mutwenzi',
    brewerName: 'Tarn cone',
    paperName: 'Fine',
    waterName: 'Tap',
    kettleName: 'Gooseneck',
    grinderName: 'House',
    plan: PLAN,
    brews: [],
    ...over,
  };
}

const finer: BrewPlan = { ...PLAN, grindUm: 620 };
const twice: BrewPlan = {
  ...PLAN,
  doseG: 2 * PLAN.doseG,
  pours: PLAN.pours.map((pour) => ({ ...pour, amountG: 2 * pour.amountG })),
};

/** Two brews of each arm, turned about, of one day. */
const twoRounds = (over: Partial<ComparedBrew> = {}): [ComparedBrew[], ComparedBrew[]] => [
  [brew({ startedAtMs: 0 }), brew({ startedAtMs: 3 * HOUR_MS })],
  [brew({ startedAtMs: HOUR_MS, ...over }), brew({ startedAtMs: 2 * HOUR_MS, ...over })],
];

function kindsOf(design: Partial<ComparisonDesign>): DesignFaultKind[] {
  return checkDesign({
    asks: ['grind'],
    arms: [arm(), arm({ plan: finer })],
    matchedBy: 'dial',
    rounds: 2,
    ...design,
  }).map(({ kind }) => kind);
}

describe('what differs between arms', () => {
  it('is told by axis, as each arm has it', () => {
    expect(armDifferences([arm(), arm({ brewerName: 'Fen flat', plan: finer })])).toEqual([
      { axis: 'brewer', values: ['Tarn cone', 'Fen flat'] },
      { axis: 'grind', values: ['700 µm', '620 µm'] },
    ]);
  });

  it('does not name pours that are the same shares of more water', () => {
    expect(armDifferences([arm(), arm({ plan: twice })]).map(({ axis }) => axis)).toEqual(['dose']);
  });

  it('names the bloom that was left out, and the pours with it', () => {
    const [, ...rest] = PLAN.pours;
    const noBloom = { ...PLAN, pours: [{ ...rest[0]!, startS: 0, amountG: 145 }, ...rest.slice(1)] };
    expect(armDifferences([arm(), arm({ plan: noBloom })])).toEqual(
      expect.arrayContaining([
        { axis: 'bloom', values: ['18 % to 0:40', 'none'] },
        { axis: 'pours', values: ['41 % at 0:40, 41 % at 1:20', '59 % at 0:00, 41 % at 1:20'] },
      ]),
    );
  });

  it('does not name what a bench does not tell apart', () => {
    const near: BrewPlan = {
      ...PLAN,
      doseG: PLAN.doseG * 1.02,
      pours: PLAN.pours.map((pour, index) => ({ ...pour, startS: pour.startS + (index > 0 ? 2 : 0) })),
    };
    expect(armDifferences([arm(), arm({ plan: near })])).toEqual([]);
  });

  it('holds a third arm against the first', () => {
    const [only] = armDifferences([arm(), arm(), arm({ plan: { ...PLAN, kettleC: 96 } })]);
    expect(only).toEqual({ axis: 'temperature', values: ['93 °C', '93 °C', '96 °C'] });
  });
});

describe('the design', () => {
  it('is sound where only what is asked about differs', () => {
    expect(kindsOf({})).toEqual([]);
  });

  it.each<[string, Partial<ComparisonDesign>, DesignFaultKind[]]>([
    ['asks about what is alike', { asks: ['temperature', 'grind'] }, ['asked-is-alike']],
    ['moves the dose too', { arms: [arm(), arm({ plan: { ...twice, grindUm: 620 } })] }, ['differs-besides']],
    ['brews each once', { rounds: 1 }, ['one-brew-each']],
    [
      'pours with another kettle',
      { arms: [arm(), arm({ plan: finer, kettleName: 'Second' })] },
      ['differs-besides'],
    ],
    [
      'gives two brewers one grind',
      { asks: ['brewer'], arms: [arm(), arm({ brewerName: 'Fen flat' })] },
      ['one-grind-for-all'],
    ],
    [
      'grinds each brewer to its own time',
      { asks: ['brewer'], arms: [arm(), arm({ brewerName: 'Fen flat', plan: finer })], matchedBy: 'drain' },
      [],
    ],
    [
      'takes the paper that belongs to the brewer',
      {
        asks: ['brewer'],
        arms: [arm(), arm({ brewerName: 'Fen flat', paperName: 'Pleated', plan: finer })],
        matchedBy: 'yield',
      },
      [],
    ],
  ])('that %s is told so', (_, design, kinds) => {
    expect(kindsOf(design)).toEqual(kinds);
  });

  it.each<[string, Partial<ComparedBrew>, DesignFaultKind]>([
    ['other hands', { brewedBy: 'Tamsin' }, 'other-hands'],
    ['another dose', { doseG: 15.6 }, 'other-dose'],
    ['an older roast', { roastAgeDays: 20 }, 'roast-age'],
  ])('that was brewed with %s is confounded', (_, over, kind) => {
    const [first, second] = twoRounds(over);
    const faults = checkDesign({
      asks: ['grind'],
      arms: [arm({ brews: first }), arm({ plan: finer, brews: second })],
      matchedBy: 'dial',
      rounds: 2,
    });
    expect(faults).toEqual([expect.objectContaining({ kind, isConfounding: true })]);
  });

  it('sees a control that was not brewed that day, and an order that never turned', () => {
    const at = (...hours: number[]) => hours.map((hour) => brew({ startedAtMs: hour * HOUR_MS }));
    const kinds = (first: ComparedBrew[], second: ComparedBrew[]) =>
      kindsOf({ arms: [arm({ brews: first }), arm({ plan: finer, brews: second })] });
    expect(kinds(at(0, 3), at(1, 2))).toEqual([]);
    expect(kinds(at(0, 40), at(1, 2))).toContain('other-day');
    expect(kinds(at(0, 2), at(1, 3))).toEqual(['order-alike']);
  });

  it('sees that a match did not come about, and says which way to go', () => {
    const [first, second] = twoRounds({ drainS: 200 });
    const [fault] = checkDesign({
      asks: ['brewer'],
      arms: [arm({ brews: first }), arm({ brewerName: 'Fen flat', plan: finer, brews: second })],
      matchedBy: 'drain',
      rounds: 2,
    });
    expect(fault).toMatchObject({
      kind: 'not-matched',
      what: 'Not matched by drain: B came 0:30 slower than A.',
      advice: 'Grind B coarser and brew it again.',
    });
  });
});

it('an order of brewing turns from round to round (Williams 1949)', () => {
  const order = brewingOrder({ arms: 2, rounds: 3 });
  expect(order.map(({ arm: each }) => each)).toEqual([0, 1, 1, 0, 0, 1]);
  const four = brewingOrder({ arms: 4, rounds: 4 });
  const firsts = four.filter((_, index) => index % 4 === 0).map(({ arm: each }) => each);
  expect(new Set(firsts).size).toBe(4);
});

it('a comparison costs its brews, with two at once in half the turns', () => {
  // Computed: 2 x (170 / 60 + 4) x 2 = 27.3 min; 245 g of water a brew.
  expect(comparisonCost({ plans: [PLAN, PLAN], rounds: 2 })).toEqual({
    brews: 4,
    coffeeG: 60,
    waterG: 980,
    aloneMin: 28,
    twoAtOnceMin: 14,
  });
});

describe('figures of the arms', () => {
  const [first, second] = twoRounds({ tdsPercent: 1.42, yieldPercent: 20.8 });
  const arms = [arm({ brews: first }), arm({ brews: second })] as const;

  it('are told apart where they lie further apart than hands and meter scatter', () => {
    expect(figureApart(arms[0], arms[1], 'tdsPercent')).toMatchObject({ isApart: true });
    expect(figureApart(arms[0], arms[1], 'drainS')).toMatchObject({ difference: 0, isApart: false });
    expect(figureApart(arms[0], arm(), 'tdsPercent')).toBeNull();
  });

  it('tell a smaller difference with more brews (computed: by the square root)', () => {
    const once = smallestFound('tdsPercent', { value: 1.3, rounds: 1 });
    expect(smallestFound('tdsPercent', { value: 1.3, rounds: 4 })).toBeCloseTo(once / 2, 12);
    expect(once).toBeGreaterThan(0.05);
    expect(once).toBeLessThan(0.15);
  });
});

describe('coded cups', () => {
  const random = seededRandom(11);

  it.each(['triangle', 'duo-trio', 'paired', 'ranking', 'scores'] as const)(
    'of a %s are served in every order equally often, under codes that no other cup has',
    (method) => {
      const arms = method === 'ranking' ? 4 : 2;
      const sets = serveBlind({ method, arms, tasters: 24, random });
      const coded = sets.flat().filter(({ isReference }) => !isReference);
      expect(new Set(coded.map(({ code }) => code)).size).toBe(coded.length);
      expect(coded.every(({ code }) => /^[1-9]\d\d$/.test(code))).toBe(true);
      const orders = new Map<string, number>();
      for (const set of sets) {
        const key = set.map(({ arm: each }) => each).join('');
        orders.set(key, (orders.get(key) ?? 0) + 1);
      }
      expect(new Set(orders.values()).size).toBe(1);
      expect(orders.size).toBe({ triangle: 6, 'duo-trio': 4, paired: 2, ranking: 4, scores: 2 }[method]);
    },
  );

  it('say nothing by their code (correlation with the arm within chance, 60 tasters, seed 11)', () => {
    const cups = serveBlind({ method: 'paired', arms: 2, tasters: 60, random }).flat();
    const meanOf = (of: number) => {
      const codes = cups.filter(({ arm: each }) => each === of).map(({ code }) => Number(code));
      return codes.reduce((sum, code) => sum + code, 0) / codes.length;
    };
    // Codes are even over 900: 260 of standard deviation, 34 of a mean of 60, 47 of the difference; four of those.
    expect(Math.abs(meanOf(0) - meanOf(1))).toBeLessThan(190);
  });
});

it('a house knows what it tested, and counts nothing that was confounded', () => {
  const tested = { comparisonId: 1, asks: ['bloom' as const], process: 'naturals', tasters: 8 };
  const [position, ...others] = housePositions([
    { ...tested, isFound: false, isConfounded: false },
    { ...tested, comparisonId: 2, tasters: 16, isFound: false, isConfounded: false },
    { ...tested, comparisonId: 3, isFound: true, isConfounded: true },
  ]);
  expect(others).toEqual([]);
  expect(position && positionWords(position)).toBe(
    'This house tested the bloom on naturals twice: no difference found, 24 tasters.',
  );
});
