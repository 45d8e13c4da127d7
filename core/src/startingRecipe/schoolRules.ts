import { hasSign, stands } from './facts.js';
import type { StartingRule } from './rules.js';

/** From here on a roast counts as having lost its gas, days (common practice: about two weeks). */
const LITTLE_GAS_DAYS = 14;
/** Up to here it is gassy, days. */
const GASSY_DAYS = 7;

/** The rule of a house that sets its ratio by style. */
export const TIGHT = 'school-coarse-cool-tight';

/**
 * The stands of the house where they leave the house recipe. Which side is right is disputed among good
 * practitioners; directions are common practice of each side, sizes the house's own first steps.
 */
export const SCHOOL_RULES: readonly StartingRule[] = [
  {
    id: 'school-no-bloom',
    school: 'bloom',
    because: 'the house does not bloom: one continuous pour, done early',
    applies: (facts) => stands(facts, 'bloom', 'never'),
    pushes: [
      { figure: 'bloomed', by: -1 },
      { figure: 'mainPours', by: -3 },
      { figure: 'drawdownS', by: -60 },
    ],
  },
  {
    id: 'school-bloom-if-it-rises',
    school: 'bloom',
    because: 'the house blooms only where the coffee rises, and this one does not',
    applies: (facts) =>
      stands(facts, 'bloom', 'if-it-rises') &&
      (hasSign(facts, 'no-bloom-rise') || facts.roastAgeDays >= LITTLE_GAS_DAYS),
    pushes: [{ figure: 'bloomed', by: -1 }],
  },
  {
    id: 'school-short',
    school: 'length',
    because: 'the house stops early and lifts the brewer off: what runs out late was flat and drying',
    applies: (facts) => stands(facts, 'length', 'short'),
    pushes: [
      { figure: 'drawdownS', by: -75 },
      { figure: 'lifted', by: 1 },
      { figure: 'mainPours', by: -1 },
      { figure: 'grindUm', by: -40 },
    ],
  },
  {
    id: 'school-long',
    school: 'length',
    because: 'the house brews long, for sweetness and texture',
    applies: (facts) => stands(facts, 'length', 'long'),
    pushes: [
      { figure: 'drawdownS', by: 45 },
      { figure: 'grindUm', by: 20 },
    ],
  },
  {
    id: 'school-leave-still',
    school: 'agitation',
    because: 'the house leaves the bed still and pours low and thin',
    applies: (facts) => stands(facts, 'agitation', 'leave-still'),
    pushes: [
      { figure: 'bloomSwirls', by: -1 },
      { figure: 'flowGps', by: -3 },
    ],
  },
  {
    id: TIGHT,
    school: 'style',
    because: 'the house brews coarse, cool and tight, for transparency',
    applies: (facts) => stands(facts, 'style', 'coarse-cool-tight'),
    pushes: [
      { figure: 'ratio', by: -1.6 },
      { figure: 'kettleC', by: -5 },
      { figure: 'grindUm', by: 70 },
    ],
  },
  {
    id: 'school-when-drained',
    school: 'pour-when',
    because:
      'the house pours when the last pour has drained, so the pours wait for it and stand further apart',
    applies: (facts) => stands(facts, 'pour-when', 'when-drained'),
    pushes: [{ figure: 'pouredByPercent', by: 15 }],
  },
  {
    id: 'school-before-drained',
    school: 'pour-when',
    because: 'the house never lets the bed run dry, so the pours stand closer',
    applies: (facts) => stands(facts, 'pour-when', 'before-drained'),
    pushes: [{ figure: 'pouredByPercent', by: -10 }],
  },
  {
    id: 'school-lift',
    school: 'end',
    because: 'the house lifts the brewer at a set time',
    applies: (facts) => stands(facts, 'end', 'lift'),
    pushes: [{ figure: 'lifted', by: 1 }],
  },
  {
    id: 'school-dilution',
    school: 'dilution',
    because: 'the house adds a little water after the brew, for clarity',
    applies: (facts) => stands(facts, 'dilution', 'for-clarity'),
    pushes: [{ figure: 'bypassPercent', by: 4 }],
  },
  {
    id: 'school-swirl-when-needed',
    school: 'swirls',
    because: 'the house swirls only when the roast is gassy, and this one is not',
    applies: (facts) => stands(facts, 'swirls', 'when-needed') && facts.roastAgeDays > GASSY_DAYS,
    pushes: [{ figure: 'bloomSwirls', by: -1 }],
  },
];
