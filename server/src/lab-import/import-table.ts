import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { checkDto, PlanDto } from '@vendu/contract';
import { isUnstorable } from '../database/database-faults.js';
import { ProblemError } from '../problem/problem-error.js';
import type { ExportedTable, Field } from '../export/exported-tables.js';
import { asText } from '../export/table-rows.js';
import { asStored } from './as-stored.js';
import { withFreeAddresses } from './free-addresses.js';
import type { Cells } from './lab-file.js';
import { matchRows, type Known } from './match-rows.js';
import type { Standing, Standings } from './standing.js';
import { NOT_COMPARED, type TableRule } from './table-rules.js';

/** Rows in one statement. */
const AT_ONCE = 200;

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
    const { name } = this.table;
    const rows = this.bodiesFirst(inFile);
    const held = rows.map((row) => this.isHeld(row));
    const translated = rows.map((row, index) => (held[index] ? row : this.translated(row, index)));
    const free = rows.flatMap((_, index) => (held[index] ? [] : [index]));
    const here = await this.here();
    const places = matchRows(
      free.map((index) => translated[index] ?? {}),
      here,
      this.rule,
    );
    const placeOf = new Map(free.map((index, at) => [index, places[at] ?? null]));
    const idAfterAll = idsAfter(here, rows);
    const ids = rows.map((row, index) => {
      const place = placeOf.get(index) ?? null;
      return place === null ? idAfterAll(row.id ?? null) : (here[place]?.id ?? '');
    });
    const own = new Map(rows.map((row, index) => [row.id ?? '', ids[index] ?? '']));
    const whole = translated.map((row) => this.withOwn(row, own));
    const compared = await this.compared(whole, placeOf, here);
    const fates: Standing['fate'][] = [];
    const fresh: Cells[] = [];

    for (const [index, row] of rows.entries()) {
      const parent = this.parentOf(row);
      const title = this.rule.title?.(row, parent?.title ?? '') ?? parent?.title ?? name;
      const place = placeOf.get(index) ?? null;
      const id = ids[index] ?? '';
      const differing = compared.get(index) ?? [];
      const fate = this.fateOf(index, held, place, row, differing);
      const isOther =
        fate === 'heldBack' || differing.some(({ name: column }) => this.rule.bearing?.includes(column));
      const lotId = name === 'lots' ? id : (parent?.lotId ?? null);
      fates.push(fate);
      if (this.hasId) this.standings.add(name, row.id ?? '', { id, fate, isOther, lotId, title });
      else this.standings.add(name, String(index), { id: '', fate, isOther, lotId, title });
      for (const { name: column, here: ours, inFile } of differing) {
        this.standings.conflict({
          what: this.rule.words,
          about: title,
          field: column.replaceAll('_', ' '),
          here: ours,
          inFile,
        });
      }
      if (fate === 'fresh') fresh.push({ ...(whole[index] ?? row), ...(this.hasId ? { id } : {}) });
    }
    this.standings.count(this.rule.words, fates);
    for (const [index, row] of fresh.entries()) this.checkPlan(row, index);
    const addressed = await withFreeAddresses(this.sequelize, name, fresh, this.standings.remarks);
    if (isTaken) await this.store(addressed);
  }

  /** What names another row of its own table comes after it. */
  private bodiesFirst(rows: readonly Cells[]): readonly Cells[] {
    const [own] = [...this.references].find(([, table]) => table === this.table.name) ?? [];
    return own === undefined ? rows : [...rows.filter((row) => !row[own]), ...rows.filter((row) => row[own])];
  }

  private fateOf(
    index: number,
    held: readonly boolean[],
    place: number | null,
    row: Cells,
    differing: readonly unknown[],
  ): Standing['fate'] {
    if (held[index]) return 'heldBack';
    if (place !== null) return differing.length > 0 ? 'differing' : 'same';
    return this.wouldTakeAPlace(row) ? 'heldBack' : 'fresh';
  }

  /** A card that is public takes the place of the one that a recipe here has: that is for a lead to publish. */
  private wouldTakeAPlace(row: Cells): boolean {
    if (this.table.name !== 'publications' || row.withdrawn_at !== null) return false;
    return this.standings.of('recipes', row.recipe_id ?? '')?.fate !== 'fresh';
  }

  private isHeld(row: Cells): boolean {
    return [...this.references].some(([column, table]) => {
      const cell = row[column] ?? null;
      if (cell === null || table === this.table.name || this.rule.derived?.includes(column)) return false;
      return this.standings.of(table, cell)?.isOther === true;
    });
  }

  /** What it refers to by the numbers that it has here. */
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

  /** A bottom of a brewer names its body, which stands in the same table. */
  private withOwn(row: Cells, own: ReadonlyMap<string, string>): Cells {
    const changed: Cells = {};
    for (const [column, table] of this.references) {
      if (table === this.table.name && row[column]) changed[column] = own.get(row[column]) ?? null;
    }
    return { ...row, ...changed };
  }

  private parentOf(row: Cells): Standing | undefined {
    const parents = [...this.references].flatMap(([column, table]) => {
      const cell = row[column] ?? null;
      const standing = cell === null ? undefined : this.standings.of(table, cell);
      return standing && !this.rule.derived?.includes(column) ? [standing] : [];
    });
    // The one that belongs to a lot, and the nearest of those: a brew is of a version before it is of a lot.
    return parents.filter(({ lotId }) => lotId !== null).at(-1) ?? parents[0];
  }

  private async here(): Promise<Known[]> {
    const columns = new Set(['id', 'created_at', ...this.rule.key]);
    const fields = this.table.fields.filter(({ name }) => columns.has(name));
    return this.sequelize.query<Known>(
      `SELECT ${fields.map(asText).join(', ')} FROM \`${this.table.name}\`${this.hasId ? ' ORDER BY id' : ''}`,
      { type: QueryTypes.SELECT },
    );
  }

  /** Which columns each row of the file tells otherwise than the same row here. */
  private async compared(
    rows: readonly Cells[],
    placeOf: ReadonlyMap<number, number | null>,
    here: readonly Known[],
  ) {
    const differing = new Map<number, { name: string; here: string; inFile: string }[]>();
    if (!this.hasId) return differing;
    const matched = [...placeOf].flatMap(([index, place]) =>
      place === null ? [] : [{ index, id: here[place]?.id ?? '' }],
    );
    const fields = this.table.fields.filter(
      ({ name }) => !NOT_COMPARED.includes(name) && !this.rule.derived?.includes(name),
    );
    for (const some of chunks(matched)) {
      const found = await this.sequelize.query<Cells>(
        `SELECT ${[ID, ...fields].map(asText).join(', ')} FROM \`${this.table.name}\` WHERE id IN (:ids)`,
        { type: QueryTypes.SELECT, replacements: { ids: some.map(({ id }) => id) } },
      );
      const byId = new Map(found.map((row) => [row.id, row]));
      for (const { index, id } of some) {
        const ours = byId.get(id) ?? {};
        const theirs = rows[index] ?? {};
        const others = fields
          .filter(({ name }) => name in theirs && (theirs[name] ?? '') !== (ours[name] ?? ''))
          .map(({ name }) => ({ name, here: ours[name] ?? '', inFile: theirs[name] ?? '' }));
        if (others.length > 0) differing.set(index, others);
      }
    }
    return differing;
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

/** Which tables the columns of a table name a row of. */
export function referencesOf(
  { foreignKeys }: Pick<ExportedTable, 'foreignKeys'>,
  { named }: TableRule,
): Map<string, string> {
  return new Map([
    ...foreignKeys.map(({ field, table }): [string, string] => [field, table]),
    ...Object.entries(named ?? {}),
  ]);
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

function* chunks<T>(all: readonly T[]): Generator<T[]> {
  for (let from = 0; from < all.length; from += AT_ONCE) yield all.slice(from, from + AT_ONCE);
}
