import { Injectable, Logger } from '@nestjs/common';
import { hash, verify } from '@node-rs/argon2';
import type { SignInDto } from '@vendu/contract';
import { PeopleService } from '../people/people.service.js';
import type { PersonModel } from '../people/person.model.js';
import { ProblemError } from '../problem/problem-error.js';
import { SecondFactorService } from '../second-factor/second-factor.service.js';

@Injectable()
export class SessionService {
  private readonly log = new Logger(SessionService.name);
  /** Checked when the e-mail is unknown, so that both failures take the same time. */
  private readonly unknownHash = hash('nobody has this password');

  constructor(
    private readonly people: PeopleService,
    private readonly secondFactor: SecondFactorService,
  ) {}

  /**
   * @throws ProblemError `wrong-sign-in`, with one message for both a wrong e-mail and a wrong password; `code-needed` where
   *   the password is right and not enough
   */
  async personFor({ email, password, code }: SignInDto): Promise<PersonModel> {
    const person = await this.people.byEmail(email.trim().toLowerCase());
    const matches = await verify(person?.passwordHash ?? (await this.unknownHash), password);
    const account = person?.id ?? null;
    if (!person || !matches) {
      this.log.warn({ account, msg: 'sign-in refused: wrong password' });
      throw new ProblemError('wrong-sign-in', 'Wrong e-mail or password.');
    }
    try {
      await this.secondFactor.admit(person, code);
    } catch (error) {
      if (error instanceof ProblemError) this.log.warn({ account, msg: `sign-in refused: ${error.kind}` });
      throw error;
    }
    this.log.log({ account, msg: 'signed in' });
    return person;
  }
}
