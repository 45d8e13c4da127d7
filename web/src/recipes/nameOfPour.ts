import type { Pour } from '@vendu/core';

/** What a pour is called in lists of the plan. */
export function nameOfPour({ isBloom }: Pick<Pour, 'isBloom'>, index: number): string {
  return isBloom ? 'Bloom' : `Pour ${index + 1}`;
}
