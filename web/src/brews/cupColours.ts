/** What a cup of a split brew is called by its colour, from the last drops to the first; any other word does too. */
export const CUP_COLOURS = [
  { name: 'water', hex: '#efe9dc' },
  { name: 'pale straw', hex: '#e8cf96' },
  { name: 'straw', hex: '#dcae5e' },
  { name: 'amber', hex: '#c67f2e' },
  { name: 'copper', hex: '#a3551f' },
  { name: 'chestnut', hex: '#7a3617' },
  { name: 'brown', hex: '#54240f' },
  { name: 'dark brown', hex: '#301408' },
] as const;
