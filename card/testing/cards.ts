import { BREWER_CLASSES, PAPER_PER_M, type BrewPlan, type Expected, type Precision } from '@vendu/core';
import type { PublicPageView, PublicRecipeView } from '@vendu/contract';

// Small true-to-shape cards; every test changes only what it is about.

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

const expected = (value: number, sd: number): Expected => ({ value, sd, low: value - sd, high: value + sd });
const precision = (mean: number, sd: number): Precision => ({
  mean,
  count: 3,
  hands: 2,
  repeatabilitySd: sd,
  reproducibilitySd: sd,
  expected: { low: mean - 3 * sd, high: mean + 3 * sd },
});

const MODEL: NonNullable<PublicRecipeView['model']> = {
  kit: {
    brewer: BREWER_CLASSES.cone,
    paperPerM: PAPER_PER_M.ordinary,
    ambientC: 21,
    elevationM: 0,
  },
  factors: { solubility: 1, rate: 1, flow: 1, retained: 1, steepness: 1 },
  variants: [
    {
      variant: 'brighter',
      grindByUm: 40,
      waterByG: 0,
      tdsPercent: expected(1.25, 0.03),
      yieldPercent: expected(19.5, 0.4),
      drawdownS: expected(150, 8),
    },
  ],
};

/** A card as it was before cards told of grinders, water, proof and trials. */
export const OLD_CARD: PublicRecipeView = {
  slug: 'ridge-cone',
  publishedAt: '2026-11-21T09:00:00Z',
  lotName: 'Ridge',
  country: 'RW',
  process: 'washed',
  brewerName: 'Cone',
  plan: PLAN,
  houseName: 'Lab',
  housePlace: 'Hill',
  region: 'Western slopes',
  farm: '',
  producer: '',
  variety: 'Red Bourbon',
  additions: '',
  labelNotes: 'plum, black tea',
  elevationFromM: 1900,
  elevationToM: 1900,
  elevationWord: null,
  paper: 'white',
  grinderName: 'Halyard, flat',
  grinderSetting: 21,
  introduction: 'Let it cool.',
  versionNumber: 2,
};

export const CARD: PublicRecipeView = {
  ...OLD_CARD,
  grinders: [
    {
      name: 'Halyard, flat',
      points: [
        { setting: 10, grindUm: 400, sdUm: 10 },
        { setting: 30, grindUm: 1000, sdUm: 10 },
      ],
      settingStep: 1,
      finestSetting: null,
      coarsestSetting: null,
      words: [],
    },
    {
      name: 'Pebble, conical',
      points: [
        { setting: 1, grindUm: 800, sdUm: 10 },
        { setting: 5, grindUm: 1200, sdUm: 10 },
      ],
      settingStep: 1,
      finestSetting: null,
      coarsestSetting: null,
      words: [],
    },
  ],
  water: { name: 'Mixed', hardnessMgPerL: 70, alkalinityMgPerL: 40 },
  proof: {
    strength: precision(1.31, 0.02),
    yield: precision(20.2, 0.3),
    drain: precision(165, 5),
    hands: 2,
    grinders: 1,
    roastAgeDays: { from: 9, to: 11 },
  },
  trials: [
    { finding: 'sour', change: 'Grind 60 µm finer.', came: true },
    { finding: 'flat', change: 'Set the kettle 2 °C hotter.', came: false },
  ],
  model: MODEL,
};

export const view = (
  card: PublicRecipeView = CARD,
  changes: Partial<PublicPageView> = {},
): PublicPageView => ({
  card,
  standing: 'public',
  editions: [],
  lotSlug: 'ridge',
  versions: [{ number: 2, publishedAt: card.publishedAt, changes: [] }],
  ...changes,
});
