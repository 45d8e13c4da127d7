import { describe, expect, it } from 'vitest';
import { lotPrior } from '../calibration/priors.js';
import { similarLots, type FinishedLot } from '../startingRecipe/similarLots.js';
import { startingRecipe } from '../startingRecipe/startingRecipe.js';
import type { StartingFacts } from '../startingRecipe/facts.js';
import { PLAN } from '../testing/brews.js';
import type { BaseProcess, Process } from '../vocabulary.js';
import { lotDifferences, type LotOrigin } from './lotDifferences.js';
import { labelNotesIn, labelNotesText } from './labelNotes.js';
import { isOfProcess, mayHaveBase, processFaults } from './process.js';

const facts = (process: Process, baseProcess: BaseProcess | null, elevationM: number): StartingFacts => ({
  process,
  baseProcess,
  elevation: { fromM: elevationM, toM: elevationM },
  roastLevel: 'light',
  roastAgeDays: 10,
  brewer: { shape: 'cone', usualDoseG: 16 },
  labElevationM: 0,
});
const ORIGIN: LotOrigin = {
  process: 'natural',
  baseProcess: null,
  additions: '',
  isDecaffeinated: false,
  elevationFromM: null,
  elevationToM: null,
  elevationWord: null,
  variety: '',
  harvest: '',
  drying: '',
};
const rulesOf = (process: Process, baseProcess: BaseProcess | null, elevationM = 1500) =>
  startingRecipe(facts(process, baseProcess, elevationM)).reasons.figures.flatMap(({ steps }) =>
    steps.map(({ ruleId }) => ruleId),
  );

describe('a process on top of another', () => {
  it('is both, and a base has none', () => {
    expect(isOfProcess({ process: 'anaerobic', baseProcess: 'natural' }, 'natural')).toBe(true);
    expect(isOfProcess({ process: 'anaerobic', baseProcess: 'natural' }, 'anaerobic')).toBe(true);
    expect(isOfProcess({ process: 'anaerobic' }, 'natural')).toBe(false);
    expect(mayHaveBase('co-fermented')).toBe(true);
    expect(
      ['washed', 'honey', 'natural', 'not-known'].some((process) => mayHaveBase(process as Process)),
    ).toBe(false);
    expect(processFaults({ process: 'washed', baseProcess: 'natural' })).toHaveLength(1);
    expect(processFaults({ process: 'not-known', baseProcess: 'natural' })[0]?.message).toMatch(
      /as the process/,
    );
    expect(processFaults({ process: 'decaffeinated', baseProcess: 'washed' })).toEqual([]);
  });

  it('starts by the rules of both: an anaerobic natural is cooler, and tighter and coarser too', () => {
    expect(rulesOf('anaerobic', 'natural')).toEqual(expect.arrayContaining(['long-fermentation', 'natural']));
    expect(rulesOf('anaerobic', null)).not.toContain('natural');
    expect(rulesOf('co-fermented', 'honey')).toEqual(expect.arrayContaining(['co-fermented', 'honey']));
  });

  it('grown high and washed is not brewed hotter where it was fermented long: the fermentation wins', () => {
    expect(rulesOf('washed', null, 2000)).toContain('high-washed');
    expect(rulesOf('carbonic-maceration', 'washed', 2000)).not.toContain('high-washed');
    expect(rulesOf('decaffeinated', 'washed', 2000)).toContain('high-washed');
  });

  it('is believed to give more easily than its base, and than it does without one', () => {
    const rate = (process: Process, baseProcess: BaseProcess | null) =>
      lotPrior({ process, baseProcess }).lnMean[1] ?? 0;
    expect(rate('anaerobic', 'natural')).toBeGreaterThan(rate('anaerobic', null));
    expect(rate('anaerobic', 'natural')).toBeGreaterThan(rate('natural', null));
    expect(rate('anaerobic', 'washed')).toBe(rate('anaerobic', null));
  });

  it('is likest to one of the same two, and less like one of another base', () => {
    const lot = (lotId: number, process: Process, baseProcess: BaseProcess | null): FinishedLot => ({
      lotId,
      name: '',
      process,
      baseProcess,
      elevation: { fromM: 1500, toM: 1500 },
      roastLevel: 'light',
      variety: '',
      brewerShape: 'cone',
      startGrindUm: 700,
      plan: PLAN,
      evidence: null,
    });
    const found = similarLots(lot(0, 'anaerobic', 'natural'), [
      lot(1, 'anaerobic', 'washed'),
      lot(2, 'anaerobic', 'natural'),
      lot(3, 'anaerobic', null),
      lot(4, 'natural', null),
      lot(5, 'washed', null),
    ]);
    const likeness = (lotId: number) => found.find((each) => each.lotId === lotId)?.likeness ?? 0;
    expect(likeness(2)).toBeGreaterThan(likeness(3));
    expect(likeness(3)).toBeGreaterThan(likeness(1));
    expect(likeness(4)).toBeGreaterThan(likeness(5));
  });

  it('tells siblings apart where both bases are known', () => {
    const origin = (baseProcess: BaseProcess | null) => ({
      ...ORIGIN,
      process: 'anaerobic' as const,
      baseProcess,
    });
    expect(lotDifferences(origin('natural'), origin('washed'))).toEqual(['process']);
    expect(lotDifferences(origin('natural'), origin(null))).toEqual([]);
  });

  it('is what was done besides as well: fruit added, decaffeinated', () => {
    const all = {
      process: 'anaerobic',
      baseProcess: 'natural',
      additions: 'mango',
      isDecaffeinated: true,
    } as const;
    for (const each of ['anaerobic', 'natural', 'co-fermented', 'decaffeinated'] as const) {
      expect(isOfProcess(all, each)).toBe(true);
    }
    expect(isOfProcess({ ...all, additions: ' ', isDecaffeinated: false }, 'co-fermented')).toBe(false);
    const steps = (more: Partial<StartingFacts>) =>
      startingRecipe({ ...facts('anaerobic', 'natural', 1500), ...more }).reasons.figures;
    const kettle = (more: Partial<StartingFacts>) => steps(more).find(({ figure }) => figure === 'kettleC');
    // It is cooled once, not twice.
    expect(kettle({ additions: 'mango' })?.value).toBe(kettle({})?.value);
    const ids = steps({ additions: 'mango', isDecaffeinated: true }).flatMap(({ steps: taken }) =>
      taken.map(({ ruleId }) => ruleId),
    );
    expect(ids).toEqual(expect.arrayContaining(['co-fermented', 'decaffeinated', 'long-fermentation']));
    const mean = (more: object) => lotPrior({ process: 'washed', ...more }).lnMean;
    expect(mean({ isDecaffeinated: true })).not.toEqual(mean({}));
    expect(mean({ additions: 'yeast' })).not.toEqual(mean({}));
  });

  it('tells siblings apart by what was done besides', () => {
    const origin = (more: object) => ({ ...ORIGIN, ...more });
    expect(lotDifferences(origin({}), origin({ isDecaffeinated: true }))).toEqual(['process']);
    expect(lotDifferences(origin({ additions: 'mango' }), origin({ additions: 'passion fruit' }))).toEqual(
      [],
    );
  });
});

describe('the notes of a label', () => {
  it('are a list, each said once, however they were typed', () => {
    expect(labelNotesIn(' plum,Cocoa  nib;plum \n red grape,, ')).toEqual(['plum', 'Cocoa nib', 'red grape']);
    expect(labelNotesIn('')).toEqual([]);
    expect(labelNotesIn(labelNotesText(['plum', 'red grape']))).toEqual(['plum', 'red grape']);
  });
});
