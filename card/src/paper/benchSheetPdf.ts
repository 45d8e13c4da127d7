import {
  benchSteps,
  cardWords,
  firstKettleC,
  formatDuration,
  formatRatio,
  planAllWaterG,
  planRatio,
  type BrewPlan,
} from '@vendu/core';
import { mm, Sheet } from './sheet.js';
import { bothScales } from './bothScales.js';

/** What stands over a bench sheet. */
interface BenchSheetFacts {
  lotName: string;
  brewerName: string;
  paper: string;
  grinder: string;
  grinderSetting: number | null;
  versionNumber: number;
  plan: BrewPlan;
  printedAt: Date;
}

const COLUMNS = [
  { head: 'Plan', share: 0.12 },
  { head: 'Step', share: 0.48 },
  { head: 'Done at', share: 0.13 },
  { head: 'Scale', share: 0.13 },
  { head: 'Note', share: 0.14 },
] as const;
const ROW = 26;

/** For a bench where everything else has failed: the plan to brew from, with room to write down what was done. */
export function benchSheetPdf(facts: BenchSheetFacts): Promise<Buffer> {
  const { plan } = facts;
  const sheet = new Sheet({
    size: [mm(210), mm(297)],
    margin: mm(14),
    title: `${facts.lotName}, bench sheet`,
    writtenAt: facts.printedAt,
  });
  sheet.line(facts.lotName, { font: 'bold', size: 20 });
  sheet.line(`${facts.brewerName}, ${facts.paper} paper, version ${facts.versionNumber}`, {
    size: 10,
    hue: 'quiet',
  });
  sheet.y += 4;
  sheet.line(
    [
      `${plan.doseG} g : ${planAllWaterG(plan)} g, ${formatRatio(planRatio(plan))}`,
      bothScales(firstKettleC(plan)),
      `${plan.grindUm} µm${facts.grinderSetting === null ? '' : `, ${facts.grinderSetting} on ${facts.grinder}`}`,
    ].join('   '),
    { font: 'strong', size: 11 },
  );
  sheet.staircase(plan, { x: sheet.left, y: sheet.y + 6, width: sheet.width, height: mm(48) });
  sheet.y += mm(48) + 14;
  for (const words of cardWords(plan).before) sheet.line(`[  ]  ${words}`, { size: 9 });
  sheet.y += 8;
  table(sheet, plan);
  sheet.y += 10;
  sheet.need(mm(60));
  for (const words of ['Brewed by, when', 'Beverage, g', 'Readings, % TDS', 'Hot', 'Warm', 'Cool']) {
    sheet.y = sheet.put(words, sheet.left, sheet.y, { size: 8, hue: 'quiet' }) + 12;
    sheet.rule();
  }
  return sheet.done();
}

function table(sheet: Sheet, plan: BrewPlan): void {
  const { steps } = cardWords(plan);
  const kinds = benchSteps(plan).map(({ kind }) => kind);
  const place = (index: number) =>
    sheet.left + COLUMNS.slice(0, index).reduce((sum, { share }) => sum + share * sheet.width, 0);
  for (const [index, { head }] of COLUMNS.entries()) {
    sheet.put(head, place(index), sheet.y, { size: 8, hue: 'quiet' });
  }
  sheet.y += 12;
  sheet.rule('ink');
  for (const [index, { atS, isAbout, words }] of steps.entries()) {
    const width = COLUMNS[1].share * sheet.width - 8;
    sheet.need(ROW);
    sheet.put(`${isAbout ? '~' : ''}${formatDuration(atS)}`, place(0), sheet.y + 4, {
      font: 'strong',
      size: 11,
      hue: 'time',
    });
    const end = sheet.put(words, place(1), sheet.y + 4, { size: 9, width });
    // Only a pour has a total.
    if (kinds[index] !== 'pour') sheet.put('–', place(3), sheet.y + 4, { size: 9, hue: 'quiet' });
    sheet.y = Math.max(end + 2, sheet.y + ROW - 4);
    sheet.rule();
  }
}
