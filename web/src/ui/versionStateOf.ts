import { versionState, type VersionState } from '@vendu/core';
import type { RecipeVersionView, RecipeView } from '@vendu/contract';

/** How far a version of a recipe is. */
export function versionStateOf(
  { number, accepted, signedOff }: Pick<RecipeVersionView, 'number' | 'accepted' | 'signedOff'>,
  { publications }: Pick<RecipeView, 'publications'>,
): VersionState {
  return versionState({
    isAccepted: accepted !== null,
    isSignedOff: signedOff !== null,
    publications: publications.map(({ versionNumber, withdrawnAt }) => ({
      isOwn: versionNumber === number,
      isLive: withdrawnAt === null,
    })),
  });
}
