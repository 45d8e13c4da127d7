import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { exportedTables, type ExportedTable } from '../export/exported-tables.js';
import { parsedJson } from '../database/raw-row.js';
import { ImportTable } from './import-table.js';
import { referencesOf } from './references.js';
import type { LabFile } from './lab-file.js';
import { Standings } from './standing.js';
import { NOT_ROW_BY_ROW, TABLE_RULES } from './table-rules.js';

/** Brews whose traces, and entries of logs, are stored at once. */
const TRACES_AT_ONCE = 20;
const ENTRIES_AT_ONCE = 500;

/**
 * Lays a file beside the lab, table by table, what is named before what names it; and, where it is taken, stores what is
 * new. What is here is never overwritten.
 *
 * @throws ProblemError `not-readable` where the file does not hold together
 */
export async function importLab(sequelize: Sequelize, file: LabFile, isTaken: boolean): Promise<Standings> {
  const standings = new Standings();
  for (const table of inOrder(await exportedTables(sequelize))) {
    const rule = TABLE_RULES[table.name];
    if (!rule) throw new Error(`${table.name} has no rule for imports`);
    const rows = await file.rows(table);
    await new ImportTable(sequelize, table, rule, standings).bring(rows, isTaken);
    if (table.name === 'lots' && isTaken) await holdLots(sequelize, standings);
  }
  if (isTaken) {
    await bringTraces(sequelize, file, standings);
    await bringLogs(sequelize, file, standings);
    await proofsOfBrewsHere(sequelize, standings);
  }
  return standings;
}

/** Tables such that each comes after those that it names rows of. */
export function inOrder(tables: readonly ExportedTable[]): ExportedTable[] {
  const waiting = tables.filter(({ name }) => !NOT_ROW_BY_ROW.includes(name));
  const ordered: ExportedTable[] = [];
  while (waiting.length > 0) {
    const next = waiting.findIndex((table) => {
      const rule = TABLE_RULES[table.name];
      const named = rule ? [...referencesOf(table, rule).values()] : [];
      return named.every((name) => name === table.name || !waiting.some((each) => each.name === name));
    });
    if (next < 0) throw new Error(`${waiting.map(({ name }) => name).join(', ')} name each other`);
    ordered.push(...waiting.splice(next, 1));
  }
  return ordered;
}

/** Whoever works on a lot that something may come to waits until it has come. */
async function holdLots(sequelize: Sequelize, standings: Standings): Promise<void> {
  const ids = standings.here('lots');
  if (ids.length === 0) return;
  await sequelize.query('SELECT id FROM lots WHERE id IN (:ids) ORDER BY id FOR UPDATE', {
    type: QueryTypes.SELECT,
    replacements: { ids },
  });
}

/** A brew that was here keeps the trace that it has: a curve is never told twice. */
async function bringTraces(sequelize: Sequelize, file: LabFile, standings: Standings): Promise<void> {
  let waiting: object[] = [];
  const store = async () => {
    if (waiting.length > 0) await sequelize.getQueryInterface().bulkInsert('traces', waiting);
    waiting = [];
  };
  for await (const { brewId, samples, outflow } of file.traces()) {
    const standing = standings.of('brews', brewId);
    if (standing?.fate !== 'fresh') continue;
    waiting.push({
      brew_id: standing.id,
      samples: JSON.stringify(samples),
      outflow: outflow && JSON.stringify(outflow),
      created_at: new Date(),
    });
    if (waiting.length === TRACES_AT_ONCE) await store();
  }
  await store();
}

async function bringLogs(sequelize: Sequelize, file: LabFile, standings: Standings): Promise<void> {
  const fresh = standings.fresh('brews').map(({ id }) => id);
  if (fresh.length === 0) return;
  const brews = await sequelize.query<{ client_key: string }>(
    'SELECT client_key FROM brews WHERE id IN (:fresh)',
    {
      type: QueryTypes.SELECT,
      replacements: { fresh },
    },
  );
  const keys = new Set(brews.map(({ client_key }) => client_key));
  let waiting: object[] = [];
  const store = async () => {
    if (waiting.length > 0) await sequelize.getQueryInterface().bulkInsert('brew_entries', waiting);
    waiting = [];
  };
  for await (const { brewKey, toldBy, entry } of file.entries()) {
    const person = standings.of('people', toldBy);
    if (!keys.has(brewKey) || !person) continue;
    const { device, number } = entry;
    waiting.push({
      brew_key: brewKey,
      device,
      number,
      entry: JSON.stringify(entry),
      told_by: person.id,
      told_at: new Date(entry.atMs),
    });
    if (waiting.length === ENTRIES_AT_ONCE) await store();
  }
  await store();
}

/** A proof names the brews that it rests on by their numbers. */
async function proofsOfBrewsHere(sequelize: Sequelize, standings: Standings): Promise<void> {
  const versions = standings.fresh('recipe_versions').map(({ id }) => id);
  if (versions.length === 0 || !standings.hasMoved('brews')) return;
  const rows = await sequelize.query<{ id: number; proof: string }>(
    'SELECT id, proof FROM recipe_versions WHERE proof IS NOT NULL AND id IN (:versions)',
    { type: QueryTypes.SELECT, replacements: { versions } },
  );
  for (const { id, proof } of rows) {
    const moved = JSON.stringify(parsedJson<object>(proof), (key, value: unknown) =>
      key === 'brewIds' && Array.isArray(value)
        ? value.map((brew: number) => Number(standings.of('brews', String(brew))?.id ?? brew))
        : value,
    );
    await sequelize.query('UPDATE recipe_versions SET proof = :moved WHERE id = :id', {
      replacements: { moved, id },
    });
  }
}
