import { describe, expect, it } from 'vitest';
import { matchRows, type Known } from './match-rows.js';

const row = (id: string, name: string, created_at: string): Known => ({ id, name, created_at });
const key = ['name', 'created_at'];

describe('which row here a row of a file is', () => {
  it('is the one of the same number and moment, whatever it is called by now', () => {
    const here = [row('1', 'Renamed since', 'T1'), row('2', 'Hill', 'T2')];
    expect(matchRows([row('2', 'Hill', 'T2'), row('1', 'Umuseke', 'T1')], here, { key })).toEqual([1, 0]);
  });

  it('is not the one that only has its number: another lab counts from 1 too', () => {
    expect(matchRows([row('1', 'Hill', 'T9')], [row('1', 'Umuseke', 'T1')], { key })).toEqual([null]);
  });

  it('is else the one that its key tells, under another number', () => {
    expect(matchRows([row('1', 'HILL', 'T2')], [row('7', 'Hill', 'T2')], { key })).toEqual([0]);
  });

  it('is of several alike each once: three readings of one moment are three', () => {
    const reading = (id: string) => row(id, 'tds', 'T1');
    const here = [reading('10'), reading('11')];
    expect(matchRows([reading('1'), reading('2'), reading('3')], here, { key })).toEqual([0, 1, null]);
  });
});
