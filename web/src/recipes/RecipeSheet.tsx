import { useDeferredValue, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { aimOf, boilingPointC, keepLocked, planFaults, valueOf, type BrewPlan, type Lock } from '@vendu/core';
import { type BrewerView, type GrinderView, type KitView, type RecipeView } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { useDraft } from '../device/draft';
import { useForecast } from '../board/useForecast';
import { shiftNow } from '../board/shiftNow';
import { useShift } from '../board/useShift';
import { useFound } from '../brews/useFound';
import { brewKitOf } from '../kit/brewKitOf';
import { groundOf } from '../kit/groundOf';
import { AdditionsNote } from '../ui/AdditionsNote';
import { useLotQuery } from '../api/lotsApi';
import { Button, ButtonLink } from '../ui/Button';
import { useShortcut } from '../ui/useShortcut';
import { useStable } from '../ui/useStable';
import { comparables } from './Compared';
import { ForecastPanel } from './ForecastPanel';
import { PlanTables } from './PlanTables';
import { RecipeBoard } from './RecipeBoard';
import { RecipeBrews, RecipeSide } from './RecipeSide';
import { useAddVersionMutation } from '../api/recipesApi';
import { SaveVersion } from './SaveVersion';
import { ScalePanel } from './ScalePanel';
import { usePlanDraft } from './usePlanDraft';

interface RecipeSheetProps {
  recipe: RecipeView;
  grinder: GrinderView;
  brewer: BrewerView;
  kit: KitView;
}

/**
 * One recipe on its board. While a handle is dragged, drawing and forecast follow at once and the figures as soon as
 * there is time; what does not hang on the plan stands still.
 */
export function RecipeSheet({ recipe, grinder, brewer, kit }: RecipeSheetProps) {
  const newest = recipe.versions[0];
  if (!newest) throw new Error(`recipe ${recipe.id} has no version`);
  const editor = usePlanDraft({ recipeId: recipe.id, version: newest });
  const [addVersion, { error, reset }] = useAddVersionMutation();
  const { data: lot } = useLotQuery(recipe.lot.id);
  const [comparedKey, setComparedKey] = useState<string | null>(null);
  const [selected, setSelected] = useState<number | null>(null);
  const [dragged, setDragged] = useState<BrewPlan | null>(null);
  const [locks, setLocks] = useDraft<Lock[]>('board.locks', []);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [isSaving, setSaving] = useState(false);
  useShortcut('z', editor.undo);
  useShortcut('y', editor.redo);

  const plan = dragged ?? editor.plan;
  const followed = useDeferredValue(plan);
  // Nothing can be typed while a handle is held; else what is typed is built on the plan as it is.
  const shown = dragged === null ? plan : followed;
  const ground = useMemo(() => groundOf(recipe, kit), [recipe, kit]);
  const aim = useMemo(() => aimOf(kit.house.window, recipe.schools, recipe.aim), [kit, recipe]);
  const live = useForecast(plan, ground, { isMoving: dragged !== null });
  const figures = useShift(live.forecaster, newest.plan, editor.plan);
  const { found } = useFound(recipe.brews);
  const trouble = troubleOf(error);
  const isStale = trouble?.kind === 'stale' || (editor.isChanged && editor.basedOn !== newest.number);
  const refusals = trouble?.errors;
  const faults = useMemo(
    () => ({
      ...byField(
        planFaults({
          plan: shown,
          boilingC: valueOf(boilingPointC({ elevationM: kit.house.elevationM })),
        }),
      ),
      ...byField(refusals ?? [], 'plan.'),
    }),
    [shown, kit, refusals],
  );
  const options = useMemo(() => comparables(recipe, lot), [recipe, lot]);
  const compared = options.find(({ key }) => key === comparedKey);

  /** Takes an edit unless a lock stands against it; the words are shown where the edit was tried. */
  const offer = useStable((next: BrewPlan): string | undefined => {
    const kept = keepLocked({ before: editor.plan, after: next, locks });
    setRefusal(kept.ok ? null : kept.message);
    if (!kept.ok) return kept.message;
    if (error) reset();
    editor.edit(kept.value);
    return undefined;
  });
  function drag(next: BrewPlan | null) {
    const kept = next && keepLocked({ before: editor.plan, after: next, locks });
    setRefusal(kept && !kept.ok ? kept.message : null);
    setDragged(kept?.ok ? kept.value : null);
  }
  const lock = useStable((each: Lock) =>
    setLocks(locks.includes(each) ? locks.filter((other) => other !== each) : [...locks, each]),
  );
  const kitOf = useStable((id: number) =>
    brewKitOf(kit.brewers.find((each) => each.id === id) ?? brewer, kit.house),
  );
  const from = newest.plan;
  async function save() {
    setSaving(true);
    try {
      // Saved before it was worked out: it is worked out first, or the trail could not say later whether it came.
      const expected = figures ?? (ground ? await shiftNow(ground, from, plan) : null);
      const { data } = await addVersion({
        id: recipe.id,
        version: {
          basedOn: editor.basedOn,
          plan,
          note: editor.note,
          expectation: { source: editor.source, figures: expected, hopes: editor.hopes },
        },
      });
      if (data) editor.drop();
    } finally {
      setSaving(false);
    }
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
          <PlanTables
            plan={shown}
            grinder={grinder}
            aim={aim}
            brewer={brewer}
            kettleId={recipe.kettleId}
            kit={kit}
            onOffer={offer}
            faults={faults}
            locks={locks}
            onLock={lock}
            selected={selected}
            onSelect={setSelected}
            options={options}
            compared={compared}
            onCompare={setComparedKey}
          />
          {(editor.isChanged || isStale) && (
            <SaveVersion
              editor={editor}
              figures={figures}
              found={found.map(({ finding }) => finding)}
              newestNumber={newest.number}
              isStale={isStale}
              canSave={!isSaving && !isStale && Object.keys(faults).length === 0}
              trouble={trouble}
              onSave={() => void save()}
              onReset={reset}
            />
          )}
          <RecipeBrews recipe={recipe} />
        </div>
        <div className="flex flex-col gap-8">
          <ForecastPanel live={live} aim={aim} plannedS={plan.drawdownS} elsewhere={recipe.elsewhere} />
          <ScalePanel
            plan={editor.plan}
            kit={kit}
            recipe={recipe}
            forecaster={live.forecaster}
            kitOf={kitOf}
            onOffer={offer}
          />
          <RecipeSide recipe={recipe} kit={kit} comparedKey={comparedKey} onCompare={setComparedKey} />
        </div>
      </div>
    </>
  );
}
