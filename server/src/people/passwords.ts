import { hash } from '@node-rs/argon2';
import { dictionary } from '@zxcvbn-ts/language-common';
import { invalidField } from '../problem/problem-error.js';

/** The most common of those that were stolen from others: whoever guesses begins with them. */
const TRIED_FIRST = new Set(dictionary['passwords-common']);

/**
 * A password as it is kept.
 *
 * @param of - whose it is to be: his own name and address are tried first too
 * @throws ProblemError `invalid-input` for one that is guessed at once
 */
export async function keptPassword(
  password: string,
  { field, of }: { field: string; of: { name: string; email: string | null } },
): Promise<string> {
  const typed = plain(password);
  const own = [of.name, of.email ?? '', (of.email ?? '').split('@')[0] ?? ''].map(plain);
  if (TRIED_FIRST.has(password.toLowerCase()) || TRIED_FIRST.has(typed) || own.includes(typed)) {
    throw invalidField({
      field,
      message: 'This password is among those that are tried first; take a few words of your own.',
    });
  }
  return hash(password);
}

/** Capitals and blanks make no difference to whoever guesses. */
function plain(words: string): string {
  return words.toLowerCase().replaceAll(/\s/g, '');
}
