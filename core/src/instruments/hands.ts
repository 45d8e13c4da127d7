/** How somebody pours. Sizes are assumed, from a steady hand's to a hurried one's. */
export interface Hand {
  /** From the mark to the stream, s. */
  delayS: number;
  /** Past the total asked for, g, and its scatter. */
  overG: number;
  overSdG: number;
  /** Flow as a share of the one asked for, and how far it sways while pouring. */
  flowShare: number;
  sway: number;
}

export const HANDS = {
  steady: { delayS: 0.4, overG: 0.2, overSdG: 0.4, flowShare: 1, sway: 0.04 },
  usual: { delayS: 0.8, overG: 1, overSdG: 1.2, flowShare: 0.95, sway: 0.12 },
  hurried: { delayS: 0.3, overG: 4, overSdG: 2, flowShare: 1.4, sway: 0.2 },
  hesitant: { delayS: 2.5, overG: -1, overSdG: 1.5, flowShare: 0.65, sway: 0.25 },
} as const satisfies Record<string, Hand>;

export type HandName = keyof typeof HANDS;
