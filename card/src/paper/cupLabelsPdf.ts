import { mm, Sheet } from './sheet.js';

interface CupLabelFacts {
  lotName: string;
  brewNumber: number;
  brewedAt: Date;
  additions: string;
  printedAt: Date;
}

/** Labels to a row and a column of the sheet: the usual of 63.5 by 38.1 mm. */
const COLUMNS = 3;
const ROWS = 7;
const WIDTH = mm(63.5);
const HEIGHT = mm(38.1);
const GUTTER = mm(2.5);

const CUPS = ['Sample, to be read', 'Hot', 'Warm', 'Cool'];

/** What stands on a bench beside a brew: its sample and its cups, so that five brews are not mixed up. */
export function cupLabelsPdf(facts: CupLabelFacts): Promise<Buffer> {
  const sheet = new Sheet({
    size: [mm(210), mm(297)],
    margin: 0,
    title: `${facts.lotName}, cup labels`,
    writtenAt: facts.printedAt,
  });
  const left = (mm(210) - COLUMNS * WIDTH - (COLUMNS - 1) * GUTTER) / 2;
  const top = (mm(297) - ROWS * HEIGHT) / 2;
  const when = `${facts.brewedAt.toISOString().slice(0, 16).replace('T', ' ')} UTC`;
  for (const [index, cup] of CUPS.entries()) {
    const x = left + (index % COLUMNS) * (WIDTH + GUTTER) + mm(4);
    const y = top + Math.floor(index / COLUMNS) * HEIGHT + mm(4);
    const width = WIDTH - mm(8);
    let at = sheet.put(facts.lotName, x, y, { size: 8, hue: 'quiet', width });
    at = sheet.put(`Brew ${facts.brewNumber}`, x, at, { font: 'bold', size: 15, width });
    at = sheet.put(cup, x, at, { font: 'bold', size: 11, width });
    at = sheet.put(when, x, at, { font: 'readings', size: 7, hue: 'time', width });
    if (facts.additions) sheet.put(`contains ${facts.additions}`, x, at, { size: 7, hue: 'alarm', width });
  }
  return sheet.done();
}
