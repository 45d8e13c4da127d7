import { afterBrew, markedDrainS, stageCalled, stagesDueS, type TastingStage } from '@vendu/core';
import type { BrewView } from '@vendu/contract';

export interface StageClock {
  /** The stage that the cup is at. */
  called: TastingStage;
  /** Until a stage comes, s; negative since it came. */
  leftS: (stage: TastingStage) => number;
}

/** How far the cup of a brew has cooled by the clock, from the end of its drain in the room of the house. */
export function stageClock(brew: BrewView, { roomC, nowMs }: { roomC: number; nowMs: number }): StageClock {
  const clocks = afterBrew({ roomC });
  const dueS = stagesDueS(clocks.ok ? clocks.value : []);
  const drainedMs = Date.parse(brew.startedAt) + 1000 * (markedDrainS(brew) ?? brew.plan.drawdownS);
  const sinceS = (nowMs - drainedMs) / 1000;
  return { called: stageCalled(dueS, sinceS), leftS: (stage) => dueS[stage] - sinceS };
}
