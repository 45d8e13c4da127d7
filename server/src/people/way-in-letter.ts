import { INVITATION_DAYS } from '@vendu/contract';
import type { Letter } from '../mail/mailer.js';

/** What somebody who is let in, or forgot his password, is written. */
export function wayInLetter({
  to,
  address,
  name,
  by,
  isNew,
}: {
  to: string;
  /** Of the page where it is taken. */
  address: string;
  name: string;
  by: string;
  isNew: boolean;
}): Letter {
  const why = isNew ? `${by} invites you to Vendu.` : `${by} gives you another way into Vendu.`;
  return {
    to,
    subject: isNew ? 'Your way into Vendu' : 'Another way into Vendu',
    text: [
      `${name},`,
      '',
      `${why} Choose a password here:`,
      '',
      address,
      '',
      `Good once, for ${INVITATION_DAYS} days. Give it to nobody else: whoever opens it first chooses the password.`,
      'If you expected nothing of the kind, leave it alone and tell them.',
      '',
    ].join('\n'),
  };
}
