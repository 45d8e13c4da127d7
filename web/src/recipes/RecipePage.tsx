import { useState } from 'react';
import { Link, useParams } from 'react-router';
import {
  aimOf,
  boilingPointC,
  grinderSettingFor,
  keepLocked,
  planFaults,
  planWarnings,
  valueOf,
  type BrewPlan,
  type Lock,
} from '@vendu/core';
import type { BrewerView, GrinderView, KitView, RecipeView } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { BrewTrail } from '../brews/BrewTrail';
import { AdditionsNote } from '../lots/AdditionsNote';
import { useDraft } from '../app/draft';
import { brewRecordsOf } from '../board/brewRecord';
import { useForecast } from '../board/useForecast';
import { brewKitOf } from '../kit/brewKitOf';
import { useKitQuery, useLotQuery } from '../lots/lotsApi';
import { RecipeSchools } from '../schools/RecipeSchools';
import { Button, ButtonLink } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { Loading } from '../ui/Loading';
import { Notice, TroubleNotice } from '../ui/Notice';
import { Unavailable } from '../ui/Unavailable';
import { useScrollToHash } from '../ui/useScrollToHash';
import { useShortcut } from '../ui/useShortcut';
import { comparables, Compared } from './Compared';
import { ForecastPanel } from './ForecastPanel';
import { HowPoured } from './HowPoured';
import { OtherSteps } from './OtherSteps';
import { PlanFigures } from './PlanFigures';
import { PourTable } from './PourTable';
import { RecipeSetup } from './RecipeSetup';
import { RecipeBoard } from './RecipeBoard';
import { ScalePanel } from './ScalePanel';
import { ReasonList } from './ReasonList';
import { useAddVersionMutation, useRecipeQuery } from './recipesApi';
import { usePlanDraft } from './usePlanDraft';
import { VersionList } from './VersionList';

export function RecipePage() {
  const id = Number(useParams()['recipeId']);
  const { data: recipe, error, isLoading, refetch } = useRecipeQuery(id);
  const { data: kit } = useKitQuery();
  useScrollToHash(recipe !== undefined && kit !== undefined);
  if (isLoading || !kit)
    return error ? <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} /> : <Loading />;
  const grinder = kit.grinders.find((each) => each.id === recipe?.grinderId);
  if (!recipe || !grinder) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  const brewer = kit.brewers.find((each) => each.id === recipe.brewerId);
  if (!brewer) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return <RecipeSheet key={id} recipe={recipe} grinder={grinder} brewer={brewer} kit={kit} />;
}

function RecipeSheet({
  recipe,
  grinder,
  brewer,
  kit,
}: {
  recipe: RecipeView;
  grinder: GrinderView;
  brewer: BrewerView;
  kit: KitView;
}) {
  const newest = recipe.versions[0];
  if (!newest) throw new Error(`recipe ${recipe.id} has no version`);
  const editor = usePlanDraft({ recipeId: recipe.id, version: newest });
  const [addVersion, { error, isLoading, reset }] = useAddVersionMutation();
  const { data: lot } = useLotQuery(recipe.lot.id);
  const [comparedKey, setComparedKey] = useState<string | null>(null);
  const [selected, setSelected] = useState<number | null>(null);
  const [dragged, setDragged] = useState<BrewPlan | null>(null);
  const [locks, setLocks] = useDraft<Lock[]>('board.locks', []);
  const [refusal, setRefusal] = useState<string | null>(null);
  useShortcut('z', editor.undo);
  useShortcut('y', editor.redo);

  const plan = dragged ?? editor.plan;
  const live = useForecast(
    plan,
    {
      kit: brewKitOf(
        brewer,
        kit.house,
        kit.papers.find(({ id }) => id === recipe.paperId),
      ),
      prior: recipe.prior,
      brews: brewRecordsOf(recipe.brews),
      roastAgeDays: recipe.latestRoastAgeDays,
    },
    { isMoving: dragged !== null },
  );
  const trouble = troubleOf(error);
  const isStale = trouble?.kind === 'stale' || (editor.isChanged && editor.basedOn !== newest.number);
  const faults = {
    ...byField(planFaults({ plan, boilingC: valueOf(boilingPointC({ elevationM: kit.house.elevationM })) })),
    ...byField(trouble?.errors ?? [], 'plan.'),
  };
  const options = comparables(recipe, lot);
  const compared = options.find(({ key }) => key === comparedKey);
  const reasons = recipe.versions.find((version) => version.reasons !== null)?.reasons ?? null;

  /** Takes an edit unless a lock stands against it; the words are shown where the edit was tried. */
  function offer(next: BrewPlan): string | undefined {
    const kept = keepLocked({ before: editor.plan, after: next, locks });
    setRefusal(kept.ok ? null : kept.message);
    if (!kept.ok) return kept.message;
    if (error) reset();
    editor.edit(kept.value);
    return undefined;
  }
  function drag(next: BrewPlan | null) {
    const kept = next && keepLocked({ before: editor.plan, after: next, locks });
    setRefusal(kept && !kept.ok ? kept.message : null);
    setDragged(kept?.ok ? kept.value : null);
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
      <header className="mb-5 flex flex-wrap items-start gap-x-4 gap-y-2">
        <div className="min-w-0 grow basis-72">
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
            {[`${recipe.paperName} paper`, recipe.grinderName, recipe.waterName, recipe.kettleName]
              .filter((each) => each !== null)
              .join(', ')}
          </p>
          <AdditionsNote additions={recipe.lot.additions} />
        </div>
        <Button weight="quiet" disabled={!editor.undo} onClick={() => editor.undo?.()} shortcut="Z">
          Undo
        </Button>
        <Button weight="quiet" disabled={!editor.redo} onClick={() => editor.redo?.()} shortcut="Y">
          Redo
        </Button>
        <ButtonLink
          to={`/bench/${newest.id}?recipe=${recipe.id}`}
          weight={editor.isChanged ? 'plain' : 'main'}
        >
          Brew version {newest.number}
        </ButtonLink>
      </header>

      <div className="grid grid-cols-1 gap-10 xl:grid-cols-[minmax(0,1fr)_410px]">
        <div className="flex min-w-0 flex-col gap-4">
          <RecipeBoard
            plan={plan}
            behind={compared?.plan ?? (editor.isChanged ? newest.plan : undefined)}
            forecast={live.forecast}
            brewerHeightM={brewer.geometry.heightM}
            selected={selected}
            onSelect={setSelected}
            onDrag={drag}
            onOffer={offer}
          />
          <p role="status" className="min-h-5 text-small font-medium text-alarm">
            {refusal}
          </p>
          <PlanFigures
            plan={plan}
            onOffer={offer}
            faults={faults}
            settingHint={settingHint(plan, grinder)}
            locks={locks}
            onLock={(lock) =>
              setLocks(locks.includes(lock) ? locks.filter((each) => each !== lock) : [...locks, lock])
            }
          />
          <PourTable plan={plan} onOffer={offer} faults={faults} selected={selected} onSelect={setSelected} />
          <HowPoured plan={plan} onOffer={offer} faults={faults} />
          <OtherSteps plan={plan} onOffer={offer} faults={faults} />
          <Compared plan={plan} options={options} compared={compared} onCompare={setComparedKey} />
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
                  Discard
                </Button>
              </div>
              {!isStale && trouble && trouble.errors.length === 0 && <TroubleNotice trouble={trouble} />}
            </section>
          )}
          <section>
            <h2 className="heading mb-2">Brews of this recipe</h2>
            {recipe.brews.length === 0 ? (
              <p className="text-small text-quiet">
                None yet. Until it is brewed and measured, this is a place to start, not a forecast.
              </p>
            ) : (
              <BrewTrail brews={recipe.brews} />
            )}
          </section>
        </div>
        <div className="flex flex-col gap-8">
          <ForecastPanel
            live={live}
            aim={aimOf(kit.house.window, recipe.schools, recipe.aim)}
            plannedS={plan.drawdownS}
          />
          <ScalePanel
            plan={plan}
            kit={kit}
            recipe={recipe}
            forecaster={live.forecaster}
            kitOf={(id) => brewKitOf(kit.brewers.find((each) => each.id === id) ?? brewer, kit.house)}
            onOffer={offer}
          />
          <VersionList
            recipe={recipe}
            comparedId={Number(comparedKey?.replace('v', '') ?? NaN)}
            onCompare={(versionId) => setComparedKey(versionId === null ? null : `v${versionId}`)}
          />
          <RecipeSetup recipe={recipe} kit={kit} />
          <RecipeSchools recipe={recipe} />
          {reasons && (
            <section>
              <h2 className="heading mb-1">Why the starting recipe is as it is</h2>
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
