import { createConnection, type Connection } from 'mariadb';
import type { ApplicationSettings } from '../application.js';

/** Copies lie so far apart that no number meets another's. */
const LOTS_APART = 100_000;
const BREWS_APART = 1_000;

/** Each copy of a lot is of another day before, or thousands of cups would stand on one table. */
function earlier(...columns: readonly string[]): Record<string, string> {
  return Object.fromEntries(columns.map((column) => [column, `t.${column} - INTERVAL lots.seq DAY`]));
}

/** Of each table copied: which columns move with the lot, and what is told anew since there may be one of it only. */
const COPIED: Readonly<
  Record<string, { moved: readonly string[]; anew?: Readonly<Record<string, string>> }>
> = {
  lots: {
    moved: ['id'],
    anew: {
      name: "CONCAT(t.name, ' ', lots.seq)",
      public_slug: 'NULL',
      ...earlier('created_at', 'launch_on'),
    },
  },
  roast_batches: { moved: ['id', 'lot_id'], anew: earlier('roasted_on') },
  recipes: { moved: ['id', 'lot_id'], anew: { slug: 'NULL' } },
  recipe_versions: { moved: ['id', 'recipe_id'] },
};
const COPIED_WITH_BREWS: typeof COPIED = {
  brews: {
    moved: ['lot_id', 'recipe_version_id', 'roast_batch_id'],
    anew: { client_key: 'UUID()', ...earlier('started_at', 'created_at') },
  },
  readings: { moved: [], anew: earlier('created_at') },
  tastings: { moved: [], anew: earlier('created_at') },
  traces: { moved: [] },
};

/** Copies every lot of a lab with all that is of it, and its brews several times over. */
export async function grow(
  { database, databaseName }: Pick<ApplicationSettings, 'database' | 'databaseName'>,
  {
    copies,
    brewsEach,
    withTraces = true,
  }: { copies: number; brewsEach: number; /** Curves are most of it. */ withTraces?: boolean },
): Promise<{ lots: number; brews: number; readings: number }> {
  const connection = await createConnection({
    socketPath: database.socket,
    user: database.user,
    password: database.password,
    database: databaseName,
  });
  try {
    await connection.query('SET FOREIGN_KEY_CHECKS = 0');
    for (const [table, { moved, anew = {} }] of Object.entries(COPIED)) {
      const told = Object.fromEntries(
        moved.map((column) => [column, `t.${column} + lots.seq * ${LOTS_APART}`]),
      );
      await copy(connection, table, { ...told, ...anew }, `seq_1_to_${copies} AS lots`);
    }
    const brewId = (column: string) => `t.${column} + lots.seq * ${LOTS_APART} + brews.seq * ${BREWS_APART}`;
    for (const [table, { moved, anew = {} }] of Object.entries(COPIED_WITH_BREWS)) {
      if (table === 'traces' && !withTraces) continue;
      const told = Object.fromEntries(
        moved.map((column) => [column, `t.${column} + lots.seq * ${LOTS_APART}`]),
      );
      // A reading and a sheet take the next number that is free.
      const own: Record<string, string> =
        table === 'brews' ? { id: brewId('id') } : { brew_id: brewId('brew_id') };
      const isNumbered = table === 'readings' || table === 'tastings';
      const several = `seq_1_to_${copies} AS lots JOIN seq_1_to_${brewsEach} AS brews`;
      await copy(connection, table, { ...told, ...own, ...anew }, several, isNumbered ? ['id'] : []);
    }
    const count = async (table: string) => {
      const [row] = await connection.query<{ count: bigint }[]>(`SELECT COUNT(*) AS count FROM ${table}`);
      return Number(row?.count ?? 0);
    };
    return { lots: await count('lots'), brews: await count('brews'), readings: await count('readings') };
  } finally {
    await connection.end();
  }
}

async function copy(
  connection: Connection,
  table: string,
  told: Readonly<Record<string, string>>,
  times: string,
  leftOut: readonly string[] = [],
): Promise<void> {
  const rows = await connection.query<{ name: string }[]>(
    `SELECT column_name AS name FROM information_schema.columns
    WHERE table_schema = DATABASE() AND table_name = ? AND COALESCE(generation_expression, '') = ''`,
    [table],
  );
  const columns = rows.map(({ name }) => name).filter((name) => !leftOut.includes(name));
  await connection.query(
    `INSERT INTO ${table} (${columns.map((name) => `\`${name}\``).join(', ')})
    SELECT ${columns.map((name) => told[name] ?? `t.\`${name}\``).join(', ')} FROM ${table} AS t JOIN ${times}`,
  );
}
