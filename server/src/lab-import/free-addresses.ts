import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import type { Cells } from './lab-file.js';

/** Where the public address of a thing stands. */
const ADDRESSES: Readonly<Record<string, string>> = { recipes: 'slug', lots: 'public_slug' };

/** New rows with public addresses that nobody has: one that is taken here gets a number behind it, which is remarked. */
export async function withFreeAddresses(
  sequelize: Sequelize,
  table: string,
  rows: readonly Cells[],
  remarks: string[],
): Promise<readonly Cells[]> {
  const column = ADDRESSES[table];
  if (column === undefined || !rows.some((row) => row[column])) return rows;
  const here = await sequelize.query<{ slug: string }>(
    `SELECT ${column} AS slug FROM ${table} WHERE ${column} IS NOT NULL`,
    { type: QueryTypes.SELECT },
  );
  const taken = new Set(here.map(({ slug }) => slug));
  return rows.map((row) => {
    const wanted = row[column];
    if (!wanted) return row;
    let [slug, next] = [wanted, 2];
    while (taken.has(slug)) slug = `${wanted}-${next++}`;
    taken.add(slug);
    if (slug !== wanted) {
      remarks.push(
        `The public address ${wanted} is somebody else’s here; what came has ${slug}. Codes printed with the old one lead to the other.`,
      );
    }
    return { ...row, [column]: slug };
  });
}
