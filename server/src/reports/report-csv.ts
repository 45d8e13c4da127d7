import { Readable } from 'node:stream';
import { text } from 'node:stream/consumers';
import type { ReportView } from '@vendu/contract';
import { csvOf } from '../files/csv.js';

/** The table of a report: the names of its columns with their units first, figures to the digit shown. */
export function reportCsv({ columns, rows }: Pick<ReportView, 'columns' | 'rows'>): Promise<string> {
  const fields = columns.map(({ label, unit, kind }) => ({
    name: unit === '' ? label : `${label}, ${unit}`,
    type: kind === 'number' ? ('number' as const) : ('string' as const),
    isRequired: false,
  }));
  const lines = rows.map(({ cells }) =>
    columns.map(({ key, decimals }) => {
      const cell = cells[key] ?? null;
      return typeof cell === 'number' ? cell.toFixed(decimals) : cell;
    }),
  );
  return text(Readable.from(csvOf(fields, Readable.from(lines) as AsyncIterable<(string | null)[]>)));
}
