import { useState } from 'react';
import { brewerGeometry, paperFromDrainTest } from '@vendu/core';
import type { KitView, PaperView } from '@vendu/contract';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { QuantityField } from '../ui/QuantityField';
import { CELSIUS, CLOCK, GRAMS, RESISTANCE, inRange } from '../ui/quantities';
import { KitChoice } from './KitChoice';
import { brewerOptions } from './kitOptions';
import { withoutId } from './withoutId';
import { useSaveKit } from './useSaveKit';

/** Water poured at once and left when the clock stops, g: enough for a stopwatch, little enough for any brewer. */
const USUAL = { waterG: 300, leftG: 20, waterC: 90 };

/** Resistance of a paper from plain water timed through it, which no number of brews can tell from the bed's. */
export function DrainTest({ paper, kit, onLeave }: { paper: PaperView; kit: KitView; onLeave: () => void }) {
  const save = useSaveKit();
  const [brewerId, setBrewerId] = useState(
    (kit.brewers.find(({ paperId }) => paperId === paper.id) ?? kit.brewers[0])?.id ?? 0,
  );
  const [water, setWater] = useState(USUAL);
  const [seconds, setSeconds] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const brewer = kit.brewers.find(({ id }) => id === brewerId);
  const found =
    brewer && seconds !== null
      ? paperFromDrainTest({
          ...water,
          brewer: brewerGeometry(brewer, paper),
          paperPerM: paper.resistancePerM,
          seconds,
        })
      : null;
  async function use(resistancePerM: number) {
    const against = await save({
      part: 'papers',
      id: paper.id,
      body: { ...withoutId(paper), resistancePerM: Math.round(resistancePerM / 1e5) * 1e5 },
    });
    setTrouble(against?.detail ?? null);
    if (!against) onLeave();
  }
  return (
    <div className="flex flex-col gap-4">
      <p className="text-small text-quiet">
        Set the rinsed paper in the brewer, pour the water in at once and stop the clock when this much is
        still standing over the outlet. No coffee. The water is near boiling: keep hands clear of the stream.
      </p>
      <div className="grid grid-cols-3 gap-3">
        <KitChoice label="Brewer" value={brewerId} options={brewerOptions(kit)} onChange={setBrewerId} />
        <QuantityField
          label="Poured"
          quantity={inRange(GRAMS, { label: 'Water', min: 20, max: 2000 })}
          value={water.waterG}
          onCommit={(waterG) => setWater({ ...water, waterG })}
        />
        <QuantityField
          label="Still standing when stopped"
          quantity={inRange(GRAMS, { label: 'What stands', min: 1, max: 1000 })}
          value={water.leftG}
          onCommit={(leftG) => setWater({ ...water, leftG })}
        />
        <QuantityField
          label="Water at"
          quantity={inRange(CELSIUS, { label: 'Water', min: 1, max: 100 })}
          value={water.waterC}
          onCommit={(waterC) => setWater({ ...water, waterC })}
        />
        <QuantityField
          label="Drain time"
          quantity={inRange(CLOCK, { label: 'Time', min: 1, max: 3600 })}
          value={seconds}
          onCommit={setSeconds}
        />
      </div>
      {found && !found.ok && <Notice tone="alarm">{found.message}</Notice>}
      {found?.ok && (
        <p>
          This paper’s resistance is{' '}
          <span className="reading font-bold">{RESISTANCE.format(found.value.measuredPerM)}</span> million/m;
          so far it was taken as <span className="reading">{RESISTANCE.format(found.value.paperPerM)}</span>.
        </p>
      )}
      {trouble && <Notice tone="alarm">{trouble}</Notice>}
      <div className="flex gap-3">
        <Button
          weight="main"
          disabled={!found?.ok}
          onClick={() => found?.ok && void use(found.value.measuredPerM)}
        >
          Use the measured one
        </Button>
        <Button weight="quiet" onClick={onLeave}>
          Cancel
        </Button>
      </div>
    </div>
  );
}
