import { EMPTY_SHEET, INTENSITIES, type Intensity, type TastingSheet, type TastingStage } from '@vendu/core';
import type { DemoBrew } from './scenario.js';

/** A sheet of the demo, and by which of its people. */
export interface InventedSheet extends TastingSheet {
  by: number;
  stage: TastingStage;
  /** After the start of the brew, min. */
  afterMin: number;
}

/** Who tastes a brew of whom, its brewer first: the lead, and of each shift who is there. */
const TASTERS = [
  [0, 1, 2],
  [1, 2, 0],
  [2, 0, 1],
  [3, 1, 0],
  [4, 2, 0],
] as const;
/** The one who finds cups drier than the others do, by so many points. */
const DRY_TASTER = { by: 2, points: 1 };
const AFTER_MIN: Record<TastingStage, number> = { hot: 6, warm: 22, cool: 61 };
/** What a sheet of the scenario leaves open is as in most cups. */
const USUAL: Record<Intensity, number> = {
  acidity: 5,
  sweetness: 5,
  body: 5,
  bitterness: 3,
  dryness: 3,
  clarity: 6,
  aftertaste: 5,
};
/** Which way the others' scores may leave those of the scenario: never to where its story would have another fault. */
const STRAYS: Record<Intensity, readonly number[]> = {
  acidity: [0, -1],
  sweetness: [0, 1],
  body: [0, 1],
  bitterness: [0, -1],
  dryness: [0, 0, -1],
  clarity: [0, 1],
  aftertaste: [-1, 0, 1],
};
const LIKED = { 'on-aim': 8, close: 6, 'off-aim': 4 } as const;

/** Everybody tastes a brew of the demo: its brewer as the scenario says, the others a little otherwise. */
export function inventSheets(brew: DemoBrew, random: () => number): InventedSheet[] {
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;
  const overall = brew.verdict ? LIKED[brew.verdict.verdict] : 5;
  return (brew.tastings ?? []).flatMap(({ stage, notes, intensities, ...told }) =>
    (TASTERS[brew.by] ?? []).map((by, place): InventedSheet => {
      const isBrewer = place === 0;
      const scored = scores((attribute) => {
        const own = intensities[attribute] ?? USUAL[attribute];
        const drier = attribute === 'dryness' && by === DRY_TASTER.by ? DRY_TASTER.points : 0;
        return Math.max(0, Math.min(10, own + drier + (isBrewer ? 0 : pick(STRAYS[attribute]))));
      });
      return {
        ...EMPTY_SHEET,
        ...(isBrewer ? told : {}),
        by,
        stage,
        afterMin: AFTER_MIN[stage] + place,
        notes: isBrewer ? notes : pick(notes.split(', ')),
        intensities: scored,
        likings: scores(() => Math.max(1, Math.min(9, overall + pick([-1, 0, 0, 1])))),
        overall: Math.max(1, Math.min(9, overall + (isBrewer ? 0 : pick([-1, 0, 0, 1])))),
        vessel: 'cup',
        isSpat: !isBrewer,
      };
    }),
  );
}

function scores(of: (attribute: Intensity) => number): Record<Intensity, number> {
  return Object.fromEntries(INTENSITIES.map((attribute) => [attribute, of(attribute)])) as Record<
    Intensity,
    number
  >;
}
