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
import { Fold } from '../ui/Fold';
import { Notice } from '../ui/Notice';
import { QuantityField } from '../ui/QuantityField';
import { DECIMAL, MICROMETRES, inRange } from '../ui/quantities';
import { DrainTimed } from './DrainTimed';
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
  const put = (index: number, changed: Partial<Timed>) =>
    setTimed(timed.map((each, at) => (at === index ? { ...each, ...changed } : each)));
  return (
    <Fold
      isWrong={trouble !== null}
      summary={
        <>
          <span className="font-semibold">From a reference brew instead</span>{' '}
          <span className="text-quiet">three minutes a setting, nothing to measure grains with</span>
        </>
      }
    >
      <ol className="mt-3 flex list-decimal flex-col gap-4 pl-5">
        <li>
          Take one coffee, roasted alike, for all of it. Every time brew {plan.doseG} g with{' '}
          {plan.pours.map(({ amountG }) => `${amountG} g`).join(' + ')} at{' '}
          {plan.pours.map(({ startS }) => formatDuration(startS)).join(', ')}, kettle at {plan.kettleC} °C.
          <div className="mt-2 max-w-72">
            <KitChoice label="Brewer" value={brewerId} options={brewerOptions(kit)} onChange={setBrewerId} />
          </div>
        </li>
        <li>
          Brew it once at a size that you know, on any grinder, and time its drain.
          <div className="mt-2 grid grid-cols-[8rem_1fr] gap-3">
            <QuantityField
              labelHidden
              label="Known size"
              quantity={inRange(MICROMETRES, { label: 'Known size', min: 350, max: 1600 })}
              value={knownUm}
              onCommit={setKnownUm}
            />
            <DrainTimed label="It drained at" value={knownS} onChange={setKnownS} />
          </div>
        </li>
        <li>
          Brew it on this grinder at two settings or more: the finest that you use, the coarsest, one between.
          {timed.map((row, index) => (
            <div key={index} className="mt-2 grid grid-cols-[8rem_1fr] gap-3">
              <QuantityField
                labelHidden
                label={`Setting ${index + 1}`}
                placeholder="setting"
                quantity={DECIMAL}
                value={row.setting}
                onCommit={(setting) => put(index, { setting })}
              />
              <DrainTimed
                label={`Drain time ${index + 1}`}
                value={row.drawdownS}
                onChange={(drawdownS) => put(index, { drawdownS })}
              />
            </div>
          ))}
          <Button className="mt-2" onClick={() => setTimed([...timed, { setting: null, drawdownS: null }])}>
            Another setting
          </Button>
        </li>
        <li>
          <Button onClick={workOut}>Work out the points</Button>{' '}
          <span className="text-small text-quiet">
            They come with what a drain time leaves open, and take the place of the points above.
          </span>
        </li>
      </ol>
      {trouble && <Notice tone="alarm">{trouble}</Notice>}
    </Fold>
  );
}
