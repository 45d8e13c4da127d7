import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random/seededRandom.js';
import type { BlindMethod } from '../vocabulary.js';
import { answerWords } from './answerWords.js';
import { blindAnswerFault, openAnswer, type OpenedAnswer } from './blindAnswer.js';
import { blindResult } from './blindResult.js';
import { serveBlind, type BlindSet } from './serveBlind.js';

const NAMES = ['A, Tarn cone', 'B, Fen flat', 'C, Rill carafe', 'D, Moor cone'];
const say = (results: ReturnType<typeof blindResult>) =>
  answerWords({ results, names: NAMES, faults: [], meter: null });
const told = (right: number, wrong: number): OpenedAnswer[] => [
  ...Array.from({ length: right }, () => ({ kind: 'told' as const, isRight: true })),
  ...Array.from({ length: wrong }, () => ({ kind: 'told' as const, isRight: false })),
];
const preferred = (first: number, second: number): OpenedAnswer[] =>
  [...Array.from({ length: first }, () => 0), ...Array.from({ length: second }, () => 1)].map((arm) => ({
    kind: 'preferred' as const,
    arm,
  }));

describe('an answer and its key', () => {
  const cups: BlindSet = [
    { code: '417', arm: 0, isReference: false },
    { code: '283', arm: 1, isReference: false },
    { code: '905', arm: 0, isReference: false },
  ];

  it('of a triangle is right where the odd one was chosen', () => {
    expect(openAnswer('triangle', cups, { chosen: '283' })).toEqual({ kind: 'told', isRight: true });
    expect(openAnswer('triangle', cups, { chosen: '417' })).toEqual({ kind: 'told', isRight: false });
  });

  it('of a duo-trio is right where the one like the known was chosen', () => {
    const [first, ...others] = cups;
    const set = [{ ...first!, code: '', isReference: true }, ...others];
    expect(openAnswer('duo-trio', set, { chosen: '905' })).toEqual({ kind: 'told', isRight: true });
    expect(openAnswer('duo-trio', set, { chosen: '283' })).toEqual({ kind: 'told', isRight: false });
  });

  it('of a ranking and of points goes by arm', () => {
    const [set] = serveBlind({ method: 'ranking', arms: 3, tasters: 1, random: seededRandom(2) });
    const codeOf = (arm: number) => set!.find((cup) => cup.arm === arm)!.code;
    expect(openAnswer('ranking', set!, { ranked: [codeOf(2), codeOf(0), codeOf(1)] })).toEqual({
      kind: 'ranked',
      arms: [2, 0, 1],
    });
    const scores = { [codeOf(0)]: 5, [codeOf(1)]: 7, [codeOf(2)]: 2 };
    expect(openAnswer('scores', set!, { scores })).toEqual({ kind: 'scored', scores: [5, 7, 2] });
  });

  it.each<[BlindMethod, object, string]>([
    ['triangle', { chosen: '999' }, 'Choose one of 417, 283, 905.'],
    ['triangle', {}, 'Choose one of 417, 283, 905.'],
    ['ranking', { ranked: ['417', '417', '283'] }, 'Rank each of 417, 283, 905 once.'],
    [
      'scores',
      { scores: { 417: 5, 283: 10, 905: 3 } },
      'Give each of 417, 283, 905 a whole number from 1 to 9.',
    ],
  ])('of a %s that is not whole is refused', (method, answer, message) => {
    expect(blindAnswerFault(method, cups, answer)).toMatchObject({ ok: false, message });
    expect(() => openAnswer(method, cups, answer)).toThrow(RangeError);
  });
});

describe('the answer of a test', () => {
  it('of a triangle has the exact chance and the share that notices (computed: 8 of 12, 0.0188)', () => {
    const [hot] = blindResult({
      method: 'triangle',
      arms: 2,
      alpha: 0.05,
      answers: [{ stage: 'hot', opened: told(8, 4) }],
    });
    expect(hot).toMatchObject({ answers: 12, isFound: true });
    expect(hot?.pValue).toBeCloseTo(0.0188, 4);
    // Computed: (8/12 - 1/3) / (2/3) = 0.5.
    expect(hot?.figures).toMatchObject({ kind: 'told', right: 8, byGuessing: 4, fewestNeeded: 8 });
    expect(hot?.figures.kind === 'told' && hot.figures.noticing.value).toBeCloseTo(0.5, 9);
    expect(say([hot!])).toEqual({
      answers: [
        'A difference when hot: 8 of 12 were right; guessing does that 2 times in 100. Of 100 such tasters about 50 notice it (2 to 85).',
      ],
      mayNotSay: ['Only tasted hot: the verdict may turn at another temperature.'],
    });
  });

  it('that found nothing does not say that they are the same', () => {
    const results = blindResult({
      method: 'triangle',
      arms: 2,
      alpha: 0.05,
      answers: [{ stage: 'warm', opened: told(6, 6) }],
    });
    expect(say(results)).toEqual({
      answers: ['No difference found when warm: 6 of 12 were right, and guessing gives 4.'],
      mayNotSay: [
        'Not found is not the same: what half of people notice, so many tasters find 63 times in 100.',
        'Only tasted warm: the verdict may turn at another temperature.',
      ],
    });
  });

  it('of too few is told to show nothing', () => {
    const results = blindResult({
      method: 'paired',
      arms: 2,
      alpha: 0.05,
      answers: [{ stage: 'cool', opened: preferred(5, 0) }],
    });
    expect(results[0]).toMatchObject({ isFound: false, powerAtHalf: 0 });
    expect(say(results).mayNotSay[0]).toBe(
      '5 answers are too few to show anything: even all alike could be chance.',
    );
  });

  it('at three stages is held to one chance of a false alarm, and may turn', () => {
    const answers = [
      { stage: 'hot' as const, opened: preferred(13, 3) },
      { stage: 'warm' as const, opened: preferred(8, 8) },
      { stage: 'cool' as const, opened: preferred(1, 15) },
    ];
    const results = blindResult({ method: 'paired', arms: 2, alpha: 0.05, answers });
    // Computed: 13 of 16 alone is 0.021 and would be found; of three stages the second smallest counts double.
    expect(results.map(({ adjustedPValue }) => Number(adjustedPValue.toFixed(4)))).toEqual([
      0.0425, 1, 0.0016,
    ]);
    expect(results.map(({ isFound }) => isFound)).toEqual([true, false, true]);
    expect(say(results).answers[1]).toBe('No preference found when warm: 8 of 16 chose each.');
    expect(say(results).mayNotSay).toEqual(['The verdict turns as the cup cools: say at which stage.']);
  });

  it('that was looked at early is held to less at its end (13 of 24, and 8 of 12 of them)', () => {
    const answers = [{ stage: 'hot' as const, opened: told(13, 11) }];
    const test = { method: 'triangle' as const, arms: 2, alpha: 0.05, answers };
    expect(blindResult(test)[0]).toMatchObject({ isFound: true });
    const looked = (looksAt: number[]) =>
      blindResult({ ...test, looks: { planned: 24, looksAt } })[0]?.isFound;
    // The first 13 are right: looked at after 12 that is enough by far.
    expect(looked([12])).toBe(true);
    // Wrong ones first: a look after 11 sees none, and the end has as good as all of its chance left.
    const late = { ...test, answers: [{ stage: 'hot' as const, opened: [...told(0, 11), ...told(13, 0)] }] };
    expect(blindResult({ ...late, looks: { planned: 24, looksAt: [11] } })[0]?.isFound).toBe(true);
    // Fewer than were planned, and stopped for it: what was not spent stays unspent.
    const short = { ...test, answers: [{ stage: 'hot' as const, opened: told(8, 4) }] };
    expect(blindResult(short)[0]?.isFound).toBe(true);
    const held = blindResult({ ...short, looks: { planned: 24, looksAt: [12] } });
    expect(held[0]?.isFound).toBe(false);
    expect(say(held).mayNotSay).toContain(
      'It was looked at early: for that it takes more right answers than it had.',
    );
    expect(say(blindResult({ ...test, looks: { planned: 24, looksAt: [12] } })).answers[0]).toContain(
      'guessing does that no oftener than was allowed, over all looks',
    );
  });

  it('of a ranking names the pairs that differ', () => {
    const opened = Array.from({ length: 9 }, (): OpenedAnswer => ({ kind: 'ranked', arms: [2, 0, 1] }));
    const results = blindResult({
      method: 'ranking',
      arms: 3,
      alpha: 0.05,
      answers: [{ stage: 'hot', opened }],
    });
    expect(results[0]?.figures).toMatchObject({ kind: 'ranked', means: [2, 3, 1], concordance: 1 });
    expect(say(results).answers).toEqual([
      'A difference when hot: mean place C, Rill carafe 1.0; A, Tarn cone 2.0; B, Fen flat 3.0, by 9 tasters who agree to 1.00 of 1 (Kendall’s W); chance does that less than once in 1,000 times. A, Tarn cone before B, Fen flat for 9 of 9; C, Rill carafe before A, Tarn cone for 9 of 9; C, Rill carafe before B, Fen flat for 9 of 9.',
    ]);
  });

  it('of points gives differences and where they lie', () => {
    const opened = [7, 8, 6, 7, 9, 7, 8, 7].map((score): OpenedAnswer => ({
      kind: 'scored',
      scores: [score, 5],
    }));
    const [hot] = blindResult({
      method: 'scores',
      arms: 2,
      alpha: 0.05,
      answers: [{ stage: 'hot', opened }],
    });
    expect(hot).toMatchObject({ isFound: true });
    expect(hot?.figures.kind === 'scored' && hot.figures.pairs[0]).toMatchObject({
      better: 0,
      worse: 1,
      agreeing: 8,
      of: 8,
      isFound: true,
    });
    expect(say([hot!]).answers[0]).toContain('A, Tarn cone before B, Fen flat by 2.4 points (1.6 to 3.1)');
  });

  it('of a confounded design says what it may be about instead, in one sentence', () => {
    const results = blindResult({
      method: 'triangle',
      arms: 2,
      alpha: 0.05,
      answers: [{ stage: 'hot', opened: told(11, 1) }],
    });
    const fault = { kind: 'differs-besides' as const, isConfounding: true, what: '', advice: '' };
    const faults = [
      { ...fault, instead: 'the dose' },
      { ...fault, instead: 'the temperature' },
      { ...fault, instead: 'the dose' },
    ];
    const { mayNotSay } = answerWords({ results, names: NAMES, faults, meter: null });
    expect(mayNotSay).toContain('It may be about the dose or the temperature instead: see the design.');
  });

  it('says what the meter has to say to it', () => {
    const results = blindResult({
      method: 'triangle',
      arms: 2,
      alpha: 0.05,
      answers: [{ stage: 'hot', opened: told(11, 1) }],
    });
    const meter = (difference: number, isApart: boolean, yieldApart = false) => ({
      strength: { difference, reach: 0.05, isApart },
      yieldPoints: { difference: 1.2, reach: 0.7, isApart: yieldApart },
    });
    const said = (of: ReturnType<typeof meter>) =>
      answerWords({ results, names: NAMES, faults: [], meter: of }).mayNotSay.at(-1);
    expect(said(meter(0.01, false))).toBe(
      'The meter cannot tell them apart (strength 0.01 % apart, known to 0.05 %): they differ in taste, not measurably in strength.',
    );
    expect(said(meter(-0.12, true))).toContain('tells them apart too, strength by 0.12 %: part');
    expect(said(meter(0.01, false, true))).toContain('tells them apart too, yield by 1.2 points: part');
  });

  it.each<[BlindMethod, number]>([
    ['triangle', 2],
    ['paired', 2],
    ['ranking', 3],
    ['scores', 3],
  ])(
    'raises no more false alarms than it says, over three stages (500 null %s tests, seed 21)',
    (method, arms) => {
      const random = seededRandom(21);
      const guess = (set: BlindSet) => {
        const codes = set.map(({ code }) => code);
        if (method === 'ranking') return { ranked: codes.slice().sort(() => random() - 0.5) };
        if (method === 'scores') {
          return { scores: Object.fromEntries(codes.map((code) => [code, 1 + Math.floor(9 * random())])) };
        }
        return { chosen: codes[Math.floor(random() * codes.length)] ?? '' };
      };
      const alarms = Array.from({ length: 500 }, () => {
        const sets = serveBlind({ method, arms, tasters: 6, random });
        const stages = (['hot', 'warm', 'cool'] as const).map((stage) => ({
          stage,
          opened: sets.map((set) => openAnswer(method, set, guess(set))),
        }));
        return blindResult({ method, arms, alpha: 0.05, answers: stages }).some(({ isFound }) => isFound);
      }).filter(Boolean).length;
      // Exact tests of few answers stay below; four standard errors above 0.05 of 500.
      expect(alarms / 500).toBeLessThan(0.09);
    },
  );
});
