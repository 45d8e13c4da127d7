import { memo } from 'react';
import { grindingOf } from '@vendu/core';
import type { KitView, RecipeView } from '@vendu/contract';
import { BrewTrail } from '../brews/BrewTrail';
import { GrindOnGrinders } from '../kit/GrindOnGrinders';
import { HomeResults } from './HomeResults';
import { ReasonList } from './ReasonList';
import { RecipeSchools } from './RecipeSchools';
import { RecipeSetup } from './RecipeSetup';
import { VersionList } from './VersionList';

// What is known of a recipe whatever is on its board: drawn again only when the recipe was read again.

export const RecipeBrews = memo(function RecipeBrews({ recipe }: { recipe: RecipeView }) {
  return (
    <section>
      <h2 className="heading mb-2">Brews of this recipe</h2>
      {recipe.brews.length === 0 ? (
        <p className="text-small text-quiet">
          None yet. Until it is brewed and measured, this is a place to start, not a forecast.
        </p>
      ) : (
        <BrewTrail brews={recipe.brews} lotId={recipe.lot.id} />
      )}
    </section>
  );
});

export const RecipeSide = memo(function RecipeSide({
  recipe,
  kit,
  comparedKey,
  onCompare,
}: {
  recipe: RecipeView;
  kit: KitView;
  comparedKey: string | null;
  onCompare: (key: string | null) => void;
}) {
  const newest = recipe.versions[0];
  const reasons = recipe.versions.find((version) => version.reasons !== null)?.reasons ?? null;
  return (
    <>
      <VersionList
        recipe={recipe}
        comparedId={Number(comparedKey?.replace('v', '') ?? NaN)}
        onCompare={(versionId) => onCompare(versionId === null ? null : `v${versionId}`)}
      />
      {recipe.publications.length > 0 && <HomeResults recipeId={recipe.id} />}
      <RecipeSetup recipe={recipe} kit={kit} />
      <RecipeSchools recipe={recipe} />
      {newest &&
        grindingOf(newest.plan).parts.map(({ grindUm }, index) => (
          <section key={index}>
            <h2 className="heading mb-1">
              Its {index === 0 ? '' : 'second '}grind on every grinder{' '}
              <span className="reading font-normal">{grindUm} µm</span>
            </h2>
            <GrindOnGrinders grinders={kit.grinders} grindUm={grindUm} />
          </section>
        ))}
      {reasons && (
        <section>
          <h2 className="heading mb-1">Why the starting recipe is as it is</h2>
          <ReasonList reasons={reasons} />
        </section>
      )}
    </>
  );
});
