import { armLetter } from '@vendu/core';
import { StaircaseThumb } from '@vendu/card';
import { recipeNames } from '../lots/recipeNames';
import { Button } from '../ui/Button';
import { Pick } from '../ui/Pick';
import type { ChosenArm, ShownArm } from './useChosenArms';

/** Chooses the version of an arm: of which lot, in which brewer. */
export function ArmPicker({
  shown: { lotId, lot, recipe, versionId, compared },
  place,
  lots,
  onChange,
  onRemove,
}: {
  shown: ShownArm;
  place: number;
  lots: readonly { id: number; name: string }[];
  onChange: (changes: Partial<ChosenArm>) => void;
  onRemove: (() => void) | null;
}) {
  // One that was gone to from its own page may be far down the list.
  const known = lot && !lots.some(({ id }) => id === lot.id) ? [lot, ...lots] : lots;
  const recipes = lot?.recipes ?? [];
  const names = recipeNames(recipes);
  const letter = armLetter(place);
  return (
    <li className="grid grid-cols-[2.5rem_minmax(0,1fr)] gap-x-3 border-b border-rule py-3">
      <span aria-hidden className="text-[2rem] leading-none font-bold">
        {letter}
      </span>
      <div className="grid min-w-0 grid-cols-1 items-end gap-x-3 gap-y-2 sm:grid-cols-2 lg:grid-cols-[repeat(3,minmax(0,1fr))_9rem_5rem]">
        <Pick
          label={`Lot of ${letter}`}
          value={String(lotId)}
          options={known.map(({ id, name }) => ({ value: String(id), name }))}
          onChange={(id) => onChange({ lotId: Number(id), recipeId: null, versionId: null })}
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
