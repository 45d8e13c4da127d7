import { describe, expect, it } from 'vitest';
import { benchSteps } from '../bench/benchSteps.js';
import { PLAN } from '../testing/brews.js';
import { NOT_SCORED } from '../tasting/sheet.js';
import type { Intensity } from '../vocabulary.js';
import { findingsOf, type Tasted } from './findingsOf.js';

const NOTHING = {
  tastings: [],
  verdict: null,
  verdictReason: '',
  plan: PLAN,
  steps: [],
  events: [],
};
const tasted = (notes: string, intensities: Partial<Record<Intensity, number>> = {}): Tasted => ({
  stage: 'warm',
  by: 'Joss',
  notes,
  intensities: { ...NOT_SCORED, ...intensities },
  faults: [],
});
const found = (change: Partial<Parameters<typeof findingsOf>[0]>) =>
  findingsOf({ ...NOTHING, ...change }).map(({ finding }) => finding);
const steps = benchSteps(PLAN);
const done = steps.map((step, stepIndex) => ({
  stepIndex,
  atS: step.plannedS,
  skipped: false,
  totalG: null,
}));

// Words and directions: common practice. Where a score begins to be a fault is assumed.
describe('what a record says against its aim', () => {
  it.each([
    ['lemon rind at the end', 'sour'],
    ['Tart, then nothing', 'sour'],
    ['a bit thin', 'watery'],
    ['metallic', 'bitter'],
    ['drying finish', 'dry'],
    ['liquorice', 'boozy'],
    ['blurred', 'muddled'],
    ['dull and papery', 'flat'],
  ])('hears “%s” as %s', (notes, finding) => {
    expect(found({ tastings: [tasted(notes)] })).toEqual([finding]);
  });

  it.each([
    'not sour any more',
    'less bitter than yesterday',
    'no dry finish',
    'blackcurrant, round',
    'dried fig',
  ])('hears no fault in “%s”', (notes) => expect(found({ tastings: [tasted(notes)] })).toEqual([]));

  it('takes what was ticked on a sheet, and nothing of it where the cup is on its aim', () => {
    const ticked = { ...tasted(''), faults: ['muddled' as const] };
    expect(findingsOf({ ...NOTHING, tastings: [ticked] })).toEqual([
      { finding: 'muddled', where: { kind: 'ticked', stage: 'warm', by: 'Joss' } },
    ]);
    expect(found({ tastings: [ticked], verdict: 'on-aim' })).toEqual([]);
  });

  it('reads scores, and no sourness where sweetness carries the acidity', () => {
    expect(found({ tastings: [tasted('', { dryness: 7 })] })).toEqual(['dry']);
    expect(found({ tastings: [tasted('', { acidity: 8, sweetness: 3 })] })).toEqual(['sour']);
    expect(found({ tastings: [tasted('', { acidity: 8, sweetness: 7 })] })).toEqual([]);
  });

  it.each([
    ['acidity', 8, 7, 'sour'],
    ['body', 2, 3, 'watery'],
    ['bitterness', 6, 5, 'bitter'],
    ['dryness', 6, 5, 'dry'],
    ['clarity', 2, 3, 'muddled'],
  ] as const)('takes %s for a fault from %s on, and not at %s', (attribute, fault, none, finding) => {
    expect(findingsOf({ ...NOTHING, tastings: [tasted('', { [attribute]: fault })] })).toEqual([
      { finding, where: { kind: 'scored', stage: 'warm', by: 'Joss', attribute, score: fault } },
    ]);
    expect(found({ tastings: [tasted('', { [attribute]: none })] })).toEqual([]);
  });

  it('has acidity carried by sweetness from 5 on, and no other fault', () => {
    expect(found({ tastings: [tasted('', { acidity: 9, sweetness: 5 })] })).toEqual([]);
    expect(found({ tastings: [tasted('', { acidity: 9, sweetness: 4 })] })).toEqual(['sour']);
    expect(found({ tastings: [tasted('', { bitterness: 9, sweetness: 9 })] })).toEqual(['bitter']);
  });

  it('says where it stands: which word of a note, and of a verdict', () => {
    expect(findingsOf({ ...NOTHING, tastings: [tasted('Tart, thin')] })).toEqual([
      { finding: 'sour', where: { kind: 'noted', stage: 'warm', by: 'Joss', word: 'tart' } },
      { finding: 'watery', where: { kind: 'noted', stage: 'warm', by: 'Joss', word: 'thin' } },
    ]);
    expect(findingsOf({ ...NOTHING, verdict: 'off-aim', verdictReason: 'dull' })).toEqual([
      { finding: 'flat', where: { kind: 'verdict', word: 'dull' } },
    ]);
  });

  it('reads the reason of a verdict, and finds no fault of taste in a cup that is on aim', () => {
    expect(found({ verdict: 'off-aim', verdictReason: 'Tart; no currant yet.' })).toEqual(['sour']);
    expect(found({ verdict: 'on-aim', tastings: [tasted('drying')] })).toEqual([]);
  });

  it('takes sour and bitter together for unevenness', () => {
    expect(found({ tastings: [tasted('sour'), tasted('bitter')] })).toEqual(['sour-and-bitter']);
    // Beside it stands whatever else was found.
    expect(found({ tastings: [tasted('sour, drying'), tasted('bitter')] })).toEqual([
      'dry',
      'sour-and-bitter',
    ]);
  });

  it('reads the bed between pours, but not a bed that shows after its bloom', () => {
    const pours = steps.filter(({ kind }) => kind === 'pour').map(({ plannedS }) => plannedS);
    const shows = (atS: number) => ({ kind: 'bed-shows' as const, atS, figure: null, text: '' });
    expect(pours.length).toBeGreaterThan(2);
    expect(found({ steps: done, events: [shows((pours[1] ?? 0) - 2)] })).toEqual([]);
    expect(found({ steps: done, events: [shows((pours[2] ?? 0) - 2)] })).toEqual(['bed-dry']);
    expect(found({ steps: done, events: [shows(PLAN.drawdownS - 1)] })).toEqual([]);
  });

  it('says when the bed was dry, and hears nothing of it before a pour that was left out', () => {
    const atS = PLAN.pours[2]!.startS - 2;
    const events = [{ kind: 'bed-shows' as const, atS, figure: null, text: '' }];
    expect(findingsOf({ ...NOTHING, steps: done, events })).toEqual([
      { finding: 'bed-dry', where: { kind: 'bed', atS } },
    ]);
    const leftOut = done.map((step, index) => ({
      ...step,
      skipped: steps[index]?.kind === 'pour' && step.atS === PLAN.pours[2]!.startS,
    }));
    expect(found({ steps: leftOut, events })).toEqual([]);
  });

  it('takes water that stands for too much only late between two pours', () => {
    // The second pour of 100 g at 6 g/s ends at 56.7 s; four fifths of what is left until 80 s are over at 75.3 s.
    const stands = (atS: number) => ({ kind: 'water-stands' as const, atS, figure: null, text: '' });
    for (const atS of [41, 57, 70, 75]) expect(found({ steps: done, events: [stands(atS)] })).toEqual([]);
    expect(findingsOf({ ...NOTHING, steps: done, events: [stands(76)] })).toEqual([
      { finding: 'level-high', where: { kind: 'bed', atS: 76 } },
    ]);
    // What else is seen so late is no water that stands.
    expect(found({ steps: done, events: [{ kind: 'first-drip' as const, atS: 76 }] })).toEqual([]);
  });

  it('reads a stall and a rush from the drain, and says both times', () => {
    const at = (factor: number) =>
      done.map((step) =>
        step.stepIndex === done.length - 1 ? { ...step, atS: PLAN.drawdownS * factor } : step,
      );
    expect(findingsOf({ ...NOTHING, steps: at(1.7) })).toEqual([
      { finding: 'stalled', where: { kind: 'drain', atS: PLAN.drawdownS * 1.7, plannedS: PLAN.drawdownS } },
    ]);
    expect(found({ steps: at(0.6) })).toEqual(['drained-fast']);
    for (const factor of [0.7, 1.1, 1.5]) expect(found({ steps: at(factor) })).toEqual([]);
    // Lifted off, it has not drained.
    expect(found({ plan: { ...PLAN, lifts: true }, steps: at(1.7) })).toEqual([]);
    expect(found({ steps: at(1.7).map((step) => ({ ...step, skipped: true })) })).toEqual([]);
  });
});
