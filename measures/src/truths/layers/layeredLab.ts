import { BREWER_CLASSES, normalDraw, PAPER_PER_M, seededRandom } from '@vendu/core';
import { factsOf, shiftsOf } from '../lotFacts.js';
import type { SyntheticLab, SyntheticLot } from '../truth.js';
import { brewInLayers, type LayeredLot } from './brewInLayers.js';
import { PHYSICS, PHYSICS_NAMES, type Physics } from './physics.js';

/** How far laboratories differ, as the spread of a logarithm: what is known of no coffee well, and of every one a little. */
const FAR = 0.25;
const NEAR = 0.03;
const NEARLY_KNOWN: readonly (keyof Physics)[] = ['voids', 'heldGPerG', 'openedM'];
/** Two powers that decide the size of every step of the grind. */
const SPREAD: Partial<Record<keyof Physics, number>> = {
  coreSizePower: 0.15,
  finesPower: 0.15,
  corePerS: 0.2,
  paper: 0.3,
};

/** The second truth. */
export function layeredLab(seed: number): SyntheticLab {
  const random = seededRandom(seed * 12_289 + 5);
  const off = (spread: number) => Math.exp(normalDraw(random, { mean: 0, sd: spread }));
  const physics = { ...PHYSICS };
  for (const name of PHYSICS_NAMES) {
    physics[name] *= off(SPREAD[name] ?? (NEARLY_KNOWN.includes(name) ? NEAR : FAR));
  }
  const kitOff = {
    grinderOff: off(0.06),
    drainOff: { cone: off(0.15), 'flat-bottom': off(0.25) },
    paperOff: { cone: off(0.2), 'flat-bottom': off(0.2) },
  };
  return { lot: (lotSeed, shape) => layeredLot(physics, kitOff, lotSeed, shape) };
}

function layeredLot(
  physics: Physics,
  kitOff: {
    grinderOff: number;
    drainOff: Record<SyntheticLot['shape'], number>;
    paperOff: Record<SyntheticLot['shape'], number>;
  },
  seed: number,
  asked?: SyntheticLot['shape'],
): SyntheticLot {
  const random = seededRandom(seed * 3 + 2);
  const off = (spread: number) => Math.exp(normalDraw(random, { mean: 0, sd: spread }));
  const drawn = random() < 0.5 ? 'cone' : 'flat-bottom';
  const shape = asked ?? drawn;
  const facts = factsOf(seed);
  const shifts = shiftsOf(facts);
  const lot: LayeredLot = {
    soluble: off(0.05) * shifts.soluble,
    rate: off(0.2) * shifts.rate,
    resistance: off(0.25) * shifts.resistance,
    fines: off(0.15),
    held: off(0.05),
    gas: off(0.3),
  };
  return {
    shape,
    facts,
    kit: {
      brewer: BREWER_CLASSES[shape],
      paperPerM: PAPER_PER_M[shape === 'cone' ? 'ordinary' : 'fast'],
      ambientC: 22,
      elevationM: 0,
    },
    trueBrew: (conditions, slowed = 1) =>
      brewInLayers(
        { ...conditions, roastAgeDays: facts.roastAgeDays },
        { ...lot, resistance: lot.resistance * slowed },
        physics,
        {
          grinderOff: kitOff.grinderOff,
          drainOff: kitOff.drainOff[shape],
          paperOff: kitOff.paperOff[shape],
        },
      ),
  };
}
