import { describe, expect, it } from 'vitest';
import { shapeOf, Statements } from './statements.js';

describe('the shape of a statement', () => {
  it('has none of what somebody typed, also where it was cut off', () => {
    const told =
      "Executed (default): SELECT `id` FROM `people` WHERE `email` = 'ilse@o''hara.example' AND `id` IN (1, 22, 3)  LIMIT 10;";
    expect(shapeOf(told)).toBe('SELECT `id` FROM `people` WHERE `email` = ? AND `id` IN (?) LIMIT ?;');
    const cut = shapeOf(`INSERT INTO traces (brew_id, samples) VALUES (7,'${"secret \\' ".repeat(2000)}`);
    expect(cut).toBe('INSERT INTO traces (brew_id, samples) VALUES (?,?');
  });

  it('is one for rows of any number', () => {
    const rows = (count: number) =>
      shapeOf(
        `INSERT INTO readings VALUES ${Array.from({ length: count }, (_, at) => `(${at}, NULL, 'x')`).join(', ')}`,
      );
    expect(rows(1)).toBe('INSERT INTO readings VALUES (?)');
    expect(rows(50)).toBe(rows(1));
  });
});

describe('statements', () => {
  it('are counted, and the slow ones kept by their longest', () => {
    const statements = new Statements();
    statements.note("SELECT 'a'", 3);
    for (const ms of [250, 900, 400]) statements.note(`SELECT ${ms} FROM brews`, ms);
    statements.note("SELECT 'b' FROM lots", 500);
    expect(statements.count).toBe(5);
    expect(statements.slowest(5)).toEqual([
      { statement: 'SELECT ? FROM brews', count: 3, longestMs: 900 },
      { statement: 'SELECT ? FROM lots', count: 1, longestMs: 500 },
    ]);
  });

  it('are no more than two hundred, the slowest', () => {
    const statements = new Statements();
    for (let at = 0; at < 300; at++) statements.note(`SELECT column_${at}_of FROM brews`, 300 + at);
    expect(statements.slowest(1000)).toHaveLength(200);
    expect(statements.slowest(1)[0]?.longestMs).toBe(599);
  });
});
