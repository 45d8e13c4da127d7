import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';

/** How a cell of a column reads. */
type FieldType = 'integer' | 'number' | 'boolean' | 'date' | 'datetime' | 'string' | 'any';

export interface Field {
  name: string;
  type: FieldType;
  isRequired: boolean;
  description?: string;
}

export interface ExportedTable {
  name: string;
  fields: Field[];
  primaryKey: string[];
  foreignKeys: { field: string; table: string; column: string }[];
}

/** What is of the server and not of the lab, and what leaves in a form of its own. */
export const LEFT_OUT = {
  tables: {
    sessions: 'who is signed in',
    attempts: 'what was tried lately',
    second_factors: 'what codes at sign-in are made of',
    code_rules: 'of whom the lab asks a code',
    recovery_codes: 'codes for when a phone is lost',
    request_keys: 'requests that were answered',
    running_brews: 'brews on a bench; they are in once they are stored',
    migrations: 'steps of the schema',
    migration_statements: 'statements of the steps',
    calendars: 'addresses of calendars',
    tokens: 'keys of programs',
    webhooks: 'addresses that are told, with their secrets',
    webhook_deliveries: 'what they were told',
    invitations: 'ways in',
    reference_trials: 'what each taster found in reference cups, which is his own',
    imports: 'files that were taken in here',
    import_rows: 'what came with them',
    traces: 'in traces.csv, a line for each reading of a scale',
    brew_entries: 'in brew-logs.jsonl, a line for each entry',
  } as Record<string, string>,
  columns: {
    people: ['email', 'password_hash', 'left_at'],
    blind_places: ['secret', 'device'],
  } as Record<string, readonly string[]>,
};

interface ColumnRow {
  tableName: string;
  name: string;
  dataType: string;
  columnType: string;
  isNullable: 'YES' | 'NO';
  generated: string;
}

interface KeyRow {
  tableName: string;
  columnName: string;
  constraintName: string;
  foreignTable: string | null;
  foreignColumn: string | null;
}

/** The lab's tables as the database has them now: a column that a new step adds leaves too. */
export async function exportedTables(sequelize: Sequelize): Promise<ExportedTable[]> {
  const [columns, keys] = await Promise.all([
    sequelize.query<ColumnRow>(
      `SELECT table_name AS tableName, column_name AS name, data_type AS dataType, column_type AS columnType,
        is_nullable AS isNullable, generation_expression AS \`generated\`
      FROM information_schema.columns WHERE table_schema = DATABASE() ORDER BY table_name, ordinal_position`,
      { type: QueryTypes.SELECT },
    ),
    sequelize.query<KeyRow>(
      `SELECT table_name AS tableName, column_name AS columnName, constraint_name AS constraintName,
        referenced_table_name AS foreignTable, referenced_column_name AS foreignColumn
      FROM information_schema.key_column_usage WHERE table_schema = DATABASE()
      ORDER BY table_name, constraint_name, ordinal_position`,
      { type: QueryTypes.SELECT },
    ),
  ]);
  const json = await jsonColumns(sequelize);
  const names = [...new Set(columns.map(({ tableName }) => tableName))].filter(
    (name) => !(name in LEFT_OUT.tables),
  );
  return names.map((name): ExportedTable => {
    const own = keys.filter(({ tableName }) => tableName === name);
    return {
      name,
      fields: columns
        .filter((column) => column.tableName === name && !column.generated)
        .filter((column) => !LEFT_OUT.columns[name]?.includes(column.name))
        .map((column) => fieldOf(column, json.has(`${name}.${column.name}`))),
      primaryKey: own
        .filter(({ constraintName }) => constraintName === 'PRIMARY')
        .map(({ columnName }) => columnName),
      foreignKeys: own.flatMap(({ columnName, foreignTable, foreignColumn }) =>
        foreignTable && foreignColumn
          ? [{ field: columnName, table: foreignTable, column: foreignColumn }]
          : [],
      ),
    };
  });
}

/** MariaDB keeps JSON as text with a check that it is JSON. */
async function jsonColumns(sequelize: Sequelize): Promise<Set<string>> {
  const checks = await sequelize.query<{ tableName: string; clause: string }>(
    `SELECT table_name AS tableName, check_clause AS clause FROM information_schema.check_constraints
    WHERE constraint_schema = DATABASE()`,
    { type: QueryTypes.SELECT },
  );
  return new Set(
    checks.flatMap(({ tableName, clause }) => {
      const [, column] = /json_valid\(`(\w+)`\)/i.exec(clause) ?? [];
      return column ? [`${tableName}.${column}`] : [];
    }),
  );
}

function fieldOf({ name, dataType, columnType, isNullable }: ColumnRow, isJson: boolean): Field {
  return {
    name,
    type: isJson ? 'any' : columnType === 'tinyint(1)' ? 'boolean' : (TYPES[dataType] ?? 'string'),
    isRequired: isNullable === 'NO',
    ...(isJson ? { description: 'JSON' } : {}),
  };
}

const TYPES: Record<string, FieldType> = {
  int: 'integer',
  bigint: 'integer',
  smallint: 'integer',
  tinyint: 'integer',
  decimal: 'number',
  double: 'number',
  float: 'number',
  date: 'date',
  datetime: 'datetime',
  timestamp: 'datetime',
};
