import {
  addedAgitation,
  formatSigned,
  kettleReadsC,
  planAgainstActual,
  pouredAtC,
  type Departure,
} from '@vendu/core';
import { AGITATION_NAMES } from '../ui/words';
import { LEFT_OUT_WORDS, NOT_SERVED_WORDS } from './leftOutWords';
import type { BrewView } from '@vendu/contract';

type Done = Pick<BrewView, 'plan' | 'steps' | 'events' | 'doseG' | 'kit'>;

/** What was done differently than planned, in figures: `12.4 g for 12 g`. */
export function departureWords(departure: Departure, { plan, steps, events, doseG, kit }: Done): string {
  const rows = planAgainstActual({ plan, done: steps });
  const pours = rows.filter(({ step }) => step.kind === 'pour');
  switch (departure) {
    case 'preparation':
      return events
        .flatMap((event) => (event.kind === 'not-prepared' ? [LEFT_OUT_WORDS[event.task]] : []))
        .join(', ');
    case 'dose':
      return `dose ${doseG} g for ${plan.doseG} g`;
    case 'totals':
      return `totals off by ${listed(pours.map(({ overByG }) => overByG))} g`;
    case 'times':
      return `pours late by ${listed(pours.map(({ step, doneS }) => (doneS === null ? null : doneS - step.plannedS)))} s`;
    case 'agitation':
      return [
        ...rows.flatMap(({ step, skipped }) =>
          step.kind === 'agitate' && skipped && step.onlyIf === null
            ? [`${AGITATION_NAMES[step.how]} skipped`]
            : [],
        ),
        ...rows.flatMap(({ step, doneS }) =>
          step.kind === 'agitate' && step.onlyIf !== null && doneS !== null
            ? [`${AGITATION_NAMES[step.how]} done that was left open`]
            : [],
        ),
        ...addedAgitation(events).map(({ kind }) => `${kind} added`),
      ].join(', ');
    case 'serving':
      return events
        .flatMap((event) => (event.kind === 'not-served' ? [NOT_SERVED_WORDS[event.serving]] : []))
        .join(', ');
    case 'kettle': {
      const reads = kettleReadsC(
        events,
        pours.map(({ doneS }) => doneS),
      );
      const planned = pouredAtC(plan, kit?.lab?.roomC);
      return `kettle off by ${listed(reads.map((readC, index) => (readC === null ? null : readC - (planned[index] ?? readC))))} °C`;
    }
  }
}

/** Each pour's miss with its sign; a dash where nobody wrote it down. */
function listed(misses: readonly (number | null)[]): string {
  return misses
    .map((miss) => (miss === null ? '–' : formatSigned(miss, Number.isInteger(miss) ? 0 : 1)))
    .join(', ');
}
