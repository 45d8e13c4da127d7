/**
 * The points on which practitioners disagree, with the stands a house may take. Common practice knows good
 * coffee on either side of each, so none is a default of nature: {@link USUAL_SCHOOLS} is only where most stand.
 */
export const SCHOOLS = {
  bloom: ['always', 'if-it-rises', 'never'],
  length: ['short', 'conventional', 'long'],
  agitation: ['agitate', 'leave-still'],
  style: ['coarse-cool-tight', 'fine-hot-wide'],
  'first-lever': ['grind', 'ratio', 'kettle', 'pours'],
  'pour-when': ['on-the-clock', 'when-drained', 'before-drained'],
  'pour-where': ['by-brewer', 'centre', 'circle'],
  end: ['let-drain', 'lift'],
  fines: ['leave', 'sieve', 'blend-grinds'],
  aim: ['classic', 'light', 'strong', 'high-yield'],
  dilution: ['never', 'for-clarity'],
  swirls: ['always-the-same', 'when-needed'],
} as const;

export type SchoolPoint = keyof typeof SCHOOLS;
export type Schools = { [P in SchoolPoint]: (typeof SCHOOLS)[P][number] };

export const USUAL_SCHOOLS: Schools = {
  bloom: 'always',
  length: 'conventional',
  agitation: 'agitate',
  style: 'fine-hot-wide',
  'first-lever': 'grind',
  'pour-when': 'on-the-clock',
  'pour-where': 'by-brewer',
  end: 'let-drain',
  fines: 'leave',
  aim: 'classic',
  dilution: 'never',
  swirls: 'always-the-same',
};
