import { Injectable } from '@nestjs/common';
import { addHours } from 'date-fns';
import { Sequelize } from 'sequelize-typescript';
import { HOURS_FOR_A_CODE, ROLES_ASKED, type CodeRuleDto, type CodeRuleView } from '@vendu/contract';
import { ProblemError } from '../problem/problem-error.js';
import { inTransaction } from '../writing/transactions.js';
import { CodeRuleModel } from './code-rule.model.js';
import { whoHasCode } from './who-has-code.js';

/** Of whom the lab asks a code at sign-in: of nobody until a lead or an admin says so. */
@Injectable()
export class CodeRuleService {
  constructor(private readonly sequelize: Sequelize) {}

  async read(): Promise<CodeRuleView> {
    return viewOf(await CodeRuleModel.findByPk(1, { rejectOnEmpty: true }));
  }

  /**
   * Whoever is newly asked has a day for it: nobody is put out in the middle of a brew. It is one day for all who have none:
   * whoever was asked before, and still owes one, has it again.
   *
   * @throws ProblemError `conflict` where whoever asks others has none himself, `stale`
   */
  async save({ revision, askedOf }: CodeRuleDto, byId: number): Promise<CodeRuleView> {
    return inTransaction(this.sequelize, async () => {
      const row = await CodeRuleModel.findByPk(1, { rejectOnEmpty: true, lock: true });
      if (row.revision !== revision) {
        throw new ProblemError('stale', 'This was saved by somebody else since you opened it.');
      }
      if (askedOf !== 'nobody' && !(await whoHasCode()).has(byId)) {
        throw new ProblemError('conflict', 'Set up a code of your own first; then ask others for one.');
      }
      const isAskedAnew = ROLES_ASKED[askedOf].some((role) => !ROLES_ASKED[row.askedOf].includes(role));
      const askedFrom = isAskedAnew ? addHours(new Date(), HOURS_FOR_A_CODE) : row.askedFrom;
      await row.update({ askedOf, askedFrom: askedOf === 'nobody' ? null : askedFrom });
      return viewOf(row);
    });
  }
}

function viewOf({ askedOf, askedFrom, revision }: CodeRuleModel): CodeRuleView {
  return { askedOf, askedFrom: askedFrom?.toISOString() ?? null, revision };
}
