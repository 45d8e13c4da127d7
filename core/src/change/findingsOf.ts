import type { BenchEvent } from '../bench/benchEvents.js';
import type { StepDone } from '../bench/planAgainstActual.js';
import { benchSteps } from '../bench/benchSteps.js';
import { pourEndS, type BrewPlan } from '../plan/plan.js';
import type { Intensity, TastingStage, Verdict } from '../vocabulary.js';
import { saidIn } from '../text/saidIn.js';
import { FINDINGS, type Finding } from './findings.js';

/** One tasting of a brew, as far as a finding needs it. */
export interface Tasted {
  stage: TastingStage;
  by: string;
  notes: string;
  intensities: Readonly<Record<Intensity, number | null>>;
  /** Ticked on the sheet. */
  faults: readonly Finding[];
}

/** What a record says against the aim, and where it says so. */
export interface FoundIn {
  finding: Finding;
  /** As "warm, Tamsin: dryness 7" or "bench, 1:20". */
  where: FindingSource;
}
export type FindingSource =
  | { kind: 'ticked'; stage: TastingStage; by: string }
  | { kind: 'scored'; stage: TastingStage; by: string; attribute: Intensity; score: number }
  | { kind: 'noted'; stage: TastingStage; by: string; word: string }
  | { kind: 'verdict'; word: string }
  | { kind: 'bed'; atS: number }
  | { kind: 'drain'; atS: number; plannedS: number };

/** Words of tasters for each finding (common practice). */
const WORDS: Partial<Record<Finding, RegExp>> = {
  sour: /\b(sour|tart|sharp|lemon rind)\b/i,
  watery: /\b(watery|thin|weak|hollow)\b/i,
  bitter: /\b(bitter|metallic)\b/i,
  dry: /\b(dry|drying|dries|astringent|tannic)\b/i,
  muddled: /\b(muddled|muddy|blurred)\b/i,
  boozy: /\b(boozy|liquorice|harsh ferment)\b/i,
  flat: /\b(flat|dull)\b/i,
};
/** What a taster finds; the rest is seen on the bed and the clock. */
export const TASTED_FINDINGS: readonly Finding[] = [
  ...FINDINGS.filter((finding) => finding in WORDS),
  'sour-and-bitter',
];

/** From where on a score of 0 to 10 is a fault by itself (assumed). */
const SCORED: { finding: Finding; attribute: Intensity; isFault: (score: number) => boolean }[] = [
  { finding: 'sour', attribute: 'acidity', isFault: (score) => score >= 8 },
  { finding: 'watery', attribute: 'body', isFault: (score) => score <= 2 },
  { finding: 'bitter', attribute: 'bitterness', isFault: (score) => score >= 6 },
  { finding: 'dry', attribute: 'dryness', isFault: (score) => score >= 6 },
  { finding: 'muddled', attribute: 'clarity', isFault: (score) => score <= 2 },
];
/** An acidity that so much sweetness carries is no sourness (assumed). */
const CARRIED_BY_SWEETNESS = 5;

/** Drained this much later, or earlier, than planned is a stall or a rush (assumed). */
const STALLED = 1.5;
const RUSHED = 0.7;

/**
 * What the record of a brew says against its aim without being asked again: scores, words, verdict, bed and drain.
 * A note is a fault only against the aim: a brew whose verdict is "on aim" has no fault of taste.
 */
export function findingsOf({
  tastings,
  verdict,
  verdictReason,
  plan,
  steps,
  events,
}: {
  tastings: readonly Tasted[];
  verdict: Verdict | null;
  verdictReason: string;
  plan: BrewPlan;
  steps: readonly StepDone[];
  events: readonly BenchEvent[];
}): FoundIn[] {
  const tasted =
    verdict === 'on-aim'
      ? []
      : [
          ...tastings.flatMap(foundInTasting),
          ...wordsIn(verdictReason, (word) => ({ kind: 'verdict', word })),
        ];
  const found = [...tasted, ...seenOnBed(plan, steps, events), ...drained(plan, steps)];
  const first = FINDINGS.flatMap((finding) => found.find((each) => each.finding === finding) ?? []);
  return together(first);
}

function foundInTasting({ stage, by, notes, intensities, faults }: Tasted): FoundIn[] {
  const ticked = faults.map((finding): FoundIn => ({ finding, where: { kind: 'ticked', stage, by } }));
  const scored = SCORED.flatMap(({ finding, attribute, isFault }): FoundIn[] => {
    const score = intensities[attribute];
    if (score === null || !isFault(score)) return [];
    if (finding === 'sour' && (intensities.sweetness ?? 0) >= CARRIED_BY_SWEETNESS) return [];
    return [{ finding, where: { kind: 'scored', stage, by, attribute, score } }];
  });
  return [...ticked, ...scored, ...wordsIn(notes, (word) => ({ kind: 'noted', stage, by, word }))];
}

function wordsIn(text: string, where: (word: string) => FindingSource): FoundIn[] {
  return (Object.entries(WORDS) as [Finding, RegExp][]).flatMap(([finding, words]) => {
    const word = saidIn(text, words);
    return word === null ? [] : [{ finding, where: where(word) }];
  });
}

/** The bed running dry, or water standing, before a pour that was still to come. */
function seenOnBed(plan: BrewPlan, steps: readonly StepDone[], events: readonly BenchEvent[]): FoundIn[] {
  const planned = benchSteps(plan);
  const starts = steps.flatMap(({ stepIndex, atS, skipped }) => {
    const step = planned[stepIndex];
    return step?.kind === 'pour' && !skipped ? [{ atS, pour: plan.pours[step.pourNumber - 1] }] : [];
  });
  return events.flatMap(({ kind, atS }): FoundIn[] => {
    const next = starts.find((start) => start.atS > atS);
    const before = starts.findLast((start) => start.atS <= atS);
    if (!next || !before?.pour) return [];
    // After a bloom the bed is meant to show.
    if (kind === 'bed-shows') {
      return before.pour.isBloom ? [] : [{ finding: 'bed-dry', where: { kind: 'bed', atS } }];
    }
    // Water stands on the bed while it is being poured, whatever the grind.
    const pouredS = pourEndS(before.pour) - before.pour.startS;
    const isLate = atS - before.atS - pouredS > 0.8 * (next.atS - before.atS - pouredS);
    return kind === 'water-stands' && isLate ? [{ finding: 'level-high', where: { kind: 'bed', atS } }] : [];
  });
}

function drained(plan: BrewPlan, steps: readonly StepDone[]): FoundIn[] {
  const last = benchSteps(plan).length - 1;
  const end = steps.find(({ stepIndex, skipped }) => stepIndex === last && !skipped);
  if (!end || plan.lifts) return [];
  const where: FindingSource = { kind: 'drain', atS: end.atS, plannedS: plan.drawdownS };
  if (end.atS > STALLED * plan.drawdownS) return [{ finding: 'stalled', where }];
  return end.atS < RUSHED * plan.drawdownS ? [{ finding: 'drained-fast', where }] : [];
}

/** Sour and bitter in one cup is a finding of its own: uneven, not too little and too much. */
function together(found: readonly FoundIn[]): FoundIn[] {
  const sour = found.find(({ finding }) => finding === 'sour');
  const bitter = found.find(({ finding }) => finding === 'bitter');
  if (!sour || !bitter) return [...found];
  const others = found.filter((each) => each !== sour && each !== bitter);
  return [...others, { finding: 'sour-and-bitter', where: sour.where }];
}
