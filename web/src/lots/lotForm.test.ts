import 'reflect-metadata';
import { describe, expect, it } from 'vitest';
import type { LotView } from '@vendu/contract';
import { EMPTY_LOT, lotFormText, readLotForm, type LotFormText } from './lotForm';

const TYPED: LotFormText = {
  ...EMPTY_LOT,
  name: ' Ridge ',
  country: 'RW',
  process: 'washed',
  roastedOn: '2026-01-10',
};

function read(changes: Partial<LotFormText>) {
  return readLotForm({ ...TYPED, ...changes }, { kind: 'new' });
}

describe('the form of a lot', () => {
  it('sends no roast for green that is not roasted yet', () => {
    const { lot, errors } = readLotForm(
      { ...EMPTY_LOT, name: 'A', country: 'RW', process: 'washed' },
      { kind: 'new' },
    );
    expect(errors).toEqual([]);
    expect(lot).toMatchObject({ roastedOn: null });
  });

  it('sends what was typed in the contract’s units', () => {
    const { lot, errors } = read({
      elevation: '1,700 - 1,950 m',
      densityGPerL: '712 g/L',
      moisturePercent: '10.8',
      stock: '2500 g',
      roastLevel: 'light',
    });
    expect(errors).toEqual([]);
    expect(lot).toMatchObject({
      name: 'Ridge',
      elevationFromM: 1700,
      elevationToM: 1950,
      densityGPerL: 712,
      moisturePercent: 10.8,
      stockG: 2500,
      roastLevel: 'light',
    });
  });

  it('takes an elevation told as a word, and a process that nobody told', () => {
    const { lot, errors } = read({ elevation: 'Low', process: 'not-known' });
    expect(errors).toEqual([]);
    expect(lot).toMatchObject({ elevationFromM: null, elevationWord: 'low', process: 'not-known' });
  });

  it('leaves out what is not known', () => {
    expect(read({}).lot).toMatchObject({
      elevationFromM: null,
      elevationToM: null,
      densityGPerL: null,
      moisturePercent: null,
      stockG: null,
      roastLevel: null,
    });
  });

  it.each<[Partial<LotFormText>, string, string]>([
    [{ name: '' }, 'name', 'Name is required.'],
    [{ elevation: 'very high' }, 'elevation', 'is not an elevation'],
    [{ elevation: '9000' }, 'elevation', 'Elevation must be a whole number from 0 to 3000 m.'],
    [{ densityGPerL: 'dense' }, 'densityGPerL', 'not a'],
    [{ densityGPerL: '71' }, 'densityGPerL', 'Density must be 400 to 1000 g/L.'],
    [{ moisturePercent: '108' }, 'moisturePercent', 'Moisture must be 4 to 25 %.'],
    [{ stock: '2,5,0' }, 'stock', 'is not a mass'],
    [{ stock: '-4' }, 'stock', 'Stock must be 0 to 1000000 g.'],
  ])('names the field of %j in its own words', (change, field, message) => {
    const found = read(change).errors.find((error) => error.field === field);
    expect(found?.message).toContain(message);
  });

  it('reads a stored lot back into the same text it would send', () => {
    const stored = {
      ...read({ elevation: '1850', region: 'north', moisturePercent: '10.8' }).lot,
      revision: 3,
    } as unknown as LotView;
    const { lot, errors } = readLotForm(lotFormText(stored), { kind: 'edit', revision: 3 });
    expect(errors).toEqual([]);
    expect(lot).toMatchObject({
      elevationFromM: 1850,
      elevationToM: 1850,
      region: 'north',
      moisturePercent: 10.8,
      densityGPerL: null,
      revision: 3,
    });
    // What is left is told by weighing it, not by an edit of the facts.
    expect(lot).not.toHaveProperty('stockG');
  });
});
