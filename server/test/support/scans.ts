import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';

/** What the database is asked while something is done, in order; without what is asked within transactions, if so wanted. */
export async function statementsDuring(
  sequelize: Sequelize,
  work: () => Promise<unknown>,
  { withTransactions = true } = {},
): Promise<string[]> {
  const sent: string[] = [];
  const before = sequelize.options.logging;
  sequelize.options.logging = (logged) => {
    const [, by, statement] = /^Executed \(([^)]*)\): (.*)$/s.exec(logged) ?? [];
    if (statement !== undefined && (withTransactions || by === 'default')) sent.push(statement);
  };
  try {
    await work();
  } finally {
    sequelize.options.logging = before;
  }
  return sent;
}

interface Step {
  table: string | null;
  type: string | null;
  rows: string | number | null;
  Extra: string | null;
}

/** A table of so many rows or fewer may be read through. */
const FEW_ROWS = 4000;

/** Where a statement goes through more rows of a table than a page has any use for, by the database's own plan. */
export async function through(sequelize: Sequelize, statement: string): Promise<string[]> {
  if (!/^\s*(SELECT|UPDATE|DELETE|WITH)\b/i.test(statement)) return [];
  // What is sent apart from a statement stands in it as a mark.
  const whole = statement.replaceAll(/= ?\?/g, "= ''");
  const steps = await sequelize.query<Step>(`EXPLAIN ${whole}`, { type: QueryTypes.SELECT });
  // Along an index, with nothing to sort, it stops where it has as many as were asked for; the plan counts them all.
  const stops = ({ type, Extra }: Step) =>
    /\bLIMIT \d/.test(statement) &&
    /^(range|index)$/.test(type ?? '') &&
    !/filesort|temporary/.test(Extra ?? '');
  return steps
    .filter((step) => Number(step.rows) > FEW_ROWS && !stops(step))
    .map(
      ({ table, type, rows }) =>
        `${table ?? '?'} (${type ?? '?'}, ${rows ?? '?'} rows): ${statement.slice(0, 300)}`,
    );
}
