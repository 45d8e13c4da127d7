import { isDeepStrictEqual } from 'node:util';
import { DataTypes, type Model, type ModelStatic } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import type { EditedField, EditView } from '@vendu/contract';
import { whoActs } from '../writing/acting.js';
import { EditModel } from './edit.model.js';

/** Columns that count or follow from others: nobody writes them. */
const FOLLOWING: readonly string[] = ['id', 'revision', 'createdAt', 'updatedAt', 'passwordHash'];

/** What of a thing is written elsewhere or follows, or what alone is written here. */
type Kept = { without: readonly string[] } | { only: readonly string[] };

/**
 * Things whose every change is kept, by table. What is done at the bench, at the cup and in a proof has records of its
 * own; of a brew it is what anybody may say otherwise afterwards.
 */
const EDITED: Readonly<Record<string, Kept>> = {
  lots: {
    without: [
      'evidence',
      'evidenceModel',
      'publicSlug',
      'stage',
      'brewCount',
      'brewedG',
      'leftG',
      'lastBrewedAt',
      'proofMissing',
      'recheckOn',
      'latestRoastedOn',
      'stockAt',
    ],
  },
  recipes: { without: ['slug'] },
  house: { without: [] },
  papers: { without: [] },
  brewers: { without: [] },
  grinders: { without: [] },
  kettles: { without: [] },
  sieves: { without: [] },
  feeders: { without: [] },
  waters: { without: [] },
  instruments: { without: [] },
  stated_settings: { without: [] },
  people: { without: [] },
  code_rules: { only: ['askedOf'] },
  brews: { only: ['verdict', 'verdictReason', 'setAsideAt'] },
  readings: { only: ['removedAt'] },
  fractions: {
    only: ['startS', 'endS', 'beverageG', 'tdsPercent', 'colour', 'haze', 'notes', 'isWanted'],
  },
};

/** Writes down each such change as it is stored, in the same transaction: either both are, or neither. */
export function keepEdits(sequelize: Sequelize): void {
  sequelize.addHook('beforeUpdate', (row) => keep(row, 'changed', changedFields(row)));
  sequelize.addHook('beforeDestroy', (row) => keep(row, 'removed', []));
}

/**
 * The same for what is stored past its instance.
 *
 * @param row - with the new values set and not saved
 */
export const keepEdit = (row: Model) => keep(row, 'changed', changedFields(row));

/**
 * The same for one of several parts that are written over as a whole. Filling in what was open is no change of it.
 *
 * @param row - with the new values set and not saved
 */
export function keepEditOfPart(row: Model, kind: EditView['kind'], whole: Whole): Promise<void> {
  const fields =
    kind === 'removed' ? [] : changedFields(row).filter(({ from }) => from !== null && from !== '');
  return keep(row, kind, fields, whole);
}

/** What a part is of, and how it is called among the others. */
interface Whole {
  id: number;
  about: string;
}

async function keep(row: Model, kind: EditView['kind'], fields: EditedField[], whole?: Whole): Promise<void> {
  const editedBy = whoActs();
  const tableName = tableOf(row);
  if (editedBy === null || !EDITED[tableName] || (kind === 'changed' && fields.length === 0)) return;
  const name: unknown = row.get('name');
  await EditModel.create({
    tableName,
    rowId: whole?.id ?? Number(row.get('id')),
    about: whole?.about ?? (typeof name === 'string' ? name : ''),
    kind,
    fields,
    editedBy,
  });
}

function changedFields(row: Model): EditedField[] {
  const kept = EDITED[tableOf(row)];
  const isKept = (field: string) =>
    kept && 'only' in kept
      ? kept.only.includes(field)
      : ![...FOLLOWING, ...(kept?.without ?? [])].includes(field);
  const changed = row.changed();
  return (changed === false ? [] : changed)
    .filter(isKept)
    .map((field) => ({
      field,
      from: stored(row, field, row.previous(field)),
      to: stored(row, field, row.get(field)),
    }))
    .filter(({ from, to }) => !isDeepStrictEqual(from, to));
}

/** As JSON keeps it. A decimal comes from the database as a text, and from a form as a figure: it is one. */
function stored(row: Model, field: string, value: unknown): unknown {
  if (value === undefined || value === null) return null;
  const { type } = (row.constructor as ModelStatic<Model>).getAttributes()[field] ?? {};
  if (type instanceof DataTypes.DECIMAL) return Number(value);
  return JSON.parse(JSON.stringify(value)) as unknown;
}

function tableOf(row: Model): string {
  return (row.constructor as ModelStatic<Model>).tableName;
}
