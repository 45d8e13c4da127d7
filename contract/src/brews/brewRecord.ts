import { cupsTogether, type BrewRecord } from '@vendu/core';
import type { BrewListItem } from './brews.js';

/** A brew of the list as forecasts learn from it, on the board and on the server alike. */
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

/** The brews that teach something of a lot: not those of a stand-in, and not those that somebody set aside. */
export function brewRecordsOf(brews: readonly BrewListItem[]): BrewRecord[] {
  return brews.filter(({ isSimulated, isSetAside }) => !isSimulated && !isSetAside).map(brewRecordOf);
}

/** Those of them whose strength was read, as a whole or cup by cup. */
export function readBrewsOf(brews: readonly BrewListItem[]): BrewRecord[] {
  return brewRecordsOf(
    brews.filter(({ result, cups }) => result !== null || cupsTogether(cups).read !== null),
  );
}
