import { moveVersion, versionState, type VersionMove } from '@vendu/core';
import { ProblemError } from '../problem/problem-error.js';
import { PublicationModel } from '../publications/publication.model.js';
import type { RecipeVersionModel } from './recipe-version.model.js';

/**
 * Refuses what cannot be done to a version as it is. To be asked in the lot's turn, and the answer used in it.
 *
 * @throws ProblemError `conflict` with the reason
 */
export async function refuseMove(version: RecipeVersionModel, move: VersionMove): Promise<void> {
  const publications = await PublicationModel.findAll({
    where: { recipeId: version.recipeId },
    attributes: ['recipeVersionId', 'withdrawnAt'],
  });
  const state = versionState({
    isAccepted: version.acceptedAt !== null,
    isSignedOff: version.signedOffAt !== null,
    publications: publications.map(({ recipeVersionId, withdrawnAt }) => ({
      isOwn: recipeVersionId === version.id,
      isLive: withdrawnAt === null,
    })),
  });
  const moved = moveVersion(state, move);
  if (!moved.ok) throw new ProblemError('conflict', moved.message);
}
