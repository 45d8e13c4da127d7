/** What happened to somebody's own account that he should hear of, since it may not have been he. */
export type AccountNews =
  | { kind: 'signed-in'; device: string }
  | { kind: 'password-changed' }
  | { kind: 'way-in-taken' }
  | { kind: 'code-asked-for' }
  | { kind: 'code-ended' }
  | { kind: 'recovery-code-used'; codesLeft: number };

interface Words {
  subject: string;
  what: string;
}

/** What is written about each. */
export function wordsOf(news: AccountNews): Words {
  switch (news.kind) {
    case 'signed-in':
      return {
        subject: 'A new sign-in to Vendu',
        what: `Somebody signed in to Vendu with your account, on a device where you have not been in before: ${news.device}.`,
      };
    case 'password-changed':
      return { subject: 'Your password was changed', what: 'The password of your account was changed.' };
    case 'way-in-taken':
      return {
        subject: 'Another way into Vendu was taken',
        what: 'The other way in that you were given was taken: the password of your account is a new one, and its code at sign-in, if there was one, has ended.',
      };
    case 'code-asked-for':
      return {
        subject: 'A code is asked for at sign-in',
        what: 'From now on a code of an app is asked for besides your password.',
      };
    case 'code-ended':
      return {
        subject: 'No code is asked for at sign-in any more',
        what: 'Your password alone opens your account now.',
      };
    case 'recovery-code-used':
      return {
        subject: 'A recovery code was used',
        what: `One of your recovery codes was used instead of the app's; ${news.codesLeft} are left.`,
      };
  }
}
