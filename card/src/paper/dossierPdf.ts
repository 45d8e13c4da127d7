import { scaleLinear } from 'd3-scale';
import {
  CHECK_NAMES,
  findingWords,
  formatDuration,
  markedDrainS,
  planChanges,
  type ExtractionWindow,
  type Proof,
  type TastingStage,
} from '@vendu/core';
import type { BrewView, LotView, RecipeView } from '@vendu/contract';
import { countryName } from '../countries.js';
import { HUE, mm, Sheet } from './sheet.js';
import { originWords } from '../originWords.js';

/** All that is known of a lot and of what was done with it. */
interface Dossier {
  lot: LotView;
  recipes: RecipeView[];
  /** In the order brewed, with what whoever prints may see of their sheets. */
  brews: BrewView[];
  /** Of each version that was signed off, by its id. */
  proofs: Map<number, Proof>;
  window: ExtractionWindow;
  printedAt: Date;
}

const SMALL = 8;

/** A lot on paper: facts, trail, map, readings, tastings, fractions, proof and signatures. */
export function dossierPdf(dossier: Dossier): Promise<Buffer> {
  const { lot, printedAt } = dossier;
  const sheet = new Sheet({
    size: [mm(210), mm(297)],
    margin: mm(15),
    title: `${lot.name}, dossier`,
    writtenAt: printedAt,
  });
  sheet.line(lot.name, { font: 'bold', size: 22 });
  sheet.line(originWords(lot), { size: 10 });
  sheet.line(`Printed ${printedAt.toISOString().slice(0, 10)}`, { size: SMALL, hue: 'quiet' });
  if (lot.additions)
    sheet.line(`Co-fermented with ${lot.additions}: an allergen to declare.`, {
      font: 'bold',
      size: 9,
      hue: 'alarm',
    });
  facts(sheet, lot);
  map(sheet, dossier);
  trail(sheet, dossier);
  cups(sheet, dossier);
  for (const recipe of dossier.recipes) signatures(sheet, recipe, dossier.proofs);
  return sheet.done();
}

function facts(sheet: Sheet, lot: LotView): void {
  sheet.heading('Facts');
  const rows: [string, string | number | null][] = [
    ['Country', countryName(lot.country)],
    ['Producer', lot.producer],
    ['Fermentation', lot.fermentationNote],
    ['Drying', lot.drying],
    ['Harvest', lot.harvest],
    ['Density, g/L', lot.densityGPerL],
    ['Moisture, %', lot.moisturePercent],
    ['Supplier', lot.supplier],
    ['Label notes', lot.labelNotes.join(', ')],
    [
      'Roast batches',
      lot.roastBatches.map(({ roastedOn, level }) => `${roastedOn}${level ? ` ${level}` : ''}`).join(', '),
    ],
    ['Coffee used, g', Math.round(lot.gramsBrewedG)],
  ];
  for (const [name, value] of rows) {
    if (value === null || value === '') continue;
    const y = sheet.y;
    sheet.put(name, sheet.left, y, { size: SMALL, hue: 'quiet', width: 90 });
    sheet.y = sheet.put(String(value), sheet.left + 95, y, { size: SMALL });
  }
}

/** Where the brews lie: strength over yield, with the window of the house. */
function map(sheet: Sheet, { brews, window }: Dossier): void {
  const points = brews.flatMap(({ number, result, isSetAside }) =>
    result && !isSetAside
      ? [{ number, strength: result.strength.meanPercent, extraction: result.yield.yieldPercent }]
      : [],
  );
  if (points.length === 0) return;
  sheet.need(mm(75));
  sheet.heading('Strength over yield');
  const box = { x: sheet.left + 24, y: sheet.y, width: mm(110), height: mm(58) };
  const spread = (values: number[], margin: number): [number, number] => [
    Math.min(...values) - margin,
    Math.max(...values) + margin,
  ];
  const x = scaleLinear(
    spread(
      [...points.map(({ extraction }) => extraction), window.yieldLowPercent, window.yieldHighPercent],
      0.5,
    ),
    [box.x, box.x + box.width],
  ).nice(5);
  const y = scaleLinear(
    spread([...points.map(({ strength }) => strength), window.tdsLowPercent, window.tdsHighPercent], 0.03),
    [box.y + box.height, box.y],
  ).nice(5);
  const { doc } = sheet;
  doc.rect(
    x(window.yieldLowPercent),
    y(window.tdsHighPercent),
    x(window.yieldHighPercent) - x(window.yieldLowPercent),
    y(window.tdsLowPercent) - y(window.tdsHighPercent),
  );
  doc.lineWidth(0.6).dash(2, { space: 2 }).strokeColor(HUE.quiet).stroke().undash();
  doc.rect(box.x, box.y, box.width, box.height).lineWidth(0.5).strokeColor(HUE.rule).stroke();
  for (const tick of x.ticks(5))
    sheet.put(`${tick}`, x(tick) - 12, box.y + box.height + 3, {
      size: 7,
      hue: 'yield',
      width: 24,
      align: 'center',
    });
  for (const tick of y.ticks(5))
    sheet.put(tick.toFixed(2), box.x - 26, y(tick) - 4, {
      size: 7,
      hue: 'strength',
      width: 22,
      align: 'right',
    });
  for (const { number, strength, extraction } of points) {
    doc.circle(x(extraction), y(strength), 2.5).fillColor(HUE.ink).fill();
    // Where another one is near on the right, on the left.
    const isCrowded = points.some(
      (other) =>
        other.number !== number &&
        x(other.extraction) >= x(extraction) &&
        x(other.extraction) - x(extraction) < 16,
    );
    const at = x(extraction) + (isCrowded ? -14 : 4);
    sheet.put(String(number), at, y(strength) - 9, { font: 'bold', size: 8, width: 20 });
  }
  sheet.put('yield, %', box.x + box.width - 40, box.y + box.height + 12, { size: 7, hue: 'yield' });
  sheet.put('strength, % TDS', box.x + 4, box.y + 3, { size: 7, hue: 'strength' });
  sheet.y = box.y + box.height + 22;
}

function trail(sheet: Sheet, { brews }: Dossier): void {
  if (brews.length === 0) return;
  sheet.need(80);
  sheet.heading('Trail of brews');
  for (const [index, brew] of brews.entries()) {
    const before = brews.slice(0, index).findLast(({ recipeId }) => recipeId === brew.recipeId);
    const changed = before ? planChanges({ from: before.plan, to: brew.plan }) : [];
    const drainS = markedDrainS(brew);
    const figures = [
      brew.result ? `${brew.result.strength.meanPercent.toFixed(2)} %` : 'not read',
      brew.result?.yield.basis === 'weighed' ? `${brew.result.yield.yieldPercent.toFixed(1)} % yield` : '',
      drainS === null ? '' : formatDuration(drainS),
      brew.verdict === null ? '' : brew.verdict.replaceAll('-', ' '),
      brew.isSetAside ? 'excluded' : '',
    ].filter(Boolean);
    sheet.need(30);
    const y = sheet.y;
    sheet.put(`Brew ${brew.number}`, sheet.left, y, { font: 'bold', size: SMALL, width: 60 });
    sheet.put(
      `${brew.startedAt.slice(0, 10)}, ${brew.brewedBy}, ${brew.brewerName}, version ${brew.versionNumber}`,
      sheet.left + 60,
      y,
      { size: SMALL, width: 230 },
    );
    sheet.y = sheet.put(figures.join(', '), sheet.left + 295, y, { font: 'readings', size: SMALL });
    const readings = brew.readings.map(({ tdsPercent }) => tdsPercent.toFixed(2)).join(', ');
    const more = [
      changed.map(({ figure, from, to }) => `${figure} ${from} to ${to}`).join(', '),
      readings === '' ? '' : `readings ${readings}`,
      brew.fractions.length === 0
        ? ''
        : `cups ${brew.fractions.map(({ endS, beverageG, tdsPercent }) => `to ${formatDuration(endS)} ${beverageG} g${tdsPercent === null ? '' : ` ${tdsPercent.toFixed(2)} %`}`).join('; ')}`,
      brew.note,
    ].filter(Boolean);
    if (more.length > 0)
      sheet.y = sheet.put(more.join('. '), sheet.left + 60, sheet.y, { size: SMALL - 1, hue: 'quiet' });
    sheet.rule();
  }
}

const STAGES: Record<TastingStage, string> = { hot: 'hot', warm: 'warm', cool: 'cool' };

function cups(sheet: Sheet, { brews }: Dossier): void {
  const tasted = brews.filter(({ tastings }) => tastings.length > 0);
  if (tasted.length === 0) return;
  sheet.need(60);
  sheet.heading('At the cup');
  for (const { number, tastings, verdictReason } of tasted) {
    for (const { by, stage, notes, overall } of tastings) {
      sheet.need(24);
      const y = sheet.y;
      sheet.put(`Brew ${number}, ${STAGES[stage]}`, sheet.left, y, { font: 'bold', size: SMALL, width: 90 });
      sheet.put(by, sheet.left + 92, y, { size: SMALL, width: 95 });
      const liked = overall === null ? '' : ` Liked ${overall} of 9.`;
      sheet.y = sheet.put(`${notes || '–'}.${liked}`, sheet.left + 190, y, { size: SMALL });
    }
    if (verdictReason) sheet.line(`Verdict: ${verdictReason}`, { size: SMALL - 1, hue: 'quiet' });
    sheet.rule();
  }
}

function signatures(sheet: Sheet, recipe: RecipeView, proofs: ReadonlyMap<number, Proof>): void {
  sheet.need(90);
  sheet.heading(`${recipe.brewerName}: versions, proof and signatures`);
  for (const version of recipe.versions) {
    const signed = [
      `written by ${version.created.by}, ${version.created.at.slice(0, 10)}`,
      ...(version.accepted
        ? [`accepted by ${version.accepted.by}, ${version.accepted.at.slice(0, 10)}`]
        : []),
      ...(version.signedOff
        ? [`signed off by ${version.signedOff.by}, ${version.signedOff.at.slice(0, 10)}`]
        : []),
    ];
    sheet.need(24);
    const y = sheet.y;
    sheet.put(`Version ${version.number}`, sheet.left, y, { font: 'bold', size: SMALL, width: 60 });
    sheet.y = sheet.put(`${signed.join('; ')}. ${version.note}`, sheet.left + 60, y, { size: SMALL });
    for (const { check, state, finding, waiver } of proofs.get(version.id)?.checks ?? []) {
      const reason = state === 'waived' && waiver ? ` Waived: ${waiver.reason}` : '';
      sheet.need(16);
      sheet.y = sheet.put(
        `${state === 'met' ? 'holds' : state}: ${CHECK_NAMES[check]}. ${findingWords(finding)}${reason}`,
        sheet.left + 60,
        sheet.y,
        { size: SMALL - 1, hue: 'quiet' },
      );
    }
    sheet.rule();
  }
  for (const { versionNumber, publishedBy, publishedAt, slug, withdrawnAt } of recipe.publications) {
    sheet.line(
      `Version ${versionNumber} published by ${publishedBy}, ${publishedAt.slice(0, 10)}, /r/${slug}${withdrawnAt === null ? '' : `, until ${withdrawnAt.slice(0, 10)}`}`,
      { size: SMALL },
    );
  }
}
