import { mm, type Sheet } from './sheet.js';

/** Labels to a row and a column of an A4 sheet: the usual of 63.5 by 38.1 mm. */
const COLUMNS = 3;
const ROWS = 7;
const WIDTH = mm(63.5);
const HEIGHT = mm(38.1);
const GUTTER = mm(2.5);
const INSIDE = mm(4);
const PAGE = { width: mm(210), height: mm(297) };

/** Settings of a sheet of labels. */
export const LABEL_SHEET = { size: [PAGE.width, PAGE.height] as [number, number], margin: 0 };

/** What may be printed on a label, points. */
export interface LabelPlace {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The place of a label by its count from 0; a new page is begun where the last is full. */
export function labelPlace(sheet: Sheet, index: number): LabelPlace {
  const onPage = index % (COLUMNS * ROWS);
  if (index > 0 && onPage === 0) sheet.newPage();
  const left = (PAGE.width - COLUMNS * WIDTH - (COLUMNS - 1) * GUTTER) / 2;
  const top = (PAGE.height - ROWS * HEIGHT) / 2;
  return {
    x: left + (onPage % COLUMNS) * (WIDTH + GUTTER) + INSIDE,
    y: top + Math.floor(onPage / COLUMNS) * HEIGHT + INSIDE,
    width: WIDTH - 2 * INSIDE,
    height: HEIGHT - 2 * INSIDE,
  };
}
