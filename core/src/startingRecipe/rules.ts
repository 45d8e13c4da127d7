import { isLongFermented, isOfLongFermentation } from '../lot/fermentation.js';
import { isOfProcess } from '../lot/process.js';
import type { Figure } from './figures.js';
import { SCHOOL_RULES } from './schoolRules.js';
import {
  doseOf,
  hasSign,
  isHighGrown,
  isInFastPaper,
  isHeldBackBelow,
  isInThickPaper,
  isLowGrown,
  isOpenBelow,
  type StartingFacts,
} from './facts.js';
import type { SchoolPoint } from '../schools/schools.js';

/** One push of a rule on one figure. */
interface RulePush {
  figure: Figure;
  /** Signed size in the unit of the figure. */
  by: number;
}

/** From this dose on a batch is large, g: one lot is brewed in 5:30 to 6:00 from 45 g (common practice). */
const LARGE_BATCH_G = 40;

/**
 * A sign read off the lot, and the way it moves the recipe. Directions are common practice; the sizes
 * are the house's own first steps, to be replaced by what brews teach.
 */
export interface StartingRule {
  id: string;
  /** The disputed point on which the house's stand speaks here; left out where the lot or the brewer does. */
  school?: SchoolPoint;
  /** Completes "because ...": what was seen and what follows from it. */
  because: string;
  applies: (facts: StartingFacts) => boolean;
  pushes: readonly RulePush[];
  /** Where two signs pull apart, the one that wins silences the other's push on a figure. */
  overrules?: readonly { ruleId: string; figures: readonly Figure[] }[];
}

/** In reading order: the lot, its roast, the brewer, then the house's schools. Adding a behaviour means adding a row. */
export const STARTING_RULES: readonly StartingRule[] = [
  {
    id: 'high-washed',
    because: 'grown high and washed: dense, extracts slowly, so hotter and finer',
    // Where it was fermented long as well, the fermentation wins: it gives itself up early, however dense.
    applies: (facts) => isOfProcess(facts, 'washed') && !isOfLongFermentation(facts) && isHighGrown(facts),
    pushes: [
      { figure: 'kettleC', by: 2 },
      { figure: 'grindUm', by: -30 },
    ],
  },
  {
    id: 'low-elevation',
    because:
      'low elevation: softer bean that drains fast, so finer, hotter and one more pour for contact time',
    applies: isLowGrown,
    pushes: [
      { figure: 'grindUm', by: -50 },
      { figure: 'kettleC', by: 1 },
      { figure: 'mainPours', by: 1 },
      { figure: 'drawdownS', by: -10 },
    ],
    overrules: [{ ruleId: 'long-fermentation', figures: ['kettleC'] }],
  },
  {
    id: 'elevation-not-known',
    because:
      'where it grew is not known: lots that were not fermented long are mostly brewed at 95 to 97 °C, so hotter',
    applies: (facts) =>
      facts.elevation === null &&
      !isOfLongFermentation(facts) &&
      !isOfProcess(facts, 'decaffeinated') &&
      facts.process !== 'not-known',
    pushes: [{ figure: 'kettleC', by: 2 }],
  },
  {
    id: 'long-fermentation',
    because: 'long or closed fermentation: very soluble and boozy when pushed, so cooler and gentle',
    applies: ({ process }) => isLongFermented(process),
    pushes: [
      { figure: 'kettleC', by: -3 },
      { figure: 'bloomSwirls', by: -1 },
    ],
    // Fermented long and with fruit besides: it is cooled once.
    overrules: [{ ruleId: 'co-fermented', figures: ['kettleC'] }],
  },
  {
    id: 'co-fermented',
    because:
      'co-fermented: much comes out up front, so a long bloom, one long pour, more water and an early end',
    applies: (facts) => isOfProcess(facts, 'co-fermented'),
    pushes: [
      { figure: 'ratio', by: 1 },
      { figure: 'bloomS', by: 20 },
      { figure: 'mainPours', by: -1 },
      { figure: 'kettleC', by: -2 },
    ],
  },
  {
    id: 'natural',
    because: 'natural: extracts easily and is about sweetness and body, so tighter and a touch coarser',
    applies: (facts) => isOfProcess(facts, 'natural'),
    pushes: [
      { figure: 'ratio', by: -0.5 },
      { figure: 'grindUm', by: 20 },
    ],
  },
  {
    id: 'washed',
    because: 'washed: clarity and acidity are its point, so a little more water',
    applies: (facts) => isOfProcess(facts, 'washed'),
    pushes: [{ figure: 'ratio', by: 0.4 }],
  },
  {
    id: 'honey',
    because: 'honey: structure is there anyway, so coarser and cooler keeps it transparent',
    applies: (facts) => isOfProcess(facts, 'honey'),
    pushes: [
      { figure: 'grindUm', by: 20 },
      { figure: 'kettleC', by: -1 },
    ],
  },
  {
    id: 'decaffeinated',
    because: 'decaffeinated: thinner in the cup, so tighter and finer',
    applies: (facts) => isOfProcess(facts, 'decaffeinated'),
    pushes: [
      { figure: 'ratio', by: -0.8 },
      { figure: 'grindUm', by: -30 },
    ],
  },
  {
    id: 'delicate',
    because: 'delicate and tea-like: little body of its own, so a thin, steady stream and no stirring',
    applies: (facts) => hasSign(facts, 'delicate'),
    pushes: [
      { figure: 'bloomSwirls', by: -1 },
      { figure: 'flowGps', by: -3 },
      { figure: 'ratio', by: 0.3 },
    ],
  },
  {
    id: 'prone-to-dryness',
    because: 'prone to dryness: its tail turns astringent, so less agitation, coarser and an earlier end',
    applies: (facts) => hasSign(facts, 'prone-to-dryness'),
    pushes: [
      { figure: 'bloomSwirls', by: -1 },
      { figure: 'grindUm', by: 30 },
      { figure: 'drawdownS', by: -15 },
    ],
    // What would dry the cup out gives way, wherever the lot grew.
    overrules: [{ ruleId: 'high-washed', figures: ['kettleC'] }],
  },
  {
    id: 'many-fines',
    because: 'much chaff and many fines: a slow, dry tail, so coarser and fewer, calmer pours',
    applies: (facts) => hasSign(facts, 'many-fines'),
    pushes: [
      { figure: 'grindUm', by: 40 },
      { figure: 'mainPours', by: -1 },
    ],
  },
  {
    id: 'no-bloom-rise',
    because: 'the bloom does not rise: little gas, so a short, small one does',
    applies: (facts) => hasSign(facts, 'no-bloom-rise'),
    pushes: [
      { figure: 'bloomS', by: -15 },
      { figure: 'bloomMultiple', by: -0.5 },
    ],
  },
  {
    id: 'light-roast',
    because:
      'light roast: acidity and aroma, so hotter, more bloom to wet it through, and done before the fourth minute dulls it',
    applies: ({ roastLevel }) => roastLevel === 'light',
    pushes: [
      { figure: 'kettleC', by: 1 },
      { figure: 'bloomMultiple', by: 0.3 },
      { figure: 'drawdownS', by: -10 },
    ],
  },
  {
    id: 'dark-roast',
    because: 'developed roast: soluble and brittle, so cooler and coarser',
    applies: ({ roastLevel }) => roastLevel === 'medium-dark',
    pushes: [
      { figure: 'kettleC', by: -3 },
      { figure: 'grindUm', by: 40 },
    ],
  },
  {
    id: 'fresh-roast',
    because: 'roasted within the week: gassy, so a longer bloom with more water in it',
    applies: ({ roastAgeDays }) => roastAgeDays <= 7,
    pushes: [
      { figure: 'bloomS', by: 10 },
      { figure: 'bloomMultiple', by: 0.8 },
    ],
  },
  {
    id: 'aged-roast',
    because: 'two weeks or more since the roast: little gas left, so a shorter, smaller bloom',
    applies: ({ roastAgeDays }) => roastAgeDays >= 14,
    pushes: [
      { figure: 'bloomS', by: -10 },
      { figure: 'bloomMultiple', by: -0.5 },
    ],
  },
  {
    id: 'one-large-hole',
    because: 'one large hole: the grind sets the flow, so finer',
    applies: isOpenBelow,
    pushes: [{ figure: 'grindUm', by: -20 }],
  },
  {
    id: 'held-back-below',
    because: 'small holes or a valve: the brewer holds back the flow, so coarser',
    applies: isHeldBackBelow,
    pushes: [{ figure: 'grindUm', by: 30 }],
  },
  {
    id: 'ribless-cone',
    because: 'a cone without ribs: slower and made for body, so hotter, coarser and swirled',
    applies: ({ brewer }) => brewer.shape === 'cone' && brewer.ribs === 'none',
    pushes: [
      { figure: 'kettleC', by: 2 },
      { figure: 'grindUm', by: 20 },
      { figure: 'bloomSwirls', by: 1 },
    ],
  },
  {
    id: 'thick-paper',
    because: 'thick paper: slow, so coarser, cooler and more time',
    applies: isInThickPaper,
    pushes: [
      { figure: 'grindUm', by: 120 },
      { figure: 'kettleC', by: -1 },
      { figure: 'drawdownS', by: 45 },
    ],
  },
  {
    id: 'fast-paper',
    because: 'fast paper: it can be ground finer without bitterness',
    applies: isInFastPaper,
    pushes: [{ figure: 'grindUm', by: -20 }],
  },
  {
    id: 'deep-bed',
    because: 'a dose for sharing makes a deeper bed that drains slower, so coarser and more time',
    applies: (facts) => doseOf(facts) >= 28,
    pushes: [
      { figure: 'grindUm', by: 60 },
      { figure: 'drawdownS', by: 45 },
    ],
  },
  {
    id: 'large-batch',
    because:
      'a large batch: in stages, or a single pour would fill the brewer and stand for minutes, and half as long again',
    applies: (facts) => doseOf(facts) >= LARGE_BATCH_G,
    pushes: [
      { figure: 'mainPours', by: 2 },
      { figure: 'drawdownS', by: 120 },
    ],
  },
  ...SCHOOL_RULES,
];
