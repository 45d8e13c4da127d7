import { randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { addDays, formatISO } from 'date-fns';
import { TOKEN_LONGEST_DAYS, type NewTokenDto, type NewTokenView, type TokenView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { invalidField, notFound } from '../problem/problem-error.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { Writing } from '../writing/writing.js';
import { TokenModel } from './token.model.js';
import { hashOfToken } from './token-access.js';

const SECRET_BYTES = 32;
/** Tells what it is to whoever finds it in a file. */
const MARK = 'vendu_';

/** The tokens of whoever asks: nobody sees another's. */
@Injectable()
export class TokensService {
  constructor(private readonly writing: Writing) {}

  async of(person: PersonModel): Promise<TokenView[]> {
    const rows = await TokenModel.findAll({ where: { personId: person.id }, order: [['id', 'DESC']] });
    return rows.map(tokenView);
  }

  /** Sent again, it is the same token with another secret: the one that was told got lost, and opens nothing. */
  async make(
    { name, right, endsOn }: NewTokenDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<NewTokenView> {
    const first = today();
    const last = formatISO(addDays(new Date(), TOKEN_LONGEST_DAYS), { representation: 'date' });
    if (endsOn < first || endsOn > last) {
      throw invalidField({ field: 'endsOn', message: `Last day must be from ${first} to ${last}.` });
    }
    const token = MARK + randomBytes(SECRET_BYTES).toString('base64url');
    const secretHash = hashOfToken(token);
    const id = await this.writing.once(
      request,
      async () => (await TokenModel.create({ personId: person.id, name, right, endsOn, secretHash })).id,
    );
    const row = await TokenModel.findByPk(id, { rejectOnEmpty: true });
    await row.update({ secretHash });
    return { ...tokenView(row), token };
  }

  async setEnded(id: number, isEnded: boolean, person: PersonModel): Promise<TokenView> {
    const row = await TokenModel.findOne({ where: { id, personId: person.id } });
    if (!row) throw notFound('token');
    await row.update({ endedAt: isEnded ? new Date() : null });
    return tokenView(row);
  }
}

const today = () => new Date().toISOString().slice(0, 10);

function tokenView(row: TokenModel): TokenView {
  return {
    id: row.id,
    name: row.name,
    right: row.right,
    endsOn: row.endsOn,
    createdAt: row.createdAt.toISOString(),
    lastUsedAt: row.lastUsedAt?.toISOString() ?? null,
    isOver: row.endedAt != null || row.endsOn < today(),
  };
}
