import { LABEL_SHEET, labelPlace } from './labelGrid.js';
import { Sheet } from './sheet.js';

interface BlindLabelFacts {
  /** One for each taster: the address of his page and the codes of his cups, an empty one for the known cup. */
  sets: readonly { number: number; address: string; codes: readonly string[] }[];
  printedAt: Date;
}

/** Cups without names: for each taster a label with the code of his page, then one for each of his cups. */
export function blindLabelsPdf(facts: BlindLabelFacts): Promise<Buffer> {
  const sheet = new Sheet({
    ...LABEL_SHEET,
    title: 'Labels of coded cups',
    writtenAt: facts.printedAt,
  });
  let label = 0;
  for (const { number, address, codes } of facts.sets) {
    const place = labelPlace(sheet, label++);
    const side = place.height;
    sheet.code(address, { x: place.x + place.width - side, y: place.y, side });
    const width = place.width - side - 6;
    const at = sheet.put(`Taster ${number}`, place.x, place.y, { font: 'bold', size: 12, width });
    sheet.put('Scan it, then taste from left to right.', place.x, at, { size: 7, hue: 'quiet', width });
    for (const [index, code] of codes.entries()) {
      const cup = labelPlace(sheet, label++);
      sheet.put(code === '' ? 'known' : code, cup.x, cup.y + 8, {
        font: 'strong',
        size: code === '' ? 22 : 34,
        width: cup.width,
        align: 'center',
      });
      sheet.put(`taster ${number}, cup ${index + 1}`, cup.x, cup.y + cup.height - 9, {
        size: 7,
        hue: 'quiet',
        width: cup.width,
        align: 'center',
      });
    }
  }
  return sheet.done();
}
