import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { exportedTables, type Field } from '../export/exported-tables.js';
import { asText } from '../export/table-rows.js';
import { asStored } from './as-stored.js';
import type { Cells, LabFile } from './lab-file.js';

/** The lab itself, as a file tells it: taken only where nothing has been done here yet. */
export async function houseIn(sequelize: Sequelize, file: LabFile): Promise<Cells | null> {
  const [house] = await file.rows({ name: 'house', fields: await fieldsOf(sequelize) });
  return house ?? null;
}

/** The lab as it is, to be put back. */
export async function keepHouse(sequelize: Sequelize): Promise<Cells> {
  const fields = await fieldsOf(sequelize);
  const [house] = await sequelize.query<Cells>(`SELECT ${fields.map(asText).join(', ')} FROM house LIMIT 1`, {
    type: QueryTypes.SELECT,
  });
  if (!house) throw new Error('A database has a lab from its first step on');
  return house;
}

export async function putHouse(sequelize: Sequelize, { id: _, ...house }: Cells): Promise<void> {
  const types = new Map((await fieldsOf(sequelize)).map(({ name, type }) => [name, type]));
  const columns = Object.keys(house);
  await sequelize.query(`UPDATE house SET ${columns.map((name) => `\`${name}\` = :${name}`).join(', ')}`, {
    replacements: Object.fromEntries(
      columns.map((name) => [name, asStored(house[name] ?? null, types.get(name))]),
    ),
  });
}

async function fieldsOf(sequelize: Sequelize): Promise<Field[]> {
  return (await exportedTables(sequelize)).find(({ name }) => name === 'house')?.fields ?? [];
}
