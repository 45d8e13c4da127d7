import Papa from 'papaparse';
import { broughtUp, entryFault, type BrewEntry } from '@vendu/core';
import { asWritten } from '../files/csv.js';
import { ProblemError } from '../problem/problem-error.js';
import type { ExportedTable } from '../export/exported-tables.js';
import { tracesIn, type TraceInFile } from './traces-in-file.js';
import { broken, ZipEntries } from './zip-entries.js';

export type Cells = Record<string, string | null>;

export interface EntryInFile {
  brewKey: string;
  toldBy: string;
  entry: BrewEntry;
}

interface Description {
  created: string;
  resources: { path: string }[];
}

/** An export of a lab, read as our own export writes it and checked as any input. */
export class LabFile {
  private constructor(
    private readonly zip: ZipEntries,
    readonly madeAt: Date,
  ) {}

  /** @throws ProblemError `not-readable` where it is no export of a lab */
  static async open(path: string): Promise<LabFile> {
    const zip = await ZipEntries.of(path);
    try {
      const madeAt = new Date((await descriptionIn(zip)).created);
      if (Number.isNaN(madeAt.getTime())) throw broken('datapackage.json');
      return new LabFile(zip, madeAt);
    } catch (error) {
      zip.close();
      throw error;
    }
  }

  /**
   * The rows of a table, in order; none where the file has no such table, as one of before there was one.
   *
   * @throws ProblemError `not-readable` where a column is not known here, or a cell does not read as its column
   */
  async rows({ name, fields }: Pick<ExportedTable, 'name' | 'fields'>): Promise<Cells[]> {
    const path = `${name}.csv`;
    if (!this.zip.has(path)) return [];
    const { data } = Papa.parse<string[]>(await this.zip.text(path), {
      delimiter: ',',
      skipEmptyLines: true,
    });
    const [head = [], ...lines] = data;
    const columns = head.map((column) => {
      const field = fields.find((each) => each.name === column);
      if (!field) {
        throw new ProblemError(
          'not-readable',
          `${path} has a column ${column} that is not known here: the file comes from a newer Vendu.`,
        );
      }
      return field;
    });
    return lines.map((line, index) => {
      if (line.length !== columns.length)
        throw notAsTold(path, index, 'has another number of cells than columns');
      return Object.fromEntries(
        columns.map((field, place) => {
          const cell = line[place] ?? '';
          if (cell === '') return [field.name, field.type === 'string' && field.isRequired ? '' : null];
          if (!READS[field.type](cell)) {
            throw notAsTold(path, index, `${field.name} “${cell.slice(0, 40)}” is no ${field.type}`);
          }
          return [field.name, field.type === 'string' ? asWritten(cell) : cell];
        }),
      );
    });
  }

  /** Brew by brew, as the readings lie in the file. */
  async *traces(): AsyncGenerator<TraceInFile> {
    if (!this.zip.has('traces.csv')) return;
    yield* tracesIn(await this.zip.stream('traces.csv'));
  }

  /** The logs of brews, entry by entry. */
  async *entries(): AsyncGenerator<EntryInFile> {
    if (!this.zip.has('brew-logs.jsonl')) return;
    for (const line of (await this.zip.text('brew-logs.jsonl')).split('\n')) {
      if (line === '') continue;
      const {
        brew_key: brewKey,
        told_by: toldBy,
        entry,
      } = jsonOf(line, 'brew-logs.jsonl') as Record<string, unknown>;
      const fault = entryFault(broughtUp(entry));
      if (fault) throw new ProblemError('not-readable', `brew-logs.jsonl: ${fault.message}`);
      yield { brewKey: String(brewKey), toldBy: String(toldBy), entry: entry as BrewEntry };
    }
  }

  close(): void {
    this.zip.close();
  }
}

const READS: Record<ExportedTable['fields'][number]['type'], (cell: string) => boolean> = {
  integer: (cell) => /^-?\d{1,15}$/.test(cell),
  number: (cell) => Number.isFinite(Number(cell)),
  boolean: (cell) => cell === 'true' || cell === 'false',
  date: (cell) => /^\d{4}-\d\d-\d\d$/.test(cell),
  datetime: (cell) => /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z$/.test(cell),
  string: () => true,
  any: (cell) => {
    try {
      return typeof JSON.parse(cell) === 'object';
    } catch {
      return false;
    }
  },
};

async function descriptionIn(zip: ZipEntries): Promise<Description> {
  const description = jsonOf(await zip.text('datapackage.json'), 'datapackage.json') as Partial<Description>;
  if (typeof description.created !== 'string') throw broken('datapackage.json');
  return description as Description;
}

function jsonOf(text: string, name: string): object {
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch {
    throw broken(name);
  }
  if (typeof read !== 'object' || read === null) throw broken(name);
  return read;
}

/** A line of a table is counted as a spreadsheet counts it, its head first. */
const notAsTold = (path: string, index: number, what: string) =>
  new ProblemError('not-readable', `${path}, line ${index + 2}: ${what}. Nothing was taken in.`);
