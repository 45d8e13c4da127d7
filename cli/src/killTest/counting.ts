import { createConnection } from 'mariadb';
import { setTimeout as sleep } from 'node:timers/promises';
import type { Database } from '../database.js';
import { ask, MARKS, MEASURED, type DeviceBrew, type Ground } from './device.js';

export interface BrewsCounted {
  brewsBegun: number;
  brewsLost: number;
  brewsDoubled: number;
  marksAcknowledged: number;
}

/** Marks that the server said it had and now has not, of brews that still run. */
export async function lostMarks(ground: Ground, brews: readonly DeviceBrew[]): Promise<number> {
  // What was acknowledged before the question is what the answer must hold.
  const before = brews.filter(({ isStored }) => !isStored).map((brew) => ({ ...brew }));
  const running = await runningBrews(ground);
  return before.reduce((lost, { key, acknowledged, marks }) => {
    const kept = running.find((each) => each.key === key);
    // A whole brew may have become a record in between; those are counted at the end.
    if (!kept) return marks.length === MARKS ? lost : lost + acknowledged;
    return lost + Math.max(0, acknowledged - kept.entries.length);
  }, 0);
}

async function runningBrews(ground: Ground): Promise<{ key: string; entries: object[] }[]> {
  for (;;) {
    const answer = await ask(ground, 'GET', 'running-brews');
    if (answer !== null) return answer as { key: string; entries: object[] }[];
    await sleep(100);
  }
}

/**
 * What the database has of brews, all of which were acknowledged whole.
 *
 * @param ofLots - how the names of their lots begin
 */
export async function countBrews(
  { socket, user, password }: Database,
  databaseName: string,
  { brews, ofLots }: { brews: readonly DeviceBrew[]; ofLots: string },
): Promise<BrewsCounted> {
  const connection = await createConnection({
    socketPath: socket,
    user,
    password,
    database: databaseName,
  });
  try {
    const rows: {
      clientKey: string;
      steps: number | bigint;
      samples: number | bigint | null;
      beverageG: string | number | null;
      readings: number | bigint;
    }[] = await connection.query(
      `SELECT brews.client_key AS clientKey, JSON_LENGTH(brews.steps) AS steps,
        JSON_LENGTH(traces.samples, '$.atMs') AS samples, brews.beverage_g AS beverageG,
        (SELECT COUNT(*) FROM readings WHERE readings.brew_id = brews.id) AS readings
        FROM brews LEFT JOIN traces ON traces.brew_id = brews.id JOIN lots ON lots.id = brews.lot_id
        WHERE lots.name LIKE CONCAT(?, '%')`,
      [ofLots],
    );
    const stored = brews.map(({ key, marks }) =>
      rows.filter(
        (row) =>
          row.clientKey === key &&
          Number(row.steps) === marks.length &&
          Number(row.samples) > 0 &&
          Number(row.beverageG) === MEASURED.beverageG &&
          Number(row.readings) === MEASURED.readings.length,
      ),
    );
    return {
      brewsBegun: brews.length,
      brewsLost: stored.filter((found) => found.length === 0).length,
      brewsDoubled: rows.length - new Set(rows.map(({ clientKey }) => clientKey)).size,
      marksAcknowledged: brews.reduce((sum, { acknowledged }) => sum + acknowledged, 0),
    };
  } finally {
    await connection.end();
  }
}
