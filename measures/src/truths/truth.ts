import type { BrewConditions, BrewKit, Process, RoastLevel } from '@vendu/core';

/** What a brew really is, without any noise. */
export interface TrueBrew {
  drawdownS: number;
  tdsPercent: number;
  yieldPercent: number;
  beverageG: number;
  drained: boolean;
  trace: { atS: number; beverageG: number }[];
  /** Water above the bed, once a second. */
  aboveBedG: { atS: number; aboveG: number }[];
}

/** What the sack and the roaster say of a lot. */
export interface LotFacts {
  process: Process;
  elevationM: number | null;
  roastLevel: RoastLevel | null;
  roastAgeDays: number;
}

export interface SyntheticLot {
  shape: 'cone' | 'flat-bottom';
  facts: LotFacts;
  /** As the house believes its kit to be. */
  kit: BrewKit;
  /** @param slowed - how many times harder the bed lets water through than the lot's does */
  trueBrew(conditions: BrewConditions, slowed?: number): TrueBrew;
}

/** A laboratory of its own: physics, brewers, papers and grinder as they really are there. */
export interface SyntheticLab {
  /** @param shape - the brewer that it is brewed in; its own draw where left out. The lot is the same */
  lot(seed: number, shape?: SyntheticLot['shape']): SyntheticLot;
}

export type TruthName = 'varied' | 'layered';
