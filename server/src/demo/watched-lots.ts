import type { DemoBrew, DemoLot } from './scenario.js';

// Lots that have been out for weeks. Ten days ago the house grinder's burrs came loose: whatever is ground on it since is
// coarser than its setting says, and every lot on it shows the same.

/** What the loose burrs give on top of what is set, um. */
const LOOSE_UM = 140;

const ON_AIM: DemoBrew['verdict'] = { verdict: 'on-aim', reason: 'As it should be.' };

/** Three brews of the starting recipe, one of them from the card by somebody else: what its proof rests on. */
function proven(daysAgo: number, notes: string): DemoBrew[] {
  const tastings: DemoBrew['tastings'] = (['hot', 'warm', 'cool'] as const).map((stage) => ({
    stage,
    notes,
    intensities: { acidity: 6, sweetness: 7, body: 5, clarity: 7 },
  }));
  return [
    { daysAgo: daysAgo + 2, by: 1, change: null, tastings, verdict: ON_AIM },
    { daysAgo: daysAgo + 1, by: 1, change: null, verdict: ON_AIM },
    { daysAgo, by: 2, change: null, fromCard: true, tastings, verdict: ON_AIM },
  ];
}

/** As the roast ages: two that hold, and one since the burrs came loose. */
function rechecks(daysAgo: readonly [number, number, number], by: number): DemoBrew[] {
  const [first, second, loose] = daysAgo;
  const tasted = (notes: string): DemoBrew['tastings'] => [
    { stage: 'warm', notes, intensities: { acidity: 6, sweetness: 6, body: 5 } },
  ];
  return [
    { daysAgo: first, by, change: null, tastings: tasted('as proven'), verdict: ON_AIM },
    { daysAgo: second, by, change: null, tastings: tasted('as proven, a little softer'), verdict: ON_AIM },
    {
      daysAgo: loose,
      by,
      change: null,
      coarserByUm: LOOSE_UM,
      tastings: tasted('thin, tea'),
      verdict: { verdict: 'close', reason: 'Thinner than it was, and it ran through sooner.' },
    },
  ];
}

const WAIVED: DemoLot['waivers'] = [
  { check: 'second-grinder', reason: 'Only the house grinder was there that week.' },
  {
    check: 'label',
    reason: 'The label was printed before the lot was brewed; it changes with the next print.',
  },
];

export const WATCHED_LOTS: DemoLot[] = [
  {
    facts: {
      name: 'Kisalo Terrace',
      pricePerKg: 8.9,
      country: 'UG',
      region: 'Eastern mountain slopes',
      farm: 'Terrace washing station',
      producer: '96 growers below the falls',
      variety: 'SL14, Nyasaland',
      process: 'washed',
      elevationFromM: 1750,
      elevationToM: 1900,
      harvest: 'March 2026',
      drying: 'raised beds, 16 days',
      labelNotes: ['red apple', 'cocoa nib'],
      stockG: 6200,
    },
    truth: { soluble: 0.98, rate: 0.95, resistance: 0.95, fines: 1, held: 1, gas: 1 },
    roastedDaysAgo: 58,
    laterBatches: [24],
    roastLevel: 'light',
    recipe: { brewer: 0, grinder: 0 },
    reached: 'published',
    publishedDaysAgo: 46,
    launchInDays: -45,
    waivers: WAIVED,
    introduction: 'A quiet cup that gets clearer as it cools.',
    brews: proven(47, 'red apple, cane sugar'),
    rechecks: rechecks([33, 18, 4], 1),
  },
  {
    facts: {
      name: 'Mutwenzi Hill',
      pricePerKg: 9.4,
      country: 'BI',
      region: 'Northern hills',
      farm: 'Mutwenzi washing station',
      producer: '310 families of the hill',
      variety: 'Red Bourbon',
      process: 'washed',
      elevationFromM: 1680,
      elevationToM: 1820,
      harvest: 'April 2026',
      drying: 'raised beds, 20 days',
      labelNotes: ['mandarin', 'black tea'],
      stockG: 5400,
    },
    truth: { soluble: 0.97, rate: 0.9, resistance: 1, fines: 1, held: 1, gas: 1 },
    roastedDaysAgo: 49,
    laterBatches: [20],
    roastLevel: 'light',
    recipe: { brewer: 0, grinder: 0 },
    reached: 'published',
    publishedDaysAgo: 37,
    launchInDays: -36,
    waivers: WAIVED,
    introduction: 'Bright at first, round when it is warm.',
    brews: proven(38, 'mandarin, black tea'),
    rechecks: rechecks([25, 14, 5], 4),
  },
  {
    facts: {
      name: 'Bomaku Natural',
      country: 'PG',
      region: 'Western highlands',
      farm: 'Bomaku drying yard',
      producer: 'the Kaugel growers',
      variety: 'Typica, Arusha',
      process: 'natural',
      elevationFromM: 1600,
      elevationToM: 1700,
      harvest: 'June 2026',
      drying: 'patio and tarpaulin, 26 days',
      labelNotes: ['dried fig', 'cocoa'],
      stockG: 3900,
    },
    truth: { soluble: 1.03, rate: 1.1, resistance: 1.3, fines: 1.05, held: 1, gas: 1 },
    roastedDaysAgo: 44,
    laterBatches: [17, 2],
    roastLevel: 'medium-light',
    recipe: { brewer: 1, grinder: 0 },
    reached: 'published',
    publishedDaysAgo: 32,
    launchInDays: -31,
    waivers: WAIVED,
    introduction: 'Sweet and heavy; a little more water does it no harm.',
    brews: proven(33, 'fig, cocoa'),
    rechecks: rechecks([22, 12, 6], 3),
  },
];
