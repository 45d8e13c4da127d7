import { describe, expect, it } from 'vitest';
import type { ExportedTable } from './exported-tables.js';
import { ofOneLot } from './of-one-lot.js';

const table = (name: string, ...names: [field: string, table: string][]): ExportedTable => ({
  name,
  fields: [],
  primaryKey: ['id'],
  foreignKeys: names.map(([field, other]) => ({ field, table: other, column: 'id' })),
});

describe('what belongs to one lot', () => {
  const conditions = ofOneLot([
    table('house'),
    table('people'),
    table('brewers', ['body_of_id', 'brewers']),
    table('readings', ['read_by', 'people'], ['brew_id', 'brews']),
    table('brews', ['brewed_by', 'people'], ['lot_id', 'lots']),
    table('lots', ['created_by', 'people']),
  ]);

  it('is the lot, what names it, and what names that, in whatever order tables come', () => {
    expect(conditions.get('lots')).toBe('id = :lotId');
    expect(conditions.get('brews')).toBe('lot_id = :lotId');
    expect(conditions.get('readings')).toBe('brew_id IN (SELECT id FROM brews WHERE lot_id = :lotId)');
  });

  it('and all of kit and people, but nothing of the lab itself', () => {
    expect([conditions.get('people'), conditions.get('brewers')]).toEqual(['TRUE', 'TRUE']);
    expect(conditions.has('house')).toBe(false);
  });
});
