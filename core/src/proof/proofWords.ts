import { formatDuration } from '../quantity/duration.js';
import type { Apart } from './apart.js';
import type { ProofCheckId } from './checklist.js';
import type { NotCounted } from './proofBrew.js';
import type { ProofFinding } from './proofOf.js';

/** What a check is called, in a row and in a sentence. */
export const CHECK_NAMES: Record<ProofCheckId, string> = {
  repeats: 'repeats that agree',
  'second-hands': 'another pair of hands',
  'second-grinder': 'another grinder',
  forgiveness: 'forgiving enough',
  'three-stages': 'tasted hot, warm and cool',
  label: 'the label’s notes found',
  allergens: 'allergens declared',
};

export const NOT_COUNTED_WORDS: Record<NotCounted, string> = {
  excluded: 'excluded',
  simulated: 'simulated',
  'other-dose': 'dose more than 3 % off the plan',
  'other-water': 'water more than 3 % off the plan',
  'not-measured': 'not read, or beverage not weighed',
};

const FIGURE_NAMES: Record<keyof Apart, string> = {
  strengthPercent: 'strength',
  yieldPoints: 'yield',
  drainS: 'time',
};

/** What was found for a check, in a sentence that says what is still to do. */
export function findingWords(finding: ProofFinding): string {
  switch (finding.check) {
    case 'repeats':
      return repeatsWords(finding);
    case 'second-hands':
      if (finding.notFromCard) {
        return `${finding.others.join(' and ')} brewed it by the bench: have it brewed from the card alone.`;
      }
      return otherWords(finding, {
        none:
          finding.firstHands === null
            ? 'Not brewed yet.'
            : `Only ${finding.firstHands} has brewed it: have somebody else brew it from the card alone.`,
        near: 'brewed it from the card alone, and it came out the same',
      });
    case 'second-grinder':
      return otherWords(finding, {
        none: 'No brew on another grinder: choose one at the bench before the clock.',
        near: 'gave the same cup',
      });
    case 'forgiveness':
      return finding.percent === null
        ? 'Not worked out yet.'
        : `By the model ${Math.round(finding.percent)} of 100 home brewers get this cup; ${finding.need} are asked for.`;
    case 'three-stages':
      return finding.missing.length === 0
        ? 'Sheets of all three stages are there.'
        : `No sheet yet: ${finding.missing.join(', ')}.`;
    case 'label':
      return `${finding.found} of ${finding.of} notes found, or near; ${finding.need} are asked for.`;
    case 'allergens':
      return allergenWords(finding);
  }
}

function repeatsWords({ have, need, apart, tooFarApart }: ProofFinding & { check: 'repeats' }): string {
  if (have < need) return `${have} of ${need} measured brews.`;
  if (!apart) return `${have} measured ${have === 1 ? 'brew' : 'brews'}.`;
  const drain = apart.drainS === null ? '' : `, ${formatDuration(Math.round(apart.drainS))}`;
  const figures = `${apart.strengthPercent.toFixed(2)} %, ${apart.yieldPoints.toFixed(1)} points${drain}`;
  const lie = `The last ${need} lie ${figures} apart at most`;
  return tooFarApart.length === 0
    ? `${lie}.`
    : `${lie}: too far in ${tooFarApart.map((figure) => FIGURE_NAMES[figure]).join(' and ')}.`;
}

function otherWords(
  { others, offBy }: { others: readonly string[]; offBy: readonly (keyof Apart)[] },
  { none, near }: { none: string; near: string },
): string {
  if (others.length === 0) return none;
  const names = others.join(' and ');
  return offBy.length === 0
    ? `${names} ${near}.`
    : `${names}: off in ${offBy.map((figure) => FIGURE_NAMES[figure]).join(' and ')}.`;
}

function allergenWords({ additions, process }: ProofFinding & { check: 'allergens' }): string {
  if (additions.trim() !== '') return `The card names ${additions}.`;
  if (process === 'co-fermented')
    return 'Co-fermented, and the lot does not say with what: put it into its facts.';
  return process === 'not-known'
    ? 'The process is not known: ask the supplier whether anything was added.'
    : 'Nothing was added, as the lot’s facts say.';
}
