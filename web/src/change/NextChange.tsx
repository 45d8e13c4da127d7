import { useEffect, useEffectEvent, useState } from 'react';
import { useNavigate } from 'react-router';
import {
  aimOf,
  expectedOfChange,
  FINDINGS,
  ruleWeight,
  targetsOf,
  type Finding,
  type ProposedChange,
} from '@vendu/core';
import { VERSION_NOTE, type KitView, type RecipeView } from '@vendu/contract';
import { useDraft } from '../device/draft';
import { useForecaster } from '../board/useForecaster';
import { useScoresQuery } from '../api/changesApi';
import { useIsWriting } from '../api/writing';
import { useFound } from '../brews/useFound';
import type { BoardGround } from '../board/forecaster';
import { groundOf } from '../kit/groundOf';
import { useRecipeQuery } from '../api/recipesApi';
import { putOnBoard } from '../board/planDraft';
import { Button } from '../ui/Button';
import { classes } from '../ui/classes';
import { Notice } from '../ui/Notice';
import { ChangeFigures } from './ChangeFigures';
import { cupsWords } from './chanceWords';
import { lastBrewOf } from './lastBrew';
import { SheetsWait } from './SheetsWait';
import { Taught } from './Taught';
import { useAdvice } from './useAdvice';
import { RepeatOrProve } from './RepeatOrProve';
import { WhatWasWrong } from './WhatWasWrong';

const SHOWN_AT_FIRST = 3;

interface AdviceProps {
  recipe: RecipeView;
  kit: KitView;
  ground: BoardGround;
  /** Once it says what to change, or that it cannot. */
  onPut: () => void;
}

/** The proposed next change of the recipe brewed last: model, taste and schools together. */
export function NextChange({
  recipeId,
  ...rest
}: { recipeId: number } & Omit<AdviceProps, 'recipe' | 'ground'>) {
  const { data: recipe } = useRecipeQuery(recipeId);
  const ground = recipe && groundOf(recipe, rest.kit);
  if (!recipe || !ground) return <p className="text-small text-quiet">Working it out.</p>;
  return <Advice key={recipeId} recipe={recipe} ground={ground} {...rest} />;
}

function Advice({ recipe, kit, ground, onPut }: AdviceProps) {
  const { last, found, sealedCount, isRead } = useFound(recipe.brews);
  const { data: scores, isLoading: areScoresComing } = useScoresQuery();
  // Only what a person added or took away is kept: the record speaks for the rest.
  const [byHand, setByHand] = useDraft<Partial<Record<Finding, boolean>>>(`wrong.${last?.id ?? 0}`, {});
  const findings = FINDINGS.filter(
    (finding) => byHand[finding] ?? found.some((each) => each.finding === finding),
  );
  const [isAll, setAll] = useState(false);
  const newest = recipe.versions[0];
  const targets = targetsOf(aimOf(kit.house.window, recipe.schools, recipe.aim));
  const sizes =
    kit.grinders.find(({ id }) => id === recipe.grinderId)?.points.map(({ grindUm }) => grindUm) ?? [];
  const isWriting = useIsWriting();
  // Asked once all of it is there: each asking takes a while, and the last one counts.
  const isReady = isRead && !areScoresComing && !isWriting;
  const advice = useAdvice(
    ground,
    newest && isReady
      ? {
          plan: newest.plan,
          targets,
          limits: {
            finestUm: Math.min(...sizes),
            coarsestUm: Math.max(...sizes),
            coolestC: 60,
            hottestC: 100,
          },
          // What was brewed is held against the aim only where it is the plan that a change would start from.
          last: last?.versionNumber === newest.number ? lastBrewOf(last) : null,
          findings,
          schools: recipe.schools,
          ruleRecords: scores?.rules ?? [],
        }
      : null,
  );
  // Also what has been learned, which is said below what to change.
  const { forecaster, trouble } = useForecaster(ground);
  const isPut = advice !== null || trouble !== null;
  const tellPut = useEffectEvent(onPut);
  useEffect(() => {
    if (isPut) tellPut();
  }, [isPut]);

  if (trouble !== null) return <Notice tone="alarm">{trouble}</Notice>;
  return (
    <>
      <WhatWasWrong
        found={found}
        findings={findings}
        onToggle={(finding) => setByHand({ ...byHand, [finding]: !findings.includes(finding) })}
      />
      {last && sealedCount > 0 && <SheetsWait brewId={last.id} number={last.number} count={sealedCount} />}
      {typeof advice === 'string' && <Notice tone="alarm">{advice}</Notice>}
      {advice === null && <p className="text-small text-quiet">Working it out.</p>}
      {newest && advice !== null && typeof advice !== 'string' && (
        <>
          {advice.isThere ? (
            <RepeatOrProve
              recipe={recipe}
              version={newest}
              asItIs={advice.asItIs}
              last={last?.versionNumber === newest.number ? last : null}
            />
          ) : (
            <p className="mb-2 text-small">
              Brewed again as it is,{' '}
              <span className="reading font-semibold">{cupsWords(advice.asItIs.chance)}</span> cups of version{' '}
              {newest.number} lie in the window.
            </p>
          )}
          {advice.notes.map((note) => (
            <Notice key={note}>{note}</Notice>
          ))}
          {!advice.isThere && advice.changes.length === 0 && (
            <p className="text-small">No change is likelier to hit the aim than the same brew again.</p>
          )}
          {advice.isThere && advice.changes.length > 0 && (
            <h3 className="mt-4 text-small text-quiet">Change something anyway</h3>
          )}
          <ol>
            {advice.changes.slice(0, isAll ? undefined : SHOWN_AT_FIRST).map((change, index) => (
              <OneChange
                key={change.title}
                change={change}
                isFirst={index === 0 && !advice.isThere}
                recipe={recipe}
              />
            ))}
          </ol>
          {!isAll && advice.changes.length > SHOWN_AT_FIRST && (
            <Button weight="quiet" className="-ml-3" onClick={() => setAll(true)}>
              {advice.changes.length - SHOWN_AT_FIRST} more
            </Button>
          )}
          <Taught forecaster={forecaster} plan={newest.plan} brews={recipe.brews} />
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
    const note = `${change.title}: ${change.why}`.slice(0, VERSION_NOTE.max);
    putOnBoard(recipe.id, newest, change.plan, note, expectedOfChange(change));
    void navigate(`/recipes/${recipe.id}`);
  }
  return (
    <li className="grid grid-cols-[1fr_auto] gap-x-5 border-b border-rule py-2.5">
      <div>
        <h3 className={classes('first-letter:uppercase', isFirst ? 'text-large font-bold' : 'font-semibold')}>
          {change.title}
          {change.kind === 'two-variable' && (
            <span className="ml-2 text-small font-normal text-quiet">
              two changes at once: you will not know which one did it
            </span>
          )}
        </h3>
        <p className="text-small first-letter:uppercase">{change.why}</p>
        <p className="text-small text-quiet first-letter:uppercase">{change.taste}</p>
        <RecordOfRule record={change.record} />
        {change.against.map((against) => (
          <p key={against} className="text-small text-quiet">
            Against it: {against}
          </p>
        ))}
        {change.school && <p className="text-small text-quiet">House style: {change.school}</p>}
      </div>
      <div className="flex flex-col items-end gap-2">
        <ChangeFigures change={change} />
        <Button weight={isFirst ? 'main' : 'plain'} onClick={take}>
          Try this change
        </Button>
      </div>
    </li>
  );
}

/** How a rule has done here, where it was put to the test: one that missed counts for less, and says so. */
function RecordOfRule({ record }: { record: ProposedChange['record'] }) {
  if (!record) return null;
  return (
    <p className="text-small text-quiet">
      By this rule, {record.came} of {record.came + record.missed} came true here
      {record.missed > 0 && `, so it counts for ${Math.round(ruleWeight(record) * 100)} % of its weight`}.
    </p>
  );
}
