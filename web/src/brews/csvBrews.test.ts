import { describe, expect, it } from 'vitest';
import { brewOf, readBrewTable, withColumn } from './csvBrews';

const only = (text: string, remembered = {}) => {
  const table = readBrewTable(text, remembered);
  return brewOf(table, table.lines[0] ?? []);
};

describe('a table of brews', () => {
  it('is read by its headings, with units, commas and several readings', () => {
    const { brew, faults } = only(
      'Date;Dose;Water;Beverage g;TDS;Time;Notes\n2026-11-03 14:20;15 g;250;218,5;1,32 1,34%;2:45;sweet',
    );
    expect(faults).toEqual([]);
    expect(brew).toMatchObject({
      number: null,
      brewedAt: new Date(2026, 10, 3, 14, 20).toISOString(),
      doseG: 15,
      waterG: 250,
      beverageG: 218.5,
      tdsPercents: [1.32, 1.34],
      drainS: 165,
      note: 'sweet',
    });
  });

  it.each([
    ['3.11.2026', [2026, 10, 3, 12, 0]],
    ['2026/11/03', [2026, 10, 3, 12, 0]],
    ['3 Nov 2026 9:05', [2026, 10, 3, 9, 5]],
  ] as const)('takes %s for a day', (said, [year, month, day, hour, minute]) => {
    expect(only(`Brewed\n${said}`).brew.brewedAt).toBe(
      new Date(year, month, day, hour, minute).toISOString(),
    );
  });

  it('takes a moment with a zone as it is', () => {
    expect(only('Brewed\n2026-11-03T14:20:00+02:00').brew.brewedAt).toBe('2026-11-03T12:20:00.000Z');
  });

  it('does not guess a day that could be two, and says which cell it cannot read', () => {
    expect(only('Brewed\n03/04/2026').faults).toEqual([
      { field: 'brewedAt', message: '“03/04/2026” cannot be read. Write 2026-11-30 or 30.11.2026.' },
    ]);
    expect(only('Brewed,Dose\n2026-11-03,a spoon').faults).toMatchObject([{ field: 'doseG' }]);
    expect(only('Brewed,Dose\n2026-11-03,500').faults).toMatchObject([
      { field: 'doseG', message: 'Dose must be 5 to 120 g.' },
    ]);
    expect(only('Dose\n15').faults).toMatchObject([{ field: 'brewedAt', message: 'Brewed is required.' }]);
  });

  it('asks no day of a line that names a brew of the lot', () => {
    expect(only('Brew,TDS\n4,1.31').faults).toEqual([]);
  });

  it('knows a heading again that somebody said what it is, and no column twice', () => {
    const remembered = { masse: 'doseG' as const };
    expect(only('Brewed,Masse\n2026-11-03,16', remembered).brew.doseG).toBe(16);
    const table = readBrewTable('Brewed,Dose,Masse\n2026-11-03,15,16', remembered);
    expect(table.columns).toEqual(['brewedAt', 'doseG', '']);
    expect(withColumn(table, 2, 'doseG').columns).toEqual(['brewedAt', '', 'doseG']);
  });
});
