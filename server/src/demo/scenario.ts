import type {
  BrewPlan,
  Expectation,
  Intensity,
  TastingSheet,
  TastingStage,
  Verdict,
  Waiver,
} from '@vendu/core';
import type { DemoCup } from './invent-cups.js';
import { setWater } from '@vendu/core';
import type { LayeredLot } from '@vendu/measures/secondTruth';
import type { HomeResultDto, NewLotDto, RoastBatchDto } from '@vendu/contract';

// The invented scenario: a roastery at the ninth mole of a harbour town that does not exist. No farm, person
// or brand here is real. What brews weighed and read is computed in `invent-brew.ts`, not written here.

/** A change and what whoever made it hoped for in the cup. */
interface DemoChange extends Pick<Expectation, 'source' | 'hopes'> {
  note: string;
  apply: (plan: BrewPlan) => BrewPlan;
}

/** One brew of the trail: the one thing changed before it, and what the coffee then truly gave. */
export interface DemoBrew {
  daysAgo: number;
  /** Index into the demo accounts. */
  by: number;
  /** The change that made the version brewed; `null` to brew the newest one again. */
  change: DemoChange | null;
  /** The number of an earlier version, brewed again to compare; else the newest. */
  ofVersion?: number;
  /** Hour of the day, UTC; where left out, one of its brewer's shift. */
  hour?: number;
  /** The beverage was not weighed, as happens. */
  unweighed?: boolean;
  skippedAgitation?: boolean;
  /** What the grinder truly gave on top of what was set, um. */
  coarserByUm?: number;
  /** Whoever brewed it had the card alone. */
  fromCard?: boolean;
  note?: string;
  /** It was split: its cups in order. Nobody mixed and read them together. */
  cups?: readonly DemoCup[];
  /** What its brewer wrote. */
  tastings?: ({
    stage: TastingStage;
    notes: string;
    intensities: Partial<Record<Intensity, number>>;
  } & Partial<Pick<TastingSheet, 'aromas' | 'faults'>>)[];
  verdict?: { verdict: Verdict; reason: string };
}

export interface DemoLot {
  facts: Partial<NewLotDto> & Pick<NewLotDto, 'name' | 'country' | 'process'>;
  /** What the lot is like, which its brews find out. */
  truth: LayeredLot;
  roastedDaysAgo: number;
  /** Roasted since, days ago, newest last: whatever is brewed later is of the newest that was there. */
  laterBatches?: readonly number[];
  roastLevel: RoastBatchDto['level'];
  /** Index of the brewer and the grinder of its recipe; `null` for a lot that has none yet. */
  recipe: { brewer: number; grinder: number } | null;
  brews: DemoBrew[];
  /** Brews of the published version since it is public. */
  rechecks?: readonly DemoBrew[];
  /** Two days ago where left out. */
  publishedDaysAgo?: number;
  /** How far the newest version got. */
  reached: 'open' | 'accepted' | 'signed-off' | 'published';
  /** Days until it goes on sale; below 0 when it is on sale. */
  launchInDays: number | null;
  introduction?: string;
  /** What a lead let pass before she signed. */
  waivers?: readonly Waiver[];
  /** The version that was public before: as it was after this brew, so many days ago. */
  supersedes?: { afterBrew: number; daysAgo: number };
  /** How the card came out in kitchens. */
  homeResults?: readonly (Pick<HomeResultDto, 'doseG' | 'drainedS' | 'taste'> & { daysAgo: number })[];
  /** The same lot on another brewer. */
  edition?: Pick<DemoLot, 'brews' | 'reached' | 'publishedDaysAgo' | 'waivers'> & {
    recipe: { brewer: number; grinder: number };
  };
}

export const finer = (byUm: number) => (plan: BrewPlan) => ({ ...plan, grindUm: plan.grindUm - byUm });
export const hotter = (byC: number) => (plan: BrewPlan) => ({ ...plan, kettleC: plan.kettleC + byC });
const water =
  (waterG: number) =>
  (plan: BrewPlan): BrewPlan => {
    const edited = setWater({ pours: plan.pours, waterG });
    if (!edited.ok) throw new Error(edited.message);
    return { ...plan, pours: edited.value };
  };

export const DEMO_LOTS: DemoLot[] = [
  {
    facts: {
      name: 'Umuseke Ridge',
      country: 'RW',
      region: 'Western slopes above the lake',
      farm: 'Umuseke washing station',
      producer: '412 smallholders of the ridge',
      variety: 'Red Bourbon',
      process: 'washed',
      fermentationNote: '14 h under water, 18 h soak',
      elevationFromM: 1850,
      densityGPerL: 728,
      moisturePercent: 10.6,
      pricePerKg: 9.8,
      elevationToM: 2050,
      harvest: 'May 2026',
      screenSize: '15-18',
      greenLook: 'even blue-green, fresh, a few broken',
      drying: 'raised beds, 21 days',
      labelNotes: ['blackcurrant', 'orange peel', 'black tea'],
      stockG: 4200,
    },
    truth: { soluble: 0.95, rate: 0.8, resistance: 0.72, fines: 1, held: 1, gas: 1 },
    roastedDaysAgo: 16,
    roastLevel: 'light',
    recipe: { brewer: 0, grinder: 0 },
    reached: 'published',
    launchInDays: -2,
    waivers: [
      { check: 'repeats', reason: 'Two brews in two hands came out the same, and it goes on sale tomorrow.' },
      { check: 'second-grinder', reason: 'The second grinder has its burrs out until next week.' },
    ],
    introduction:
      'Grown high and washed, so it likes hot water. Let it cool a little: the blackcurrant shows when the cup is warm rather than hot.',
    brews: [
      {
        daysAgo: 9,
        by: 1,
        change: null,
        note: 'Drained faster than hoped, bed flat.',
        tastings: [
          {
            stage: 'hot',
            notes: 'lemon rind, thin',
            faults: ['sour'],
            intensities: { acidity: 8, sweetness: 3, body: 3, clarity: 7 },
          },
          {
            stage: 'cool',
            notes: 'sour, tea only at the end',
            intensities: { acidity: 8, sweetness: 3, aftertaste: 3 },
          },
        ],
        verdict: { verdict: 'off-aim', reason: 'Tart and thin; no currant yet.' },
      },
      {
        daysAgo: 8,
        by: 1,
        change: {
          note: 'Finer by 60 µm: tart and fast',
          apply: finer(60),
          source: { kind: 'rule', id: 'sour' },
          hopes: [
            { kind: 'gone', finding: 'sour' },
            { kind: 'more', attribute: 'sweetness' },
          ],
        },
        tastings: [
          {
            stage: 'hot',
            notes: 'orange peel, sweeter',
            intensities: { acidity: 7, sweetness: 5, body: 4, clarity: 7 },
          },
          {
            stage: 'warm',
            notes: 'currant starts',
            intensities: { acidity: 7, sweetness: 6, body: 4, clarity: 7 },
          },
        ],
        verdict: { verdict: 'close', reason: 'The currant is there, still a little light.' },
      },
      {
        daysAgo: 6,
        by: 2,
        change: {
          note: 'Finer by 30 µm: keep the currant, more body',
          apply: finer(30),
          source: { kind: 'own' },
          hopes: [
            { kind: 'brings', word: 'blackcurrant' },
            { kind: 'more', attribute: 'body' },
          ],
        },
        tastings: [
          {
            stage: 'hot',
            notes: 'orange peel, black tea',
            aromas: { dry: 'currant, cane sugar', swirled: 'orange blossom', emptied: '' },
            intensities: { acidity: 6, sweetness: 6, body: 5, clarity: 7 },
          },
          {
            stage: 'warm',
            notes: 'blackcurrant, round',
            intensities: { acidity: 6, sweetness: 7, body: 5, clarity: 7 },
          },
          {
            stage: 'cool',
            notes: 'currant jam, clean end',
            intensities: { acidity: 6, sweetness: 7, aftertaste: 6 },
          },
        ],
        verdict: { verdict: 'on-aim', reason: 'All three label notes, warm and cool.' },
      },
      {
        daysAgo: 5,
        by: 1,
        change: null,
        fromCard: true,
        note: 'Repeat by a second pair of hands.',
        tastings: [
          { stage: 'warm', notes: 'blackcurrant, tea', intensities: { acidity: 6, sweetness: 7, body: 5 } },
        ],
        verdict: { verdict: 'on-aim', reason: 'Same cup from the written recipe.' },
      },
    ],
  },
  {
    facts: {
      name: 'Valle Sereno Anaerobic',
      country: 'BO',
      region: 'Cloud-forest valleys',
      farm: 'Finca Puente Sereno',
      producer: 'the Ayllapampa family',
      variety: 'Caturra, Catuai',
      process: 'anaerobic',
      baseProcess: 'natural',
      fermentationNote: '96 h in sealed tanks, whole cherry',
      elevationFromM: 1480,
      densityGPerL: 695,
      moisturePercent: 11.2,
      pricePerKg: 14.5,
      elevationToM: 1560,
      harvest: 'August 2026',
      signs: ['prone-to-dryness'],
      drying: 'raised beds under shade, 30 days',
      labelNotes: ['plum', 'cocoa nib', 'red grape'],
      stockG: 2600,
    },
    truth: { soluble: 1.06, rate: 1.4, resistance: 1.3, fines: 1.1, held: 1.03, gas: 1.1 },
    roastedDaysAgo: 9,
    roastLevel: 'medium-light',
    recipe: { brewer: 1, grinder: 0 },
    reached: 'open',
    launchInDays: 9,
    brews: [
      {
        daysAgo: 3,
        by: 2,
        change: null,
        note: 'Level stayed high after the second pour.',
        tastings: [
          {
            stage: 'hot',
            notes: 'boozy, plum skin',
            intensities: { acidity: 4, sweetness: 5, body: 7, bitterness: 6, dryness: 5 },
          },
          {
            stage: 'cool',
            notes: 'liquorice, drying',
            intensities: { acidity: 3, sweetness: 4, bitterness: 6, dryness: 6 },
          },
        ],
        verdict: { verdict: 'off-aim', reason: 'Ferment in front of the fruit.' },
      },
      {
        daysAgo: 2,
        by: 2,
        change: {
          note: 'Coarser by 50 µm: slow and boozy',
          apply: finer(-50),
          source: { kind: 'own' },
          hopes: [
            { kind: 'gone', finding: 'boozy' },
            { kind: 'less', attribute: 'bitterness' },
          ],
        },
        skippedAgitation: true,
        unweighed: true,
        tastings: [
          {
            stage: 'hot',
            notes: 'plum, cocoa, still warm in the throat',
            intensities: { acidity: 5, sweetness: 6, body: 6, bitterness: 4 },
          },
        ],
        verdict: { verdict: 'close', reason: 'Plum is clean; the end is still boozy.' },
      },
      {
        daysAgo: 1,
        by: 1,
        change: {
          note: 'Two degrees cooler: soften the ferment',
          apply: hotter(-2),
          source: { kind: 'rule', id: 'boozy' },
          hopes: [{ kind: 'gone', finding: 'boozy' }],
        },
        tastings: [
          {
            stage: 'hot',
            notes: 'plum, grape skin',
            intensities: { acidity: 5, sweetness: 6, body: 6, bitterness: 3 },
          },
          {
            stage: 'warm',
            notes: 'red grape, cocoa nib',
            intensities: { acidity: 5, sweetness: 7, body: 6, bitterness: 3 },
          },
        ],
        verdict: { verdict: 'close', reason: 'Nearly; a touch more clarity wanted.' },
      },
    ],
  },
  {
    facts: {
      name: 'Bolaven Terrace Honey',
      country: 'LA',
      region: 'Southern plateau',
      farm: 'Ban Phuwan terrace',
      producer: 'Phuwan growers',
      variety: 'Catimor',
      process: 'honey',
      fermentationNote: 'yellow honey, half the mucilage left',
      elevationFromM: 1050,
      densityGPerL: 664,
      moisturePercent: 11.9,
      pricePerKg: 8.2,
      elevationToM: 1150,
      harvest: 'January 2026',
      drying: 'patio, then raised beds',
      labelNotes: ['malt', 'dried apricot', 'walnut'],
      stockG: 5000,
    },
    truth: { soluble: 0.93, rate: 0.85, resistance: 0.85, fines: 0.9, held: 0.98, gas: 1 },
    roastedDaysAgo: 6,
    roastLevel: 'medium',
    recipe: { brewer: 0, grinder: 1 },
    reached: 'open',
    launchInDays: 3,
    brews: [
      {
        daysAgo: 0,
        by: 1,
        change: null,
        note: 'Ran dry between the last two pours.',
        tastings: [
          {
            stage: 'hot',
            notes: 'malt, sweet, a little thin',
            intensities: { acidity: 3, sweetness: 6, body: 4, clarity: 6 },
          },
        ],
      },
    ],
  },
  {
    facts: {
      name: 'Marañal Sugarcane Decaf',
      country: 'PE',
      region: 'Northern highlands',
      farm: 'Cooperativa Marañal',
      producer: '',
      variety: 'Typica, Caturra',
      process: 'decaffeinated',
      fermentationNote: 'washed, then ethyl acetate from cane',
      elevationFromM: 1600,
      elevationToM: 1600,
      harvest: 'July 2026',
      drying: 'solar drier',
      labelNotes: ['caramel', 'baked apple'],
      stockG: 3000,
    },
    truth: { soluble: 0.94, rate: 0.95, resistance: 1.05, fines: 1.05, held: 1.04, gas: 0.8 },
    roastedDaysAgo: 12,
    roastLevel: 'medium',
    recipe: { brewer: 2, grinder: 0 },
    reached: 'accepted',
    launchInDays: 16,
    brews: [
      {
        daysAgo: 7,
        by: 2,
        change: null,
        tastings: [
          {
            stage: 'hot',
            notes: 'caramel, a bit hollow',
            intensities: { acidity: 3, sweetness: 6, body: 4 },
          },
        ],
        verdict: { verdict: 'close', reason: 'Sweet but hollow.' },
      },
      {
        daysAgo: 4,
        by: 2,
        change: {
          note: 'Less water, 20 g: body without more yield',
          apply: (plan) => water(510)(plan),
          source: { kind: 'own' },
          hopes: [
            { kind: 'more', attribute: 'body' },
            { kind: 'brings', word: 'apple' },
          ],
        },
        tastings: [
          { stage: 'hot', notes: 'caramel, baked apple', intensities: { acidity: 4, sweetness: 7, body: 6 } },
          { stage: 'warm', notes: 'apple, toffee', intensities: { acidity: 4, sweetness: 7, body: 6 } },
        ],
        verdict: { verdict: 'on-aim', reason: 'Apple and caramel, enough body for milk drinkers too.' },
      },
    ],
  },
  {
    facts: {
      name: 'Ermera Passion Co-ferment',
      country: 'TL',
      region: 'Western hills',
      farm: 'Leborai mill',
      producer: 'Leborai women’s group',
      variety: 'Timor hybrid',
      process: 'co-fermented',
      fermentationNote: '72 h with fruit pulp',
      additions: 'passion fruit pulp, wine yeast',
      elevationFromM: 1380,
      elevationToM: 1450,
      harvest: 'June 2026',
      drying: 'raised beds',
      labelNotes: ['passion fruit', 'hibiscus', 'vanilla'],
      stockG: 1500,
    },
    truth: { soluble: 1.02, rate: 1.2, resistance: 0.91, fines: 1, held: 1, gas: 1 },
    roastedDaysAgo: 4,
    roastLevel: 'light',
    recipe: null,
    reached: 'open',
    launchInDays: 21,
    brews: [],
  },
];
