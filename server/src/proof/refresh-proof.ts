import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import type { ProofReader } from './proof-reader.js';

/** Sheets count that everybody may see. */
const NOBODY = 0;

/**
 * Brings what a lot's list entry says of its proof up to date: the checks that the version accepted last has not met. How
 * it forgives counts as last worked out, since that takes a while.
 */
export async function refreshProof(sequelize: Sequelize, reader: ProofReader, lotId: number): Promise<void> {
  const [newest] = await sequelize.query<{ id: number }>(
    `SELECT versions.id FROM recipe_versions AS versions JOIN recipes ON recipes.id = versions.recipe_id
    WHERE recipes.lot_id = :lotId AND versions.accepted_at IS NOT NULL AND versions.signed_off_at IS NULL
    ORDER BY versions.accepted_at DESC, versions.id DESC LIMIT 1`,
    { replacements: { lotId }, type: QueryTypes.SELECT },
  );
  const read = newest
    ? await reader.read(newest.id, NOBODY, ({ version }) => Promise.resolve(version.forgivenShare))
    : null;
  const missing = read?.proof.checks.filter(({ state }) => state === 'missing').map(({ check }) => check);
  await sequelize.query('UPDATE lots SET proof_missing = :missing WHERE id = :lotId', {
    replacements: { lotId, missing: missing ? JSON.stringify(missing) : null },
  });
}
