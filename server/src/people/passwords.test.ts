import { verify } from '@node-rs/argon2';
import { describe, expect, it } from 'vitest';
import { keptPassword } from './passwords.js';

const of = { name: 'Wren Oakes', email: 'wren.oakes@ninthmole.example' };
const kept = (password: string) => keptPassword(password, { field: 'next', of });

describe('a password', () => {
  // Common knowledge: these lead every published list of stolen passwords that are ten characters or longer.
  it.each(['1234567890', 'qwertyuiop', 'password123', 'Password 123', 'BASKETBALL'])(
    '%s is refused: whoever guesses begins with it',
    async (password) => {
      await expect(kept(password)).rejects.toMatchObject({
        kind: 'invalid-input',
        errors: [{ field: 'next' }],
      });
    },
  );

  it.each(['wren oakes', 'Wren.Oakes', 'wren.oakes@ninthmole.example'])(
    '%s is refused of its own person',
    async (password) => {
      await expect(kept(password)).rejects.toMatchObject({ errors: [{ field: 'next' }] });
    },
  );

  it('of a few words is kept as what cannot be read', async () => {
    const hashed = await kept('ten letters');
    expect(hashed).toMatch(/^\$argon2id\$/);
    expect(await verify(hashed, 'ten letters')).toBe(true);
  });
});
