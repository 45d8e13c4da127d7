import Papa from 'papaparse';
import type { Field } from '../export/exported-tables.js';

const NEW_LINE = '\r\n';
/** What a spreadsheet would take for a formula; an apostrophe too, so that one that was added can be told. */
const LOOKS_LIKE_FORMULA = /^[=+\-@\t\r']/;

/** Rows as RFC 4180, the names of the fields first; a text that looks like a formula begins with an apostrophe. */
export async function* csvOf(
  fields: readonly Field[],
  rows: AsyncIterable<readonly (string | null)[]>,
): AsyncGenerator<string> {
  yield line(fields.map(({ name }) => name));
  for await (const row of rows) {
    yield line(
      row.map((cell, index) =>
        cell !== null && fields[index]?.type === 'string' && LOOKS_LIKE_FORMULA.test(cell)
          ? `'${cell}`
          : cell,
      ),
    );
  }
}

function line(cells: readonly (string | null)[]): string {
  return Papa.unparse([[...cells]]) + NEW_LINE;
}
