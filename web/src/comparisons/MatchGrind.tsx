import { useEffect, useState } from 'react';
import { armFigure, armLetter, formatClock, type BrewPlan, type GrindMatch } from '@vendu/core';
import type { ComparisonArmView, ComparisonView } from '@vendu/contract';
import { useKitQuery } from '../api/kitApi';
import { useRecipeQuery } from '../api/recipesApi';
import { useForecaster } from '../board/useForecaster';
import { groundOf } from '../kit/groundOf';
import { Button } from '../ui/Button';
import { TroubleNotice } from '../ui/Notice';
import { useArmVersion } from './useArmVersion';

type Match = Exclude<GrindMatch, 'dial'>;

const MATCHED = {
  drain: { as: 'drain', print: (value: number) => formatClock(Math.round(value)) },
  yield: { as: 'yield', print: (value: number) => `${value.toFixed(1)} %` },
} as const satisfies Record<Match, { as: string; print: (value: number) => string }>;

/** Closer than this one setting of a grinder gives both, um (assumed). */
const SAME_GRIND_UM = 15;

/** For arms that are not brewed yet: the grind at which they drain or yield as A does, and the version with it. */
export function MatchGrind({ comparison }: { comparison: ComparisonView }) {
  const { arms, matchedBy, tests } = comparison;
  const [first, ...others] = arms;
  if (!first || matchedBy === 'dial' || tests.length > 0) return null;
  return others.map((arm, index) =>
    arm.brews.length > 0 || arm.recipeId === first.recipeId ? null : (
      <MatchOf key={arm.id} id={comparison.id} first={first} arm={arm} place={index + 1} by={matchedBy} />
    ),
  );
}

function MatchOf({
  id,
  first,
  arm,
  place,
  by,
}: {
  id: number;
  first: ComparisonArmView;
  arm: ComparisonArmView;
  place: number;
  by: Match;
}) {
  const wanted = useFigureOf(first, by);
  const plan = useMatched(arm, by, wanted);
  const { trouble, isReady, compare } = useArmVersion(id, arm);
  const letter = armLetter(place);
  const { as, print } = MATCHED[by];
  if (wanted === null || plan === undefined)
    return <p className="mt-3 text-small text-quiet">working out the grind</p>;
  if (plan === null) {
    return (
      <p className="mt-3 text-small">
        By the model no grind makes {letter} {as} like A, {print(wanted)}: match by the other figure, or
        change its pours.
      </p>
    );
  }
  if (Math.abs(plan.grindUm - arm.plan.grindUm) < SAME_GRIND_UM) {
    return (
      <p className="mt-3 text-small">
        By the model {letter} {as}s like A, {print(wanted)}, as it is ground.
      </p>
    );
  }
  return (
    <div className="mt-3 border-l-2 border-ink pl-3 text-small">
      <p>
        By the model {letter} {as}s like A, {print(wanted)}, at{' '}
        <span className="reading">{plan.grindUm} µm</span>; it is planned at{' '}
        <span className="reading">{arm.plan.grindUm} µm</span>.
      </p>
      <TroubleNotice trouble={trouble} />
      <Button
        className="mt-1"
        disabled={!isReady}
        onClick={() => void compare(plan, `Ground to ${as} as arm A of a comparison`)}
      >
        Compare {letter} at {plan.grindUm} µm
      </Button>
    </div>
  );
}

/** What A was measured to do in this comparison, else what the model has it do; `null` until that is known. */
function useFigureOf(arm: ComparisonArmView, by: Match): number | null {
  const forecaster = useForecasterOf(arm.recipeId);
  const [modelled, setModelled] = useState<number | null>(null);
  const plan = JSON.stringify(arm.plan);
  useEffect(() => {
    let isGone = false;
    void forecaster?.figures(JSON.parse(plan) as BrewPlan).then((figures) => {
      if (!isGone) setModelled(figures?.[by] ?? null);
    });
    return () => {
      isGone = true;
    };
  }, [forecaster, plan, by]);
  const measured = armFigure(arm, by === 'drain' ? 'drainS' : 'yieldPercent');
  return measured?.mean ?? modelled;
}

/** @returns the plan at the matched grind, `null` where there is none, `undefined` while it is worked out */
function useMatched(arm: ComparisonArmView, by: Match, wanted: number | null): BrewPlan | null | undefined {
  const forecaster = useForecasterOf(arm.recipeId);
  const asked = JSON.stringify({ plan: arm.plan, by, wanted });
  const [found, setFound] = useState<{ asked: string; plan: BrewPlan | null } | null>(null);
  useEffect(() => {
    const {
      plan,
      by: figure,
      wanted: value,
    } = JSON.parse(asked) as {
      plan: BrewPlan;
      by: Match;
      wanted: number | null;
    };
    if (!forecaster || value === null) return undefined;
    let isGone = false;
    void forecaster.matched(plan, figure, value).then((matched) => {
      if (!isGone) setFound({ asked, plan: matched });
    });
    return () => {
      isGone = true;
    };
  }, [forecaster, asked]);
  return found?.asked === asked ? found.plan : undefined;
}

function useForecasterOf(recipeId: number) {
  const { data: kit } = useKitQuery();
  const { data: recipe } = useRecipeQuery(recipeId);
  return useForecaster(recipe && kit ? groundOf(recipe, kit) : null).forecaster;
}
