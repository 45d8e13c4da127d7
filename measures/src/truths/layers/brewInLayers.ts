import type { BrewConditions } from '@vendu/core';
import { grainsOf, type Grains } from './grains.js';
import { heightIn, layersOf, networkFlow, type Vessel } from './network.js';
import type { Physics } from './physics.js';
import type { TrueBrew } from '../truth.js';

/** What a lot is like there, as factors around 1, and its gas as a share of what a fresh roast has. */
export interface LayeredLot {
  soluble: number;
  rate: number;
  resistance: number;
  fines: number;
  held: number;
  gas: number;
}

/** A brew in layers, and how its cup filled. */
export interface LayeredBrew extends TrueBrew {
  /** Once a second. */
  cup: { atS: number; beverageG: number; solidsG: number }[];
}

const STEP_S = 0.2;
const LONGEST_S = 900;
const LAYERS = 6;
const SOLUBLE = 0.29;
/** Volume of grains with their own pores, m3/kg. */
const GRAINS_M3_PER_KG = 1.6e-3;
/** Water above the bed below which it counts as drained, kg. */
const DRAINED_KG = 1.5e-3;
const REFERENCE_M = 700e-6;
const FORCE_OF = { swirl: 6, stir: 9, needle: 5 } as const;
/** Kinds of solubles by two: those that come easily and those that do not. */
const KINDS = 2;
/** Wet grains lose their gas over so long, s. */
const GAS_LEAVES_S = 90;

const viscosityAt = (celsius: number) => 2.414e-5 * 10 ** (247.8 / (celsius + 133.15));
const densityAt = (celsius: number) =>
  1000 * (1 - ((celsius - 4) ** 2 * (celsius + 277)) / (508_929 * (celsius + 64)));

/**
 * Brews in a bed of layers, in plain steps: flow by the network, solubles from the top down with what each layer
 * gives, fines strained on their way. No regulator, ball or lift: the plans of the studies have none.
 */
export function brewInLayers(
  conditions: BrewConditions,
  lot: LayeredLot,
  physics: Physics,
  { grinderOff, drainOff, paperOff }: { grinderOff: number; drainOff: number; paperOff: number },
): LayeredBrew {
  const { brewer, doseG, pours, kettleC, ambientC, agitation } = conditions;
  const doseKg = doseG / 1000;
  const medianM = medianOf(conditions) * 1e-6 * grinderOff;
  const size = medianM / REFERENCE_M;
  const grains = grainsOf(medianM, { ...physics, finesAt700: physics.finesAt700 * lot.fines });
  const vessel: Vessel = {
    bottomRadiusM: brewer.bottomRadiusM,
    wallSlope: brewer.wallSlope,
    drainShare: Math.min(1, brewer.drainShare * physics.wall * drainOff),
  };
  const heldKg = physics.heldGPerG * lot.held * doseKg;
  const betweenKg = physics.betweenGPerG * lot.held * size ** -physics.betweenPower * doseKg;
  const paperPerM = conditions.paperPerM * physics.paper * paperOff;
  const bed = startOf(grains, doseKg, lot, physics);
  const pouredByS = Math.max(...pours.map(({ startS, amountG, flowGps }) => startS + amountG / flowGps));
  const events = [...agitation].sort((a, b) => a.atS - b.atS);
  const gasAtStart = lot.gas * Math.exp(-(conditions.roastAgeDays ?? 14) / physics.gasDays);
  let [aboveKg, poresKg, insideKg, cakeKg, cupKg, cupSolidsKg, aboveSolidsKg] = [0, 0, 0, 0, 0, 0, 0];
  let [slurryC, wallC, force, clumped, swollen, gas] = [ambientC, 70, 0, physics.clumped, 0, gasAtStart];
  let drawdownS: number | null = null;
  const trace: TrueBrew['trace'] = [];
  const aboveBedG: TrueBrew['aboveBedG'] = [];
  const cup: LayeredBrew['cup'] = [];

  let step = 0;
  for (let atS = 0; atS < LONGEST_S; step++, atS = step * STEP_S) {
    while (events[0] && events[0].atS <= atS) force += FORCE_OF[events.shift()?.kind ?? 'swirl'];
    const stream = streamIn(pours, kettleC, atS, STEP_S);
    force += physics.force * (stream.kgPerS / 0.006) ** 1.5 * STEP_S;
    force *= Math.exp(-STEP_S / physics.forceS);
    clumped *= Math.exp(-physics.breaking * force * STEP_S);
    const wetted = insideKg / heldKg;
    gas *= Math.exp((-STEP_S * wetted) / GAS_LEAVES_S);
    swollen += ((wetted - swollen) * STEP_S) / (physics.swellS * size);

    // Water.
    const voids = physics.voids + physics.voidsDry * (1 - swollen);
    const bedM3 = (doseKg * GRAINS_M3_PER_KG * (1 + 0.08 * wetted)) / (1 - voids);
    const density = densityAt(slurryC);
    const capacityKg = Math.max(betweenKg * 1.25, voids * bedM3 * density);
    const full = Math.min(1, poresKg / capacityKg);
    const open =
      ((physics.permeability / lot.resistance) * grains.surfaceM ** 2 * voids ** 3) /
      (180 * (1 - voids) ** 2);
    const permeabilities = bed.strained.map(
      (kg) =>
        (open * (1 - physics.gasNarrows * gas) ** 2) /
        (1 + (physics.strainedTightens * kg * LAYERS) / doseKg) ** 2,
    );
    const layers = layersOf(vessel, bedM3, permeabilities);
    const levelM = heightIn(vessel, bedM3 + aboveKg / density);
    const drainM2 =
      Math.PI * vessel.bottomRadiusM ** 2 +
      vessel.drainShare * layers.reduce((sum, { wallM2 }) => sum + wallM2, 0);
    const { down, aside } = networkFlow(layers, vessel, {
      levelM,
      paperPerM: paperPerM * (1 + cakeKg / (drainM2 * physics.cakeKgPerM2)),
      viscosity: viscosityAt(slurryC),
      density,
    });
    const darcyKgPerS =
      (down[0] ?? 0) *
      density *
      Math.max(0, (full - betweenKg / capacityKg) / (1 - betweenKg / capacityKg)) ** 2.5;
    const inertial = darcyKgPerS / (physics.inertiaKgPerS * Math.sqrt(size));
    const mostKgPerS = 0.6 * brewer.outletAreaM2 * Math.sqrt(2 * 9.81 * levelM) * density;
    const freeKgPerS = (2 * darcyKgPerS) / (1 + Math.sqrt(1 + 4 * inertial));
    const throughKgPerS = freeKgPerS / Math.hypot(1, freeKgPerS / Math.max(1e-9, mostKgPerS));
    const soaking =
      ((heldKg - insideKg) / (5 * size * (1 + physics.gasWets * gas))) *
      Math.min(1, 4 * full) *
      (1 + 0.05 * force);
    const openWallM2 =
      Math.PI *
      (2 * vessel.bottomRadiusM + vessel.wallSlope * 2 * levelM) *
      (levelM - heightIn(vessel, bedM3));
    const pastWall =
      (brewer.openShare * openWallM2 * density * 9.81 * density * (levelM - heightIn(vessel, bedM3))) /
      (2 * viscosityAt(slurryC) * paperPerM);
    const lost = soaking + throughKgPerS;
    const into = Math.min(
      (aboveKg / STEP_S + stream.kgPerS) * 0.98,
      lost + Math.max(0, capacityKg - poresKg) / 1.5,
    );
    const past = Math.min(
      Math.max(0, aboveKg / STEP_S + stream.kgPerS - into) * 0.5,
      pastWall + physics.slip * throughKgPerS,
    );
    const granted = Math.min(1, (poresKg / STEP_S + into) / Math.max(1e-12, lost));
    const [through, soaked] = [throughKgPerS * granted, soaking * granted];

    // Solids, from the water above through the layers.
    const aboveBefore = aboveKg + stream.kgPerS * STEP_S;
    const above = aboveBefore > 1e-9 ? aboveSolidsKg / aboveBefore : 0;
    aboveSolidsKg -= Math.min(aboveSolidsKg, above * (into + past) * STEP_S);
    const share = down[0] ? down.map((flow) => flow / (down[0] ?? 1)) : down.map(() => 1);
    const asideShare = down[0] ? aside.map((flow) => flow / (down[0] ?? 1)) : aside.map(() => 0);
    const out = moveSolids(bed, {
      seconds: STEP_S,
      poresKg: poresKg / LAYERS,
      enteringKgPerS: into,
      throughKgPerS: through,
      share,
      asideShare,
      above,
      speed:
        lot.rate *
        Math.exp(physics.warmth * (slurryC - 90)) *
        wetted *
        (1 + physics.stirred * Math.sqrt(force)),
      clumped,
      physics,
    });
    cakeKg += moveFines(bed, through * STEP_S, doseKg, grains.finesShare, force, physics);
    cupSolidsKg += out + above * past * STEP_S;
    // A little of the bed's water mixes back up while it is stirred.
    const mixed = 0.01 * force * STEP_S * Math.min(aboveKg, poresKg);
    const topKgPerKg = poresKg > 1e-6 ? (bed.pores[0] ?? 0) / (poresKg / LAYERS) : 0;
    const lifted = Math.min(bed.pores[0] ?? 0, Math.max(0, mixed * (topKgPerKg - above)));
    bed.pores[0] = (bed.pores[0] ?? 0) - lifted;
    aboveSolidsKg += lifted;

    // Warmth.
    const waterKg = aboveBefore + poresKg + insideKg;
    const heat = waterKg * 4190 + doseKg * 1700;
    const inflowC = Math.min(stream.celsius, 100 - conditions.elevationM / 300) - 1.5;
    const mixing = (stream.kgPerS * STEP_S * 4190) / (heat + 1e-9);
    slurryC += (inflowC - slurryC) * Math.min(1, mixing);
    const toWall = Math.min(1, (3.2 * STEP_S) / heat) * (slurryC - wallC);
    slurryC -= toWall + Math.min(1, (0.22 * STEP_S) / heat) * (slurryC - ambientC);
    wallC +=
      (toWall * heat) / brewer.heatCapacityJPerK -
      ((wallC - ambientC) * STEP_S * 0.15) / brewer.heatCapacityJPerK;

    aboveKg = Math.max(0, aboveBefore - (into + past) * STEP_S);
    poresKg = Math.max(0, poresKg + (into - through - soaked) * STEP_S);
    insideKg += soaked * STEP_S;
    cupKg += (through + past) * STEP_S;
    const nowS = atS + STEP_S;
    if (step % 5 === 4) {
      aboveBedG.push({ atS: nowS, aboveG: aboveKg * 1000 });
      cup.push({ atS: nowS, beverageG: (cupKg + cupSolidsKg) * 1000, solidsG: cupSolidsKg * 1000 });
    }
    if (step % 25 === 24) trace.push({ atS: nowS, beverageG: (cupKg + cupSolidsKg) * 1000 });
    if (drawdownS === null && nowS >= pouredByS && aboveKg < DRAINED_KG) {
      const fell = aboveBefore - aboveKg;
      drawdownS = fell > 1e-9 ? nowS - STEP_S * Math.min(1, (DRAINED_KG - aboveKg) / fell) : nowS;
    }
    if (drawdownS !== null && through < 1e-4) break;
  }
  const beverageKg = cupKg + cupSolidsKg;
  return {
    drawdownS: drawdownS ?? LONGEST_S,
    drained: drawdownS !== null,
    tdsPercent: (cupSolidsKg / beverageKg) * 100,
    yieldPercent: (cupSolidsKg / doseKg) * 100,
    beverageG: beverageKg * 1000,
    trace,
    aboveBedG,
    cup,
  };
}

interface Bed {
  /** Solids in the pores of each layer; and by kind and pool (opened, then each core) what grains hold, and held. */
  pores: number[];
  pools: { layer: number; kind: number; rate: number; isCore: boolean; heldKg: number; atStartKg: number }[];
  strained: number[];
}

function startOf(grains: Grains, doseKg: number, lot: LayeredLot, physics: Physics): Bed {
  const pools: Bed['pools'] = [];
  for (let layer = 0; layer < LAYERS; layer++) {
    for (let kind = 0; kind < KINDS; kind++) {
      const kindShare = kind === 0 ? 1 - physics.slowShare : physics.slowShare;
      const all = (doseKg * SOLUBLE * lot.soluble * kindShare) / LAYERS;
      const slower = kind === 0 ? 1 : physics.slowFactor;
      const pool = (rate: number, isCore: boolean, share: number) => {
        pools.push({ layer, kind, rate: rate * slower, isCore, heldKg: all * share, atStartKg: all * share });
      };
      pool(physics.openedPerS, false, grains.openedShare);
      for (const { sizeM, share } of grains.cores) {
        pool(physics.corePerS * (sizeM / REFERENCE_M) ** -physics.coreSizePower, true, share);
      }
    }
  }
  return {
    pores: Array.from({ length: LAYERS }, () => 0),
    pools,
    strained: Array.from({ length: LAYERS }, () => 0),
  };
}

/** Strength at which full grains give no more, kg per kg of water: a third of an espresso's more than any brew. */
const SATURATED = 0.3;

function moveSolids(
  bed: Bed,
  {
    seconds,
    poresKg,
    enteringKgPerS,
    throughKgPerS,
    share,
    asideShare,
    above,
    speed,
    clumped,
    physics,
  }: {
    seconds: number;
    poresKg: number;
    enteringKgPerS: number;
    throughKgPerS: number;
    share: readonly number[];
    asideShare: readonly number[];
    above: number;
    speed: number;
    clumped: number;
    physics: Physics;
  },
): number {
  const given = bed.pores.map(() => 0);
  for (const pool of bed.pools) {
    const left = Math.max(0, (pool.heldKg - clumped * pool.atStartKg) / Math.max(1e-15, pool.atStartKg));
    const slowed = pool.isCore ? left ** physics.coreLeftPower : 1;
    const around = poresKg > 1e-7 ? (bed.pores[pool.layer] ?? 0) / poresKg : SATURATED;
    const pull = Math.max(0, 1 - around / (SATURATED * Math.max(0.02, left)));
    const amount = left * pool.atStartKg * (1 - Math.exp(-pool.rate * speed * slowed * seconds)) * pull;
    pool.heldKg -= amount;
    given[pool.layer] = (given[pool.layer] ?? 0) + amount;
  }
  let coming = above * enteringKgPerS * seconds;
  let out = 0;
  for (const [layer, amount] of given.entries()) {
    const leavingKg = throughKgPerS * seconds * (share[layer + 1] ?? 1);
    const asideKg = throughKgPerS * seconds * (asideShare[layer] ?? 0);
    const inLayer = (bed.pores[layer] ?? 0) + amount + coming;
    const strength = inLayer / Math.max(1e-9, poresKg + leavingKg + asideKg);
    coming = Math.min(inLayer, strength * leavingKg);
    const aside = Math.min(inLayer - coming, strength * asideKg);
    bed.pores[layer] = inLayer - coming - aside;
    out += aside;
  }
  return out + coming;
}

/** Fines that the water takes along: each layer keeps some of what comes by, the rest reaches the paper. */
function moveFines(
  bed: Bed,
  waterKg: number,
  doseKg: number,
  finesShare: number,
  force: number,
  physics: Physics,
): number {
  const lifted =
    (physics.finesMoving * finesShare * doseKg * (1 + 0.15 * force) * waterKg) / (doseKg * LAYERS);
  let coming = 0;
  for (let layer = 0; layer < LAYERS; layer++) {
    coming += lifted;
    const kept = coming * physics.strained;
    bed.strained[layer] = (bed.strained[layer] ?? 0) + kept;
    coming -= kept;
  }
  return coming;
}

function streamIn(pours: BrewConditions['pours'], kettleC: number, atS: number, seconds: number) {
  let [kg, warmth] = [0, 0];
  for (const { startS, amountG, flowGps, kettleC: ownC = kettleC } of pours) {
    const from = Math.max(atS, startS);
    const to = Math.min(atS + seconds, startS + amountG / flowGps);
    if (to <= from) continue;
    const part = ((to - from) * flowGps) / 1000;
    kg += part;
    warmth += part * ownC;
  }
  return { kgPerS: kg / seconds, celsius: kg > 0 ? warmth / kg : kettleC };
}

function medianOf({ grind }: BrewConditions): number {
  return 'parts' in grind ? (grind.parts[0]?.grind.d50Um ?? 0) : grind.d50Um;
}
