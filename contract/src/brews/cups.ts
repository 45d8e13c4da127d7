import type { TastingStage } from '@vendu/core';
import type { TastingView } from './tastings.js';

/** A cup that is to be tasted: which coffee, and since when it cools. No recipe, and no figure of the brew. */
interface NamedCup {
  /** Of its brew. */
  id: number;
  /** Of its brew within the lot. */
  number: number;
  /** Without the notes of its label until a sheet of the cup may be seen: they are not to be read into it. */
  lot: { id: number; name: string; process: string; additions: string; labelNotes: string[] };
  brewerName: string;
  startedAt: string;
  /** When it had drained: by its mark, else by its plan. */
  drainedAt: string;
  /** Of the room in which it cools, °C. */
  roomC: number;
}

/** A cup that stands on the table. */
export interface CupOnTable extends NamedCup {
  /** The stages of which whoever asks has sent his sheet. */
  stagesSent: TastingStage[];
}

/** A cup as its taster sees it. */
export interface CupView extends NamedCup {
  /** The sheets that whoever asks may see. */
  tastings: TastingView[];
  /** How many of others wait at each stage until whoever asks has sent his own. */
  sealedSheets: Partial<Record<TastingStage, number>>;
}
