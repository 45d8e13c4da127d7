import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { BEFORE_LOGS, eventsOfRecord, logOfRecord, type BenchEvent, type StepDone } from '@vendu/core';
import { parsedJson } from '../database/raw-row.js';
import { addToLog } from './brew-logs.js';

/** So many are read at once. */
const BATCH = 200;

interface OlderRecord {
  id: number;
  clientKey: string;
  brewedBy: number;
  startedAt: Date;
  steps: StepDone[] | string;
  events: BenchEvent[] | string | null;
  note: string;
}

/**
 * Gives every brew that was recorded before there were logs its log, and its events their facts in the place of words.
 * Cut off at any point, it goes on with the brews that are left.
 */
export async function bringOlderRecordsUp(sequelize: Sequelize): Promise<void> {
  for (;;) {
    const records = await sequelize.query<OlderRecord>(
      `SELECT id, client_key AS clientKey, brewed_by AS brewedBy, started_at AS startedAt, steps, events, note
      FROM brews
      WHERE JSON_LENGTH(steps) > 0
        AND NOT EXISTS (SELECT 1 FROM brew_entries WHERE brew_entries.brew_key = brews.client_key)
      LIMIT ${BATCH}`,
      { type: QueryTypes.SELECT },
    );
    if (records.length === 0) return;
    for (const record of records) await bringUp(sequelize, record);
  }
}

async function bringUp(
  sequelize: Sequelize,
  { id, clientKey, brewedBy, startedAt, steps, events: kept, note }: OlderRecord,
): Promise<void> {
  const events = eventsOfRecord(kept === null ? [] : parsedJson(kept));
  // The events first: the log is what tells that a record has been brought up.
  await sequelize.query('UPDATE brews SET events = :events WHERE id = :id', {
    replacements: { id, events: JSON.stringify(events) },
  });
  const startMs = startedAt.getTime();
  const log = logOfRecord({ device: BEFORE_LOGS, startMs, steps: parsedJson(steps), events, note });
  await addToLog(clientKey, log, brewedBy, startedAt);
}
