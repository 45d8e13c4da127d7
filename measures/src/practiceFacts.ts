import {
  BREWER_CLASSES,
  DEFAULT_LOT,
  PAPER_PER_M,
  simulateBrew,
  valueOf,
  type BrewModelInput,
} from '@vendu/core';
import { fixed, table } from './report.js';

interface Fact {
  name: string;
  brew: Partial<BrewModelInput>;
  target: string;
}

const pours = (flowGps: number, ...list: [startS: number, amountG: number][]) =>
  list.map(([startS, amountG]) => ({ startS, amountG, flowGps }));
const cone = { brewer: BREWER_CLASSES.cone, paperPerM: PAPER_PER_M.ordinary };
// Those facts were met with a little less soluble in the coffee, 0.275 of the dose instead of 0.29.
const flat = {
  brewer: BREWER_CLASSES['flat-bottom'],
  paperPerM: PAPER_PER_M.fast,
  lot: { ...DEFAULT_LOT, solubility: 0.275 / 0.29 },
};

/**
 * Brews of common practice that the constants were calibrated on: reproducing them is no validation. What practice
 * left unsaid - flows, some times, swirls - is assumed here as there; the sizes stand for words such as "medium".
 */
const FACTS: Fact[] = [
  {
    name: 'cone, 15/250, medium-fine, 96 °C, 3 pours',
    brew: {
      ...cone,
      doseG: 15,
      grind: { d50Um: 679 },
      kettleC: 96,
      pours: pours(5, [0, 50], [30, 100], [70, 100]),
      agitation: [{ atS: 10, kind: 'swirl' }],
    },
    target: '165 s',
  },
  {
    name: 'cone, 22/360, medium-coarse, 4 pours',
    brew: {
      ...cone,
      doseG: 22,
      grind: { d50Um: 774 },
      kettleC: 95,
      pours: pours(7, [0, 60], [40, 100], [75, 100], [110, 100]),
    },
    target: '180-190 s',
  },
  {
    name: 'cone, 15/240, medium-coarse, no agitation',
    brew: {
      ...cone,
      doseG: 15,
      grind: { d50Um: 946 },
      kettleC: 94,
      pours: pours(5, [0, 50], [35, 95], [75, 95]),
    },
    target: '130-135 s',
  },
  {
    name: 'flat bottom, 16/240, fine, fast paper',
    brew: {
      ...flat,
      doseG: 16,
      grind: { d50Um: 630 },
      kettleC: 94,
      pours: pours(5, [0, 60], [30, 90], [70, 90]),
    },
    target: '145 s, 1.35 %, 17.9 points, 212 g',
  },
  {
    name: 'flat bottom, 12/200, even feed over 145 s',
    brew: { ...flat, doseG: 12, grind: { d50Um: 630 }, kettleC: 94, pours: pours(200 / 145, [0, 200]) },
    target: '170-180 s, 1.35 %',
  },
  {
    name: 'cone, thick paper, 14/200, very coarse, 88 °C, 5 pours',
    brew: {
      ...cone,
      paperPerM: PAPER_PER_M.thick,
      doseG: 14,
      grind: { d50Um: 1116 },
      kettleC: 88,
      pours: pours(5, [0, 40], [35, 40], [70, 40], [105, 40], [140, 40]),
    },
    target: '200 s, 1.25 %, slurry 80 °C',
  },
  {
    name: 'carafe, thick paper, 30/500, medium-coarse',
    brew: {
      brewer: BREWER_CLASSES.carafe,
      paperPerM: PAPER_PER_M.thick,
      doseG: 30,
      grind: { d50Um: 856 },
      kettleC: 94,
      pours: pours(7, [0, 80], [45, 140], [90, 140], [135, 140]),
    },
    target: '240-300 s',
  },
  {
    name: 'cone, 20/300 in one pour, coarse, 90 °C',
    brew: { ...cone, doseG: 20, grind: { d50Um: 873 }, kettleC: 90, pours: pours(7, [0, 300]) },
    target: '97 s',
  },
  {
    name: 'the same after a bloom of 45 s',
    brew: { ...cone, doseG: 20, grind: { d50Um: 873 }, kettleC: 90, pours: pours(7, [0, 60], [45, 240]) },
    target: '148 s',
  },
];

export function practiceFacts(): string {
  const rows = FACTS.map(({ name, brew, target }) => {
    const { drawdownS, tdsPercent, yieldPercent, beverageG, series } = valueOf(
      simulateBrew({
        doseG: 15,
        grind: { d50Um: 700 },
        kettleC: 94,
        pours: [],
        agitation: [],
        ...cone,
        lot: DEFAULT_LOT,
        ambientC: 22,
        elevationM: 0,
        ...brew,
      }),
    );
    const hottestC = Math.max(...series.slurryC);
    return [
      name,
      target,
      `${fixed(drawdownS ?? 0, 0)} s`,
      fixed(tdsPercent, 2),
      fixed(yieldPercent, 1),
      fixed(beverageG, 0),
      fixed(hottestC, 0),
    ];
  });
  return [
    '## Brews of practice',
    '',
    'The constants were calibrated on these: it is no validation. What practice left unsaid (flows, some times, swirls) is assumed.',
    '',
    table(['brew', 'practice', 'drains', 'TDS %', 'yield', 'cup, g', 'slurry at most, °C'], rows),
  ].join('\n');
}
