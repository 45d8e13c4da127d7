/** What stands in for a part of an address: there is such a thing in the demo. */
export const PATH_EXAMPLES: Readonly<Record<string, string | number>> = {
  lotId: 1,
  recipeId: 1,
  versionId: 3,
  brewId: 11,
  comparisonId: 1,
  testId: 1,
  number: 3,
  slug: 'umuseke-ridge-kittiwake-cone',
  stage: 'hot',
  size: 'a6',
  key: '8b0ff6f2-7c0e-4b5e-9a55-3c5d7c1d2a10',
  report: 'dial-in',
  check: 'repeats',
  stepIndex: 0,
};

const STARTED_MS = Date.UTC(2026, 1, 1, 9, 30);

/**
 * A lot's way from its arrival to a verdict as a program goes it, by operation and in order. The tests send all of it, with
 * the numbers that earlier answers gave in place of those here.
 */
export const BODY_EXAMPLES: Readonly<Record<string, Readonly<Record<string, unknown>>>> = {
  LotsController_create: {
    name: 'Harbour test lot',
    country: 'RW',
    process: 'washed',
    roastedOn: '2026-01-15',
  },
  LotsController_addRoastBatch: { roastedOn: '2026-01-20' },
  RecipesController_start: { brewerId: 1, grinderId: 1 },
  BrewsController_put: {
    recipeVersionId: 3,
    roastBatchId: 1,
    entries: [
      {
        device: 'a program',
        number: 1,
        atMs: STARTED_MS,
        kind: 'marked',
        stepIndex: 0,
        skipped: false,
        by: 'hand',
      },
      { device: 'a program', number: 2, atMs: STARTED_MS + 180_000, kind: 'noted', text: 'drained evenly' },
    ],
  },
  BrewsController_weigh: { revision: 0, doseG: 15, waterG: 250, beverageG: 218, note: '' },
  BrewsController_addReading: { tdsPercent: 1.32 },
  CupsController_putTasting: {
    intensities: {
      acidity: 6,
      sweetness: 6,
      body: 5,
      bitterness: 3,
      dryness: 2,
      clarity: 7,
      aftertaste: 6,
    },
    notes: 'redcurrant, black tea',
  },
  BrewsController_giveVerdict: { verdict: 'on-aim', reason: '' },
};
