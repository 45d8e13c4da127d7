import { literal } from 'sequelize';
import { CODE_ASKED_OF, ROLES_ASKED } from '@vendu/contract';

const rolesAsked = CODE_ASKED_OF.filter((of) => ROLES_ASKED[of].length > 0)
  .map((of) => {
    const roles = ROLES_ASKED[of].map((role) => `'${role}'`).join(', ');
    return `(asked_of = '${of}' AND PersonModel.role IN (${roles}))`;
  })
  .join(' OR ');

/** A column of somebody's row, read with it: from when the lab lets him in no further without a code; `null` where it does. */
export const CODE_DUE_FROM = literal(
  `(SELECT asked_from FROM code_rules WHERE (${rolesAsked}) AND NOT EXISTS (
    SELECT 1 FROM second_factors WHERE person_id = PersonModel.id AND since IS NOT NULL
  ))`,
);

/** Whether somebody may do nothing else before he has set one up. */
export const isCodeDue = ({ codeDueFrom }: { codeDueFrom: Date | null }, nowMs = Date.now()): boolean =>
  codeDueFrom !== null && codeDueFrom.getTime() <= nowMs;
