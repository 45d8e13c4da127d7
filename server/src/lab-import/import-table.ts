import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { checkDto, PlanDto } from '@vendu/contract';
import { isUnstorable } from '../database/database-faults.js';
import { ProblemError } from '../problem/problem-error.js';
import type { ExportedTable, Field } from '../export/exported-tables.js';
import { asText } from '../export/table-rows.js';
import { asStored } from './as-stored.js';
import { withFreeAddresses } from './free-addresses.js';
import { chunks } from './chunks.js';
import type { Cells } from './lab-file.js';
import { matchRows, type Known } from './match-rows.js';
import { referencesOf } from './references.js';
import type { Standing, Standings } from './standing.js';
import { NOT_COMPARED, type TableRule } from './table-rules.js';

interface Difference {
  column: string;
  here: string;
  inFile: string;
}

/** A row of the file on its way in. */
interface Line {
  row: Cells;
  /** What it refers to by the numbers that it has here; of a line that is held back as in the file. */
  translated: Cells;
  isHeld: boolean;
  /** The same row here; `null` where it is new. */
  here: Known | null;
  /** Its number here, or the one that it gets. */
  id: string;
  differing: Difference[];
}

/** One table of a file beside the same table here. */
export class ImportTable {
  private readonly references: ReadonlyMap<string, string>;
  private readonly hasId: boolean;

  constructor(
    private readonly sequelize: Sequelize,
    private readonly table: ExportedTable,
    private readonly rule: TableRule,
    private readonly standings: Standings,
  ) {
    this.references = referencesOf(table, rule);
    this.hasId = table.fields.some(({ name }) => name === 'id');
  }

  /**
   * Says of each row of the file what it is here, and stores what is new.
   *
   * @param isTaken - false to say it only
   */
  async bring(inFile: readonly Cells[], isTaken: boolean): Promise<void> {
    const lines = this.bodiesFirst(inFile).map((row, index) => this.lineOf(row, index));
    await this.match(lines);
    await this.compare(lines);
    const fates = lines.map((line, index) => this.settle(line, index));
    this.standings.count(this.rule.words, fates);
    const fresh = lines
      .filter((_, index) => fates[index] === 'fresh')
      .map(({ translated, id }) => ({ ...translated, ...(this.hasId ? { id } : {}) }));
    for (const [index, row] of fresh.entries()) this.checkPlan(row, index);
    const addressed = await withFreeAddresses(this.sequelize, this.table.name, fresh, this.standings.remarks);
    if (isTaken) await this.store(addressed);
  }

  /** What names another row of its own table comes after it. */
  private bodiesFirst(rows: readonly Cells[]): readonly Cells[] {
    const own = this.ownReference();
    return own === null ? rows : [...rows.filter((row) => !row[own]), ...rows.filter((row) => row[own])];
  }

  private ownReference(): string | null {
    return [...this.references].find(([, table]) => table === this.table.name)?.[0] ?? null;
  }

  private lineOf(row: Cells, index: number): Line {
    const isHeld = this.isHeld(row);
    const translated = isHeld ? row : this.translated(row, index);
    return { row, translated, isHeld, here: null, id: '', differing: [] };
  }

  /** It hangs on something that is another thing here. */
  private isHeld(row: Cells): boolean {
    return [...this.references].some(([column, table]) => {
      const cell = row[column] ?? null;
      if (cell === null || table === this.table.name || this.rule.derived?.includes(column)) return false;
      return this.standings.of(table, cell)?.isOther === true;
    });
  }

  private translated(row: Cells, index: number): Cells {
    const changed: Cells = {};
    for (const [column, table] of this.references) {
      const cell = row[column] ?? null;
      if (cell === null || table === this.table.name) continue;
      const standing = this.standings.of(table, cell);
      if (standing) changed[column] = standing.id;
      else if (this.rule.derived?.includes(column)) changed[column] = null;
      else {
        throw new ProblemError(
          'not-readable',
          `${this.table.name}.csv, line ${index + 2}: ${column} is ${cell}, which the file does not have. Nothing was taken in.`,
        );
      }
    }
    return { ...row, ...changed };
  }

  /** Finds which row here each line is, and gives the new ones their numbers. */
  private async match(lines: Line[]): Promise<void> {
    const here = await this.here();
    const free = lines.filter(({ isHeld }) => !isHeld);
    const places = matchRows(
      free.map(({ translated }) => translated),
      here,
      this.rule,
    );
    for (const [index, line] of free.entries()) {
      const place = places[index] ?? null;
      line.here = place === null ? null : (here[place] ?? null);
    }
    const idAfterAll = idsAfter(
      here,
      lines.map(({ row }) => row),
    );
    for (const line of lines) line.id = line.here ? (line.here.id ?? '') : idAfterAll(line.row.id ?? null);
    this.translateOwn(lines);
  }

  /** A bottom of a brewer names its body, which stands in the same table. */
  private translateOwn(lines: Line[]): void {
    const own = this.ownReference();
    if (own === null) return;
    const idOf = new Map(lines.map(({ row, id }) => [row.id ?? '', id]));
    for (const line of lines) {
      const named = line.translated[own];
      if (named) line.translated = { ...line.translated, [own]: idOf.get(named) ?? null };
    }
  }

  private async here(): Promise<Known[]> {
    const columns = new Set(['id', 'created_at', ...this.rule.key]);
    const fields = this.table.fields.filter(({ name }) => columns.has(name));
    return this.sequelize.query<Known>(
      `SELECT ${fields.map(asText).join(', ')} FROM \`${this.table.name}\`${this.hasId ? ` ORDER BY \`${this.table.name}\`.id` : ''}`,
      { type: QueryTypes.SELECT },
    );
  }

  /** Finds which columns each line tells otherwise than the same row here. */
  private async compare(lines: readonly Line[]): Promise<void> {
    // What is told by two numbers says nothing besides.
    if (!this.hasId) return;
    const fields = this.table.fields.filter(
      ({ name }) => !NOT_COMPARED.includes(name) && !this.rule.derived?.includes(name),
    );
    for (const some of chunks(lines.filter(({ here }) => here !== null))) {
      const found = await this.sequelize.query<Cells>(
        `SELECT ${[ID, ...fields].map(asText).join(', ')} FROM \`${this.table.name}\` WHERE id IN (:ids)`,
        { type: QueryTypes.SELECT, replacements: { ids: some.map(({ id }) => id) } },
      );
      const byId = new Map(found.map((row) => [row.id, row]));
      for (const line of some) line.differing = differences(fields, byId.get(line.id) ?? {}, line.translated);
    }
  }

  /** Says what a line became, to those that name it and to whoever reads the report. */
  private settle(line: Line, index: number): Standing['fate'] {
    const { row, translated, id, differing } = line;
    const [first = '', second = ''] = this.table.primaryKey;
    const parent = this.parentOf(row);
    const title = this.rule.title?.(row, parent?.title ?? '') ?? parent?.title ?? this.table.name;
    const fate = this.fateOf(line);
    const isOther =
      fate === 'heldBack' || differing.some(({ column }) => this.rule.bearing?.includes(column));
    const lotId = this.table.name === 'lots' ? id : (parent?.lotId ?? null);
    this.standings.add(this.table.name, this.hasId ? (row.id ?? '') : String(index), {
      id: this.hasId ? id : (translated[first] ?? ''),
      secondId: this.hasId ? '0' : (translated[second] ?? '0'),
      fate,
      isOther,
      lotId,
      title,
    });
    for (const { column, here, inFile } of differing) {
      const field = column.replaceAll('_', ' ');
      this.standings.conflict({ what: this.rule.words, about: title, field, here, inFile });
    }
    return fate;
  }

  private fateOf({ row, isHeld, here, differing }: Line): Standing['fate'] {
    if (isHeld) return 'heldBack';
    if (here !== null) return differing.length > 0 ? 'differing' : 'same';
    return this.wouldTakeAPlace(row) ? 'heldBack' : 'fresh';
  }

  /** A card that is public takes the place of the one that a recipe here has: that is for a lead to publish. */
  private wouldTakeAPlace(row: Cells): boolean {
    if (this.table.name !== 'publications' || row.withdrawn_at !== null) return false;
    return this.standings.of('recipes', row.recipe_id ?? '')?.fate !== 'fresh';
  }

  /** What it belongs to: the nearest of those that belong to a lot, as a brew is of a version before it is of a lot. */
  private parentOf(row: Cells): Standing | undefined {
    const parents = [...this.references].flatMap(([column, table]) => {
      const cell = row[column] ?? null;
      const standing = cell === null ? undefined : this.standings.of(table, cell);
      return standing && !this.rule.derived?.includes(column) ? [standing] : [];
    });
    return parents.filter(({ lotId }) => lotId !== null).at(-1) ?? parents[0];
  }

  private async store(rows: readonly Cells[]): Promise<void> {
    const types = new Map(this.table.fields.map((field) => [field.name, field.type]));
    for (const some of chunks(rows)) {
      const columns = some.map((row) =>
        Object.fromEntries(
          Object.entries(row).map(([name, cell]) => [name, asStored(cell, types.get(name))]),
        ),
      );
      try {
        await this.sequelize.getQueryInterface().bulkInsert(this.table.name, columns);
      } catch (error) {
        if (!isUnstorable(error)) throw error;
        throw new ProblemError(
          'not-readable',
          `${this.table.name}.csv holds a value that its column cannot: ${(error as Error).message}. Nothing was taken in.`,
        );
      }
    }
  }

  /** A plan moves everything that is computed of a version or a brew. */
  private checkPlan(row: Cells, index: number): void {
    if (this.table.name !== 'recipe_versions' && this.table.name !== 'brews') return;
    const [fault] = checkDto(PlanDto, JSON.parse(row.plan ?? 'null') as object);
    if (!fault) return;
    throw new ProblemError(
      'not-readable',
      `${this.table.name}.csv, new row ${index + 1}: its plan says ${fault.field}: ${fault.message} Nothing was taken in.`,
    );
  }
}

const ID: Field = { name: 'id', type: 'integer', isRequired: true };

/** What an older file does not tell is no difference. */
function differences(fields: readonly Field[], ours: Cells, theirs: Cells): Difference[] {
  return fields
    .filter(({ name }) => name in theirs && (theirs[name] ?? '') !== (ours[name] ?? ''))
    .map(({ name }) => ({ column: name, here: ours[name] ?? '', inFile: theirs[name] ?? '' }));
}

/** The number of a row that is new: its own where nobody has it here, else one after all. */
function idsAfter(here: readonly Known[], rows: readonly Cells[]): (wanted: string | null) => string {
  const used = new Set(here.map(({ id }) => id));
  let last = [...here, ...rows].reduce((most, { id }) => Math.max(most, Number(id ?? 0)), 0);
  return (wanted) => {
    const id = wanted === null || used.has(wanted) ? String(++last) : wanted;
    used.add(id);
    return id;
  };
}
