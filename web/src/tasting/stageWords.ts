import { formatDuration, type TastingStage } from '@vendu/core';
import type { StageClock } from './stageClock';

/** Longer ago than this it is no clock any more, s. */
const LONG_AGO_S = 3 * 3600;

/** How a stage stands for somebody: sent, to come, there now, or nothing to be said. */
export function stageWords(
  stage: TastingStage,
  { called, leftS }: StageClock,
  sent: readonly TastingStage[],
): string {
  if (sent.includes(stage)) return 'sent';
  const left = Math.ceil(leftS(stage));
  if (left > 0) return `in ${formatDuration(left)}`;
  return called === stage && left > -LONG_AGO_S ? 'now' : '';
}
