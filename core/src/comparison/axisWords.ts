import type { ComparedAxis } from '../vocabulary.js';

/** What an axis is called in the middle of a sentence. */
export const AXIS_WORDS: Record<ComparedAxis, string> = {
  lot: 'lot',
  brewer: 'brewer',
  paper: 'paper',
  water: 'water',
  kettle: 'kettle',
  grinder: 'grinder',
  grind: 'grind',
  temperature: 'temperature',
  dose: 'dose',
  ratio: 'ratio',
  bloom: 'bloom',
  pours: 'pours',
  pouring: 'way of pouring',
  regulator: 'regulator',
  agitation: 'agitation',
  end: 'end',
  rest: 'what is done besides',
};

const ALL = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** `the grind`, `the pours and the dose`. */
export function axesWords(axes: readonly ComparedAxis[]): string {
  const said = axes.map((axis) => (axis === 'rest' ? AXIS_WORDS.rest : `the ${AXIS_WORDS[axis]}`));
  return said.length === 0 ? 'nothing' : ALL.format(said);
}
