import { Slider } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import {
  cumulativeFractions,
  formatDuration,
  liftedEarly,
  stoppedCup,
  turnOf,
  type Fraction,
  type Turn,
} from '@vendu/core';
import type { BrewView, FractionDto } from '@vendu/contract';
import { putOnBoard } from '../board/planDraft';
import { useRecipeQuery } from '../api/recipesApi';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Tick } from '../ui/Tick';
import { CupsCurve } from './CupsCurve';

/** The cups added up, and the recipe that would stop where they turn; nothing before two of them were weighed. */
export function CupsCut({ brew, cups }: { brew: BrewView; cups: readonly FractionDto[] }) {
  const fractions = weighed(cups);
  const points = cumulativeFractions({ fractions, doseG: brew.doseG });
  const last = fractions.at(-1);
  if (fractions.length < 2 || !points.ok || !last) return null;
  const turn = turnOf({ fractions });
  return (
    <section className="mt-6" aria-label="Where to cut">
      <h3 className="heading mb-2">Where to cut</h3>
      <p className="mb-2 text-small text-quiet">{turn.ok ? turnWords(turn.value) : turn.message}</p>
      <Cut
        // Other cups, other turns: the cut begins where they say.
        key={JSON.stringify(turn.ok ? turn.value.atS : last.endS)}
        brew={brew}
        fractions={fractions}
        points={points.value}
        fromS={fractions[0]?.startS ?? 0}
        untilS={last.endS}
        turnS={turn.ok ? turn.value.atS : null}
      />
    </section>
  );
}

function Cut({
  brew,
  fractions,
  points,
  fromS,
  untilS,
  turnS,
}: {
  brew: BrewView;
  fractions: readonly Fraction[];
  points: Parameters<typeof CupsCurve>[0]['points'];
  fromS: number;
  untilS: number;
  turnS: number | null;
}) {
  const { data: recipe } = useRecipeQuery(brew.recipeId);
  const navigate = useNavigate();
  const [atS, setAtS] = useState(Math.round(turnS ?? untilS));
  const [isMoved, setMoved] = useState(false);
  const cup = stoppedCup({ fractions, doseG: brew.doseG, stopS: Math.min(atS, untilS) });
  const newest = recipe?.versions[0];
  const hasLater = newest?.plan.pours.some(({ startS }) => startS >= atS) ?? false;
  const lifted =
    newest && liftedEarly({ plan: newest.plan, atS, lateWater: isMoved ? 'poured-before' : 'left-out' });
  function take() {
    if (!newest || !lifted?.ok) return;
    const note = `Lifted at ${formatDuration(atS)}, where the cups of brew ${brew.number} turn`;
    putOnBoard(brew.recipeId, newest, lifted.value, note, { source: { kind: 'own' }, hopes: [] });
    void navigate(`/recipes/${brew.recipeId}`);
  }
  return (
    <div className="grid grid-cols-1 gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <div>
        <CupsCurve points={points} atS={atS} turnS={turnS} />
        <Slider.Root
          min={Math.ceil(fromS)}
          max={Math.floor(untilS)}
          step={1}
          value={[atS]}
          onValueChange={([next]) => setAtS(next ?? atS)}
          className="relative mr-[44px] ml-[46px] flex h-10 touch-none items-center"
        >
          <Slider.Track className="relative h-px grow bg-edge">
            <Slider.Range className="absolute -top-px h-[3px] bg-time" />
          </Slider.Track>
          <Slider.Thumb
            aria-label="Lifted at"
            aria-valuetext={formatDuration(atS)}
            className="block h-6 w-3 rounded-edge border-2 border-ink bg-ink"
          />
        </Slider.Root>
      </div>
      <div className="flex flex-col gap-3 text-small">
        <p>
          Lifted at <b className="reading text-large text-time">{formatDuration(atS)}</b> this brew was{' '}
          {cup.ok ? (
            <>
              <span className="reading text-water">{cup.value.beverageG.toFixed(0)} g</span>
              {cup.value.tdsPercent !== null && cup.value.yieldPercent !== null && (
                <>
                  ,{' '}
                  <span className="reading font-semibold text-strength">
                    {cup.value.tdsPercent.toFixed(2)} %
                  </span>{' '}
                  strong,{' '}
                  <span className="reading font-semibold text-yield">
                    {cup.value.yieldPercent.toFixed(1)} %
                  </span>{' '}
                  of the dose
                </>
              )}
            </>
          ) : (
            cup.message
          )}
          .
        </p>
        {hasLater && <Tick label="Pour the later water before it" checked={isMoved} onChange={setMoved} />}
        {lifted && !lifted.ok && (
          <Notice>
            {lifted.reason === 'out-of-range' ? 'No brew is lifted as soon as that.' : lifted.message}
          </Notice>
        )}
        <Button className="self-start" disabled={!lifted?.ok} onClick={take}>
          Put this cut on the board
        </Button>
        <p className="text-quiet">
          The board says what the lot’s model expects of it; brew it whole to know.
        </p>
      </div>
    </div>
  );
}

/** Cups from the first on as far as each was weighed. */
function weighed(cups: readonly FractionDto[]): Fraction[] {
  const fractions: Fraction[] = [];
  for (const { startS, endS, beverageG, tdsPercent, isWanted } of cups) {
    if (beverageG === null) break;
    fractions.push({ startS, endS, beverageG, tdsPercent, wanted: isWanted });
  }
  return fractions;
}

function turnWords({ atS, beverageG, basis }: Turn): string {
  const where = `at ${formatDuration(Math.round(atS))}, after ${beverageG.toFixed(0)} g`;
  return basis === 'taste'
    ? `The cups turn ${where}: from there on they were not wanted.`
    : `The strengths bend ${where}; nobody marked which cups are wanted.`;
}
