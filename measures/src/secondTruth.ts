/** The truth that is not the model's, for who invents brews that hang together without being the model's own. */
export { brewInLayers, type LayeredBrew, type LayeredLot } from './truths/layers/brewInLayers.js';
export { PHYSICS } from './truths/layers/physics.js';
