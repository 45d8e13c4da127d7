import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import {
  aimOf,
  benchSteps,
  FINDINGS,
  type BrewKit,
  type ChangeAdvice,
  type Finding,
  type LastBrew,
  type ProposedChange,
} from '@vendu/core';
import type { BrewListItem, KitView, RecipeView } from '@vendu/contract';
import { useDraft } from '../app/draft';
import { brewRecordOf } from '../board/brewRecord';
import { useForecaster } from '../board/useForecaster';
import { recipeKitOf } from '../kit/brewKitOf';
import { useRecipeQuery } from '../recipes/recipesApi';
import { putOnBoard } from '../recipes/usePlanDraft';
import { Button } from '../ui/Button';
import { classes } from '../ui/classes';
import { Notice } from '../ui/Notice';
import { ChangeFigures } from './ChangeFigures';
import { FINDING_WORDS } from './findingWords';

/** Standard uncertainty of a drain time judged by eye, s (as the calibration takes it). */
const DRAIN_SD_S = 4;
const SHOWN_AT_FIRST = 3;

/** The proposed next change of the recipe brewed last: model, taste and schools together. */
export function NextChange({ recipeId, kit }: { recipeId: number; kit: KitView }) {
  const { data: recipe } = useRecipeQuery(recipeId);
  const brewKit = recipe && recipeKitOf(recipe, kit);
  if (!recipe || !brewKit) return <p className="text-small text-quiet">Working it out.</p>;
  return <Advice key={recipeId} recipe={recipe} kit={kit} brewKit={brewKit} />;
}

function Advice({ recipe, kit, brewKit }: { recipe: RecipeView; kit: KitView; brewKit: BrewKit }) {
  const last = recipe.brews.at(-1);
  const [findings, setFindings] = useDraft<Finding[]>(`findings.${last?.id ?? 0}`, []);
  const [isAll, setAll] = useState(false);
  const { forecaster, trouble } = useForecaster({
    kit: brewKit,
    prior: recipe.prior,
    brews: recipe.brews.map(brewRecordOf),
    roastAgeDays: recipe.latestRoastAgeDays,
  });
  const [advice, setAdvice] = useState<ChangeAdvice | string | null>(null);
  const newest = recipe.versions[0];
  const aim = aimOf(kit.house.window, recipe.schools, recipe.aim);
  const sizes =
    kit.grinders.find(({ id }) => id === recipe.grinderId)?.points.map(({ grindUm }) => grindUm) ?? [];
  const asked = newest && {
    plan: newest.plan,
    targets: {
      tdsPercent: (aim.tdsLowPercent + aim.tdsHighPercent) / 2,
      yieldPercent: (aim.yieldLowPercent + aim.yieldHighPercent) / 2,
      drawdownS: newest.plan.drawdownS,
    },
    limits: {
      finestUm: Math.min(...sizes),
      coarsestUm: Math.max(...sizes),
      coolestC: 60,
      hottestC: 100,
    },
    last: last ? lastBrewOf(last) : null,
    findings,
    schools: recipe.schools,
  };
  const askedKey = JSON.stringify(asked);
  useEffect(() => {
    if (!forecaster || !askedKey) return undefined;
    let isStale = false;
    void forecaster.advise(JSON.parse(askedKey) as NonNullable<typeof asked>).then((result) => {
      if (!isStale) setAdvice(result.ok ? result.value : result.message);
    });
    return () => {
      isStale = true;
    };
  }, [forecaster, askedKey]);

  if (trouble !== null) return <Notice tone="alarm">{trouble}</Notice>;
  return (
    <>
      <div
        role="group"
        aria-label="Tasted or seen, against the aim"
        className="mb-3 flex flex-wrap items-center gap-1.5"
      >
        <span className="mr-1 text-small text-quiet">Tasted or seen, against the aim:</span>
        {FINDINGS.map((finding) => {
          const isOn = findings.includes(finding);
          return (
            <button
              key={finding}
              type="button"
              aria-pressed={isOn}
              onClick={() =>
                setFindings(isOn ? findings.filter((each) => each !== finding) : [...findings, finding])
              }
              className={classes(
                'h-8 rounded-edge border px-2 text-small',
                isOn
                  ? 'border-ink bg-ink font-semibold text-sheet'
                  : 'border-rule text-quiet hover:border-ink hover:text-ink',
              )}
            >
              {FINDING_WORDS[finding]}
            </button>
          );
        })}
      </div>
      {typeof advice === 'string' && <Notice tone="alarm">{advice}</Notice>}
      {advice === null && <p className="text-small text-quiet">Working it out.</p>}
      {advice !== null && typeof advice !== 'string' && (
        <>
          <p className="mb-2 text-small">
            Brewed again as it is, the newest version has{' '}
            <span className="reading font-semibold">{percent(advice.asItIs.chance)}</span> to come out on aim.
          </p>
          {advice.changes.length === 0 && (
            <p className="text-small">
              Nothing is likelier than the same again: repeat it, and have somebody else brew it.
            </p>
          )}
          <ol>
            {advice.changes.slice(0, isAll ? undefined : SHOWN_AT_FIRST).map((change, index) => (
              <OneChange key={change.title} change={change} isFirst={index === 0} recipe={recipe} />
            ))}
          </ol>
          {!isAll && advice.changes.length > SHOWN_AT_FIRST && (
            <Button weight="quiet" className="-ml-3" onClick={() => setAll(true)}>
              {advice.changes.length - SHOWN_AT_FIRST} more
            </Button>
          )}
          {advice.notes.map((note) => (
            <Notice key={note}>{note}</Notice>
          ))}
        </>
      )}
    </>
  );
}

function OneChange({
  change,
  isFirst,
  recipe,
}: {
  change: ProposedChange;
  isFirst: boolean;
  recipe: RecipeView;
}) {
  const navigate = useNavigate();
  const newest = recipe.versions[0];
  function take() {
    if (!newest) return;
    putOnBoard(recipe.id, newest, change.plan, `${change.title}: ${change.why}`.slice(0, 500));
    void navigate(`/recipes/${recipe.id}`);
  }
  return (
    <li className="grid grid-cols-[1fr_auto] gap-x-5 border-b border-rule py-2.5">
      <div>
        <h3 className={classes('first-letter:uppercase', isFirst ? 'text-large font-bold' : 'font-semibold')}>
          {change.title}
          {change.kind === 'two-variable' && (
            <span className="ml-2 text-small font-normal text-quiet">
              two at once: it will not tell which did it
            </span>
          )}
        </h3>
        <p className="text-small first-letter:uppercase">{change.why}</p>
        <p className="text-small text-quiet first-letter:uppercase">{change.taste}</p>
        {change.against.map((against) => (
          <p key={against} className="text-small text-quiet">
            Against it: {against}
          </p>
        ))}
        {change.school && <p className="text-small text-quiet">School: {change.school}</p>}
      </div>
      <div className="flex flex-col items-end gap-2">
        <ChangeFigures change={change} />
        <Button weight={isFirst ? 'main' : 'plain'} onClick={take}>
          Put it on the board
        </Button>
      </div>
    </li>
  );
}

function lastBrewOf({ result, steps, plan }: BrewListItem): LastBrew {
  const extraction = result?.yield;
  const drained = steps.find(
    ({ stepIndex, skipped }) => !skipped && stepIndex === benchSteps(plan).length - 1,
  );
  return {
    tdsPercent: result?.strength.meanPercent ?? null,
    yieldPercent: extraction?.basis === 'weighed' ? extraction.yieldPercent : null,
    drawdownS: plan.lifts ? null : (drained?.atS ?? null),
    uncertainty: {
      tdsPercent: result?.strength.uncertaintyPercent ?? 0,
      yieldPercent: extraction?.basis === 'weighed' ? extraction.uncertaintyPoints : 0,
      drawdownS: DRAIN_SD_S,
    },
  };
}

function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}
