import type { BrewPlan } from '../plan/plan.js';
import { TASTING_STAGES, type Process, type TastingStage } from '../vocabulary.js';
import { PROOF_CHECKS, type ProofCheckId, type ProofChecklist } from './checklist.js';
import { precisionOf, type Precision } from './precision.js';
import { notCounted, type NotCounted, type ProofBrew } from './proofBrew.js';
import { apartOf, fromOthers, type Apart } from './apart.js';
import { grouped } from '../statistics/grouped.js';

/** What a lead let pass, and why. */
export interface Waiver {
  check: ProofCheckId;
  reason: string;
}

export interface ProofInput {
  checklist: ProofChecklist;
  plan: BrewPlan;
  /** Of the version, all of them. */
  brews: readonly ProofBrew[];
  /** The recipe's own. */
  grinder: string;
  /** Who wrote the version: of two who brewed it as often, the first hands. */
  author: string;
  /** `null` where the label promises nothing. */
  label: { found: number; of: number } | null;
  /** Of the model; `null` where nobody worked it out. */
  insideShare: number | null;
  lot: { process: Process; additions: string };
  waivers: readonly Waiver[];
}

/** What was looked at for a check, in figures. */
export type ProofFinding =
  | {
      check: 'repeats';
      have: number;
      need: number;
      apart: Apart | null;
      tooFarApart: readonly (keyof Apart)[];
    }
  | {
      check: 'second-hands';
      firstHands: string | null;
      others: readonly string[];
      /** None of the others had the card alone: they went by the bench. */
      notFromCard: boolean;
      offBy: readonly (keyof Apart)[];
    }
  | { check: 'second-grinder'; others: readonly string[]; offBy: readonly (keyof Apart)[] }
  | { check: 'forgiveness'; percent: number | null; need: number }
  | { check: 'three-stages'; missing: readonly TastingStage[] }
  | { check: 'label'; found: number; of: number; need: number }
  | { check: 'allergens'; additions: string; process: Process };

export interface ProofCheck {
  check: ProofCheckId;
  state: 'met' | 'missing' | 'waived';
  finding: ProofFinding;
  /** The brews that it rests on. */
  brewIds: readonly number[];
  /** `null` where nobody waived it. */
  waiver: Waiver | null;
}

export interface Proof {
  checks: ProofCheck[];
  /** Nothing is missing. */
  isProven: boolean;
  /** Brews of the version that prove nothing, and why. */
  notCounted: { id: number; why: NotCounted }[];
  /** As proven, over the brews that count; `null` without one. */
  strength: Precision | null;
  yield: Precision | null;
  drain: Precision | null;
  /** Of the brews that count, days; `null` without one. */
  roastAgeDays: { from: number; to: number } | null;
  hands: string[];
  grinders: string[];
  /** One person made all of it. */
  isOneHand: boolean;
}

/** What a version has shown, laid beside what it has to show. */
export function proofOf(input: ProofInput): Proof {
  const { brews, plan, waivers } = input;
  const judged = brews.map((brew) => ({ brew, why: notCounted(brew, plan) }));
  const counted = judged.filter(({ why }) => why === null).map(({ brew }) => brew);
  const looked: Record<ProofCheckId, Looked | null> = {
    repeats: repeats(counted, input),
    'second-hands': secondHands(counted, input),
    'second-grinder': secondGrinder(counted, input),
    forgiveness: forgivenessFound(input),
    'three-stages': threeStages(brews, input),
    label: labelFound(brews, input),
    allergens: allergens(input),
  };
  const checks = PROOF_CHECKS.flatMap((check): ProofCheck[] => {
    const found = looked[check];
    if (!found) return [];
    const waiver = waivers.find((each) => each.check === check) ?? null;
    const state = found.isMet ? 'met' : waiver ? 'waived' : 'missing';
    return [{ check, state, finding: found.finding, brewIds: found.brewIds, waiver }];
  });
  const ages = counted.map(({ roastAgeDays }) => roastAgeDays);
  const hands = unique(counted.map(({ by }) => by));
  return {
    checks,
    isProven: checks.every(({ state }) => state !== 'missing'),
    notCounted: judged.flatMap(({ brew, why }) => (why === null ? [] : [{ id: brew.id, why }])),
    strength: spread(counted, 'tdsPercent'),
    yield: spread(counted, 'yieldPercent'),
    drain: spread(counted, 'drainS'),
    roastAgeDays: ages.length === 0 ? null : { from: Math.min(...ages), to: Math.max(...ages) },
    hands,
    grinders: unique(counted.map(({ grinder }) => grinder)),
    isOneHand: hands.length === 1,
  };
}

interface Looked {
  isMet: boolean;
  finding: ProofFinding;
  brewIds: readonly number[];
}

const unique = <T>(items: readonly T[]) => [...new Set(items)];
const idsOf = (brews: readonly ProofBrew[]) => brews.map(({ id }) => id);

function spread(brews: readonly ProofBrew[], figure: 'tdsPercent' | 'yieldPercent' | 'drainS') {
  return precisionOf(brews.flatMap(({ by, [figure]: value }) => (value === null ? [] : [{ by, value }])));
}

/** The last brews count: what went before may have been learned from. */
function repeats(counted: readonly ProofBrew[], { checklist }: ProofInput): Looked {
  const last = counted.slice(-checklist.repeats);
  const apart = last.length < 2 ? null : apartOf(last);
  const tooFarApart = apart ? beyond(apart, checklist) : [];
  return {
    isMet: last.length >= checklist.repeats && tooFarApart.length === 0,
    finding: { check: 'repeats', have: counted.length, need: checklist.repeats, apart, tooFarApart },
    brewIds: idsOf(last),
  };
}

function secondHands(counted: readonly ProofBrew[], { checklist, author }: ProofInput): Looked | null {
  if (!checklist.needsSecondHands) return null;
  const byHand = [...grouped(counted, ({ by }) => by)];
  const most = Math.max(0, ...byHand.map(([, made]) => made.length));
  const busiest = byHand.filter(([, made]) => made.length === most).map(([by]) => by);
  const firstHands = busiest.includes(author) ? author : (busiest[0] ?? null);
  const others = counted.filter(({ by }) => by !== firstHands);
  // What the bench says besides is no part of what a stranger has; and who wrote the recipe knows more than its card.
  const fromCard = counted.filter((brew) => brew.fromCard && brew.by !== author);
  const judged = fromCard.map((brew) =>
    nearest(
      [brew],
      counted.filter(({ by }) => by !== brew.by),
      checklist,
    ),
  );
  const near = judged.flatMap((each) => each.near);
  const offBy = near.length > 0 ? [] : (judged.at(-1)?.offBy ?? []);
  return {
    isMet: near.length > 0,
    finding: {
      check: 'second-hands',
      firstHands,
      others: unique((near.length > 0 ? near : fromCard.length > 0 ? fromCard : others).map(({ by }) => by)),
      notFromCard: others.length > 0 && fromCard.length === 0,
      offBy,
    },
    brewIds: idsOf(near.length > 0 ? near : fromCard),
  };
}

function secondGrinder(
  counted: readonly ProofBrew[],
  { checklist, grinder: own }: ProofInput,
): Looked | null {
  if (!checklist.needsSecondGrinder) return null;
  const others = counted.filter(({ grinder }) => grinder !== own);
  const { near, offBy } = nearest(
    others,
    counted.filter(({ grinder }) => grinder === own),
    checklist,
  );
  return {
    isMet: near.length > 0,
    finding: { check: 'second-grinder', others: unique(others.map(({ grinder }) => grinder)), offBy },
    brewIds: idsOf(near.length > 0 ? near : others),
  };
}

/** Those of some brews that came out as the others did; in what they were off where none did. */
function nearest(
  some: readonly ProofBrew[],
  others: readonly ProofBrew[],
  checklist: ProofChecklist,
): { near: ProofBrew[]; offBy: (keyof Apart)[] } {
  const judged = some.map((brew) => ({ brew, offBy: beyond(fromOthers(brew, others), checklist) }));
  const near = judged.filter(({ offBy }) => offBy.length === 0).map(({ brew }) => brew);
  return {
    near: others.length === 0 ? [] : near,
    offBy: near.length > 0 ? [] : (judged.at(-1)?.offBy ?? []),
  };
}

function beyond(apart: Apart, checklist: ProofChecklist): (keyof Apart)[] {
  const { strengthPercent, yieldPoints, drainS } = apart;
  // A float of the last digit is not further apart than was asked.
  const slack = 1e-9;
  return [
    ...(strengthPercent > checklist.strengthApartPercent + slack ? (['strengthPercent'] as const) : []),
    ...(yieldPoints > checklist.yieldApartPoints + slack ? (['yieldPoints'] as const) : []),
    ...(drainS !== null && drainS > checklist.drainApartS + slack ? (['drainS'] as const) : []),
  ];
}

function forgivenessFound({ checklist: { forgivenPercent }, insideShare }: ProofInput): Looked | null {
  if (forgivenPercent === null) return null;
  const percent = insideShare === null ? null : insideShare * 100;
  return {
    isMet: percent !== null && percent >= forgivenPercent,
    finding: { check: 'forgiveness', percent, need: forgivenPercent },
    brewIds: [],
  };
}

/** A cup may be tasted whose beverage nobody weighed. */
function tastable(brews: readonly ProofBrew[]): ProofBrew[] {
  return brews.filter(
    ({ isSetAside, isSimulated, stages }) => !isSetAside && !isSimulated && stages.length > 0,
  );
}

function threeStages(brews: readonly ProofBrew[], { checklist }: ProofInput): Looked | null {
  if (!checklist.needsThreeStages) return null;
  const tasted = tastable(brews);
  const missing = TASTING_STAGES.filter((stage) => !tasted.some(({ stages }) => stages.includes(stage)));
  return {
    isMet: missing.length === 0,
    finding: { check: 'three-stages', missing },
    brewIds: idsOf(tasted),
  };
}

function labelFound(
  brews: readonly ProofBrew[],
  { checklist: { labelFoundPercent }, label }: ProofInput,
): Looked | null {
  if (labelFoundPercent === null || label === null) return null;
  return {
    isMet: label.found * 100 >= label.of * labelFoundPercent,
    finding: { check: 'label', ...label, need: Math.ceil((label.of * labelFoundPercent) / 100) },
    brewIds: idsOf(tastable(brews)),
  };
}

/** Not for a house to demand or not: what was added is declared, or it is known that nothing was (local food law decides how). */
function allergens({ lot: { process, additions } }: ProofInput): Looked {
  const isNothingAdded = process !== 'not-known' && process !== 'co-fermented';
  return {
    isMet: additions.trim() !== '' || isNothingAdded,
    finding: { check: 'allergens', additions, process },
    brewIds: [],
  };
}
