import { likesOf, type LikedBrew, type LikedFigure } from '@vendu/core';
import type { BrewListItem } from '@vendu/contract';

const FIGURE_WORDS: Record<LikedFigure, { up: string; down: string }> = {
  tdsPercent: { up: 'stronger', down: 'weaker' },
  yieldPercent: { up: 'more extracted', down: 'less extracted' },
  kettleC: { up: 'hotter', down: 'cooler' },
  grindUm: { up: 'coarser', down: 'finer' },
};

/** What a lot seems to like, by how well its cups were liked; in words, or nothing where nothing can be told. */
export function likesWords(brews: readonly BrewListItem[]): string | null {
  const likes = likesOf(brews.flatMap((brew) => likedBrew(brew) ?? []));
  if (!likes) return null;
  const { most, least, follows } = likes;
  const cup = ({ number, liked, tdsPercent, yieldPercent }: LikedBrew) =>
    `brew ${number} (${liked.toFixed(1)} of 9, at ${tdsPercent.toFixed(2)} %, ${yieldPercent.toFixed(1)} %)`;
  const goes = follows
    ? `; liked better the ${FIGURE_WORDS[follows.figure][follows.goesUp ? 'up' : 'down']}, over ${follows.brews} brews`
    : '';
  return `${cup(most)}; least ${cup(least)}${goes}`;
}

function likedBrew({ number, liked, result, plan, isSimulated }: BrewListItem): LikedBrew | null {
  if (liked === null || !result || isSimulated) return null;
  return {
    number,
    liked,
    tdsPercent: result.strength.meanPercent,
    yieldPercent: result.yield.yieldPercent,
    kettleC: plan.kettleC,
    grindUm: plan.grindUm,
  };
}
