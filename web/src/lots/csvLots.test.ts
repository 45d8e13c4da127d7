import { describe, expect, it } from 'vitest';
import { faultsOf, lotOf, placeColumn, readCsv, sameAs } from './csvLots';

const HEAD = 'Name;Country;Process;Roasted on;Elevation;Stock g;Cupping score';

describe('lots from a file', () => {
  it('reads columns by their headings, whatever the separator, and says what it leaves out', () => {
    const { rows, unplaced, trouble } = readCsv(`${HEAD}\nRidge;rwanda;Washed;2026-01-10;1700-1900;2 500;86`);
    expect(trouble).toBeNull();
    expect(unplaced).toEqual([{ heading: 'Cupping score', cells: ['86'] }]);
    expect(rows[0]).toMatchObject({ name: 'Ridge', country: 'rwanda', elevation: '1700-1900' });
  });

  it('takes a country by name or code, and a process as it is said', () => {
    const { rows } = readCsv(
      'name,country,process,roast date,roast level\nA,UG,long dry fermentation,2026-01-10,Medium light',
    );
    expect(rows.map(faultsOf)).toEqual([[]]);
    expect(lotOf(rows[0]!)).toMatchObject({
      country: 'UG',
      process: 'long-fermentation',
      roastLevel: 'medium-light',
    });
    const named = readCsv('name,country,process,roast date\nA,Rwanda,washed,2026-01-10');
    expect(lotOf(named.rows[0]!)).toMatchObject({ country: 'RW' });
  });

  it('takes a process together with its base, in one cell or in two, and says where a base cannot be', () => {
    const said = (process: string, base = '') =>
      readCsv(`Name,Country,Process,Base process,Roast date\nA,RW,"${process}",${base},2026-01-10`).rows[0]!;
    for (const row of [said('Anaerobic natural'), said('natural anaerobic'), said('anaerobic', 'natural')]) {
      expect(faultsOf(row)).toEqual([]);
      expect(lotOf(row)).toMatchObject({ process: 'anaerobic', baseProcess: 'natural' });
    }
    expect(lotOf(said('Carbonic maceration, washed'))).toMatchObject({
      process: 'carbonic-maceration',
      baseProcess: 'washed',
    });
    expect(lotOf(said('natural'))).toMatchObject({ process: 'natural', baseProcess: null });
    expect(faultsOf(said('washed', 'natural')).map(({ field }) => field)).toEqual(['baseProcess']);
    expect(faultsOf(said('anaerobic', 'boiled')).map(({ field }) => field)).toEqual(['baseProcess']);
    expect(faultsOf(said('washed natural')).map(({ field }) => field)).toContain('process');
  });

  it('takes what was done besides and the notes of the label, and names what is neither yes nor no', () => {
    const said = (decaf: string, notes = '') =>
      readCsv(`Name,Country,Process,Decaf,Notes\nA,RW,anaerobic,${decaf},"${notes}"`).rows[0]!;
    for (const yes of ['yes', 'X', 'decaf', '1']) expect(lotOf(said(yes)).isDecaffeinated).toBe(true);
    for (const no of ['', 'no', '-']) expect(lotOf(said(no)).isDecaffeinated).toBe(false);
    expect(faultsOf(said('half')).map(({ field }) => field)).toEqual(['isDecaffeinated']);
    expect(lotOf(said('', 'plum, cocoa nib; plum')).labelNotes).toEqual(['plum', 'cocoa nib']);
    expect(faultsOf(said('', 'x'.repeat(61))).map(({ field }) => field)).toEqual(['labelNotes']);
  });

  it('names every fault of a row by its field, and keeps what was typed', () => {
    const { rows } = readCsv('Name,Country,Process,Roasted on,Elevation\n,Atlantis,boiled,2026-13-40,lofty');
    const fields = faultsOf(rows[0]!).map(({ field }) => field);
    for (const field of ['name', 'country', 'process', 'roastedOn', 'elevation'])
      expect(fields).toContain(field);
    expect(rows[0]).toMatchObject({ country: 'Atlantis', process: 'boiled', elevation: 'lofty' });
  });

  it('reads what was measured of the green by its headings, and names what cannot be', () => {
    const { rows } = readCsv(
      'Name,Country,Process,Roast date,Density g/L,Moisture\nA,RW,washed,2026-01-10,712,10.8\nB,RW,washed,2026-01-10,7,10.8',
    );
    expect(lotOf(rows[0]!)).toMatchObject({ densityGPerL: 712, moisturePercent: 10.8 });
    expect(faultsOf(rows[1]!).map(({ field }) => field)).toEqual(['densityGPerL']);
  });

  it('says why a file cannot be read', () => {
    expect(readCsv('Name,Country').trouble).toMatch(/no rows/);
  });

  it('reads what was noticed of a lot', () => {
    const { rows } = readCsv('Name,Noticed\nA,"Prone to dryness; delicate"');
    expect(rows[0]?.signs).toEqual(['delicate', 'prone-to-dryness']);
  });

  it('takes a column that a person placed by hand, and the labels of the form as they stand there', () => {
    const file = readCsv(
      'Coffee,Country,Process,Roast date,Stock weighed in\nRidge,Rwanda,Washed,2026-01-10,5 lb',
    );
    expect(faultsOf(file.rows[0]!).map(({ field }) => field)).toEqual(['name']);
    const placed = placeColumn(file, 'Coffee', 'name');
    expect(placed.unplaced).toEqual([]);
    expect(faultsOf(placed.rows[0]!)).toEqual([]);
    expect(lotOf(placed.rows[0]!)).toMatchObject({ name: 'Ridge', stockG: 2267.96185 });
  });

  it('knows a heading again that somebody said what it is, and not before its own words', () => {
    const text = 'Coffee,Country,Process\nRidge,Rwanda,Washed';
    const { rows, unplaced } = readCsv(text, { coffee: 'name', country: 'farm' });
    expect(unplaced).toEqual([]);
    expect(rows[0]).toMatchObject({ name: 'Ridge', country: 'Rwanda', farm: '' });
  });

  it('takes what the sack does not say, and an elevation in a word', () => {
    const { rows } = readCsv(
      'Name,Country,Process,Roast date,Elevation\nRidge,Rwanda,Not known,2026-01-10,high',
    );
    expect(faultsOf(rows[0]!)).toEqual([]);
    expect(lotOf(rows[0]!)).toMatchObject({
      process: 'not-known',
      elevationFromM: null,
      elevationWord: 'high',
    });
  });

  it('finds a row that says the same as an earlier one', () => {
    const { rows } = readCsv(
      'Name,Country,Process,Roast date\nRidge,Rwanda,Washed,2026-01-10\nSlope,Rwanda,Washed,2026-01-10\nridge,RW,washed,2026-01-10',
    );
    expect(sameAs(rows)).toEqual([null, null, 0]);
  });
});
