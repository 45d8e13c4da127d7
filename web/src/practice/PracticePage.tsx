import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import {
  EXERCISES,
  EXERCISE_NAMES,
  pourEndS,
  runningTotalsG,
  type BrewPlan,
  type ExerciseName,
  type Trace,
} from '@vendu/core';
import type { LotListItem } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { traceLine } from '../bench/traceLine';
import { BrewerSection, brewerWords } from '../brewerSection/BrewerSection';
import { useLotsQuery } from '../api/lotsApi';
import { FittedStaircase } from '../ui/FittedStaircase';
import { Button } from '../ui/Button';
import { LotPick } from '../kit/LotPick';
import { TroubleNotice } from '../ui/Notice';
import { HoldToPour } from './HoldToPour';
import { Progress } from './Progress';
import { ScoreFigures } from './ScoreFigures';
import { practiceBrewer } from './practiceBrewer';
import { usePracticeQuery, usePutPracticeMutation } from './practiceApi';
import { usePouring } from './usePouring';
import { usePracticeKit } from './usePracticeKit';
import { uuid } from '../device/uuid';

const WORDS: Record<ExerciseName, { name: string; asked: string }> = {
  'hold-flow': { name: 'Hold the flow', asked: 'Pour 100 g in ten seconds, evenly.' },
  'hit-totals': { name: 'Hit the totals', asked: 'Four pours to their totals, each at its time.' },
  'follow-recipe': { name: 'Follow a recipe', asked: 'Pour one of the house’s recipes without coffee.' },
};
/** The brewer as it is drawn, px. */
const BREWER_PX = 130;
/** The scale is watched so long after the last pour, s. */
const AFTER_S = 4;

/** Pouring without coffee, against a simulated scale: scored on flow, timing, totals and steadiness. */
export function PracticePage() {
  const [name, setName] = useState<ExerciseName>('hold-flow');
  const [chosen, setChosen] = useState<LotListItem | null>(null);
  const { data: lots } = useLotsQuery({ search: '', sort: 'recent', direction: 'down', page: 1 });
  const lot = chosen ?? lots?.lots.find((each) => each.recipe !== null);
  const recipe = lot?.recipe;
  const plan = name === 'follow-recipe' ? recipe?.plan : EXERCISES[name];
  return (
    <>
      <h1 className="mb-1 text-title font-bold">Practice</h1>
      <p className="mb-5 text-small text-quiet">
        No coffee and no water: hold Space to tilt the kettle, let go to stop; or press in the field and pull
        down, further for a faster pour. For the tongue there are{' '}
        <Link to="/practice/cups" className="underline underline-offset-3">
          reference cups
        </Link>
        .
      </p>
      <div role="group" aria-label="Exercise" className="mb-5 flex flex-wrap items-center gap-3">
        {EXERCISE_NAMES.map((each) => (
          <Button
            key={each}
            aria-pressed={each === name}
            weight={each === name ? 'main' : 'plain'}
            onClick={() => setName(each)}
          >
            {WORDS[each].name}
          </Button>
        ))}
        {name === 'follow-recipe' && (
          <div className="w-80">
            <LotPick label="Lot to follow" chosen={lot} onChange={setChosen} />
          </div>
        )}
        <span className="text-small">{WORDS[name].asked}</span>
      </div>
      {plan ? (
        // Lots that arrive late must not end a run that has begun.
        <Exercise
          key={name === 'follow-recipe' ? recipe?.id : name}
          name={name}
          plan={plan}
          recipeId={name === 'follow-recipe' ? (recipe?.id ?? null) : null}
        />
      ) : (
        <p>No recipe yet: start one on a lot’s page, then follow it here.</p>
      )}
    </>
  );
}

function Exercise({
  name,
  plan,
  recipeId,
}: {
  name: ExerciseName;
  plan: BrewPlan;
  /** Of the recipe that is followed. */
  recipeId: number | null;
}) {
  const kit = usePracticeKit(recipeId);
  const [put, { data, error, isLoading }] = usePutPracticeMutation();
  const { data: runs = [] } = usePracticeQuery();
  const lastsS = Math.ceil(Math.max(...plan.pours.map(pourEndS)) + AFTER_S);
  const { pouring, held, hold, again } = usePouring({
    lastsS,
    brewer: () => practiceBrewer(plan, kit),
    onOver(trace: Trace) {
      void put({
        key: uuid(),
        run: {
          exercise: name,
          plan: { ...plan, pours: plan.pours.map((pour) => ({ ...pour })) },
          trace: { atMs: [...trace.atMs], massG: [...trace.massG] },
        },
      });
    },
  });
  const dry = useMemo(() => practiceBrewer(plan, kit)?.seen() ?? null, [plan, kit]);
  const seen = pouring.seen ?? dry;
  const isOver = !pouring.isRunning && pouring.trace.atMs.length > 0;
  const asked = runningTotalsG(plan).find((totalG) => totalG > pouring.massG + 2);
  const score = isOver ? data?.[0]?.score : undefined;
  return (
    <div className="grid grid-cols-1 gap-8 xl:grid-cols-[minmax(0,1fr)_400px]">
      <div className="min-w-0">
        <FittedStaircase
          plan={plan}
          height={240}
          actual={pouring.trace.atMs.length > 0 ? traceLine(pouring.trace) : undefined}
          nowS={pouring.isRunning ? pouring.elapsedS : undefined}
          label="The exercise as a staircase, with what was poured drawn over it"
        />
        <p className="my-3 flex flex-wrap items-baseline gap-x-8">
          <span className="reading text-[3.5rem] leading-none font-semibold text-time">
            {pouring.elapsedS.toFixed(0)} s
          </span>
          <span className="reading text-[3.5rem] leading-none font-semibold text-water">
            {pouring.massG.toFixed(1)} g
          </span>
          <span className="reading text-[2.5rem] leading-none font-semibold text-flow">
            {pouring.flowGps.toFixed(1)} g/s
          </span>
          {asked !== undefined && !isOver && <span className="text-large">to {asked} g</span>}
        </p>
        {isOver ? (
          <div className="flex flex-col gap-3">
            {score && <ScoreFigures score={score} />}
            <TroubleNotice trouble={troubleOf(error)} />
            <Button weight="main" className="w-fit" disabled={isLoading} onClick={again}>
              Once more
            </Button>
          </div>
        ) : (
          <HoldToPour held={held} onHeld={hold} />
        )}
      </div>
      <div className="flex flex-col gap-8">
        {kit && seen && (
          <section>
            <h2 className="heading mb-3">In the brewer</h2>
            <div className="flex items-end gap-5">
              <BrewerSection geometry={kit.brewer} seen={seen} heightPx={BREWER_PX} />
              <p className="text-small">
                {brewerWords(kit.brewer, seen)}
                <span className="block text-quiet">by the brew model, with {plan.doseG} g in it</span>
              </p>
            </div>
          </section>
        )}
        <Progress runs={runs.filter((run) => run.exercise === name)} />
      </div>
    </div>
  );
}
