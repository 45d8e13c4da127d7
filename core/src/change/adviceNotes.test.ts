import { describe, expect, it } from 'vitest';
import type { LotCalibration } from '../calibration/calibrateLot.js';
import { PLAN } from '../testing/brews.js';
import { adviceNotes } from './adviceNotes.js';
import type { Candidate } from './search.js';

type Given = Parameters<typeof adviceNotes>[0];

const AIM = { tdsPercent: { low: 1.3, high: 1.4 }, yieldPercent: { low: 20, high: 21 } };
const OFF = { strength: 'low', yield: 'on-aim', time: 'unknown', withinUncertainty: true } as const;
const candidate = (
  tdsPercent: number,
  yieldPercent: number,
  drawdownS = 170,
  moves: Candidate['moves'] = [],
) =>
  ({
    moves,
    forecast: {
      tdsPercent: { value: tdsPercent },
      yieldPercent: { value: yieldPercent },
      drawdownS: { value: drawdownS },
    },
  }) as Candidate;
/** Of a lot that is known, near its aim, with nothing to be said. */
const QUIET: Given = {
  situation: { strength: 'on-aim', yield: 'on-aim', time: 'unknown', withinUncertainty: true },
  isThere: false,
  chance: 0.5,
  rules: [],
  nearest: candidate(1.35, 20.5),
  likeliest: 0.6,
  targets: AIM,
  calibration: { knowledge: 'some', disagreeing: [] } as unknown as LotCalibration,
  first: PLAN,
  limits: { finestUm: 450, coarsestUm: 1200, hottestC: 99, coolestC: 80 },
  boilingC: 100,
};
const notes = (changes: Partial<Given> = {}) => adviceNotes({ ...QUIET, ...changes });
const rule = (because: string, wants: Given['rules'][number]['wants'] = []) => ({
  id: 'r',
  wants,
  avoids: [],
  because,
});

it('where there is nothing to know, nothing is said', () => {
  expect(notes()).toEqual([]);
});

describe('a brew that misses by less than its own uncertainty is to be read or brewed again', () => {
  it.each([
    ['strength', { ...OFF }],
    ['yield', { ...OFF, strength: 'on-aim', yield: 'high' }],
    ['time', { ...OFF, strength: 'on-aim', time: 'low' }],
  ] as const)('of %s', (_, situation) => {
    expect(notes({ situation })).toEqual([
      'The last brew misses the aim by less than its own uncertainty: read it or brew it again before changing anything.',
    ]);
  });

  it.each([
    ['it is proven', { isThere: true }],
    ['it misses by more', { situation: { ...OFF, withinUncertainty: false } }],
    ['both at once are ruled out', { chance: 0.24 }],
  ])('and not where %s', (_, changes) => expect(notes({ situation: OFF, ...changes })).toEqual([]));
});

it('a rule that asks for no move is said as a sentence; one that does speaks by its move', () => {
  expect(
    notes({
      rules: [
        rule('the house wants a dry finish'),
        rule('finer is sweeter', [{ lever: 'grind', direction: 'down' }]),
      ],
    }),
  ).toEqual(['The house wants a dry finish.']);
});

it('what is known of the lot is said where that is nothing, or disagrees', () => {
  const of = (changes: object) => notes({ calibration: { ...QUIET.calibration, ...changes } });
  expect(of({ knowledge: 'nothing' })).toEqual([
    'No brew of this lot has been measured yet: take every figure as a rough range.',
  ]);
  expect(of({ disagreeing: [{}] })).toEqual([
    'One of the brews disagrees with the rest: check its record, or exclude it.',
  ]);
});

describe('an aim out of reach', () => {
  const far = (nearest: Candidate, targets: Given['targets'] = AIM) =>
    notes({ likeliest: 0.24, nearest, targets });

  it('is said where no plan is likelier than a quarter, and not from there on', () => {
    expect(notes({ likeliest: 0.25, nearest: candidate(1.2, 22) })).toEqual([]);
    expect(far(candidate(1.2, 22))).toEqual([
      'No one or two changes are likely to reach the whole aim. The nearest, the recipe as it is, is expected to give 1.20 % strength (aim 1.30 to 1.40) and 22.0 % yield (aim 20.0 to 21.0): move the aim, or try another brewer or paper.',
    ]);
  });

  it('names the nearest plan by its moves, and only what that misses', () => {
    const [note] = far(
      candidate(1.35, 19.2, 200, [
        { lever: 'grind', from: 700, to: 650 },
        { lever: 'kettle', from: 93, to: 95 },
      ]),
      { ...AIM, drawdownS: { low: 160, high: 180 } },
    );
    expect(note).toContain('The nearest, grind 50 µm finer, to 650 µm; kettle 2 °C hotter, to 95 °C, is');
    expect(note).toContain('to give 19.2 % yield (aim 20.0 to 21.0) and 3:20 to drain (aim 2:40 to 3:00):');
    expect(note).not.toContain('strength');
  });

  it('that the nearest plan meets is too uncertain, which a brew narrows', () => {
    expect(far(candidate(1.35, 20.5))).toEqual([
      'The aim can be met by the recipe as it is, but the forecast is too uncertain to promise it: weigh and read one brew to narrow it.',
    ]);
  });
});

describe('the end of a lever', () => {
  const at = (first: object, limits: object = {}, boilingC = 100) =>
    notes({ first: { ...PLAN, ...first }, limits: { ...QUIET.limits, ...limits }, boilingC });

  it('is said of the grinder both ways, from the end on', () => {
    expect(at({ grindUm: 451 })).toEqual([]);
    expect(at({ grindUm: 450 })).toEqual(['The grinder goes no finer than 450 µm.']);
    expect(at({ grindUm: 1199 })).toEqual([]);
    expect(at({ grindUm: 1200 })).toEqual(['The grinder goes no coarser than 1200 µm.']);
  });

  it('is said of the kettle where water boils, and not where it is the kettle that holds no more', () => {
    expect(at({ kettleC: 94 }, { hottestC: 94.6 }, 94.6)).toEqual([
      'Water boils at 94.6 °C here: the kettle goes no hotter.',
    ]);
    expect(at({ kettleC: 93 }, { hottestC: 94.6 }, 94.6)).toEqual([]);
    expect(at({ kettleC: 94 }, { hottestC: 94 }, 94.6)).toEqual([]);
  });

  it('is said of nothing where there is no plan to begin with', () => {
    expect(notes({ first: null, limits: { ...QUIET.limits, hottestC: 100 } })).toEqual([]);
  });
});
