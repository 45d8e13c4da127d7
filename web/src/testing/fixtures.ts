import {
  BREWER_CLASSES,
  brewResult,
  EMPTY_SHEET,
  lotPrior,
  PAPER_PER_M,
  USUAL_CHECKLIST,
  USUAL_SCHOOLS,
  type BrewKit,
  type BrewPlan,
} from '@vendu/core';
import type {
  BrewListItem,
  BrewView,
  CupView,
  ProofView,
  RecipeVersionView,
  RecipeView,
  TastingView,
} from '@vendu/contract';
import type { LaidOutBrew } from '../bench/benchSlice';

// Small true-to-shape objects for component tests; every test changes only what it is about.

export const PLAN: BrewPlan = {
  doseG: 16,
  kettleC: 94,
  grindUm: 700,
  drawdownS: 160,
  pours: [
    { startS: 0, amountG: 40, flowGps: 8, agitation: 'swirl', isBloom: true },
    { startS: 40, amountG: 100, flowGps: 8, agitation: 'none', isBloom: false },
    { startS: 75, amountG: 110, flowGps: 8, agitation: 'none', isBloom: false },
  ],
};

export const BREW_KIT: BrewKit = {
  brewer: BREWER_CLASSES.cone,
  paperPerM: PAPER_PER_M.ordinary,
  ambientC: 21,
  elevationM: 0,
};

// Of kit at which nobody has looked further.
export const PLAIN_PAPER = { body: null, isBleached: null, soakMin: null };
export const PLAIN_BREWER = { hasValve: false, advisedLowC: null, advisedHighC: null, bodyOfId: null };
export const PLAIN_GRINDER = {
  owner: '',
  finestSetting: null,
  coarsestSetting: null,
  burrsKg: null,
  retainedG: null,
  words: [],
};

/** A version on the bench before its clock runs. */
export const LAID_OUT: LaidOutBrew = {
  key: '4f6b1f0e-7c0b-4b52-9a53-7d9c2f3a1b10',
  lotId: 3,
  lotName: 'Ridge',
  additions: 'mango pulp',
  recipeId: 7,
  brewerName: 'Cone',
  paper: 'white',
  rinseG: 100,
  fold: null,
  seating: null,
  wallMaterial: null,
  soakMin: null,
  retainedG: null,
  grinderId: 1,
  fromCard: false,
  arm: null,
  grinderName: 'Grinder',
  grinderSetting: 5.2,
  secondSetting: null,
  recipeVersionId: 11,
  versionNumber: 2,
  roastBatchId: 4,
  plan: PLAN,
  ground: null,
  scale: { kind: 'none' },
};

export function version(changes: Partial<RecipeVersionView> = {}): RecipeVersionView {
  return {
    id: 11,
    number: 1,
    basedOn: null,
    plan: PLAN,
    grinderSetting: 5.2,
    secondSetting: null,
    grinderNote: '',
    note: 'Starting recipe',
    reasons: null,
    created: { by: 'Tamsin', at: '2026-11-20T09:00:00Z' },
    accepted: null,
    signedOff: null,
    signatures: [],
    brewCount: 1,
    ...changes,
  };
}

export function recipe(changes: Partial<RecipeView> = {}): RecipeView {
  return {
    id: 7,
    lot: { id: 3, name: 'Ridge', country: 'RW', process: 'washed', additions: '' },
    brewerId: 1,
    brewerName: 'Cone',
    paperId: 1,
    paperName: 'white',
    waterId: null,
    waterName: null,
    kettleId: null,
    kettleName: null,
    aim: null,
    grinderId: 1,
    grinderName: 'Grinder',
    versions: [version()],
    brews: [],
    elsewhere: [],
    publications: [],
    latestRoastBatchId: 4,
    latestRoastAgeDays: 9,
    prior: lotPrior({}),
    schools: USUAL_SCHOOLS,
    hasOwnSchools: false,
    ...changes,
  };
}

export function brewItem(changes: Partial<BrewListItem> = {}): BrewListItem {
  return {
    id: 21,
    number: 1,
    recipeId: 7,
    versionNumber: 1,
    brewedBy: 'Tamsin',
    startedAt: '2026-11-21T09:00:00Z',
    plan: PLAN,
    steps: [
      { stepIndex: 0, atS: 0, skipped: false, totalG: 41 },
      { stepIndex: 4, atS: 158.7, skipped: false, totalG: null },
    ],
    events: [],
    doseG: 16,
    waterG: 250,
    beverageG: 219,
    result: brewResult({ doseG: 16, waterG: 250, beverageG: 219, readingsPercent: [1.4, 1.4, 1.4] }),
    verdict: null,
    liked: null,
    isSetAside: false,
    outflow: [],
    cups: [],
    isSimulated: false,
    fromCard: false,
    roastAgeDays: 9,
    ...changes,
  };
}

export function brewView(changes: Partial<BrewView> = {}): BrewView {
  return {
    ...brewItem(),
    revision: 2,
    comparisons: [],
    finesG: null,
    tailG: null,
    tailTdsPercent: null,
    tailNote: '',
    lot: { id: 3, name: 'Ridge', process: 'washed', additions: '', labelNotes: ['currant'] },
    recipeVersionId: 11,
    brewerName: 'Cone',
    doseBasis: 'as-weighed',
    waterBasis: 'as-planned',
    roastedOn: '2026-11-10',
    roastAgeDays: 11,
    note: '',
    verdictReason: '',
    kit: null,
    hasTrace: false,
    fractions: [],
    readings: [
      { id: 1, tdsPercent: 1.4, sampleC: null, source: 'typed' },
      { id: 2, tdsPercent: 1.4, sampleC: null, source: 'typed' },
      { id: 3, tdsPercent: 1.4, sampleC: null, source: 'typed' },
    ],
    tastings: [],
    sealedSheets: {},
    corrections: [],
    siblings: [],
    ...changes,
  };
}

/** The cup of that brew. */
export function cupView(changes: Partial<CupView> = {}): CupView {
  const { id, number, lot, brewerName, startedAt } = brewView();
  return {
    ...{ id, number, lot, brewerName, startedAt },
    drainedAt: startedAt,
    roomC: 21,
    tastings: [],
    sealedSheets: {},
    ...changes,
  };
}

/** A sheet of somebody that says nothing but what a test is about. */
export function tastingView(changes: Partial<TastingView> = {}): TastingView {
  return {
    ...EMPTY_SHEET,
    stage: 'hot',
    personId: 9,
    by: 'Joss Pellwater',
    sentAt: '2026-11-21T09:40:00Z',
    isAfterOthers: false,
    isAltered: false,
    ...changes,
  };
}

/** The proof of the version above: two brews by one person, and nobody else's yet. */
export function proof(changes: Partial<ProofView> = {}): ProofView {
  const precision = {
    mean: 1.3,
    count: 2,
    hands: 1,
    repeatabilitySd: 0.02,
    reproducibilitySd: null,
    expected: null,
  };
  const brew = {
    by: 'Tamsin',
    grinder: 'Halyard',
    isSetAside: false,
    isSimulated: false,
    doseG: 16,
    waterG: 260,
    tdsPercent: 1.3,
    fromCard: false,
    yieldPercent: 20,
    drainS: 170,
    roastAgeDays: 9,
    stages: [],
    startedAt: '2026-11-21T09:00:00Z',
    notCounted: null,
  };
  return {
    lotId: 3,
    recipeId: 7,
    recipeVersionId: 11,
    checklist: USUAL_CHECKLIST,
    hasOwnChecklist: false,
    isProven: false,
    isOneHand: true,
    signOffReason: '',
    hands: ['Tamsin'],
    grinders: ['Halyard'],
    roastAgeDays: { from: 9, to: 9 },
    strength: precision,
    yield: { ...precision, mean: 20 },
    drain: { ...precision, mean: 170 },
    brews: [
      { ...brew, id: 22, number: 2 },
      { ...brew, id: 21, number: 1 },
    ],
    checks: [
      {
        check: 'repeats',
        state: 'met',
        finding: {
          check: 'repeats',
          have: 2,
          need: 2,
          apart: { strengthPercent: 0.02, yieldPoints: 0.3, drainS: 4 },
          tooFarApart: [],
        },
        brewIds: [21, 22],
        waiver: null,
        waived: null,
      },
      {
        check: 'second-hands',
        state: 'missing',
        finding: { check: 'second-hands', firstHands: 'Tamsin', others: [], notFromCard: false, offBy: [] },
        brewIds: [],
        waiver: null,
        waived: null,
      },
    ],
    ...changes,
  };
}
