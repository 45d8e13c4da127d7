import { Injectable } from '@nestjs/common';
import { verify } from '@node-rs/argon2';
import QRCode from 'qrcode';
import { Op } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { RecoveryCodesView, SecondFactorBegunView, SecondFactorView } from '@vendu/contract';
import { AccountLetters } from '../account-letters/account-letters.js';
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
  name: string;
  email: string | null;
  passwordHash: string | null;
}

/** A code from an app on one's phone, asked for besides the password (TOTP, RFC 6238). */
@Injectable()
export class SecondFactorService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly attempts: Attempts,
    private readonly letters: AccountLetters,
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
  async prove(account: Account, code: string, sessionId: string): Promise<RecoveryCodesView> {
    const { id: personId } = account;
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
    this.letters.tell(account, { kind: 'code-asked-for' });
    return { codes };
  }

  /** @throws ProblemError `invalid-input` where the code is wrong */
  async end(account: Account, code: string): Promise<void> {
    await this.refuseWrong(account.id, code);
    await inTransaction(this.sequelize, () => forgetSecondFactor(account.id));
    this.letters.tell(account, { kind: 'code-ended' });
  }

  /**
   * Lets somebody in whose password was right.
   *
   * @throws ProblemError `code-needed` where a code is asked for and none, or a wrong one, came
   */
  async admit(account: Account, code: string | undefined): Promise<void> {
    const { id: personId } = account;
    const factor = await SecondFactorModel.findByPk(personId);
    if (!factor?.since) return;
    if (code === undefined || code.trim() === '') {
      throw new ProblemError('code-needed', 'Type the code that the app on your phone shows.');
    }
    const taken = await this.taken(personId, code);
    if (taken === null) {
      throw new ProblemError('code-needed', WRONG_CODE, [{ field: 'code', message: WRONG_CODE }]);
    }
    if (taken === 'recovery code') {
      const codesLeft = await RecoveryCodeModel.count({ where: { personId } });
      this.letters.tell(account, { kind: 'recovery-code-used', codesLeft });
    }
  }

  private async refuseWrong(personId: number, code: string): Promise<void> {
    if ((await this.taken(personId, code)) === null)
      throw invalidField({ field: 'code', message: WRONG_CODE });
  }

  /** Takes a code: it is good once. Counted as wrong until it turns out right; `null` where it is wrong. */
  private async taken(personId: number, code: string): Promise<'code' | 'recovery code' | null> {
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
    const taken = (await takeCode(personId, code))
      ? 'code'
      : (await takeRecoveryCode(personId, code))
        ? 'recovery code'
        : null;
    if (taken !== null) await this.attempts.forget(subject);
    return taken;
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
