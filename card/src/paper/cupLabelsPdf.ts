import { LABEL_SHEET, labelPlace } from './labelGrid.js';
import { Sheet } from './sheet.js';

interface CupLabelFacts {
  lotName: string;
  brewNumber: number;
  brewedAt: Date;
  additions: string;
  printedAt: Date;
}

const CUPS = ['Sample, to be read', 'Hot', 'Warm', 'Cool'];

/** What stands on a bench beside a brew: its sample and its cups, so that five brews are not mixed up. */
export function cupLabelsPdf(facts: CupLabelFacts): Promise<Buffer> {
  const sheet = new Sheet({
    ...LABEL_SHEET,
    title: `${facts.lotName}, cup labels`,
    writtenAt: facts.printedAt,
  });
  const when = `${facts.brewedAt.toISOString().slice(0, 16).replace('T', ' ')} UTC`;
  for (const [index, cup] of CUPS.entries()) {
    const { x, y, width } = labelPlace(sheet, index);
    let at = sheet.put(facts.lotName, x, y, { size: 8, hue: 'quiet', width });
    at = sheet.put(`Brew ${facts.brewNumber}`, x, at, { font: 'bold', size: 15, width });
    at = sheet.put(cup, x, at, { font: 'bold', size: 11, width });
    at = sheet.put(when, x, at, { font: 'readings', size: 7, hue: 'time', width });
    if (facts.additions) sheet.put(`contains ${facts.additions}`, x, at, { size: 7, hue: 'alarm', width });
  }
  return sheet.done();
}
