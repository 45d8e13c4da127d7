import { describe, expect, it } from 'vitest';
import { refuseDeep } from './read-body.js';

const refuse = (text: string) => () => refuseDeep(new TextEncoder().encode(text));

describe('a body that is nested', () => {
  it('is read down to 32 levels, and no further', () => {
    expect(refuse(`${'['.repeat(32)}${']'.repeat(32)}`)).not.toThrow();
    expect(refuse('{"a":['.repeat(17))).toThrow('nested deeper than 32 levels');
  });

  it('is measured by its lists and objects, not by signs in its texts', () => {
    expect(refuse(`{"note": "${'['.repeat(100)}"}`)).not.toThrow();
    expect(refuse(`{"note": "\\"${'['.repeat(100)}"}`)).not.toThrow();
    expect(refuse(`["\\\\", ${'['.repeat(40)}`)).toThrow('nested');
  });

  it('may have any number of lists beside one another', () => {
    expect(refuse(`[${'[],'.repeat(1000)}[]]`)).not.toThrow();
  });
});
