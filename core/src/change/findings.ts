/** What was tasted in a cup or seen on a bed. A note is a finding only where it speaks against the aim. */
export const FINDINGS = [
  'sour',
  'watery',
  'bitter',
  'dry',
  'muddled',
  'sour-and-bitter',
  'boozy',
  'flat',
  'stalled',
  'drained-fast',
  'level-high',
  'bed-dry',
  'bed-cratered',
] as const;
export type Finding = (typeof FINDINGS)[number];
