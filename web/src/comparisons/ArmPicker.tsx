import { armLetter } from '@vendu/core';
import { StaircaseThumb } from '@vendu/card';
import { LotPick } from '../kit/LotPick';
import { recipeNames } from '../lots/recipeNames';
import { Button } from '../ui/Button';
import { Pick } from '../ui/Pick';
import type { ChosenArm, ShownArm } from './useChosenArms';

/** Chooses the version of an arm: of which lot, in which brewer. */
export function ArmPicker({
  shown: { lot, recipe, versionId, compared },
  place,
  onChange,
  onRemove,
}: {
  shown: ShownArm;
  place: number;
  onChange: (changes: Partial<ChosenArm>) => void;
  onRemove: (() => void) | null;
}) {
  const recipes = lot?.recipes ?? [];
  const names = recipeNames(recipes);
  const letter = armLetter(place);
  return (
    <li className="grid grid-cols-[2.5rem_minmax(0,1fr)] gap-x-3 border-b border-rule py-3">
      <span aria-hidden className="text-[2rem] leading-none font-bold">
        {letter}
      </span>
      <div className="grid min-w-0 grid-cols-1 items-end gap-x-3 gap-y-2 sm:grid-cols-2 lg:grid-cols-[repeat(3,minmax(0,1fr))_9rem_5rem]">
        <LotPick
          label={`Lot of ${letter}`}
          chosen={lot}
          onChange={({ id }) => onChange({ lotId: id, recipeId: null, versionId: null })}
        />
        {lot && recipes.length === 0 ? (
          <p className="text-small text-alarm sm:col-span-2">This lot has no recipe yet: choose another.</p>
        ) : (
          <>
            <Pick
              label={`Recipe of ${letter}`}
              value={String(recipe?.id ?? '')}
              options={recipes.map(({ id, brewerName }) => ({
                value: String(id),
                name: names?.get(id) ?? brewerName,
              }))}
              onChange={(id) => onChange({ recipeId: Number(id), versionId: null })}
            />
            <Pick
              label={`Version of ${letter}`}
              value={String(versionId ?? '')}
              options={(recipe?.versions ?? []).map(({ id, number, note }) => ({
                value: String(id),
                name: `Version ${number}`,
                ...(note === '' ? {} : { detail: note }),
              }))}
              onChange={(id) => onChange({ versionId: Number(id) })}
            />
          </>
        )}
        <span>{compared && <StaircaseThumb plan={compared.plan} width={140} height={36} />}</span>
        {onRemove && (
          <Button weight="quiet" aria-label={`Remove ${letter}`} onClick={onRemove}>
            Remove
          </Button>
        )}
      </div>
    </li>
  );
}
