import type { Finding } from '@vendu/core';

export const FINDING_WORDS: Record<Finding, string> = {
  sour: 'sour',
  watery: 'watery',
  bitter: 'bitter',
  dry: 'dry',
  muddled: 'muddled',
  'sour-and-bitter': 'sour and bitter',
  boozy: 'boozy',
  flat: 'flat',
  stalled: 'stalled',
  'drained-fast': 'drained fast',
  'level-high': 'level stayed high',
  'bed-dry': 'bed ran dry',
  'bed-cratered': 'bed cratered',
};
