import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { Op } from 'sequelize';
import type { Request } from 'express';
import { PeopleService } from '../people/people.service.js';
import type { PersonModel } from '../people/person.model.js';
import { ProblemError } from '../problem/problem-error.js';
import { TokenModel } from './token.model.js';

/** That a token was used is written down at most so often, ms. */
const USE_NOTED_MS = 60_000;
const READS = ['GET', 'HEAD'];
/** What a token that may record writes to, and nothing else. */
const RECORDS = /^\/api\/(brews|running-brews)(\/|$)/;

export const hashOfToken = (token: string) => createHash('sha256').update(token).digest('hex');

/** Whose program asks, and whether its token goes so far. */
@Injectable()
export class TokenAccess {
  constructor(private readonly people: PeopleService) {}

  /**
   * @returns `null` where a request shows no token
   * @throws ProblemError `not-signed-in` for a token that ended or never was, `not-allowed` for what it may not do
   */
  async personOf(request: Request): Promise<PersonModel | null> {
    const [, token] = /^Bearer (.+)$/i.exec(request.get('authorization') ?? '') ?? [];
    if (token === undefined) return null;
    const today = new Date().toISOString().slice(0, 10);
    const row = await TokenModel.findOne({
      where: { secretHash: hashOfToken(token), endedAt: null, endsOn: { [Op.gte]: today } },
    });
    const person = row && (await this.people.byId(row.personId));
    if (!row || !person) {
      throw new ProblemError('not-signed-in', 'This token has ended or never was; make a new one.');
    }
    const isAllowed =
      READS.includes(request.method) || (row.right === 'record' && RECORDS.test(request.originalUrl));
    if (!isAllowed) {
      throw new ProblemError(
        'not-allowed',
        row.right === 'read'
          ? 'This token may read and nothing else.'
          : 'This token may read, and store brews and all that belongs to them, and nothing else.',
      );
    }
    if (row.lastUsedAt == null || Date.now() - row.lastUsedAt.getTime() > USE_NOTED_MS) {
      await row.update({ lastUsedAt: new Date() });
    }
    return person;
  }
}
