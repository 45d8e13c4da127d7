import { afterBrew, stageCalled, stagesDueS, type TastingStage } from '@vendu/core';
import type { CupOnTable } from '@vendu/contract';

export interface StageClock {
  /** The stage that the cup is at. */
  called: TastingStage;
  /** Until a stage comes, s; negative since it came. */
  leftS: (stage: TastingStage) => number;
}

/** How far a cup has cooled by the clock, from the end of its drain in the room of the house. */
export function stageClock(
  { drainedAt, roomC }: Pick<CupOnTable, 'drainedAt' | 'roomC'>,
  nowMs: number,
): StageClock {
  const clocks = afterBrew({ roomC });
  const dueS = stagesDueS(clocks.ok ? clocks.value : []);
  const sinceS = (nowMs - Date.parse(drainedAt)) / 1000;
  return { called: stageCalled(dueS, sinceS), leftS: (stage) => dueS[stage] - sinceS };
}
