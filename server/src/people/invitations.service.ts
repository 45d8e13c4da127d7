import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { addDays } from 'date-fns';
import { Op, UniqueConstraintError } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { INVITATION_DAYS, type AcceptInvitationDto, type InvitationView } from '@vendu/contract';
import { invalidField, ProblemError } from '../problem/problem-error.js';
import { forgetSecondFactor } from '../second-factor/forget-second-factor.js';
import { endSessionsOf } from '../session/open-sessions.js';
import { actAs } from '../writing/acting.js';
import { inTransaction } from '../writing/transactions.js';
import { InvitationModel } from './invitation.model.js';
import { keptPassword } from './passwords.js';
import { PersonModel } from './person.model.js';

const SECRET_BYTES = 32;

type LetIn = Pick<PersonModel, 'id' | 'name' | 'email'>;

/** Ways in: each is good once, for one person, for a week. */
@Injectable()
export class InvitationsService {
  constructor(private readonly sequelize: Sequelize) {}

  /**
   * Makes one, and ends those that the same person had.
   *
   * @param personId - `null` for the first lead of a lab, who names himself
   * @returns the path of the page where it is taken
   */
  async make(personId: number | null, invitedBy: number | null): Promise<string> {
    const secret = randomBytes(SECRET_BYTES).toString('base64url');
    await inTransaction(this.sequelize, async () => {
      await this.endAllOf(personId);
      await InvitationModel.create({
        secretHash: hashOf(secret),
        personId,
        endsAt: addDays(new Date(), INVITATION_DAYS),
        invitedBy,
      });
    });
    return `/invited/${secret}`;
  }

  /** Ends what somebody was given and has not taken, in the transaction of whoever asks. */
  async endAllOf(personId: number | null): Promise<void> {
    await InvitationModel.update({ usedAt: new Date() }, { where: { personId, usedAt: null } });
  }

  /** Until when the last invitation of each person is good, of those that nobody took. */
  async open(): Promise<Map<number, Date>> {
    const rows = await InvitationModel.findAll({
      where: { usedAt: null, endsAt: { [Op.gt]: new Date() }, personId: { [Op.not]: null } },
      order: ['id'],
    });
    return new Map(rows.map(({ personId, endsAt }) => [personId ?? 0, endsAt]));
  }

  async read(secret: string): Promise<InvitationView> {
    const { personId } = await standing(secret);
    const person = personId === null ? null : await PersonModel.findByPk(personId);
    return { name: person?.name ?? '', role: person?.role ?? 'lead', email: person?.email ?? '' };
  }

  /**
   * Gives whoever holds it an e-mail and a password to sign in with. Taken by two at once it is one's only.
   *
   * @returns who was in before it was taken, and where he was written until then; `null` where nobody was
   * @throws ProblemError `not-found` where it was taken, ended or is none; `invalid-input` where the e-mail is another's, or the
   *   password is guessed at once
   */
  async accept(secret: string, { name, email, password }: AcceptInvitationDto): Promise<LetIn | null> {
    const passwordHash = await keptPassword(password, { field: 'password', of: { name, email } });
    const told = { name: name.trim(), email: email.trim().toLowerCase(), passwordHash };
    try {
      return await inTransaction(this.sequelize, async () => {
        const invitation = await standing(secret, true);
        await invitation.update({ usedAt: new Date() });
        if (invitation.personId === null) {
          await PersonModel.create({ ...told, role: 'lead' });
          return null;
        }
        const person = await PersonModel.findByPk(invitation.personId, { rejectOnEmpty: true });
        const { id, name: calledBefore, email: writtenTo, passwordHash: had } = person;
        // Whoever holds the way in is taken for him, and what he changes stands under his name.
        actAs(id);
        await person.update(told);
        // Another way in is given where the old one is lost, the phone with its codes too, or known to somebody else.
        await endSessionsOf(id);
        await forgetSecondFactor(id);
        return had === null ? null : { id, name: calledBefore, email: writtenTo };
      });
    } catch (error) {
      if (!(error instanceof UniqueConstraintError)) throw error;
      throw emailTaken();
    }
  }
}

/** Nobody shares an e-mail: it is what somebody signs in with. */
export function emailTaken(): ProblemError {
  return invalidField({ field: 'email', message: 'Somebody here signs in with this e-mail already.' });
}

async function standing(secret: string, isTaken = false): Promise<InvitationModel> {
  const row = await InvitationModel.findOne({
    where: { secretHash: hashOf(secret), usedAt: null, endsAt: { [Op.gt]: new Date() } },
    ...(isTaken ? { lock: true } : {}),
  });
  if (row) return row;
  throw new ProblemError(
    'not-found',
    'This invitation was taken, has ended, or is none; ask a lead for another.',
  );
}

const hashOf = (secret: string) => createHash('sha256').update(secret).digest('hex');
