/** How often what was expected came, of the times that it could be told. */
export interface TrackRecord {
  came: number;
  missed: number;
}

/** How a rule has done in this house. */
export interface RuleRecord extends TrackRecord {
  ruleId: string;
}

/** So many imagined times a rule was right before anybody looked (assumed): one miss does not silence common practice. */
const CREDIT = 2;

/** How much a rule still counts in this house, 0 to 1: all of it until it misses, and less with every miss. */
export function ruleWeight({ came, missed }: TrackRecord): number {
  return (came + CREDIT) / (came + missed + CREDIT);
}

/** The record of one rule; `null` where it was never put to the test. */
export function recordOf(records: readonly RuleRecord[], ruleId: string): TrackRecord | null {
  const found = records.find((each) => each.ruleId === ruleId);
  return found && found.came + found.missed > 0 ? { came: found.came, missed: found.missed } : null;
}
