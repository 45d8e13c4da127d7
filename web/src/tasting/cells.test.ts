import { describe, expect, it } from 'vitest';
import { EMPTY_SHEET } from '@vendu/core';
import { CELLS, cellKey, cellName, valueIn, withValue, type Cell } from './cells';
import { suggestionsFor } from './suggestions';

const MUCH: Cell = { of: 'body', kind: 'intensity' };
const LIKED: Cell = { of: 'body', kind: 'liking' };

describe('the cells of a sheet', () => {
  it('are filled in order, each in its own place', () => {
    const filled = CELLS.reduce((sheet, cell, index) => withValue(sheet, cell, index), EMPTY_SHEET);
    expect(CELLS.map((cell) => valueIn(filled, cell))).toEqual(CELLS.map((_, index) => index));
    expect(new Set(CELLS.map(cellName)).size).toBe(15);
  });

  it.each([
    ['7', MUCH, null, { value: 7, go: 1 }],
    ['0', MUCH, 5, { value: 0, go: 1 }],
    // No liking is nought: the digit is not taken for "not said".
    ['0', LIKED, 5, { value: 5, go: 0 }],
    ['ArrowUp', MUCH, 9, { value: 10, go: 0 }],
    ['ArrowUp', MUCH, 10, { value: 10, go: 0 }],
    ['ArrowUp', MUCH, null, { value: 0, go: 0 }],
    ['ArrowDown', LIKED, 1, { value: 1, go: 0 }],
    ['ArrowDown', LIKED, null, { value: 1, go: 0 }],
    [' ', MUCH, null, { value: null, go: 1 }],
    ['ArrowLeft', MUCH, 4, { value: 4, go: -1 }],
    ['Backspace', MUCH, 4, { value: null, go: 0 }],
    ['Backspace', MUCH, null, { value: null, go: -1 }],
  ] as const)('take “%s”', (key, cell, value, done) => expect(cellKey(key, cell, value)).toEqual(done));

  it('leave other keys to the page', () => expect(cellKey('Tab', MUCH, 4)).toBeNull());
});

describe('words offered while a note is typed', () => {
  const offered = (typed: string, taken: string[] = []) =>
    suggestionsFor(typed, { houseWords: ['jam tart'], taken }).map(({ word }) => word);

  it('begin as typed, then hold it; those of the house are among them', () => {
    expect(offered('ja')).toEqual(['jasmine', 'jam tart']);
    expect(offered('peel')).toEqual(['orange peel']);
  });

  it('are none for nothing typed, and none that the sheet has', () => {
    expect(offered(' ')).toEqual([]);
    expect(offered('jas', ['jasmine'])).toEqual([]);
  });
});
