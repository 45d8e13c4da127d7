import type { BenchEvent } from './benchEvents.js';
import type { PreparationTask } from './preparation.js';

/** An event as records kept it before an event said its facts: one figure, and the rest in words. */
interface WordyEvent {
  kind: BenchEvent['kind'];
  atS: number;
  figure: number | null;
  text: string;
}

/** The words of then, by what they meant. */
const TASK_BY_WORDS: Readonly<Record<string, PreparationTask>> = {
  'kettle not at temperature': 'water',
  'paper not rinsed': 'rinse',
  'rinse water not discarded': 'discard',
  'dose not weighed': 'weigh',
  'grinder not set': 'grind',
  'bed not shaken flat': 'level',
  'no chilled ball': 'chill-ball',
  'no flow regulator': 'regulator',
  'scale not tared': 'tare',
};
const SIMULATED_BY_NAME = 'Simulated thermometer';

/** The events of a record, whichever version kept them. */
export function eventsOfRecord(kept: readonly (BenchEvent | WordyEvent)[]): BenchEvent[] {
  return kept.flatMap((event) => ('text' in event ? (saidInFacts(event) ?? []) : [event]));
}

/** @returns `null` where the words say nothing that is known */
function saidInFacts({ kind, atS, figure, text }: WordyEvent): BenchEvent | null {
  switch (kind) {
    case 'not-prepared': {
      const task = TASK_BY_WORDS[text];
      return task ? { kind, atS, task } : null;
    }
    case 'agitated':
      return { kind, atS, how: text === 'Stir' ? 'stir' : 'swirl' };
    case 'cup-changed':
      return { kind, atS, massG: figure };
    case 'kettle-read':
      return figure === null
        ? null
        : { kind, atS, kettleC: figure, instrument: text, isSimulated: text === SIMULATED_BY_NAME };
    case 'totals-moved':
      return { kind, atS, fromPour: Number(/\d+/.exec(text)?.[0] ?? 1), byG: figure ?? 0 };
    case 'scale-lost':
    case 'scale-back':
      return { kind, atS, scale: text };
    case 'clock-off':
      return { kind, atS, said: text };
    // Younger than the records that kept words.
    case 'fines-weighed':
    case 'not-served':
      return null;
    case 'first-drip':
    case 'bed-shows':
    case 'water-stands':
      return { kind, atS };
  }
}
