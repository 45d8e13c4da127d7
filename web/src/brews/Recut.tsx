import { Slider } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { formatDuration, recut, stoppedCup, type Fraction, type Recut as Cut } from '@vendu/core';
import type { BrewView, RecipeVersionView } from '@vendu/contract';
import { putOnBoard } from '../board/planDraft';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { QuantityField } from '../ui/QuantityField';
import { CLOCK, PERCENT, inRange } from '../ui/quantities';
import { Tick } from '../ui/Tick';
import { CupsCurve } from './CupsCurve';
import { ExpectedOfCut } from './ExpectedOfCut';

interface RecutProps {
  brew: BrewView;
  version: RecipeVersionView;
  fractions: readonly Fraction[];
  points: Parameters<typeof CupsCurve>[0]['points'];
  turnS: number | null;
}

/** Of all water, poured before the turn, where somebody wants more of it there (common practice: three quarters). */
const USUAL_SHARE_PERCENT = 75;

/** Where to stop, where the water goes, with bloom or without: what it makes of the plan, and what is expected of it. */
export function Recut({ brew, version, fractions, points, turnS }: RecutProps) {
  const navigate = useNavigate();
  const fromS = fractions[0]?.startS ?? 0;
  const untilS = fractions.at(-1)?.endS ?? 0;
  const [atS, setAtS] = useState(Math.round(turnS ?? untilS));
  const [lifts, setLifts] = useState(true);
  const [isMoved, setMoved] = useState(false);
  const [sharePercent, setSharePercent] = useState<number | null>(null);
  const [beforeS, setBeforeS] = useState(Math.round(turnS ?? untilS / 2));
  const [dropsBloom, setDropsBloom] = useState(false);
  const { plan } = version;
  const cut: Cut = {
    liftAtS: lifts ? atS : null,
    lateWater: isMoved ? 'poured-before' : 'left-out',
    early: sharePercent === null ? null : { share: sharePercent / 100, beforeS },
    dropsBloom,
  };
  const next = recut({ plan, cut });
  const cup = stoppedCup({ fractions, doseG: brew.doseG, stopS: Math.min(atS, untilS) });
  const isSame = next.ok && JSON.stringify(next.value) === JSON.stringify(plan);
  const hasBloom = plan.pours.some(({ isBloom }) => isBloom);
  const hasLater = lifts && plan.pours.some(({ startS }) => startS >= atS);
  function take() {
    if (!next.ok) return;
    const note = `${cutWords(cut)}, after the cups of brew ${brew.number}`;
    putOnBoard(brew.recipeId, version, next.value, note, { source: { kind: 'own' }, hopes: [] });
    void navigate(`/recipes/${brew.recipeId}`);
  }
  return (
    <div className="grid grid-cols-1 gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <div>
        <CupsCurve points={points} atS={atS} turnS={turnS} />
        <Slider.Root
          min={Math.ceil(fromS)}
          max={Math.floor(untilS)}
          step={1}
          value={[atS]}
          onValueChange={([value]) => setAtS(value ?? atS)}
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
        <p className="text-small">
          Lifted at <b className="reading text-large text-time">{formatDuration(atS)}</b> this brew was{' '}
          {cup.ok ? <CupWords cup={cup.value} /> : cup.message}.
        </p>
      </div>
      <div className="flex flex-col gap-3 text-small">
        <p className="font-semibold">The next plan</p>
        <Tick label={`Lift it at ${formatDuration(atS)}`} checked={lifts} onChange={setLifts} />
        {hasLater && <Tick label="Pour the later water before it" checked={isMoved} onChange={setMoved} />}
        <div className="flex flex-wrap items-end gap-2">
          <QuantityField
            label="Water poured early"
            className="w-36"
            quantity={inRange(PERCENT, { label: 'Water poured early', min: 5, max: 95 })}
            value={sharePercent}
            placeholder={`as ${USUAL_SHARE_PERCENT} %`}
            onCommit={setSharePercent}
            onClear={() => setSharePercent(null)}
          />
          <QuantityField
            label="before"
            className="w-24"
            quantity={inRange(CLOCK, { label: 'Before', min: 1, max: 3600 })}
            value={beforeS}
            onCommit={setBeforeS}
          />
        </div>
        {hasBloom && <Tick label="Without the bloom" checked={dropsBloom} onChange={setDropsBloom} />}
        {next.ok ? (
          <ExpectedOfCut recipeId={brew.recipeId} from={plan} to={next.value} />
        ) : (
          <Notice>
            {next.reason === 'out-of-range' ? 'No brew is lifted as soon as that.' : next.message}
          </Notice>
        )}
        <Button className="self-start" disabled={!next.ok || isSame} onClick={take}>
          Put this on the board
        </Button>
        <p className="text-quiet">Brew it whole to know: a whole cup may show what no fraction does.</p>
      </div>
    </div>
  );
}

function CupWords({
  cup: { beverageG, tdsPercent, yieldPercent },
}: {
  cup: { beverageG: number; tdsPercent: number | null; yieldPercent: number | null };
}) {
  return (
    <>
      <span className="reading text-water">{beverageG.toFixed(0)} g</span>
      {tdsPercent !== null && yieldPercent !== null && (
        <>
          , <span className="reading font-semibold text-strength">{tdsPercent.toFixed(2)} %</span> strong,{' '}
          <span className="reading font-semibold text-yield">{yieldPercent.toFixed(1)} %</span> of the dose
        </>
      )}
    </>
  );
}

/** As a note of the version: "Lifted at 1:15, 75 % of the water before 1:20, without the bloom". */
function cutWords({ liftAtS, early, dropsBloom }: Cut): string {
  const words = [
    liftAtS === null ? '' : `lifted at ${formatDuration(liftAtS)}`,
    early ? `${Math.round(early.share * 100)} % of the water before ${formatDuration(early.beforeS)}` : '',
    dropsBloom ? 'without the bloom' : '',
  ]
    .filter(Boolean)
    .join(', ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}
