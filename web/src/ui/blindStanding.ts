import type { ComparisonListItem } from '@vendu/contract';

/** What the newest opened cups of a comparison said, or that none were opened. */
export function blindStanding(tests: ComparisonListItem['tests']): string {
  const last = tests.findLast(({ state }) => state === 'opened');
  if (!last) return 'not opened yet';
  return `${last.isFound ? 'a difference found' : 'no difference found'}, ${last.tasters} tasters`;
}
