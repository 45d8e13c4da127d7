import { ChecklistDto, HouseChecklistDto, type HouseView, type ProofView } from '@vendu/contract';
import type { ProofChecklist } from '@vendu/core';
import { troubleOf } from '../api/problem';
import { useSetHouseChecklistMutation, useSetRecipeChecklistMutation } from '../api/proofApi';
import { EditButton } from '../kit/EditButton';
import { FiguresForm, type FigureField } from '../kit/FiguresForm';
import { Button } from '../ui/Button';
import { BREWS, PERCENT, PERCENT_FINE, POINTS, SECONDS, whole } from '../ui/quantities';

const FIELDS: readonly FigureField<ProofChecklist>[] = [
  {
    field: 'repeats',
    label: 'Measured brews',
    kind: 'figure',
    quantity: whole(BREWS),
    hint: '2 to 12; the last so many have to agree',
  },
  {
    field: 'strengthApartPercent',
    label: 'Strength apart by at most',
    kind: 'figure',
    quantity: PERCENT_FINE,
  },
  { field: 'yieldApartPoints', label: 'Yield apart by at most', kind: 'figure', quantity: POINTS },
  { field: 'drainApartS', label: 'Time apart by at most', kind: 'figure', quantity: whole(SECONDS) },
  {
    field: 'labelFoundPercent',
    label: 'Label notes found',
    kind: 'figure',
    quantity: whole(PERCENT),
    isOptional: true,
    hint: 'empty: not asked for',
  },
  {
    field: 'forgivenPercent',
    label: 'Home brewers who get this cup',
    kind: 'figure',
    quantity: whole(PERCENT),
    isOptional: true,
    hint: 'by the model; empty: not asked for',
  },
  { field: 'needsSecondHands', label: 'Another pair of hands', kind: 'check' },
  { field: 'needsSecondGrinder', label: 'Another grinder', kind: 'check' },
  { field: 'needsThreeStages', label: 'Tasted hot, warm and cool', kind: 'check' },
];

/** What has to be shown, and that it is the house's or this recipe's own; a lead sets either. */
export function ChecklistChoice({
  proof,
  house,
  isLead,
}: {
  proof: ProofView;
  house: HouseView;
  isLead: boolean;
}) {
  const [setOfRecipe, setting] = useSetRecipeChecklistMutation();
  const [setOfHouse] = useSetHouseChecklistMutation();
  const { recipeId, checklist, hasOwnChecklist } = proof;
  return (
    <section>
      <h2 className="heading mb-2">What is asked for</h2>
      <p className="text-small text-quiet">
        {hasOwnChecklist ? 'This recipe has a checklist of its own.' : 'The checklist of the house.'} The last{' '}
        {checklist.repeats} measured brews may lie {checklist.strengthApartPercent.toFixed(2)} % of strength,{' '}
        {checklist.yieldApartPoints} points of yield and {checklist.drainApartS} s apart, and so may another
        pair of hands or another grinder from the rest. Allergens are always asked for.
        {!isLead && ' A lead sets it.'}
      </p>
      {isLead && (
        <div className="mt-2 flex flex-wrap gap-2">
          <EditButton words="Change for this recipe" title="What this recipe has to show">
            {(leave) => (
              <FiguresForm
                draftKey={`checklist.${recipeId}`}
                dto={ChecklistDto}
                initial={checklist}
                fields={FIELDS}
                onSave={async (own) => troubleOf((await setOfRecipe({ recipeId, checklist: own })).error)}
                onLeave={leave}
              />
            )}
          </EditButton>
          {hasOwnChecklist && (
            <Button
              weight="quiet"
              disabled={setting.isLoading}
              onClick={() => void setOfRecipe({ recipeId, checklist: null })}
            >
              Use the house’s checklist
            </Button>
          )}
          <EditButton words="Change for the house" title="What every recipe has to show">
            {(leave) => (
              <FiguresForm
                draftKey="checklist.house"
                dto={HouseChecklistDto}
                initial={{ ...house.checklist, revision: house.revision }}
                fields={FIELDS}
                onSave={async (ofHouse) =>
                  troubleOf((await setOfHouse({ ...ofHouse, revision: house.revision })).error)
                }
                onLeave={leave}
              />
            )}
          </EditButton>
        </div>
      )}
    </section>
  );
}
