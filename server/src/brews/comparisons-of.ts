import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import type { BrewView } from '@vendu/contract';

/** What a brew was made to answer. */
export function comparisonsOf(sequelize: Sequelize, brewId: number): Promise<BrewView['comparisons']> {
  return sequelize.query(
    `SELECT comparisons.id, comparisons.question, arms.place AS arm
    FROM comparison_brews AS counted
    JOIN comparison_arms AS arms ON arms.id = counted.comparison_arm_id
    JOIN comparisons ON comparisons.id = arms.comparison_id
    WHERE counted.brew_id = :brewId ORDER BY comparisons.id`,
    { type: QueryTypes.SELECT, replacements: { brewId } },
  );
}
