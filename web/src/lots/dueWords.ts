import { CHECK_NAMES } from '@vendu/core';
import type { LotListItem } from '@vendu/contract';
import { listed } from '../ui/listed';
import { DUE_WORDS } from '../ui/words';

/** So many missing checks are named in a row of the list; more are counted. */
const MOST_NAMED = 2;

/** What is to be done with a lot next; of one that is to be proved, what its proof lacks. */
export function dueWords({ due, proofMissing }: Pick<LotListItem, 'due' | 'proofMissing'>): string {
  if (due.action !== 'sign-off' || proofMissing === null) return DUE_WORDS[due.action];
  if (proofMissing.length === 0) return 'proven, sign-off due';
  return proofMissing.length > MOST_NAMED
    ? `to prove: ${proofMissing.length} checks missing`
    : `to prove: ${listed(proofMissing.map((check) => CHECK_NAMES[check]))}`;
}
