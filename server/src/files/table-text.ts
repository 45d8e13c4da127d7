import Papa from 'papaparse';

type TableCell = string | number | boolean | null;

/** The columns of a table: one reading of a line each; what is not known is an empty cell. */
export type TableColumns<L> = Record<string, (line: L) => TableCell>;

/** A spreadsheet takes a cell that begins like a formula for one: such a cell begins with an apostrophe. */
export function tableText<L>(columns: TableColumns<L>, lines: readonly L[]): string {
  const data = lines.map((line) => Object.values(columns).map((cell) => cell(line)));
  return `${Papa.unparse({ fields: Object.keys(columns), data }, { escapeFormulae: true })}\r\n`;
}

export const rounded = (value: number | null | undefined, decimals: number): number | null =>
  value === null || value === undefined ? null : Number(value.toFixed(decimals));
