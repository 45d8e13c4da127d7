import type { BrewRecord } from '@vendu/core';
import type { BrewListItem } from '@vendu/contract';

/** A brew of the list as the forecast learns from it. */
export function brewRecordOf({
  plan,
  steps,
  events,
  doseG,
  beverageG,
  result,
  roastAgeDays,
  outflow,
  cups,
}: BrewListItem): BrewRecord {
  return {
    plan,
    steps,
    events,
    doseG,
    beverageG,
    tdsPercent: result?.strength.meanPercent ?? null,
    ...(result ? { tdsComparablePercent: result.strength.comparablePercent } : {}),
    roastAgeDays,
    outflow,
    cups,
  };
}

/** What the brews of a recipe teach: a simulated one teaches nothing of any coffee. */
export function brewRecordsOf(brews: readonly BrewListItem[]): BrewRecord[] {
  return brews.filter(({ isSimulated }) => !isSimulated).map(brewRecordOf);
}
