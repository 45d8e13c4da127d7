import { grindingOf, type BrewPlan } from '@vendu/core';
import type { GrinderView, SieveView } from '@vendu/contract';
import { Fold } from '../ui/Fold';
import { QuantityField } from '../ui/QuantityField';
import { MICROMETRES, PERCENT, whole, inRange } from '../ui/quantities';
import { FromKit } from './FromKit';
import { settingWords } from './settingWords';
import { without } from './without';

interface GrindPartsProps {
  plan: BrewPlan;
  grinder: GrinderView;
  onOffer: (plan: BrewPlan) => string | undefined;
  faults: Record<string, string>;
  sieves: readonly SieveView[];
}

/** What a second grind takes where nobody says its share, %. */
const USUAL_SHARE_PERCENT = 50;

/** A second grind and a sieve: most plans have neither, so it is folded away until one does. */
export function GrindParts({ plan, grinder, onOffer, faults, sieves }: GrindPartsProps) {
  const { secondGrind, sieveUm } = plan;
  const isWrong = Object.keys(faults).some((field) => /^(secondGrind|sieveUm)/.test(field));
  const share = secondGrind?.sharePercent ?? USUAL_SHARE_PERCENT;
  return (
    <Fold
      isWrong={isWrong}
      summary={
        <>
          <span className="font-semibold">Second grind and sieve</span>{' '}
          <span className="text-quiet">{groundWords(plan, grinder)}</span>
        </>
      }
    >
      <div className="mt-3 grid grid-cols-2 items-start gap-3 sm:grid-cols-4">
        <QuantityField
          label="Second grind"
          quantity={whole(inRange(MICROMETRES, { label: 'Second grind', min: 200, max: 2000 }))}
          value={secondGrind?.grindUm ?? null}
          onOffer={(grindUm) => onOffer({ ...plan, secondGrind: { grindUm, sharePercent: share } })}
          onClear={() => onOffer(without(plan, 'secondGrind'))}
          placeholder="none"
          error={faults['secondGrind.grindUm']}
          hint={secondGrind && settingWords(grinder, secondGrind.grindUm)}
        />
        {secondGrind && (
          <QuantityField
            label="Its share"
            quantity={whole(inRange(PERCENT, { label: 'Share of the second grind', min: 5, max: 95 }))}
            value={secondGrind.sharePercent}
            onOffer={(sharePercent) => onOffer({ ...plan, secondGrind: { ...secondGrind, sharePercent } })}
            error={faults['secondGrind.sharePercent']}
            hint="of all that is ground"
          />
        )}
        <QuantityField
          label="Sieve"
          quantity={whole(inRange(MICROMETRES, { label: 'Sieve', min: 100, max: 1000 }))}
          value={sieveUm ?? null}
          onOffer={(holesUm) => onOffer({ ...plan, sieveUm: holesUm })}
          onClear={() => onOffer(without(plan, 'sieveUm'))}
          placeholder="none"
          error={faults['sieveUm']}
          hint="its holes; the dose is what stays"
        />
        <FromKit
          label="Sieves of the kit"
          things={sieves}
          figureOf={({ holesUm }) => `${holesUm} µm`}
          onTake={({ holesUm }) => onOffer({ ...plan, sieveUm: holesUm })}
        />
      </div>
      <p className="caption mt-2">
        A coarser part brings aroma, a finer one sweetness. Without its fines a cup is cleaner, sweeter and
        less dry; grind more, for the dose is weighed after the sieve. Do not breathe the dust.
      </p>
    </Fold>
  );
}

/** What is ground for it and what goes, in a line. */
function groundWords(plan: BrewPlan, grinder: GrinderView): string {
  if (plan.secondGrind === undefined && plan.sieveUm === undefined)
    return 'all of it alike, nothing sieved out';
  const { parts, finesG } = grindingOf(plan);
  const ground = parts
    .map(({ toGrindG, grindUm }) => `${toGrindG} g at ${grindUm} µm (${settingWords(grinder, grindUm)})`)
    .join(' and ');
  return plan.sieveUm === undefined ? ground : `${ground}; about ${finesG} g of fines go`;
}
