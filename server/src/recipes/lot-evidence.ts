import { type calibrateLot, MODEL_VERSION, recordedBrew, type BrewKit, type LotEvidence } from '@vendu/core';
import { readBrewsOf, type BrewListItem } from '@vendu/contract';
import { LotModel } from '../lots/lot.model.js';

/** A lot is known well enough after so many; more would only take time. */
const MOST_BREWS = 8;

/** Core's `calibrateLot`, on whichever thread. */
type Calibrate = (input: Parameters<typeof calibrateLot>[0]) => Promise<ReturnType<typeof calibrateLot>>;

/** What a lot's measured brews say of it; `null` where none was measured. What a stand-in gave is no evidence. */
export async function evidenceOf(
  brews: readonly BrewListItem[],
  kit: BrewKit,
  calibrate: Calibrate,
): Promise<LotEvidence | null> {
  const measured = readBrewsOf(brews)
    .slice(-MOST_BREWS)
    .map((brew) => recordedBrew(brew, kit));
  if (measured.length === 0) return null;
  const calibrated = await calibrate({ brews: measured });
  // A record that the model cannot read teaches nothing; it must not stop the acceptance.
  return calibrated.ok ? calibrated.value.evidence : null;
}

/** Keeps what a lot's brews taught with the lot, for the lots to come, and by which version of the model. */
export async function keepEvidence(lotId: number, evidence: LotEvidence | null): Promise<void> {
  await LotModel.update({ evidence, evidenceModel: MODEL_VERSION }, { where: { id: lotId } });
}
