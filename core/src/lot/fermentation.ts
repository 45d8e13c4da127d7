import type { Process } from '../vocabulary.js';
import { isOfProcess, type Processing } from './process.js';

/** Fermented long enough to give itself up early and to turn boozy when pushed. */
const LONG_FERMENTED: readonly Process[] = ['anaerobic', 'carbonic-maceration', 'long-fermentation'];

export function isLongFermented(process: Process): boolean {
  return LONG_FERMENTED.includes(process);
}

/** Fermented long, by itself or with fruit or yeast: a family, though a co-ferment has rules of its own. */
export function isOfLongFermentation(processing: Processing): boolean {
  return isLongFermented(processing.process) || isOfProcess(processing, 'co-fermented');
}
