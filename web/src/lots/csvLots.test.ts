import { describe, expect, it } from 'vitest';
import { faultsOf, lotOf, readCsv } from './csvLots';

const HEAD = 'Name;Country;Process;Roasted on;Elevation;Stock g;Cupping score';

describe('lots from a file', () => {
  it('reads columns by their headings, whatever the separator, and says what it leaves out', () => {
    const { rows, unknownColumns, trouble } = readCsv(
      `${HEAD}\nRidge;rwanda;Washed;2026-01-10;1700-1900;2 500;86`,
    );
    expect(trouble).toBeNull();
    expect(unknownColumns).toEqual(['Cupping score']);
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

  it('names every fault of a row by its field, and keeps what was typed', () => {
    const { rows } = readCsv('Name,Country,Process,Roasted on,Elevation\n,Atlantis,boiled,2026-13-40,high');
    const fields = faultsOf(rows[0]!).map(({ field }) => field);
    for (const field of ['name', 'country', 'process', 'roastedOn', 'elevation'])
      expect(fields).toContain(field);
    expect(rows[0]).toMatchObject({ country: 'Atlantis', process: 'boiled', elevation: 'high' });
  });

  it('says why a file cannot be read', () => {
    expect(readCsv('Ridge,Rwanda').trouble).toMatch(/No column is headed Name/);
    expect(readCsv('Name,Country').trouble).toMatch(/no rows/);
  });

  it('reads what was noticed of a lot', () => {
    const { rows } = readCsv('Name,Noticed\nA,"Prone to dryness; delicate"');
    expect(rows[0]?.signs).toEqual(['delicate', 'prone-to-dryness']);
  });
});
