// The workings of the brew model, for the measures that try it against a solver and against other truths.
export { BREW_MODEL, type BrewConstants } from './constants.js';
export { fillOf } from './hardware.js';
export { particlesOf, type Particles } from './particles.js';
export { derivative, readState, stateSize, writeState } from './rightHandSide.js';
export { runBrew, streamAt, type BrewRun } from './runBrew.js';
export { setupOf, type BrewSetup } from './setup.js';
export { initialState, type BrewState } from './state.js';
