import { broughtUp, mergedLogs, type BrewEntry, type BrewLog } from '@vendu/core';
import { BrewEntryModel } from './brew-entry.model.js';

// The logs of brews, under the keys of the benches. They only grow: an entry that is there already stays as it was told,
// and is read as this version says it.

/** Adds what is new to the log of a brew, each entry once however often it is sent. */
export async function addToLog(
  brewKey: string,
  entries: readonly BrewEntry[],
  toldBy: number,
  toldAt = new Date(),
): Promise<void> {
  await BrewEntryModel.bulkCreate(
    entries.map((entry) => ({
      brewKey,
      device: entry.device,
      number: entry.number,
      entry,
      toldBy,
      toldAt,
    })),
    // The first word under a number stands.
    { updateOnDuplicate: ['number'] },
  );
}

export async function logOfBrew(brewKey: string): Promise<BrewLog> {
  return (await logsOfBrews([brewKey])).get(brewKey) ?? [];
}

export async function logsOfBrews(brewKeys: readonly string[]): Promise<Map<string, BrewLog>> {
  const rows = await BrewEntryModel.findAll({ where: { brewKey: [...brewKeys] } });
  return new Map(
    brewKeys.map((key) => [
      key,
      mergedLogs(
        rows.filter(({ brewKey }) => brewKey === key).map(({ entry }) => broughtUp(entry) as BrewEntry),
      ),
    ]),
  );
}

/** Drops what was told of brews that are not, and will not be, in the record. */
export async function dropLogs(brewKeys: readonly string[]): Promise<void> {
  await BrewEntryModel.destroy({ where: { brewKey: [...brewKeys] } });
}
