import { Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import { Attempts, type Limit } from '../limits/attempts.js';
import { Mailer } from '../mail/mailer.js';
import { wordsOf, type AccountNews } from './account-news.js';

/** Whoever signs in again and again was told; what he changes then is told all the same. */
const SIGN_INS: Limit = { most: 10, withinMs: 24 * 3_600_000 };

/** Whom a letter is about, and where it goes. */
interface Account {
  id: number;
  name: string;
  email: string | null;
}

/** Writes to people what happened to their own accounts, where the lab sends letters. */
@Injectable()
export class AccountLetters implements OnModuleDestroy {
  private readonly log = new Logger(AccountLetters.name);
  private readonly underWay = new Set<Promise<unknown>>();

  constructor(
    private readonly mailer: Mailer,
    private readonly attempts: Attempts,
  ) {}

  /** Nobody waits for it: what it is about is done, and a mail server that is away changes nothing of that. */
  tell(account: Account, news: AccountNews): void {
    const sending = this.send(account, news)
      .catch((error: unknown) => this.log.warn(error))
      .finally(() => this.underWay.delete(sending));
    this.underWay.add(sending);
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all(this.underWay);
  }

  private async send({ id, name, email }: Account, news: AccountNews): Promise<void> {
    const people = this.mailer.addressOf('/people');
    if (people === null || email === null) return;
    if (news.kind === 'signed-in') {
      const { isAllowed } = await this.attempts.count(`sign-in told to ${id}`, SIGN_INS);
      if (!isAllowed) return;
    }
    const { subject, what } = wordsOf(news);
    await this.mailer.send({
      to: email,
      subject,
      text: [
        `${name},`,
        '',
        what,
        '',
        `${new Date().toUTCString()}.`,
        '',
        'If that was you, there is nothing to do. If it was not, change your password here, which signs out every other device, and tell a lead:',
        '',
        people,
        '',
      ].join('\n'),
    });
  }
}
