import { Injectable } from '@nestjs/common';
import { verify } from '@node-rs/argon2';
import QRCode from 'qrcode';
import { Op } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { RecoveryCodesView, SecondFactorBegunView, SecondFactorView } from '@vendu/contract';
import { Attempts, type Limit } from '../limits/attempts.js';
import { invalidField, ProblemError } from '../problem/problem-error.js';
import { endSessionsOf } from '../session/open-sessions.js';
import { inTransaction } from '../writing/transactions.js';
import { addressOf, hashOfRecoveryCode, newRecoveryCodes, newSecret, stepOf } from './codes.js';
import { forgetSecondFactor } from './forget-second-factor.js';
import { RecoveryCodeModel } from './recovery-code.model.js';
import { SecondFactorModel } from './second-factor.model.js';

/** Of a million codes three are right at any moment. */
const WRONG: Limit = { most: 10, withinMs: 15 * 60_000 };

/** Whoever is asked for it. */
interface Account {
  id: number;
  email: string | null;
  passwordHash: string | null;
}

/** A code from an app on one's phone, asked for besides the password (TOTP, RFC 6238). */
@Injectable()
export class SecondFactorService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly attempts: Attempts,
  ) {}

  async read(personId: number): Promise<SecondFactorView> {
    const [factor, codesLeft] = await Promise.all([
      SecondFactorModel.findByPk(personId),
      RecoveryCodeModel.count({ where: { personId } }),
    ]);
    return { since: factor?.since?.toISOString() ?? null, codesLeft };
  }

  /**
   * Makes a secret for an app; it is asked for once a code has shown that the app has it.
   *
   * @throws ProblemError `invalid-input` where the password is another, `conflict` where one is asked for already
   */
  async begin({ id, email, passwordHash }: Account, password: string): Promise<SecondFactorBegunView> {
    const isRight = passwordHash !== null && (await verify(passwordHash, password));
    if (!isRight) throw invalidField({ field: 'present', message: 'This is not the present password.' });
    const secret = newSecret();
    await inTransaction(this.sequelize, async () => {
      const factor = await SecondFactorModel.findByPk(id, { lock: true });
      if (factor?.since) throw new ProblemError('conflict', 'A code is asked for already; end that first.');
      await SecondFactorModel.upsert({ personId: id, secret, since: null, lastStep: 0 });
    });
    const drawing = await QRCode.toString(addressOf(secret, email ?? ''), { type: 'svg', margin: 1 });
    return { secret, picture: `data:image/svg+xml,${encodeURIComponent(drawing)}` };
  }

  /**
   * Asks for a code from now on. Wherever else he is signed in he is out: that was by his password alone.
   *
   * @throws ProblemError `invalid-input` where the code is not that of the app, `conflict` where nothing was begun
   */
  async prove(personId: number, code: string, sessionId: string): Promise<RecoveryCodesView> {
    const factor = await SecondFactorModel.findByPk(personId);
    if (!factor || factor.since) throw new ProblemError('conflict', 'Begin with the code of squares.');
    await this.refuseWrong(personId, code);
    const codes = newRecoveryCodes();
    await inTransaction(this.sequelize, async () => {
      await SecondFactorModel.update({ since: new Date() }, { where: { personId } });
      await RecoveryCodeModel.destroy({ where: { personId } });
      await RecoveryCodeModel.bulkCreate(
        codes.map((each) => ({ personId, codeHash: hashOfRecoveryCode(each) })),
      );
      await endSessionsOf(personId, sessionId);
    });
    return { codes };
  }

  /** @throws ProblemError `invalid-input` where the code is wrong */
  async end(personId: number, code: string): Promise<void> {
    await this.refuseWrong(personId, code);
    await inTransaction(this.sequelize, () => forgetSecondFactor(personId));
  }

  /**
   * Lets somebody in whose password was right.
   *
   * @throws ProblemError `code-needed` where a code is asked for and none, or a wrong one, came
   */
  async admit(personId: number, code: string | undefined): Promise<void> {
    const factor = await SecondFactorModel.findByPk(personId);
    if (!factor?.since) return;
    if (code === undefined || code.trim() === '') {
      throw new ProblemError('code-needed', 'Type the code that the app on your phone shows.');
    }
    if (!(await this.isRight(personId, code))) {
      throw new ProblemError('code-needed', WRONG_CODE, [{ field: 'code', message: WRONG_CODE }]);
    }
  }

  private async refuseWrong(personId: number, code: string): Promise<void> {
    if (!(await this.isRight(personId, code))) throw invalidField({ field: 'code', message: WRONG_CODE });
  }

  /** Takes a code: it is good once. Counted as wrong until it turns out right. */
  private async isRight(personId: number, code: string): Promise<boolean> {
    const subject = `code of ${personId}`;
    const counted = await this.attempts.count(subject, WRONG);
    if (!counted.isAllowed) {
      const waitS = Math.ceil(counted.waitMs / 1000);
      throw new ProblemError(
        'too-many-requests',
        `Too many wrong codes. Wait ${Math.ceil(waitS / 60)} min, or ask a lead for another way in.`,
        [],
        waitS,
      );
    }
    const isTaken = (await takeCode(personId, code)) || (await takeRecoveryCode(personId, code));
    if (isTaken) await this.attempts.forget(subject);
    return isTaken;
  }
}

const WRONG_CODE = 'This code is not right, or was used already: type the next one that the app shows.';

async function takeCode(personId: number, code: string): Promise<boolean> {
  const factor = await SecondFactorModel.findByPk(personId);
  const step = factor && stepOf(factor.secret, code, Date.now());
  if (step === null) return false;
  // In one statement: of two who send one code at once, one is let in.
  const [taken] = await SecondFactorModel.update(
    { lastStep: step },
    { where: { personId, lastStep: { [Op.lt]: step } } },
  );
  return taken === 1;
}

async function takeRecoveryCode(personId: number, code: string): Promise<boolean> {
  return (await RecoveryCodeModel.destroy({ where: { personId, codeHash: hashOfRecoveryCode(code) } })) === 1;
}
