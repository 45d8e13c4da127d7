import type { ModelledAgitation } from '../vocabulary.js';
import type { BrewConstants } from './constants.js';
import type { BrewState } from './state.js';

/** A swirl, a stir or a needle: the slurry is set moving and clumps fall apart. */
export function agitate(state: BrewState, model: BrewConstants, kind: ModelledAgitation): void {
  state.agitation += model.agitationOf[kind];
  state.clumped *= model.clumpsLeftBy[kind];
}
