import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { KitView, LotView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useStartRecipeMutation } from '../recipes/recipesApi';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { SHAPE_WORDS } from '../ui/words';

/** Asks for a starting recipe on one brewer and one grinder. */
export function StartRecipe({ lot, kit }: { lot: LotView; kit: KitView }) {
  const [start, { error, isLoading }] = useStartRecipeMutation();
  const [brewerId, setBrewerId] = useState(kit.brewers[0]?.id ?? 0);
  const [grinderId, setGrinderId] = useState(kit.grinders[0]?.id ?? 0);
  const navigate = useNavigate();
  async function send() {
    const { data } = await start({ lotId: lot.id, recipe: { brewerId, grinderId } });
    if (data) void navigate(`/recipes/${data.id}`);
  }
  return (
    <div className="mt-4 flex flex-col gap-3">
      {lot.recipes.length === 0 && (
        <p className="text-small">
          No recipe yet. Choose a brewer and a grinder; the starting recipe follows from process, elevation
          and roast, and says why.
        </p>
      )}
      <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-3">
        <Field label="Brewer">
          {(control) => (
            <select
              {...control}
              className={INPUT}
              value={brewerId}
              onChange={(event) => setBrewerId(Number(event.target.value))}
            >
              {kit.brewers.map((brewer) => (
                <option key={brewer.id} value={brewer.id}>
                  {brewer.name}, {SHAPE_WORDS[brewer.shape]}, {brewer.usualDoseG} g
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="Grinder">
          {(control) => (
            <select
              {...control}
              className={INPUT}
              value={grinderId}
              onChange={(event) => setGrinderId(Number(event.target.value))}
            >
              {kit.grinders.map((grinder) => (
                <option key={grinder.id} value={grinder.id}>
                  {grinder.name}, {grinder.burrSet}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Button
          weight={lot.recipes.length === 0 ? 'main' : 'plain'}
          disabled={isLoading}
          onClick={() => void send()}
        >
          Propose a starting recipe
        </Button>
      </div>
      <TroubleNotice trouble={troubleOf(error)} />
    </div>
  );
}
