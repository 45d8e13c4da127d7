import {
  cardWords,
  drainAdviceS,
  firstKettleC,
  formatDuration,
  formatRatio,
  grindEquivalent,
  grindName,
  planAllWaterG,
  planRatio,
  restAdvice,
  tasteAdvice,
  waterAdvice,
} from '@vendu/core';
import type { PublicRecipeView } from '@vendu/contract';
import { mm, Sheet } from './sheet.js';
import { originWords } from '../originWords.js';
import { bothScales } from './bothScales.js';

export const CARD_SIZES = ['a6', 'a5'] as const;
export type CardSize = (typeof CARD_SIZES)[number];

const FORMAT = {
  a6: { size: [mm(105), mm(148)] as [number, number], margin: mm(7), title: 15, staircase: mm(25) },
  a5: { size: [mm(148), mm(210)] as [number, number], margin: mm(10), title: 20, staircase: mm(36) },
};
/** Type that a card may be set in, the largest that fits first, points. */
const SMALLEST_TYPE = 4.5;
const TYPE_SIZES = [9, 8.5, 8, 7.5, 7, 6.5, 6, 5.5, 5, SMALLEST_TYPE];

/** A card for a box or a bag: one page, whatever the recipe asks for. */
export function cardPdf({
  card,
  address,
  size,
}: {
  card: PublicRecipeView;
  address: string;
  size: CardSize;
}): Promise<Buffer> {
  const type = largestThatFits(card, address, size);
  const sheet = sheetOf(card, size);
  draw(sheet, card, { address, size, type });
  return sheet.done();
}

function sheetOf(card: PublicRecipeView, size: CardSize): Sheet {
  return new Sheet({
    ...FORMAT[size],
    title: `${card.lotName}, ${card.brewerName}`,
    writtenAt: new Date(card.publishedAt),
  });
}

/** By halving, on the pages of one sheet that nobody sees: what fits in one type fits in every smaller one. */
function largestThatFits(card: PublicRecipeView, address: string, size: CardSize): number {
  const trial = sheetOf(card, size);
  let [fits, tooLarge] = [TYPE_SIZES.length - 1, -1];
  while (fits - tooLarge > 1) {
    const middle = Math.floor((fits + tooLarge) / 2);
    const before = trial.newPage();
    draw(trial, card, { address, size, type: at(middle) });
    if (trial.pageCount === before) fits = middle;
    else tooLarge = middle;
  }
  return at(fits);
}

const at = (index: number) => TYPE_SIZES[index] ?? SMALLEST_TYPE;

function draw(
  sheet: Sheet,
  card: PublicRecipeView,
  { address, size, type }: { address: string; size: CardSize; type: number },
): void {
  const { plan } = card;
  const format = FORMAT[size];
  const codeSide = mm(size === 'a6' ? 17 : 22);
  sheet.code(address, { x: sheet.left + sheet.width - codeSide, y: sheet.top, side: codeSide });
  const beside = sheet.width - codeSide - 8;
  sheet.line(`${card.houseName}, ${card.housePlace}`, { size: type - 1, hue: 'quiet', width: beside });
  sheet.line(card.lotName, { font: 'bold', size: format.title, width: beside });
  sheet.line(originWords(card), { size: type, width: beside });
  sheet.line(card.edition?.tastesOf || card.labelNotes, { size: type, hue: 'quiet', width: beside });
  if (card.additions) {
    sheet.line(`Co-fermented with ${card.additions}. Check it against your allergies.`, {
      font: 'bold',
      size: type,
      hue: 'alarm',
      width: beside,
    });
  }
  sheet.y = Math.max(sheet.y, sheet.top + codeSide) + 4;
  sheet.rule('ink');
  figures(sheet, card, type);
  sheet.rule('ink');
  sheet.staircase(plan, { x: sheet.left, y: sheet.y + 2, width: sheet.width, height: format.staircase });
  sheet.y += format.staircase + 6;
  steps(sheet, card, type);
  tastes(sheet, card, type);
  if (size === 'a5') more(sheet, card, type);
  sheet.y += 4;
  sheet.line('Water near boiling and its steam scald; cold glass under hot water can crack.', {
    size: type - 1,
    hue: 'quiet',
  });
  const signed = card.signedBy ? `, signed by ${card.signedBy}` : '';
  sheet.line(`Version ${card.versionNumber}, ${card.publishedAt.slice(0, 10)}${signed}. ${address}`, {
    size: type - 1,
    hue: 'quiet',
  });
}

function figures(
  sheet: Sheet,
  { plan, brewerName, paper, grinderName, grinderSetting }: PublicRecipeView,
  type: number,
): void {
  const cells = [
    { label: 'Coffee', words: `${plan.doseG} g`, hue: 'water', share: 0.13 },
    {
      label: 'Water',
      words: `${planAllWaterG(plan)} g, ${formatRatio(planRatio(plan))}`,
      hue: 'water',
      share: 0.27,
    },
    { label: 'Kettle', words: bothScales(firstKettleC(plan)), hue: 'temperature', share: 0.29 },
    { label: 'Grind', words: `${plan.grindUm} µm, ${grindName(plan.grindUm)}`, hue: 'ink', share: 0.31 },
  ] as const;
  let x = sheet.left;
  const ends = cells.map(({ label, words, hue, share }) => {
    const width = share * sheet.width;
    const y = sheet.put(label, x, sheet.y, { size: type - 1.5, hue: 'quiet', width });
    const end = sheet.put(words, x, y, { font: 'strong', size: type - 1, hue, width: width - 3 });
    x += width;
    return end;
  });
  sheet.y = Math.max(...ends) + 2;
  const on = grinderSetting === null ? '' : `, ${grinderSetting} on ${grinderName}`;
  sheet.line(`${brewerName}, ${paper} paper${on}`, { size: type - 1 });
  sheet.y += 2;
}

function steps(sheet: Sheet, { plan, edition }: PublicRecipeView, type: number): void {
  const { before, steps: timed, after } = cardWords(plan);
  sheet.line(before.join(' '), { size: type - 1, hue: 'quiet' });
  sheet.y += 2;
  const clock = type * 3.6;
  for (const [index, { atS, isAbout, words }] of timed.entries()) {
    const y = sheet.y;
    sheet.put(`${isAbout ? '~' : ''}${formatDuration(atS)}`, sheet.left, y, {
      font: 'strong',
      size: type,
      hue: 'time',
      width: clock,
    });
    const remark = edition?.remarks[index] ?? '';
    sheet.y = sheet.put(`${words} ${remark}`.trim(), sheet.left + clock, y, { size: type });
  }
  for (const words of after) sheet.y = sheet.put(words, sheet.left + clock, sheet.y, { size: type });
}

function tastes(sheet: Sheet, { plan, trials = [], proof }: PublicRecipeView, type: number): void {
  sheet.heading('If it tastes like', type);
  const name = type * 9.5;
  const found = trials
    .filter(({ came }) => came)
    .map(({ finding, change }) => ({ taste: `${finding.replaceAll('-', ' ')} (tried)`, change }));
  for (const { taste, change } of [...found, ...tasteAdvice(plan)]) {
    const y = sheet.y;
    sheet.put(taste, sheet.left, y, { font: 'bold', size: type - 1, width: name });
    sheet.y = sheet.put(change, sheet.left + name, y, { size: type - 1 });
  }
  const drain = drainAdviceS({ ...plan, drawdownS: proof?.drain?.mean ?? plan.drawdownS });
  if (drain) {
    sheet.line(
      `Drained before ${formatDuration(drain.earlyS)}: finer. After ${formatDuration(drain.lateS)}: coarser.`,
      { size: type - 1 },
    );
  }
}

/** What the larger card has room for. */
function more(
  sheet: Sheet,
  { plan, grinders = [], water, proof, ageNote }: PublicRecipeView,
  type: number,
): void {
  if (grinders.length > 0) {
    sheet.heading('On other grinders', type);
    for (const grinder of grinders) {
      const found = grindEquivalent({ grinder, grindUm: plan.grindUm });
      const words =
        found.kind === 'setting'
          ? `${found.setting} (${found.lowSetting} to ${found.highSetting})`
          : found.kind === 'out-of-reach'
            ? `out of reach: ${found.nearest.setting}, its nearest`
            : 'not measured there';
      sheet.line(`${grinder.name}: ${words}`, { size: type - 1 });
    }
  }
  if (proof) {
    sheet.heading('As proven', type);
    const band = (spread: typeof proof.strength, digits: number) =>
      spread.expected
        ? ` (${spread.expected.low.toFixed(digits)} to ${spread.expected.high.toFixed(digits)})`
        : '';
    sheet.line(
      `Strength ${proof.strength.mean.toFixed(2)} %${band(proof.strength, 2)}, yield ${proof.yield.mean.toFixed(1)} %${band(proof.yield, 1)}, ${proof.strength.count} brews by ${proof.hands} people.`,
      { size: type - 1 },
    );
    sheet.line(restAdvice(proof.roastAgeDays), { size: type - 1 });
  }
  if (ageNote) sheet.line(ageNote, { size: type - 1 });
  if (water) sheet.line(waterAdvice(water).join(' '), { size: type - 1 });
}
