import type { BenchEvent } from '../bench/benchEvents.js';
import type { StepDone } from '../bench/planAgainstActual.js';
import type { Happening } from './brewEntry.js';
import { withEntry, type BrewLog } from './brewLog.js';

/** Who tells what was known of a brew before there were logs: the same wherever it is brought up, so that nothing is told twice. */
export const BEFORE_LOGS = 'before there were logs';

/** A log that one device told, of what happened in this order. */
export function logOf(device: string, happened: readonly (Happening & { atMs: number })[]): BrewLog {
  return happened.reduce<BrewLog>((log, each) => withEntry(log, device, each), []);
}

/**
 * The log of a brew of which only the record is known: its steps and events, each at its time. Folded it gives the same
 * record.
 *
 * @param startMs - when its clock was started, Unix time, ms
 */
export function logOfRecord({
  device,
  startMs,
  steps,
  events,
  note = '',
}: {
  device: string;
  startMs: number;
  steps: readonly StepDone[];
  events: readonly BenchEvent[];
  note?: string;
}): BrewLog {
  const at = (atS: number) => startMs + Math.round(atS * 1000);
  const told = [
    ...steps.flatMap((step) => stepTold(step, at(step.atS))),
    ...events.flatMap((event) => eventTold(event, steps, at(event.atS))),
  ];
  const isBefore = ({ kind }: Happening) => kind === 'left-out' || kind === 'prepared' || kind === 'weighed';
  return logOf(device, [
    ...told.filter(isBefore),
    // Stable: at one moment a mark stands before what was read at it.
    ...told.filter((each) => !isBefore(each)).sort((a, b) => a.atMs - b.atMs),
    ...(note === '' ? [] : [{ kind: 'noted' as const, atMs: at(steps.at(-1)?.atS ?? 0), text: note }]),
  ]);
}

type Told = Happening & { atMs: number };

function stepTold({ stepIndex, skipped, totalG }: StepDone, atMs: number): Told[] {
  const mark: Told = { kind: 'marked', atMs, stepIndex, skipped, by: 'hand' };
  return totalG === null ? [mark] : [mark, { kind: 'total-read', atMs, stepIndex, totalG }];
}

function eventTold(event: BenchEvent, steps: readonly StepDone[], atMs: number): Told[] {
  switch (event.kind) {
    case 'not-prepared':
      return [{ kind: 'left-out', atMs, task: event.task }];
    case 'fines-weighed':
      return [{ kind: 'weighed', atMs, what: 'fines', massG: event.finesG }];
    case 'agitated':
      return [{ kind: 'agitated', atMs, how: event.how }];
    case 'cup-changed':
      return [{ kind: 'cup-changed', atMs, massG: event.massG }];
    case 'kettle-read': {
      const { kettleC, instrument, isSimulated } = event;
      // Read when its pour began.
      const { stepIndex = 0 } = steps.findLast(({ atS }) => atS <= event.atS) ?? {};
      return [{ kind: 'kettle-read', atMs, stepIndex, kettleC, instrument, isSimulated }];
    }
    case 'first-drip':
      return [{ kind: 'first-drip', atMs }];
    case 'bed-shows':
    case 'water-stands':
      return [{ kind: 'bed-seen', atMs, shows: event.kind === 'bed-shows' }];
    case 'totals-moved':
      return [{ kind: 'miss-answered', atMs, pourNumber: event.fromPour - 1, byG: event.byG }];
    case 'not-served':
      return [{ kind: 'not-served', atMs, serving: event.serving }];
    case 'scale-lost':
    case 'scale-back':
      return [{ kind: event.kind, atMs, scale: event.scale }];
    case 'clock-off':
      // The server's own word, by its own clock.
      return [];
  }
}
