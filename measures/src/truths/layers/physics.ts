/**
 * A second truth, written apart from the model that Vendu forecasts with: it shares no line with it, only the shape
 * of its input. Where the model lumps, this resolves; where both assume, this assumes something else. All constants
 * are invented (chosen so that ordinary recipes drain and extract as in practice): it stands for a coffee that does
 * not obey the model, and for no coffee in particular.
 *
 * | the model                                   | here                                                        |
 * | ------------------------------------------- | ----------------------------------------------------------- |
 * | one Darcy bed, one drained wall             | a network of layers, each with its own way out by the wall  |
 * | an orifice                                  | inertia in the bed and a throttle at the outlet             |
 * | fines go to the paper and clog it           | fines are strained by layers on the way, cake grows evenly  |
 * | a diffusing sphere in five pools            | cores that give ever more slowly (a power of what is left)  |
 * | retained water does not know the grind      | fine beds hold more, coarse cores fill late                 |
 * | gas does next to nothing after two weeks    | gas of twelve days' scale slows wetting and narrows the bed |
 * | a stream stirs a little, height does nothing | the force of each pour breaks clumps and lifts fines        |
 */
export interface Physics {
  /** Factor on Kozeny and Carman's permeability. */
  permeability: number;
  /** Factor on the stated resistance of a paper, and cake of fines that doubles it, kg/m2. */
  paper: number;
  cakeKgPerM2: number;
  /** Flow at which inertia halves what Darcy lets through, kg/s at 700 um. */
  inertiaKgPerS: number;
  /** Share of the wall beside the bed that drains, by shape, on top of what a brewer states. */
  wall: number;
  /** Share of the outflow that slips between bed and wall. */
  slip: number;
  voids: number;
  /** What a dry bed has more of them, and the time of its tightening at 700 um, s. */
  voidsDry: number;
  swellS: number;
  /** Fines at 700 um by volume, the power of their growth, the share that moves, and that a layer strains. */
  finesAt700: number;
  finesPower: number;
  finesMoving: number;
  strained: number;
  strainedTightens: number;
  /** Depth opened by grinding, m; rates of opened cells and cores, 1/s at 700 um and 90 C; their powers. */
  openedM: number;
  openedPerS: number;
  corePerS: number;
  coreSizePower: number;
  coreLeftPower: number;
  /** Share of solubles that comes slowly, and how much slower. */
  slowShare: number;
  slowFactor: number;
  /** Per kelvin, as a share. */
  warmth: number;
  /** Water held inside the grains, g/g; and between them at 700 um, g/g, with its power of the grind. */
  heldGPerG: number;
  betweenGPerG: number;
  betweenPower: number;
  /** Clumped at the start, and what a unit of force breaks of it; what force adds to release. */
  clumped: number;
  breaking: number;
  stirred: number;
  /** Force of a stream of 6 g/s each second, growing as its power of 1.5, and its decay, s. */
  force: number;
  forceS: number;
  /** Gas lost by half in days; how far full gas narrows the bed and slows wetting. */
  gasDays: number;
  gasNarrows: number;
  gasWets: number;
}

export const PHYSICS: Physics = {
  permeability: 0.39,
  paper: 1.7,
  cakeKgPerM2: 0.075,
  inertiaKgPerS: 0.06,
  wall: 1,
  slip: 0.03,
  voids: 0.4,
  voidsDry: 0.07,
  swellS: 35,
  finesAt700: 0.13,
  finesPower: 1.15,
  finesMoving: 0.012,
  strained: 0.1,
  strainedTightens: 18,
  openedM: 42e-6,
  openedPerS: 0.25,
  corePerS: 0.0085,
  coreSizePower: 1.3,
  coreLeftPower: 0.9,
  slowShare: 0.4,
  slowFactor: 0.5,
  warmth: 0.02,
  heldGPerG: 1.2,
  betweenGPerG: 0.75,
  betweenPower: 0.45,
  clumped: 0.13,
  breaking: 0.006,
  stirred: 0.3,
  force: 0.8,
  forceS: 6,
  gasDays: 12,
  gasNarrows: 0.75,
  gasWets: 6,
};

/** Names of everything that a laboratory's truth may have otherwise. */
export const PHYSICS_NAMES = Object.keys(PHYSICS) as (keyof Physics)[];
