import { BREWER_CLASSES, DEFAULT_LOT, PAPER_PER_M, seededRandom, type BrewModelInput } from '@vendu/core';

/** The brew that all timing is done on: three pours in a cone, just under three minutes. */
export const REFERENCE_BREW: BrewModelInput = {
  doseG: 15,
  grind: { d50Um: 680 },
  kettleC: 96,
  pours: [
    { startS: 0, amountG: 50, flowGps: 5 },
    { startS: 30, amountG: 100, flowGps: 5 },
    { startS: 70, amountG: 100, flowGps: 5 },
  ],
  agitation: [{ atS: 10, kind: 'swirl' }],
  brewer: BREWER_CLASSES.cone,
  paperPerM: PAPER_PER_M.ordinary,
  lot: DEFAULT_LOT,
  ambientC: 22,
  elevationM: 0,
};

/** A recipe nobody chose: any dose, grind, heat, pours, brewer and lot that a bench may see. */
export function randomBrew(seed: number): BrewModelInput {
  const random = seededRandom(seed);
  const between = (low: number, high: number) => low + random() * (high - low);
  const doseG = between(10, 40);
  const pourCount = 1 + Math.floor(random() * 5);
  const flowGps = between(4, 10);
  const amountG = (doseG * between(14.5, 17.5)) / pourCount;
  const everyS = amountG / flowGps + between(5, 40);
  const shape = doseG > 22 ? 'carafe' : random() < 0.5 ? 'cone' : 'flat-bottom';
  return {
    ...REFERENCE_BREW,
    doseG,
    grind: { d50Um: between(450, 1200) },
    kettleC: between(88, 98),
    pours: Array.from({ length: pourCount }, (_, index) => ({ startS: index * everyS, amountG, flowGps })),
    agitation: random() < 0.5 ? [{ atS: between(5, 40), kind: 'swirl' }] : [],
    brewer: BREWER_CLASSES[shape],
    paperPerM: PAPER_PER_M[shape === 'carafe' ? 'thick' : shape === 'cone' ? 'ordinary' : 'fast'],
    lot: {
      ...DEFAULT_LOT,
      solubility: between(0.9, 1.1),
      rate: between(0.7, 1.4),
      permeability: between(0.7, 1.4),
      clogging: between(0.6, 1.6),
    },
  };
}
