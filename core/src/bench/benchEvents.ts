import type { PreparationTask } from './preparation.js';
import type { ServingTask } from './serving.js';

/** What may happen around a brew beside its steps, on its clock; what was left out before it stands at its start. */
export type BenchEvent = { atS: number } & (
  | { kind: 'not-prepared'; task: PreparationTask }
  /** What fell through the sieve before the brew, as weighed. */
  | { kind: 'fines-weighed'; finesG: number }
  | { kind: 'agitated'; how: AddedAgitation }
  /** With what the scale under everything showed then; `null` where none was read. */
  | { kind: 'cup-changed'; massG: number | null }
  /** At the moment that its pour began; by eye where no instrument is named. */
  | { kind: 'kettle-read'; kettleC: number; instrument: string; isSimulated: boolean }
  | { kind: 'first-drip' }
  | { kind: 'bed-shows' }
  | { kind: 'water-stands' }
  | { kind: 'totals-moved'; fromPour: number; byG: number }
  /** What the plan does with the finished beverage was left out. */
  | { kind: 'not-served'; serving: ServingTask }
  | { kind: 'scale-lost'; scale: string }
  | { kind: 'scale-back'; scale: string }
  /** The device's clock was off, and said this moment at the start. */
  | { kind: 'clock-off'; said: string }
);
export type BenchEventKind = BenchEvent['kind'];

/** What may be done to the bed beside the plan. */
export type AddedAgitation = 'swirl' | 'stir';

/** Agitation that no step of the plan asked for. */
export function addedAgitation(events: readonly BenchEvent[]): { atS: number; kind: AddedAgitation }[] {
  return events.flatMap((event) => (event.kind === 'agitated' ? [{ atS: event.atS, kind: event.how }] : []));
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
  for (const event of events) {
    if (event.kind !== 'kettle-read') continue;
    let nearest: { index: number; awayS: number } | null = null;
    for (const [index, startS] of startsS.entries()) {
      if (startS === null) continue;
      const awayS = Math.abs(event.atS - startS);
      if (nearest === null || awayS < nearest.awayS) nearest = { index, awayS };
    }
    if (nearest) reads[nearest.index] = event.kettleC;
  }
  return reads;
}
