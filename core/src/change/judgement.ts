import type { Schools } from '../schools/schools.js';
import { REPEAT_CHANCE } from './adviceNotes.js';
import { recordOf, ruleWeight, type RuleRecord, type TrackRecord } from './ruleRecord.js';
import type { Candidate, LeverMove } from './search.js';
import type { ChangeRule, Push } from './tasteRules.js';

/** How much a rule that asks for a move, or speaks against it, counts beside the chance (assumed). */
const WANTED = 0.3;
const AVOIDED = -1;
/** How much the house's first lever counts (assumed): it decides among near equals. */
const FIRST_LEVER = 0.05;

/** Whether a move goes the way a rule pushes. */
export function goes({ lever, from, to }: LeverMove, push: Push): boolean {
  return lever === push.lever && (push.direction === 'up') === to > from;
}

/** What taste and schools make of a candidate. */
export interface Judgement {
  weight: number;
  wanted: ChangeRule | null;
  /** How that rule has done in this house; `null` where nobody could tell yet. */
  record: TrackRecord | null;
  avoided: ChangeRule[];
  school: string | null;
}

export function judge(
  { moves }: Candidate,
  asItIs: Candidate,
  rules: readonly ChangeRule[],
  schools: Schools,
  records: readonly RuleRecord[],
): Judgement {
  const matches = (push: Push) => moves.some((move) => goes(move, push));
  const wanted = rules.find(({ wants }) => wants.some(matches)) ?? null;
  const avoided = rules.filter(({ avoids }) => avoids.some(matches));
  // Among the moves a rule asks for, the one it names first comes first.
  const place = wanted ? wanted.wants.findIndex(matches) : 0;
  const record = wanted && recordOf(records, wanted.id);
  const isFirstLever = moves.length === 1 && moves[0]?.lever === schools['first-lever'];
  const isAgitation = moves.some(({ lever, from, to }) => lever === 'agitation' && to > from);
  const leftStill = isAgitation && schools.agitation === 'leave-still';
  return {
    weight:
      (wanted ? (WANTED / (1 + place)) * (record ? ruleWeight(record) : 1) : 0) +
      (avoided.length > 0 ? AVOIDED : 0) +
      (isFirstLever ? FIRST_LEVER : 0) +
      (leftStill ? AVOIDED : 0),
    wanted,
    record,
    avoided,
    school: leftStill
      ? 'the house leaves the bed still'
      : isFirstLever && asItIs.chance < REPEAT_CHANCE
        ? `the house moves the ${schools['first-lever']} first`
        : null,
  };
}
