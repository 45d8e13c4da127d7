import type { Process } from '../vocabulary.js';
import { isOfProcess, type Processing } from './process.js';

export const PROCESS_WORDS: Record<Process, string> = {
  washed: 'Washed',
  honey: 'Honey',
  natural: 'Natural',
  anaerobic: 'Anaerobic',
  'carbonic-maceration': 'Carbonic maceration',
  'long-fermentation': 'Long dry fermentation',
  'co-fermented': 'Co-fermented',
  decaffeinated: 'Decaffeinated',
  'not-known': 'Process not known',
};

/** Said before its base like an adjective; the other processes say it behind a comma. */
const ADJECTIVES: readonly Process[] = ['anaerobic', 'co-fermented', 'decaffeinated'];

/** How a lot was processed: `Anaerobic natural`, `Carbonic maceration, washed`, `Honey, co-fermented, decaffeinated`. */
export function processWords(processing: Processing): string {
  const { process, baseProcess = null } = processing;
  const besides = (['co-fermented', 'decaffeinated'] as const).filter(
    (each) => process !== each && isOfProcess(processing, each),
  );
  return [
    PROCESS_WORDS[process],
    ...(baseProcess === null
      ? []
      : [`${ADJECTIVES.includes(process) ? '' : ','} ${PROCESS_WORDS[baseProcess].toLowerCase()}`]),
    ...besides.map((each) => `, ${PROCESS_WORDS[each].toLowerCase()}`),
  ].join('');
}
