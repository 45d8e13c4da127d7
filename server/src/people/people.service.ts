import { Inject, Injectable } from '@nestjs/common';
import { Op, type FindOptions } from 'sequelize';
import type { Configuration } from '../configuration.js';
import { CONFIGURATION } from '../configuration.token.js';
import { CODE_DUE_FROM } from '../second-factor/code-due.js';
import { DEMO_ACCOUNTS } from './demo-accounts.js';
import { PersonModel } from './person.model.js';

const WITH_CODE_DUE: Pick<FindOptions, 'attributes'> = {
  attributes: { include: [[CODE_DUE_FROM, 'codeDueFrom']] },
};

/**
 * The people who may be here. Passwords of the demo's invented people are no secret: outside of the demo they are nobody,
 * even where a database still has them, and so are sessions that they began before.
 */
@Injectable()
export class PeopleService {
  constructor(@Inject(CONFIGURATION) private readonly configuration: Configuration) {}

  async byId(id: number): Promise<PersonModel | null> {
    return this.admitted(await PersonModel.findByPk(id, WITH_CODE_DUE));
  }

  async byEmail(email: string): Promise<PersonModel | null> {
    return this.admitted(await PersonModel.findOne({ where: { email }, ...WITH_CODE_DUE }));
  }

  /** Who could be in and brew. */
  async hands(): Promise<PersonModel[]> {
    return (await this.all()).filter(({ role }) => role === 'barista' || role === 'lead');
  }

  /** Everybody who could be in, by name. */
  async all(): Promise<PersonModel[]> {
    const rows = await PersonModel.findAll({ where: { passwordHash: { [Op.not]: null } }, order: ['name'] });
    return rows.filter((person) => this.admitted(person) !== null);
  }

  private admitted(person: PersonModel | null): PersonModel | null {
    const isInvented = DEMO_ACCOUNTS.some(({ email }) => email === person?.email);
    if (person === null || person.leftAt !== null || (isInvented && !this.configuration.isDemo)) return null;
    return person;
  }
}
