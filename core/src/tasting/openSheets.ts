import { TASTING_STAGES, type TastingStage } from '../vocabulary.js';

/** After so long nobody tastes that cup any more, and whoever reads of it may read all, h (assumed). */
export const CUP_IS_GONE_H = 2;

export interface OpenSheets<S> {
  open: S[];
  /** How many sheets of others wait at each stage for one's own. */
  sealed: Partial<Record<TastingStage, number>>;
}

/**
 * The sheets of a brew that somebody may see. Those of others open stage by stage, once one's own is sent: until then
 * everybody tastes for himself. Whoever says that he will not taste it sees them all, and so does everybody once the
 * cup is gone.
 */
export function openSheets<S extends { personId: number; stage: TastingStage }>({
  sheets,
  viewerId,
  hasLooked,
  brewedAtMs,
  nowMs,
}: {
  sheets: readonly S[];
  viewerId: number;
  /** He chose to see them without tasting. */
  hasLooked: boolean;
  brewedAtMs: number;
  nowMs: number;
}): OpenSheets<S> {
  const isOver = hasLooked || nowMs - brewedAtMs > CUP_IS_GONE_H * 3_600_000;
  const own = new Set(sheets.filter(({ personId }) => personId === viewerId).map(({ stage }) => stage));
  const isOpen = ({ stage }: S) => isOver || own.has(stage);
  const sealed: OpenSheets<S>['sealed'] = {};
  for (const stage of TASTING_STAGES) {
    const waiting = sheets.filter((sheet) => sheet.stage === stage && !isOpen(sheet)).length;
    if (waiting > 0) sealed[stage] = waiting;
  }
  return { open: sheets.filter(isOpen), sealed };
}
