/** What may happen around a brew beside its steps; what was left out before it stands at its start. */
export const BENCH_EVENTS = [
  'not-prepared',
  'agitated',
  'cup-changed',
  'kettle-read',
  'first-drip',
  'bed-shows',
  'water-stands',
  'totals-moved',
  'scale-lost',
  'clock-off',
] as const;
export type BenchEventKind = (typeof BENCH_EVENTS)[number];

/** Something that happened during a brew, on its clock. */
export interface BenchEvent {
  kind: BenchEventKind;
  atS: number;
  /** C at the kettle, g by which totals moved; `null` where it has none. */
  figure: number | null;
  text: string;
}

/** What was done to the bed beside the plan, by the words that the bench writes down for it. */
export const ADDED_AGITATION = { swirl: 'Swirl', stir: 'Stir' } as const;

/** Agitation that no step of the plan asked for. */
export function addedAgitation(events: readonly BenchEvent[]): { atS: number; kind: 'swirl' | 'stir' }[] {
  return events
    .filter(({ kind }) => kind === 'agitated')
    .map(({ atS, text }) => ({ atS, kind: text === ADDED_AGITATION.stir ? 'stir' : 'swirl' }));
}

/**
 * What was read at the kettle for each pour, C, `null` where nobody read it. A reading belongs to the pour that
 * began nearest to it, since a mark may have been mended after; the last word counts.
 *
 * @param startsS - when each pour began, s
 */
export function kettleReadsC(
  events: readonly BenchEvent[],
  startsS: readonly (number | null)[],
): (number | null)[] {
  const reads: (number | null)[] = startsS.map(() => null);
  for (const { kind, atS, figure } of events) {
    if (kind !== 'kettle-read' || figure === null) continue;
    let nearest: { index: number; awayS: number } | null = null;
    for (const [index, startS] of startsS.entries()) {
      if (startS === null) continue;
      const awayS = Math.abs(atS - startS);
      if (nearest === null || awayS < nearest.awayS) nearest = { index, awayS };
    }
    if (nearest) reads[nearest.index] = figure;
  }
  return reads;
}
