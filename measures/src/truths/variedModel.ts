import {
  BREW_MODEL,
  particlesOf,
  runBrew,
  setupOf,
  type BrewConstants,
  type BrewSetup,
  type Particles,
} from '@vendu/core/brewModel';
import {
  BREWER_CLASSES,
  normalDraw,
  PAPER_PER_M,
  seededRandom,
  type BrewKit,
  type LotFactors,
} from '@vendu/core';
import { factsOf, shiftsOf } from './lotFacts.js';
import type { SyntheticLab, SyntheticLot, TrueBrew } from './truth.js';

/** Relative spread (logarithm) of the fitted constants: how well the calibration brews pinned them. */
const FITTED: Partial<Record<keyof BrewConstants, number>> = {
  permeabilityFactor: 0.28,
  finesMigration: 0.46,
  finesAgitationGain: 0.5,
  diffusionM2PerS: 0.22,
  cellM: 0.23,
  fastRatePerS: 0.4,
  finesExponent: 0.26,
  exchangePerS: 0.6,
  voidsExtraDry: 0.25,
  swellingTimeS: 0.45,
};
/** Constants that were never fitted, each off by 15 %; bed geometry by 2 %. */
const ASSUMED: (keyof BrewConstants)[] = [
  'swelling',
  'wettingS',
  'channelMax',
  'channelSizeM',
  'clumpedAtStart',
  'agitationDecayS',
  'agitationPerGps',
  'fastAgitationGain',
  'clogLoadKgPerM2',
  'airWPerM2K',
  'wallWPerM2K',
  'streamLossK',
  'gasReleasePerS',
  'bubbleS',
  'finesShareAtReference',
  'clumpBreaking',
  'streamPower',
  'retentionPower',
  'voidsPerSpread',
  'coreGasPerS',
];
/** What a pour misses of the bed, all patterns alike. */
const MISSED = 0.28;
const GEOMETRY: (keyof BrewConstants)[] = ['envelopeM3PerKg', 'voidsSwollen'];
/**
 * The constants were fitted together, so their errors cancel in part; drawn one by one they would scatter the
 * first forecast twice as far as the fit's own did. This share of each spread gives that scatter back.
 */
const TOGETHER = 0.6;
const TRUE_STEP_S = 0.2;

interface VariedLab {
  constants: BrewConstants;
  particlesFrom: typeof particlesOf;
  grinderOff: number;
  drainOff: Record<'cone' | 'flat-bottom', number>;
  paperOff: Record<'cone' | 'flat-bottom', number>;
}

/** The first truth: the model's equations with other constants, other release, other kit and other cells. */
export function variedLab(seed: number): SyntheticLab {
  const random = seededRandom(seed);
  const off = (spread: number) => Math.exp(normalDraw(random, { mean: 0, sd: spread }));
  const varied: Record<string, unknown> = { ...BREW_MODEL, cells: 8 };
  const vary = (name: keyof BrewConstants, spread: number) => {
    varied[name] = (BREW_MODEL[name] as number) * off(spread);
  };
  for (const [name, spread] of Object.entries(FITTED)) vary(name as keyof BrewConstants, spread * TOGETHER);
  for (const name of ASSUMED) vary(name, 0.15);
  for (const name of GEOMETRY) vary(name, 0.02);
  const missed = off(MISSED * TOGETHER);
  varied.unevenBy = Object.fromEntries(
    Object.entries(BREW_MODEL.unevenBy).map(([pattern, share]) => [pattern, share * missed]),
  );
  const lab: VariedLab = {
    constants: varied as unknown as BrewConstants,
    particlesFrom: random() < 0.5 ? particlesOf : linearDrivingForce,
    grinderOff: off(0.06),
    drainOff: { cone: off(0.16 * TOGETHER), 'flat-bottom': off(0.23 * TOGETHER) },
    paperOff: { cone: off(0.28 * TOGETHER), 'flat-bottom': off(0.33 * TOGETHER) },
  };
  return { lot: (lotSeed, shape) => variedLot(lab, lotSeed, shape) };
}

function variedLot(lab: VariedLab, seed: number, asked?: SyntheticLot['shape']): SyntheticLot {
  const random = seededRandom(seed);
  const off = (spread: number) => Math.exp(normalDraw(random, { mean: 0, sd: spread }));
  const drawn = random() < 0.5 ? 'cone' : 'flat-bottom';
  const shape = asked ?? drawn;
  const brewer = BREWER_CLASSES[shape];
  const kit: BrewKit = {
    brewer,
    paperPerM: PAPER_PER_M[shape === 'cone' ? 'ordinary' : 'fast'],
    ambientC: 22,
    elevationM: 0,
  };
  const trueBrewer = { ...brewer, drainShare: Math.min(1, brewer.drainShare * lab.drainOff[shape]) };
  const facts = factsOf(seed);
  const shifts = shiftsOf(facts);
  const factors: LotFactors = {
    solubility: off(0.06) * shifts.soluble,
    rate: off(0.3) * shifts.rate,
    permeability: off(0.3) / shifts.resistance,
    clogging: off(0.4),
    retained: off(0.06),
    co2MgPerG: 7,
    ageDays: facts.roastAgeDays,
  };
  return {
    shape,
    facts,
    kit,
    trueBrew(conditions, slowed = 1) {
      const { grind } = conditions;
      const d50Um = 'parts' in grind ? (grind.parts[0]?.grind.d50Um ?? 0) : grind.d50Um;
      const setup = setupOf(
        {
          ...conditions,
          brewer: trueBrewer,
          paperPerM: conditions.paperPerM * lab.paperOff[shape],
          grind: { d50Um: d50Um * lab.grinderOff },
          lot: { ...factors, permeability: factors.permeability / slowed },
        },
        lab.constants,
        lab.particlesFrom,
      );
      return trueBrewOf(setup);
    },
  };
}

function trueBrewOf(setup: BrewSetup): TrueBrew {
  const trace: TrueBrew['trace'] = [];
  const aboveBedG: TrueBrew['aboveBedG'] = [];
  const run = runBrew(setup, {
    stepS: TRUE_STEP_S,
    longestS: 900,
    onGrid(state) {
      const row = Math.round(state.atS / TRUE_STEP_S);
      if (row % 5 === 0) aboveBedG.push({ atS: state.atS, aboveG: state.aboveKg * 1000 });
      if (row % 25 !== 0) return;
      const soluteKg = state.cupSolute.reduce((sum, kg) => sum + kg, 0);
      trace.push({ atS: state.atS, beverageG: (state.cupWaterKg + soluteKg) * 1000 });
    },
  });
  const cupKg = run.cup.waterKg + run.cup.soluteKg;
  return {
    drawdownS: run.drawdownS ?? 900,
    drained: run.drawdownS !== null,
    tdsPercent: (run.cup.soluteKg / cupKg) * 100,
    yieldPercent: (run.cup.soluteKg / setup.doseKg) * 100,
    beverageG: cupKg * 1000,
    trace,
    aboveBedG,
  };
}

/** Another law of release: each core empties at one rate, 15 D / R^2, where the model has a series. */
function linearDrivingForce(grind: Parameters<typeof particlesOf>[0], model?: BrewConstants): Particles {
  const particles = particlesOf(grind, model);
  const first = 6 / Math.PI ** 2;
  return {
    ...particles,
    poolShares: particles.poolShares.map((shares) => {
      const cores = [(shares[1] ?? 0) / first, (shares[3] ?? 0) / first];
      return [1 - (cores[0] ?? 0) - (cores[1] ?? 0), cores[0] ?? 0, 0, cores[1] ?? 0, 0];
    }),
    poolRatesPerS: particles.poolRatesPerS.map((rate) => (rate / Math.PI ** 2) * 15),
  };
}
