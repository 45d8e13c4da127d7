import { describe, expect, it } from 'vitest';
import { addressOf, hashOfRecoveryCode, newRecoveryCodes, newSecret, stepOf } from './codes.js';

/** The secret of RFC 6238, appendix B, “12345678901234567890”, in base 32. */
const RFC_SECRET = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ';

describe('a code of an app', () => {
  // RFC 6238, appendix B, its rows of SHA-1 (from memory): of eight digits there, the last six.
  it.each([
    [59, '287082'],
    [1_111_111_109, '081804'],
    [1_111_111_111, '050471'],
    [1_234_567_890, '005924'],
    [2_000_000_000, '279037'],
    [20_000_000_000, '353130'],
  ])('is at %i s what the standard says', (atS, code) => {
    expect(stepOf(RFC_SECRET, code, atS * 1000)).toBe(Math.floor(atS / 30));
  });

  it('is good half a minute before and after its own, and no longer', () => {
    const step = Math.floor(1_234_567_890 / 30);
    const at = (seconds: number) => stepOf(RFC_SECRET, '005924', (1_234_567_890 + seconds) * 1000);
    expect([at(-60), at(-30), at(30), at(60)]).toEqual([null, step, step, null]);
  });

  it('may be typed in two halves, and is nothing else', () => {
    expect(stepOf(RFC_SECRET, ' 005 924 ', 1_234_567_890_000)).not.toBeNull();
    for (const code of ['', '5924', '0059240', '00592x', '００５９２４']) {
      expect(stepOf(RFC_SECRET, code, 1_234_567_890_000)).toBeNull();
    }
  });

  it('is made of a secret of 160 bits, which an app reads with whose it is', () => {
    const [one, other] = [newSecret(), newSecret()];
    expect(one).toMatch(/^[A-Z2-7]{32}$/);
    expect(one).not.toBe(other);
    const address = new URL(addressOf(one, 'ilse@ninthmole.example'));
    expect(address.protocol).toBe('otpauth:');
    expect(address.searchParams.get('secret')).toBe(one);
    expect(decodeURIComponent(address.pathname)).toContain('ilse@ninthmole.example');
  });
});

describe('codes for when the phone is lost', () => {
  it('are ten different ones, known again however they are typed', () => {
    const codes = newRecoveryCodes();
    expect(new Set(codes).size).toBe(10);
    for (const code of codes) {
      expect(code).toMatch(/^[a-hjkmnp-z2-9]{5}-[a-hjkmnp-z2-9]{5}$/);
      expect(hashOfRecoveryCode(` ${code.toUpperCase().replace('-', ' ')}`)).toBe(hashOfRecoveryCode(code));
    }
  });
});
