import { memo, useState } from 'react';
import {
  formatDuration,
  formatRatio,
  grindWords,
  planRatio,
  planAllWaterG,
  type BrewKit,
  type BrewPlan,
  type ScaledPlan,
} from '@vendu/core';
import { useNavigate } from 'react-router';
import type { KitView, RecipeView } from '@vendu/contract';
import type { LiveForecast } from '../board/useForecast';
import { KitChoice } from '../kit/KitChoice';
import { brewerOptions, ownGrinderOptions } from '../kit/kitOptions';
import { Button } from '../ui/Button';
import { Notice, TroubleNotice } from '../ui/Notice';
import { troubleOf } from '../api/problem';
import { QuantityField } from '../ui/QuantityField';
import { GRAMS, inRange } from '../ui/quantities';
import { carriedOver } from './carriedOver';
import { settingWords } from './settingWords';
import { useStartRecipeMutation } from '../api/recipesApi';

interface ScalePanelProps {
  plan: BrewPlan;
  kit: KitView;
  recipe: RecipeView;
  forecaster: LiveForecast['forecaster'];
  kitOf: (brewerId: number) => BrewKit;
  onOffer: (plan: BrewPlan) => string | undefined;
}

/** The same recipe at another dose, in another brewer or on another grinder, with what the model moves for it. */
export const ScalePanel = memo(function ScalePanel({
  plan,
  kit,
  recipe,
  forecaster,
  kitOf,
  onOffer,
}: ScalePanelProps) {
  const [doseG, setDoseG] = useState(plan.doseG * 2);
  const [toBrewer, setToBrewer] = useState(recipe.brewerId);
  const [toGrinder, setToGrinder] = useState(recipe.grinderId);
  const [start, { error, isLoading }] = useStartRecipeMutation();
  const navigate = useNavigate();
  const [answer, setAnswer] = useState<{ scaled: ScaledPlan | null; trouble: string | null }>({
    scaled: null,
    trouble: null,
  });
  const grinder = kit.grinders.find(({ id }) => id === toGrinder);
  async function scale() {
    const result = await forecaster?.scaled(
      plan,
      doseG,
      toBrewer === recipe.brewerId ? undefined : kitOf(toBrewer),
    );
    if (!result) return;
    setAnswer(
      result.ok ? { scaled: result.value, trouble: null } : { scaled: null, trouble: result.message },
    );
  }
  /** Another brewer or grinder makes another recipe of the same lot, with these figures as its first version. */
  async function keep(scaledPlan: BrewPlan) {
    const { data } = await start({
      lotId: recipe.lot.id,
      recipe: {
        ...carriedOver(recipe, {
          plan: scaledPlan,
          note: `Scaled from ${recipe.brewerName}, ${plan.doseG} g`,
        }),
        brewerId: toBrewer,
        grinderId: toGrinder,
        paperId: toBrewer === recipe.brewerId ? recipe.paperId : null,
      },
    });
    if (data) void navigate(`/recipes/${data.id}`);
  }
  const { scaled, trouble } = answer;
  const brewer = kit.brewers.find(({ id }) => id === toBrewer);
  const isSameKit = toBrewer === recipe.brewerId && toGrinder === recipe.grinderId;
  return (
    <details>
      <summary className="heading">Scale to another dose, brewer or grinder</summary>
      <div className="mt-3 grid grid-cols-[6rem_1fr_1fr] items-end gap-3">
        <QuantityField
          label="To a dose of"
          quantity={inRange(GRAMS, { label: 'Dose', min: 5, max: 120 })}
          value={doseG}
          onCommit={setDoseG}
        />
        <KitChoice
          label="In the brewer"
          value={toBrewer}
          options={brewerOptions(kit)}
          onChange={setToBrewer}
        />
        <KitChoice
          label="On the grinder"
          value={toGrinder}
          options={ownGrinderOptions(kit)}
          onChange={setToGrinder}
        />
      </div>
      <div className="mt-3 flex flex-col gap-2">
        <Button className="w-fit" disabled={!forecaster} onClick={() => void scale()}>
          Work it out
        </Button>
        {trouble && <Notice tone="alarm">{trouble}</Notice>}
        {scaled && (
          <>
            <p className="reading text-small">
              {scaled.plan.doseG} g, {planAllWaterG(scaled.plan)} g, {formatRatio(planRatio(scaled.plan))},{' '}
              <span className="font-bold">{grindWords(scaled.plan)}</span>,{' '}
              <span className="text-time">drained at {formatDuration(scaled.plan.drawdownS)}</span>
            </p>
            <p className="text-small text-quiet">
              {scaled.grindShiftUm === 0
                ? 'Same grind.'
                : `${Math.abs(scaled.grindShiftUm)} µm ${scaled.grindShiftUm > 0 ? 'coarser' : 'finer'} for the same yield by the model.`}{' '}
              {grinder && settingWords(grinder, scaled.plan.grindUm)}
            </p>
            {isSameKit ? (
              <Button className="w-fit" onClick={() => onOffer(scaled.plan)}>
                Try this plan
              </Button>
            ) : (
              <>
                <Button className="w-fit" disabled={isLoading} onClick={() => void keep(scaled.plan)}>
                  Keep it as a recipe for {[brewer?.name, grinder?.name].join(' and ')}
                </Button>
                <TroubleNotice trouble={troubleOf(error)} />
              </>
            )}
          </>
        )}
      </div>
    </details>
  );
});
