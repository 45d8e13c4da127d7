import { describe, expect, it } from 'vitest';
import { lotDifferences, type LotOrigin } from './lotDifferences.js';

const LOT: LotOrigin = {
  process: 'washed',
  baseProcess: null,
  additions: '',
  isDecaffeinated: false,
  elevationFromM: 1700,
  elevationToM: 1900,
  variety: 'Sarchi',
  harvest: '2026',
  drying: '',
};
const differ = (change: Partial<LotOrigin>, of: Partial<LotOrigin> = {}) =>
  lotDifferences({ ...LOT, ...of }, { ...LOT, ...change });

describe('two lots of one producer', () => {
  it('differ in nothing where all that is known is the same, however it is written', () => {
    expect(differ({ variety: ' sarchi ', drying: 'raised beds' })).toEqual([]);
  });

  it('differ in what is known of both, the most telling first', () => {
    expect(differ({ harvest: '2025', process: 'natural' })).toEqual(['process', 'harvest']);
    expect(differ({ process: 'not-known' })).toEqual([]);
    expect(differ({ variety: '' })).toEqual([]);
    expect(differ({ drying: 'patio' }, { drying: 'raised beds' })).toEqual(['drying']);
  });

  it.each<[Partial<LotOrigin>, boolean]>([
    [{ elevationFromM: 1900, elevationToM: 2100 }, false],
    [{ elevationFromM: 2000, elevationToM: 2000 }, false],
    [{ elevationFromM: 2001, elevationToM: 2100 }, true],
    [{ elevationFromM: 1500, elevationToM: 1599 }, true],
    [{ elevationFromM: null, elevationToM: null }, false],
    [{ elevationFromM: null, elevationToM: null, elevationWord: 'high' }, false],
    [{ elevationFromM: null, elevationToM: null, elevationWord: 'middling' }, true],
  ])('grew apart: %o is %s', (elevation, apart) => {
    expect(differ(elevation).includes('elevation')).toBe(apart);
    expect(lotDifferences({ ...LOT, ...elevation }, LOT).includes('elevation')).toBe(apart);
  });
});
