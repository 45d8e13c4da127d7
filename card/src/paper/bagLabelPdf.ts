import { firstKettleC, formatRatio, planAllWaterG, planRatio } from '@vendu/core';
import type { PublicRecipeView } from '@vendu/contract';
import { mm, Sheet } from './sheet.js';
import { bothScales } from './bothScales.js';

/** Width of the usual roll of a label printer, and what this label takes of it, mm. */
const WIDTH_MM = 62;
const HEIGHT_MM = 35;

/** For the bag: the code that opens the card, and the figures that one wants without a phone. */
export function bagLabelPdf({ card, address }: { card: PublicRecipeView; address: string }): Promise<Buffer> {
  const { plan } = card;
  const sheet = new Sheet({
    size: [mm(WIDTH_MM), mm(HEIGHT_MM)],
    margin: mm(3),
    title: `${card.lotName}, bag label`,
    writtenAt: new Date(card.publishedAt),
  });
  const side = mm(22);
  sheet.code(address, { x: sheet.left, y: sheet.top, side });
  const x = sheet.left + side + 6;
  const width = sheet.width - side - 6;
  const [title] = [11, 9, 7.5].filter(
    (size) => sheet.heightOf(card.lotName, { font: 'bold', size, width }) <= 28,
  );
  let y = sheet.put(card.lotName, x, sheet.top, { font: 'bold', size: title ?? 6, width });
  y = sheet.put(card.brewerName, x, y, { size: 7, width });
  y = sheet.put(`${plan.doseG} g : ${planAllWaterG(plan)} g, ${formatRatio(planRatio(plan))}`, x, y + 1, {
    font: 'strong',
    size: 6.5,
    hue: 'water',
    width,
  });
  sheet.put(bothScales(firstKettleC(plan)), x, y, { font: 'strong', size: 6.5, hue: 'temperature', width });
  sheet.y = sheet.top + side + 3;
  if (card.additions) {
    sheet.line(`Co-fermented with ${card.additions}`, { font: 'bold', size: 6.5, hue: 'alarm' });
  }
  sheet.line(address.replace(/^https?:\/\//, ''), { size: 5.5, hue: 'quiet' });
  return sheet.done();
}
