import { skipToken } from '@reduxjs/toolkit/query';
import { armLetter, type ComparedArm } from '@vendu/core';
import type { RecipeView } from '@vendu/contract';
import { StaircaseThumb } from '@vendu/card';
import { useLotQuery } from '../api/lotsApi';
import { useRecipeQuery } from '../api/recipesApi';
import { recipeNames } from '../lots/recipeNames';
import { Button } from '../ui/Button';
import { Pick } from '../ui/Pick';

/** An arm as it is being chosen. */
export interface ChosenArm {
  lotId: number;
  recipeId: number | null;
  versionId: number | null;
}

/** Chooses the version of an arm: of which lot, in which brewer. */
export function ArmPicker({
  arm,
  place,
  lots,
  onChange,
  onRemove,
}: {
  arm: ChosenArm;
  place: number;
  lots: readonly { id: number; name: string }[];
  onChange: (changes: Partial<ChosenArm>) => void;
  onRemove: (() => void) | null;
}) {
  const { data: lot } = useLotQuery(arm.lotId);
  // One that was gone to from its own page may be far down the list.
  const known = lot && !lots.some(({ id }) => id === lot.id) ? [lot, ...lots] : lots;
  const recipes = lot?.recipes ?? [];
  const recipeId = arm.recipeId ?? recipes[0]?.id ?? null;
  const { data: recipe } = useRecipeQuery(recipeId ?? skipToken);
  const versions = recipe?.id === recipeId ? recipe.versions : [];
  const version = versions.find(({ id }) => id === arm.versionId);
  const names = recipeNames(recipes);
  const letter = armLetter(place);
  return (
    <li className="grid grid-cols-[2.5rem_minmax(0,1fr)] gap-x-3 border-b border-rule py-3">
      <span aria-hidden className="text-[2rem] leading-none font-bold">
        {letter}
      </span>
      <div className="flex min-w-0 flex-col gap-2">
        <div className="grid grid-cols-1 gap-2 sm:grid-cols-3">
          <Pick
            label={`Lot of ${letter}`}
            value={String(arm.lotId)}
            options={known.map(({ id, name }) => ({ value: String(id), name }))}
            onChange={(id) => onChange({ lotId: Number(id), recipeId: null, versionId: null })}
          />
          <Pick
            label={`Recipe of ${letter}`}
            value={String(recipeId ?? '')}
            options={recipes.map(({ id, brewerName }) => ({
              value: String(id),
              name: names?.get(id) ?? brewerName,
            }))}
            onChange={(id) => onChange({ recipeId: Number(id), versionId: null })}
          />
          <Pick
            label={`Version of ${letter}`}
            value={String(arm.versionId ?? '')}
            options={versions.map(({ id, number, note }) => ({
              value: String(id),
              name: `Version ${number}`,
              ...(note === '' ? {} : { detail: note }),
            }))}
            onChange={(id) => onChange({ versionId: Number(id), recipeId })}
          />
        </div>
        <div className="flex items-center gap-4">
          {version && <StaircaseThumb plan={version.plan} width={150} height={40} />}
          {recipes.length === 0 && lot && (
            <p className="text-small text-alarm">This lot has no recipe yet.</p>
          )}
          {onRemove && (
            <Button weight="quiet" className="ml-auto" onClick={onRemove}>
              Remove {letter}
            </Button>
          )}
        </div>
      </div>
    </li>
  );
}

/** A version as an arm, before anything is brewed for it. */
export function armOf(recipe: RecipeView, versionId: number): ComparedArm | null {
  const version = recipe.versions.find(({ id }) => id === versionId);
  if (!version) return null;
  return {
    lotName: recipe.lot.name,
    brewerName: recipe.brewerName,
    paperName: recipe.paperName,
    waterName: recipe.waterName ?? '',
    grinderName: recipe.grinderName,
    plan: version.plan,
    brews: [],
  };
}
