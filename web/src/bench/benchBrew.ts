import type { BenchEvent, BenchRun, BrewPlan, CupRule, PreparationTask } from '@vendu/core';
import type { BoardGround } from '../board/forecaster';
import type { OutflowChoice } from '../instruments/outflowChoices';
import type { ScaleChoice } from '../instruments/scaleChoices';
import type { ThermometerChoice } from '../instruments/thermometerChoices';

/** What the outflow has told by itself; a drain that somebody took back is refused, and the eye marks it. */
export const HEARD_OUTFLOW = ['first-drip', 'drained', 'drain-refused'] as const;
export type HeardOutflow = (typeof HEARD_OUTFLOW)[number];

/** A brew on the bench: its plan, what was marked, and what else was written down while it ran. */
export interface BenchBrew {
  /** Made here; the server stores a brew once per key, however often it is sent. */
  key: string;
  lotId: number;
  lotName: string;
  additions: string;
  recipeId: number;
  brewerName: string;
  paper: string;
  rinseG: number;
  grinderName: string;
  grinderSetting: number | null;
  recipeVersionId: number;
  versionNumber: number;
  roastBatchId: number;
  plan: BrewPlan;
  /** What the live forecast has to know; kept with the brew, so that it needs no server. */
  ground: BoardGround | null;
  run: BenchRun;
  /** It was on the clock once: an undo takes its marks back, never the brew itself. */
  wasStarted: boolean;
  /** What the scale showed after a pour, g, by step; typed, or read off the scale. */
  totalsG: Record<number, number>;
  /** Totals moved after a pour that missed: from which pour on, and by how much. */
  moved: { fromPour: number; byG: number }[];
  /** Misses that somebody has answered, by pour. */
  answered: number[];
  prepared: PreparationTask[];
  /** What was left out on purpose before the clock; the record tells it. */
  leftOut: PreparationTask[];
  events: BenchEvent[];
  scale: ScaleChoice;
  thermometer: ThermometerChoice;
  /** A second scale, under the server alone. */
  outflowScale: OutflowChoice;
  /** What it has told already; taken back by hand, it is not told again. */
  heard: HeardOutflow[];
  cups: CupRule;
  note: string;
  /** Counts the changes, so that the server can tell the newer state. */
  seq: number;
}
