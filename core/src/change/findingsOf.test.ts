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

  it('reads the reason of a verdict, and finds no fault of taste in a cup that is on aim', () => {
    expect(found({ verdict: 'off-aim', verdictReason: 'Tart; no currant yet.' })).toEqual(['sour']);
    expect(found({ verdict: 'on-aim', tastings: [tasted('drying')] })).toEqual([]);
  });

  it('takes sour and bitter together for unevenness', () => {
    expect(found({ tastings: [tasted('sour'), tasted('bitter')] })).toEqual(['sour-and-bitter']);
  });

  it('reads the bed between pours, but not a bed that shows after its bloom', () => {
    const pours = steps.filter(({ kind }) => kind === 'pour').map(({ plannedS }) => plannedS);
    const shows = (atS: number) => ({ kind: 'bed-shows' as const, atS, figure: null, text: '' });
    expect(pours.length).toBeGreaterThan(2);
    expect(found({ steps: done, events: [shows((pours[1] ?? 0) - 2)] })).toEqual([]);
    expect(found({ steps: done, events: [shows((pours[2] ?? 0) - 2)] })).toEqual(['bed-dry']);
    expect(found({ steps: done, events: [shows(PLAN.drawdownS - 1)] })).toEqual([]);
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
    expect(found({ steps: at(1.1) })).toEqual([]);
  });
});
