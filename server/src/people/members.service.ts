import { Injectable } from '@nestjs/common';
import { verify } from '@node-rs/argon2';
import { Op, UniqueConstraintError } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { Role } from '@vendu/core';
import type {
  ChangePasswordDto,
  HoursDto,
  InvitedView,
  MemberView,
  NewPersonDto,
  Standing,
} from '@vendu/contract';
import { invalidField, notFound, ProblemError } from '../problem/problem-error.js';
import { whoHasCode } from '../second-factor/who-has-code.js';
import { devicesOfPeople, endSessionsOf } from '../session/open-sessions.js';
import { inTransaction } from '../writing/transactions.js';
import { Mailer } from '../mail/mailer.js';
import { AccountLetters } from '../account-letters/account-letters.js';
import { emailTaken, InvitationsService } from './invitations.service.js';
import { keptPassword } from './passwords.js';
import { PersonModel } from './person.model.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { Writing } from '../writing/writing.js';
import { wayInLetter } from './way-in-letter.js';

/** Who works here, and how far each is let in. */
@Injectable()
export class MembersService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly invitations: InvitationsService,
    private readonly mailer: Mailer,
    private readonly writing: Writing,
    private readonly letters: AccountLetters,
  ) {}

  async all(): Promise<MemberView[]> {
    const [rows, seen] = await Promise.all([PersonModel.findAll({ order: ['name', 'id'] }), this.seen()]);
    return rows.map((row) => memberView(row, seen));
  }

  /** Sent again, it is the same person with another way in: the one that was told got lost. */
  async add(
    { name, role, email }: NewPersonDto,
    by: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<InvitedView> {
    const told = { name: name.trim(), role, email: email?.trim().toLowerCase() ?? null };
    try {
      const id = await this.writing.once(
        request,
        async () => (await PersonModel.create({ ...told, passwordHash: null })).id,
      );
      return await this.invite(id, by);
    } catch (error) {
      if (error instanceof UniqueConstraintError) throw emailTaken();
      throw error;
    }
  }

  /** Another way in: for whoever forgot his password, and for whoever only came with a file. */
  async invite(id: number, by: PersonModel): Promise<InvitedView> {
    const person = await personOf(id);
    const { leftAt, name } = person;
    if (leftAt) throw new ProblemError('conflict', `${name} left; let him or her in again first.`);
    const path = await this.invitations.make(id, by.id);
    return { ...(await this.read(id)), path, isSent: await this.sent(path, person, by) };
  }

  /** Whether a way in went by mail; `null` where no mail goes, or nobody has said where to. */
  private async sent(path: string, person: PersonModel, by: PersonModel): Promise<boolean | null> {
    const { name, email: to, passwordHash } = person;
    const address = this.mailer.addressOf(path);
    if (address === null || to === null) return null;
    return this.mailer.send(wayInLetter({ to, address, name, by: by.name, isNew: passwordHash === null }));
  }

  async setRole(id: number, role: Role): Promise<MemberView> {
    await this.change(id, { role });
    return this.read(id);
  }

  /** Whoever left is in nobody's way and in every record; sessions and tokens of his open nothing. */
  async setLeft(id: number, hasLeft: boolean): Promise<MemberView> {
    await this.change(id, { leftAt: hasLeft ? new Date() : null });
    return this.read(id);
  }

  /** Wherever he is signed in but where it is asked from: a tablet that was lost, somebody who forgot to. */
  async signOut(id: number, sessionId: string): Promise<void> {
    await personOf(id);
    await endSessionsOf(id, sessionId);
  }

  async setHours(id: number, hours: HoursDto | null): Promise<void> {
    if (hours && hours.until <= hours.from) {
      throw invalidField({ field: 'until', message: `In until must be later than ${hours.from}.` });
    }
    const row = await personOf(id);
    await row.update({ inFrom: hours?.from ?? null, inUntil: hours?.until ?? null });
  }

  /** Whoever knew the old one is out, wherever he is signed in; the session that asks stays. */
  async changePassword(
    { present, next }: ChangePasswordDto,
    person: PersonModel,
    sessionId: string,
  ): Promise<void> {
    const isRight = person.passwordHash !== null && (await verify(person.passwordHash, present));
    if (!isRight) throw invalidField({ field: 'present', message: 'This is not the present password.' });
    const passwordHash = await keptPassword(next, { field: 'next', of: person });
    await inTransaction(this.sequelize, async () => {
      await person.update({ passwordHash });
      await endSessionsOf(person.id, sessionId);
    });
    this.letters.tell(person, { kind: 'password-changed' });
  }

  private async read(id: number): Promise<MemberView> {
    const [row, seen] = await Promise.all([personOf(id), this.seen()]);
    return memberView(row, seen);
  }

  /** What is seen of people besides themselves. */
  private async seen(): Promise<Seen> {
    const [open, withCode, devices] = await Promise.all([
      this.invitations.open(),
      whoHasCode(),
      devicesOfPeople(),
    ]);
    return { open, withCode, devices };
  }

  private async change(id: number, changed: { role?: Role; leftAt?: Date | null }): Promise<void> {
    await inTransaction(this.sequelize, async () => {
      // All leads at once, in one order: two who let each other go must not both succeed.
      const leads = await PersonModel.findAll({
        where: { role: 'lead', leftAt: null, passwordHash: { [Op.not]: null } },
        order: ['id'],
        lock: true,
      });
      const row = await personOf(id);
      const isLast = leads.length === 1 && leads[0]?.id === id;
      const staysLead = changed.role === undefined ? !changed.leftAt : changed.role === 'lead';
      if (isLast && !staysLead) {
        throw new ProblemError('conflict', 'This is the only lead; make somebody else one first.');
      }
      await row.update(changed);
      // A way in that was handed over and not taken would lead back.
      if (changed.leftAt) await this.invitations.endAllOf(id);
    });
  }
}

async function personOf(id: number): Promise<PersonModel> {
  const row = await PersonModel.findByPk(id);
  if (!row) throw notFound('person');
  return row;
}

interface Seen {
  /** Until when the invitation of each is good that nobody took. */
  open: ReadonlyMap<number, Date>;
  withCode: ReadonlySet<number>;
  devices: ReadonlyMap<number, number>;
}

function memberView(
  { id, name, role, email, passwordHash, leftAt }: PersonModel,
  { open, withCode, devices }: Seen,
): MemberView {
  const until = open.get(id) ?? null;
  const standing: Standing =
    leftAt !== null ? 'left' : passwordHash !== null ? 'in' : until !== null ? 'invited' : 'named';
  return {
    id,
    name,
    role,
    email,
    standing,
    hasCode: withCode.has(id),
    devices: devices.get(id) ?? 0,
    invitedUntil: until?.toISOString() ?? null,
  };
}
