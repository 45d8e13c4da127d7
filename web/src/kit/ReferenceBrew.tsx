import { useState } from 'react';
import {
  conditionsOfPlan,
  formatDuration,
  grindFromDrainTimes,
  startingRecipe,
  type MeasuredPoint,
} from '@vendu/core';
import type { BrewerView, KitView } from '@vendu/contract';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { QuantityField } from '../ui/QuantityField';
import { CLOCK, COUNT, MICROMETRES, within } from '../ui/quantities';
import { brewKitOf } from './brewKitOf';
import { KitChoice } from './KitChoice';
import { brewerOptions } from './kitOptions';

interface Timed {
  setting: number | null;
  drawdownS: number | null;
}

/** Sizes of settings from the drain times of one reference brew, where nobody can measure grains. */
export function ReferenceBrew({
  kit,
  onPoints,
}: {
  kit: KitView;
  onPoints: (points: MeasuredPoint[]) => void;
}) {
  const [brewerId, setBrewerId] = useState(kit.brewers[0]?.id ?? 0);
  const [knownUm, setKnownUm] = useState(700);
  const [knownS, setKnownS] = useState<number | null>(null);
  const [timed, setTimed] = useState<Timed[]>([
    { setting: null, drawdownS: null },
    { setting: null, drawdownS: null },
    { setting: null, drawdownS: null },
  ]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const brewer = kit.brewers.find(({ id }) => id === brewerId);
  if (!brewer) return null;
  const { plan } = startingRecipe({
    process: 'washed',
    elevation: null,
    roastLevel: null,
    roastAgeDays: 10,
    brewer,
    labElevationM: kit.house.elevationM,
  });

  function workOut() {
    const drained = timed.flatMap(({ setting, drawdownS }) =>
      setting === null || drawdownS === null ? [] : [{ setting, drawdownS }],
    );
    if (knownS === null || drained.length < 2) {
      setTrouble('Time the known size once, and at least two settings.');
      return;
    }
    const found = grindFromDrainTimes({
      brew: conditionsOfPlan({ plan, kit: brewKitOf(brewer as BrewerView, kit.house) }),
      known: { grindUm: knownUm, drawdownS: knownS },
      drained,
    });
    setTrouble(found.ok ? null : found.message);
    if (found.ok) {
      onPoints(
        found.value.map(({ setting, grindUm, sdUm }) => ({
          setting,
          grindUm: Math.round(grindUm),
          ...(sdUm === undefined ? {} : { sdUm: Math.round(sdUm) }),
        })),
      );
    }
  }
  return (
    <details>
      <summary className="text-small underline underline-offset-3">From a reference brew instead</summary>
      <p className="my-2 text-small text-quiet">
        Brew the house recipe ({plan.doseG} g, {plan.pours.map(({ amountG }) => `${amountG} g`).join(' + ')}{' '}
        at {plan.pours.map(({ startS }) => formatDuration(startS)).join(', ')}) with one coffee at each
        setting and time the drain. One size must be known, from this grinder or another.
      </p>
      <div className="grid grid-cols-3 gap-3">
        <KitChoice label="Brewer" value={brewerId} options={brewerOptions(kit)} onChange={setBrewerId} />
        <QuantityField
          label="Known size"
          quantity={within(MICROMETRES, { label: 'Known size', min: 350, max: 1600 })}
          value={knownUm}
          onCommit={setKnownUm}
        />
        <QuantityField
          label="It drained at"
          quantity={within(CLOCK, { label: 'Drain time', min: 30, max: 900 })}
          value={knownS}
          onCommit={setKnownS}
        />
      </div>
      {timed.map((row, index) => (
        <div key={index} className="mt-2 grid grid-cols-3 gap-3">
          <QuantityField
            labelHidden
            label={`Setting ${index + 1}`}
            placeholder="setting"
            quantity={COUNT}
            value={row.setting}
            onCommit={(setting) =>
              setTimed(timed.map((each, at) => (at === index ? { ...each, setting } : each)))
            }
          />
          <QuantityField
            labelHidden
            label={`Drain time ${index + 1}`}
            placeholder="drained at"
            quantity={CLOCK}
            value={row.drawdownS}
            onCommit={(drawdownS) =>
              setTimed(timed.map((each, at) => (at === index ? { ...each, drawdownS } : each)))
            }
          />
        </div>
      ))}
      <div className="mt-3 flex items-center gap-3">
        <Button onClick={() => setTimed([...timed, { setting: null, drawdownS: null }])}>
          Another setting
        </Button>
        <Button onClick={workOut}>Work out the points</Button>
      </div>
      {trouble && <Notice tone="alarm">{trouble}</Notice>}
    </details>
  );
}
