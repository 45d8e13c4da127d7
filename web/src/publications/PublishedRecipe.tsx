import { endWords, firstKettleC, formatDuration, planAllWaterG } from '@vendu/core';
import type { PublicRecipeListItem } from '@vendu/contract';
import { FittedStaircase } from '../ui/FittedStaircase';
import { countryName } from '@vendu/card/countries';
import { processWords } from '@vendu/core';

/** One published recipe, by its face: the staircase, and the figures that choose it. */
export function PublishedRecipe({ recipe }: { recipe: PublicRecipeListItem }) {
  const { plan, lotName, labelNotes, additions } = recipe;
  const origin = [recipe.region, countryName(recipe.country), processWords(recipe).toLowerCase()];
  return (
    <li>
      <a
        href={`/r/${recipe.slug}`}
        className="flex h-full flex-col gap-3 border border-edge bg-raised p-4 hover:border-ink"
      >
        <span>
          <span className="block text-large leading-tight font-bold">{lotName}</span>
          <span className="block text-small text-quiet">{origin.filter(Boolean).join(', ')}</span>
          {labelNotes && <span className="mt-1 block">{labelNotes}</span>}
          {additions && (
            <span className="mt-1 block text-small font-medium text-alarm">contains {additions}</span>
          )}
        </span>
        <FittedStaircase
          plan={plan}
          height={150}
          label={`Water against time: ${planAllWaterG(plan)} g, drained at ${formatDuration(plan.drawdownS)}`}
        />
        <span className="reading mt-auto flex flex-wrap items-baseline gap-x-5 border-t border-rule pt-2 font-medium">
          <span className="text-water">
            {plan.doseG} g to {planAllWaterG(plan)} g
          </span>
          <span className="text-temperature">{firstKettleC(plan)} °C</span>
          <span className="text-time">{endWords(plan)}</span>
          <span className="ml-auto font-words text-small text-quiet">{recipe.brewerName}</span>
        </span>
      </a>
    </li>
  );
}
