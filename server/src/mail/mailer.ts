import { Inject, Injectable, Logger } from '@nestjs/common';
import { createTransport, type Transporter } from 'nodemailer';
import { isLoopback, type Configuration, type MailSettings } from '../configuration.js';
import { CONFIGURATION } from '../configuration.token.js';

export interface Letter {
  to: string;
  subject: string;
  text: string;
}

/** Whoever waits for a letter to be taken waits no longer. */
const ANSWER_MS = 8000;

/** Hands letters to the mail server of the lab, where one is set. */
@Injectable()
export class Mailer {
  private readonly log = new Logger(Mailer.name);
  private readonly settings: MailSettings | null;
  private readonly transport: Transporter | null;

  constructor(@Inject(CONFIGURATION) { mail }: Pick<Configuration, 'mail'>) {
    this.settings = mail;
    this.transport = mail && createTransport(transportOf(mail));
  }

  /** The address of a page of the lab as a letter names it; `null` where no letters are sent. */
  addressOf(path: string): string | null {
    return this.settings && new URL(path, this.settings.labAddress).href;
  }

  /** @returns whether the mail server took it; what came in between is in the log, without the letter */
  async send(letter: Letter): Promise<boolean> {
    if (!this.transport || !this.settings) return false;
    try {
      const { accepted } = await this.transport.sendMail({ from: this.settings.from, ...letter });
      return accepted?.length === 1;
    } catch (error) {
      const { code, responseCode } = error as { code?: string; responseCode?: number };
      this.log.warn(`the mail server did not take a letter: ${responseCode ?? code ?? 'no answer'}`);
      return false;
    }
  }
}

function transportOf({ server }: MailSettings) {
  const { protocol, hostname, port, username, password } = new URL(server);
  const host = hostname.replace(/^\[|\]$/g, '');
  const isEncrypted = protocol === 'smtps:';
  return {
    host,
    port: port === '' ? (isEncrypted ? 465 : 587) : Number(port),
    secure: isEncrypted,
    // A way in is as good as a password: it crosses no network in the clear.
    requireTLS: !isEncrypted && !isLoopback(host),
    ...(username === ''
      ? {}
      : { auth: { user: decodeURIComponent(username), pass: decodeURIComponent(password) } }),
    connectionTimeout: ANSWER_MS,
    greetingTimeout: ANSWER_MS,
    socketTimeout: ANSWER_MS,
    // Letters are text: none reads a file of this machine, or fetches anything.
    disableFileAccess: true,
    disableUrlAccess: true,
  };
}
