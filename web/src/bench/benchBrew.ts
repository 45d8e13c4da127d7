import {
  brewSoFar,
  planMoved,
  type BrewLog,
  type BrewPlan,
  type BrewSoFar,
  type PaperFold,
  type PaperSeating,
  type CupRule,
  type WallMaterial,
} from '@vendu/core';
import type { BoardGround } from '../board/forecaster';
import type { OutflowChoice } from '../instruments/outflowChoices';
import type { ScaleChoice } from '../instruments/scaleChoices';
import type { ThermometerChoice } from '../instruments/thermometerChoices';

/** A brew on the bench: what was laid out, and the log of everything that was told of it since. */
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
  fold: PaperFold | null;
  seating: PaperSeating | null;
  wallMaterial: WallMaterial | null;
  /** How long the paper is soaked, min. */
  soakMin: number | null;
  /** What the grinder keeps of a dose, g. */
  retainedG: number | null;
  /** `null` in what an earlier version kept: the recipe's. */
  grinderId: number | null;
  /** Whoever brews has the card alone: the bench says what the card says, and no more. */
  fromCard: boolean;
  /** The arm of a comparison that it is brewed for; `null` for none. */
  arm: BenchArm | null;
  grinderName: string;
  grinderSetting: number | null;
  secondSetting: number | null;
  recipeVersionId: number;
  versionNumber: number;
  roastBatchId: number;
  plan: BrewPlan;
  /** What the live forecast has to know; kept with the brew, so that it needs no server. */
  ground: BoardGround | null;
  log: BrewLog;
  scale: ScaleChoice;
  thermometer: ThermometerChoice;
  /** A second scale, under the server alone. */
  outflowScale: OutflowChoice;
  /** The note while it is being typed; `null` where the log has all of it. */
  noteTyped: string | null;
  /** Counts the changes, so that the server can tell the newer state. */
  seq: number;
}

/** One side of a comparison, by its letter. */
export interface BenchArm {
  id: number;
  comparisonId: number;
  letter: string;
}

// A log that did not change is not folded again: the bench asks ten times a second.
const folded = new WeakMap<BrewLog, BrewSoFar>();

/** What a brew is by its log. */
export function soFar({ log }: Pick<BenchBrew, 'log'>): BrewSoFar {
  const known = folded.get(log) ?? brewSoFar(log);
  folded.set(log, known);
  return known;
}

export function wasStarted(brew: BenchBrew): boolean {
  return soFar(brew).wasStarted;
}

/** The plan with its totals moved as was chosen while it ran. */
export function goingPlan(brew: Pick<BenchBrew, 'plan' | 'log'>): BrewPlan {
  const { totalsMoved } = soFar(brew);
  return totalsMoved.length === 0 ? brew.plan : planMoved(brew.plan, soFar(brew));
}

/** The row of cups as chosen at the bench, else as planned. */
export function cupsOf(brew: Pick<BenchBrew, 'plan' | 'log'>): CupRule {
  return soFar(brew).cups ?? brew.plan.cups ?? { kind: 'none' };
}

/** The note as it stands, or as it is being typed. */
export function noteOf(brew: Pick<BenchBrew, 'noteTyped' | 'log'>): string {
  return brew.noteTyped ?? soFar(brew).note;
}
