import { describe, expect, it } from 'vitest';
import { benchSteps } from '../bench/benchSteps.js';
import type { BenchEvent } from '../bench/benchEvents.js';
import type { Tasted } from '../change/findingsOf.js';
import { PLAN } from '../testing/brews.js';
import { NOT_SCORED } from '../tasting/sheet.js';
import type { Intensity, TastingStage } from '../vocabulary.js';
import { changeSeen, type BrewSeen } from './changeSeen.js';
import type { Expectation, Hope } from './expectation.js';

const FINER = { ...PLAN, grindUm: PLAN.grindUm - 50 };
const stepsOf = (plan: typeof PLAN, drainedS: number) =>
  benchSteps(plan).map((step, stepIndex) => ({
    stepIndex,
    atS: step.kind === 'drawdown' ? drainedS : step.plannedS,
    skipped: false,
    totalG: null,
  }));
const brew = (tdsPercent: number, change: Partial<BrewSeen> = {}): BrewSeen => ({
  plan: PLAN,
  steps: stepsOf(PLAN, 170),
  events: [],
  verdict: null,
  verdictReason: '',
  tastings: [],
  measured: {
    tdsPercent: { value: tdsPercent, sd: 0.03 },
    yieldPercent: { value: tdsPercent * 14, sd: 0.45 },
    drawdownS: { value: 170, sd: 4 },
  },
  comparablePercent: 0.015,
  ...change,
});
const sheet = (
  notes: string,
  scores: Partial<Record<Intensity, number>> = {},
  { by = 'Joss', stage = 'warm' }: { by?: string; stage?: TastingStage } = {},
): Tasted => ({
  by,
  stage,
  notes,
  intensities: { ...NOT_SCORED, ...scores },
  faults: [],
});
const expects = (hopes: Hope[] = []): Expectation => ({
  source: { kind: 'model' },
  figures: {
    tdsPercent: { from: 1.3, to: 1.38, sd: 0.04 },
    yieldPercent: { from: 18.2, to: 19.3, sd: 0.6 },
    drawdownS: { from: 170, to: 184, sd: 9 },
  },
  hopes,
});
const after = (tdsPercent: number, change: Partial<BrewSeen> = {}) =>
  brew(tdsPercent, { plan: FINER, steps: stepsOf(FINER, 184), ...change });
const hoped = (hope: Hope, from: Partial<BrewSeen>, to: Partial<BrewSeen>) =>
  changeSeen({ expectation: expects([hope]), before: brew(1.3, from), after: after(1.38, to) }).hopes[0];

describe('a change after its brew', () => {
  it('is laid beside what it was to do, from the brew before', () => {
    const { figures } = changeSeen({ expectation: expects(), before: brew(1.3), after: after(1.37) });
    expect(figures.tdsPercent?.expectedBy).toBeCloseTo(0.08, 10);
    expect(figures.tdsPercent?.didBy).toBeCloseTo(0.07, 10);
    expect(figures.tdsPercent).toMatchObject({ asExpected: true, toldApart: true });
    expect(figures.drawdownS).toMatchObject({ expectedBy: 14, didBy: 0 });
  });

  it('came out as expected within what forecast and instrument leave open nine times of ten', () => {
    const band = 1.645 * Math.hypot(0.04, 0.03);
    const at = (tdsPercent: number) =>
      changeSeen({ expectation: expects(), before: brew(1.3), after: after(tdsPercent) }).figures.tdsPercent;
    expect(at(1.38 + band * 0.99)?.asExpected).toBe(true);
    expect(at(1.38 + band * 1.01)?.asExpected).toBe(false);
    expect(at(1.38 - band * 1.01)?.asExpected).toBe(false);
  });

  it('is not told apart from the brew before by less than two cups on one instrument differ by themselves', () => {
    const least = 1.96 * Math.hypot(0.015, 0.015);
    const by = (step: number) =>
      changeSeen({ expectation: expects(), before: brew(1.3), after: after(1.3 + step) }).figures.tdsPercent;
    expect(by(least * 1.01)?.toldApart).toBe(true);
    expect(by(-least * 1.01)?.toldApart).toBe(true);
    expect(by(least * 0.99)?.toldApart).toBe(false);
  });

  it('tells yields and drain times apart by their own uncertainties, and a strength without its repeats by all of it', () => {
    const seenOf = (from: Partial<BrewSeen>, to: Partial<BrewSeen>) =>
      changeSeen({ expectation: expects(), before: brew(1.3, from), after: after(1.3, to) }).figures;
    const yieldOf = (value: number) => ({ ...brew(1.3).measured, yieldPercent: { value, sd: 0.45 } });
    const least = 1.96 * Math.hypot(0.45, 0.45);
    const by = (step: number) =>
      seenOf({ measured: yieldOf(18) }, { measured: yieldOf(18 + step) }).yieldPercent;
    expect(by(least * 1.01)?.toldApart).toBe(true);
    expect(by(least * 0.99)?.toldApart).toBe(false);
    const drained = (value: number) => ({ ...brew(1.3).measured, drawdownS: { value, sd: 4 } });
    expect(seenOf({ measured: drained(170) }, { measured: drained(181) }).drawdownS?.toldApart).toBe(false);
    expect(seenOf({ measured: drained(170) }, { measured: drained(182) }).drawdownS?.toldApart).toBe(true);
    const unrepeated = { comparablePercent: null };
    const strengthBy = (step: number) =>
      changeSeen({
        expectation: expects(),
        before: brew(1.3, unrepeated),
        after: after(1.3 + step, unrepeated),
      }).figures.tdsPercent;
    expect(strengthBy(0.08)?.toldApart).toBe(false);
    expect(strengthBy(0.09)?.toldApart).toBe(true);
  });

  it('says nothing of a figure that was not forecast, or that either brew lacks', () => {
    const unread = { ...brew(1.3).measured, tdsPercent: null };
    const expectation = expects();
    const seen = changeSeen({ expectation, before: brew(1.3, { measured: unread }), after: after(1.38) });
    expect(Object.keys(seen.figures)).toEqual(['drawdownS', 'yieldPercent']);
    const blind = changeSeen({
      expectation: { ...expectation, figures: null },
      before: brew(1.3),
      after: after(1.4),
    });
    expect(blind.figures).toEqual({});
  });

  it('hopes that a fault is gone: told once somebody tasted, and by the record’s own words', () => {
    const dry: Hope = { kind: 'gone', finding: 'dry' };
    const was = { tastings: [sheet('drying finish')] };
    expect(hoped(dry, was, { tastings: [sheet('plum, clean')] })).toBe('came');
    expect(hoped(dry, was, { tastings: [sheet('still drying')] })).toBe('missed');
    // Something else is wrong now; this is gone.
    expect(hoped(dry, was, { tastings: [sheet('bitter')] })).toBe('came');
    expect(hoped(dry, was, {})).toBe('not-told');
    expect(hoped(dry, was, { verdict: 'close', verdictReason: 'not dry any more' })).toBe('came');
  });

  it('a bed that nobody watched is not told, nor a drain that nobody marked', () => {
    const shows: BenchEvent = { kind: 'bed-shows', atS: 78 };
    const stands: BenchEvent = { kind: 'water-stands', atS: 45 };
    const ranDry: Hope = { kind: 'gone', finding: 'bed-dry' };
    expect(hoped(ranDry, { events: [shows] }, {})).toBe('not-told');
    expect(hoped(ranDry, { events: [shows] }, { events: [stands] })).toBe('came');
    expect(hoped(ranDry, { events: [shows] }, { events: [{ kind: 'first-drip', atS: 20 }] })).toBe(
      'not-told',
    );
    // Shown long before the third pour, at 80 s: it ran dry again.
    expect(hoped(ranDry, { events: [shows] }, { events: [{ kind: 'bed-shows', atS: 70 }] })).toBe('missed');
    expect(hoped({ kind: 'gone', finding: 'level-high' }, {}, { events: [shows] })).toBe('came');
    expect(hoped({ kind: 'gone', finding: 'level-high' }, {}, {})).toBe('not-told');
    const stalled: Hope = { kind: 'gone', finding: 'stalled' };
    expect(hoped(stalled, {}, {})).toBe('came');
    expect(hoped(stalled, {}, { steps: stepsOf(FINER, 300) })).toBe('missed');
    expect(hoped(stalled, {}, { steps: [] })).toBe('not-told');
    expect(hoped({ kind: 'gone', finding: 'bed-cratered' }, {}, {})).toBe('not-told');
  });

  it('hopes for more or less of something: by the sheets of those who tasted both brews at that stage', () => {
    const more: Hope = { kind: 'more', attribute: 'sweetness' };
    const was = { tastings: [sheet('', { sweetness: 4 }), sheet('', { sweetness: 8 }, { by: 'Ilse' })] };
    expect(hoped(more, was, { tastings: [sheet('', { sweetness: 5 })] })).toBe('came');
    expect(hoped(more, was, { tastings: [sheet('', { sweetness: 4 })] })).toBe('missed');
    // Somebody who scores lower by nature says nothing of the brew.
    expect(hoped(more, was, { tastings: [sheet('', { sweetness: 2 }, { by: 'Tamsin' })] })).toBe('not-told');
    expect(hoped(more, was, { tastings: [sheet('', { sweetness: 6 }, { stage: 'cool' })] })).toBe('not-told');
    // On the sheet, and not scored.
    expect(hoped(more, was, { tastings: [sheet('sweet', { body: 6 })] })).toBe('not-told');
    const less: Hope = { kind: 'less', attribute: 'sweetness' };
    expect(hoped(less, was, { tastings: [sheet('', { sweetness: 7 }, { by: 'Ilse' })] })).toBe('came');
    expect(hoped(less, was, { tastings: [sheet('', { sweetness: 9 }, { by: 'Ilse' })] })).toBe('missed');
  });

  it('hopes for a word in the notes, in either number, and not where it is denied', () => {
    const florals: Hope = { kind: 'brings', word: 'florals' };
    expect(hoped(florals, {}, { tastings: [sheet('a Floral top')] })).toBe('came');
    expect(hoped(florals, {}, { tastings: [sheet('no florals')] })).toBe('missed');
    expect(hoped(florals, {}, { tastings: [sheet('plum')] })).toBe('missed');
    // One taster is enough.
    expect(hoped(florals, {}, { tastings: [sheet('plum'), sheet('florals', {}, { by: 'Ilse' })] })).toBe(
      'came',
    );
    expect(hoped({ kind: 'brings', word: ' Plums ' }, {}, { tastings: [sheet('plum')] })).toBe('came');
    expect(hoped(florals, {}, { verdict: 'on-aim' })).toBe('not-told');
    expect(hoped({ kind: 'brings', word: 'ear' }, {}, { tastings: [sheet('pear')] })).toBe('missed');
    expect(
      hoped({ kind: 'brings', word: 'plum (ripe)' }, {}, { tastings: [sheet('Plum (ripe) skin')] }),
    ).toBe('came');
  });
});
