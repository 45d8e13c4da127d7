import { useState } from 'react';
import { Link, useParams } from 'react-router';
import {
  boilingPointC,
  grinderSettingFor,
  planFaults,
  planWarnings,
  valueOf,
  type BrewPlan,
} from '@vendu/core';
import type { GrinderView, RecipeView } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { BrewTrail } from '../brews/BrewTrail';
import { AdditionsNote } from '../lots/AdditionsNote';
import { useKitQuery } from '../lots/lotsApi';
import { FittedStaircase } from '../staircase/FittedStaircase';
import { Button, ButtonLink } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { Loading } from '../ui/Loading';
import { Notice, TroubleNotice } from '../ui/Notice';
import { Unavailable } from '../ui/Unavailable';
import { useShortcut } from '../ui/useShortcut';
import { PlanFigures } from './PlanFigures';
import { PourTable } from './PourTable';
import { ReasonList } from './ReasonList';
import { useAddVersionMutation, useRecipeQuery } from './recipesApi';
import { usePlanDraft } from './usePlanDraft';
import { VersionList } from './VersionList';

export function RecipePage() {
  const id = Number(useParams()['recipeId']);
  const { data: recipe, error, isLoading, refetch } = useRecipeQuery(id);
  const { data: kit } = useKitQuery();
  if (isLoading || !kit)
    return error ? <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} /> : <Loading />;
  const grinder = kit.grinders.find((each) => each.id === recipe?.grinderId);
  if (!recipe || !grinder) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return <RecipeSheet key={id} recipe={recipe} grinder={grinder} labElevationM={kit.house.elevationM} />;
}

function RecipeSheet({
  recipe,
  grinder,
  labElevationM,
}: {
  recipe: RecipeView;
  grinder: GrinderView;
  labElevationM: number;
}) {
  const newest = recipe.versions[0];
  if (!newest) throw new Error(`recipe ${recipe.id} has no version`);
  const editor = usePlanDraft({ recipeId: recipe.id, version: newest });
  const [addVersion, { error, isLoading, reset }] = useAddVersionMutation();
  const [comparedId, setComparedId] = useState<number | null>(null);
  useShortcut('z', editor.undo);

  const { plan } = editor;
  const trouble = troubleOf(error);
  const isStale = trouble?.kind === 'stale' || (editor.isChanged && editor.basedOn !== newest.number);
  const faults = {
    ...byField(planFaults({ plan, boilingC: valueOf(boilingPointC({ elevationM: labElevationM })) })),
    ...byField(trouble?.errors ?? [], 'plan.'),
  };
  const compared = recipe.versions.find(({ id }) => id === comparedId);
  const reasons = recipe.versions.find((version) => version.reasons !== null)?.reasons ?? null;

  function edit(next: BrewPlan) {
    if (error) reset();
    editor.edit(next);
  }
  async function save() {
    const { data } = await addVersion({
      id: recipe.id,
      version: { basedOn: editor.basedOn, plan, note: editor.note },
    });
    if (data) editor.drop();
  }

  return (
    <>
      <header className="mb-5 flex items-start gap-4">
        <div className="grow">
          <Link
            to={`/lots/${recipe.lot.id}`}
            className="text-small text-quiet underline-offset-3 hover:underline"
          >
            {recipe.lot.name}
          </Link>
          <h1 className="text-title font-bold">
            {recipe.brewerName}{' '}
            <span className="font-normal text-quiet">
              {editor.isChanged ? `version ${editor.basedOn}, edited` : `version ${newest.number}`}
            </span>
          </h1>
          <p className="caption">
            {recipe.brewerPaper} paper, {recipe.grinderName}
          </p>
          <AdditionsNote additions={recipe.lot.additions} />
        </div>
        <Button weight="quiet" disabled={!editor.undo} onClick={() => editor.undo?.()} shortcut="Z">
          Undo
        </Button>
        <Button weight="quiet" disabled={!editor.redo} onClick={() => editor.redo?.()}>
          Redo
        </Button>
        <ButtonLink
          to={`/bench/${newest.id}?recipe=${recipe.id}`}
          weight={editor.isChanged ? 'plain' : 'main'}
        >
          Brew version {newest.number}
        </ButtonLink>
      </header>

      <div className="grid gap-10 xl:grid-cols-[minmax(0,1fr)_400px]">
        <div className="flex min-w-0 flex-col gap-4">
          <div className="bg-raised">
            <FittedStaircase
              plan={plan}
              behind={compared?.plan ?? (editor.isChanged ? newest.plan : undefined)}

              height={236}
              label={`Staircase of the plan: ${plan.pours.length} pours, drained at ${plan.drawdownS} seconds`}
            />
          </div>
          <PlanFigures plan={plan} onEdit={edit} faults={faults} settingHint={settingHint(plan, grinder)} />
          <PourTable plan={plan} onEdit={edit} faults={faults} />
          {faults['pours'] && <Notice tone="alarm">{faults['pours']}</Notice>}
          <Warnings plan={plan} />
          {(editor.isChanged || isStale) && (
            <section className="flex flex-col gap-3 border-t-2 border-ink pt-3">
              {isStale && (
                <Notice tone="alarm">
                  Version {newest.number} was saved since you opened version {editor.basedOn}; it is drawn
                  thin behind yours. Your changes are kept here.{' '}
                  <Button
                    onClick={() => {
                      editor.rebase(newest.number);
                      reset();
                    }}
                  >
                    Put mine on top of version {newest.number}
                  </Button>
                </Notice>
              )}
              <Field
                label="What changed and why"
                hint="what the change is expected to do in the cup"
                error={byField(trouble?.errors ?? [])['note']}
              >
                {(control) => (
                  <input
                    {...control}
                    className={INPUT}
                    value={editor.note}
                    onChange={(event) => editor.writeNote(event.target.value)}
                  />
                )}
              </Field>
              <div className="flex gap-3">
                <Button
                  weight="main"
                  disabled={isLoading || isStale || Object.keys(faults).length > 0}
                  onClick={() => void save()}
                >
                  Save as version {newest.number + 1}
                </Button>
                <Button
                  weight="quiet"
                  onClick={() => {
                    editor.drop();
                    reset();
                  }}
                >
                  Let the changes go
                </Button>
              </div>
              {!isStale && trouble && trouble.errors.length === 0 && <TroubleNotice trouble={trouble} />}
            </section>
          )}
          <section>
            <h2 className="heading mb-2">Brews of this recipe</h2>
            {recipe.brews.length === 0 ? (
              <p className="text-small text-quiet">
                None yet. Until it is brewed and measured, this is a place to start from, not a forecast.
              </p>
            ) : (
              <BrewTrail brews={recipe.brews} />
            )}
          </section>
        </div>
        <div className="flex flex-col gap-8">
          <VersionList recipe={recipe} comparedId={comparedId} onCompare={setComparedId} />
          {reasons && (
            <section>
              <h2 className="heading mb-1">Why the starting recipe is what it is</h2>
              <ReasonList reasons={reasons} />
            </section>
          )}
        </div>
      </div>
    </>
  );
}

function Warnings({ plan }: { plan: BrewPlan }) {
  return planWarnings(plan).map(({ reason, message, advice }) => (
    <Notice key={reason}>
      <span className="font-semibold text-ink">{message}</span> {advice}
    </Notice>
  ));
}

function settingHint(plan: BrewPlan, grinder: GrinderView): string {
  const found = grinderSettingFor({ points: grinder.points, grindUm: plan.grindUm });
  if (!found.ok) return found.message;
  const setting = Math.round(found.value / grinder.settingStep) * grinder.settingStep;
  return `${grinder.name} at ${Math.round(setting * 100) / 100}`;
}
