import Papa from 'papaparse';
import type { Field } from '../export/exported-tables.js';

const NEW_LINE = '\r\n';
/** What a spreadsheet would take for a formula; an apostrophe too, so that one that was added can be told. */
const LOOKS_LIKE_FORMULA = /^[=+\-@\t\r']/;
/** Rows that are written at once: one by one they take many times as long. */
const AT_ONCE = 200;

type Row = readonly (string | null)[];

/** Rows as RFC 4180, the names of the fields first; a text that looks like a formula begins with an apostrophe. */
export async function* csvOf(fields: readonly Field[], rows: AsyncIterable<Row>): AsyncGenerator<string> {
  yield csvHead(fields);
  let waiting: Row[] = [];
  for await (const row of rows) {
    waiting.push(
      row.map((cell, index) =>
        cell !== null && fields[index]?.type === 'string' && LOOKS_LIKE_FORMULA.test(cell)
          ? `'${cell}`
          : cell,
      ),
    );
    if (waiting.length < AT_ONCE) continue;
    yield lines(waiting);
    waiting = [];
  }
  if (waiting.length > 0) yield lines(waiting);
}

/** A text as it was before it was made safe for a spreadsheet. */
export const asWritten = (cell: string): string => (cell.startsWith("'") ? cell.slice(1) : cell);

/** The names of the fields. */
export const csvHead = (fields: readonly Field[]): string => lines([fields.map(({ name }) => name)]);

const lines = (rows: readonly Row[]): string =>
  Papa.unparse(
    rows.map((row) => [...row]),
    { newline: NEW_LINE },
  ) + NEW_LINE;
