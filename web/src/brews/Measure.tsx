import type { Aim, AimSource, BrewOutcome } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { useChangesQuery } from '../api/changesApi';
import { ExtractionMap } from '../extractionMap/ExtractionMap';
import { ChangeCame } from './ChangeCame';
import { OutcomePanel } from './OutcomePanel';
import { ReadingsForm } from './ReadingsForm';
import { WeighForm } from './WeighForm';

interface MeasureProps {
  brew: BrewView;
  /** `null` until the model has answered, or where it cannot. */
  outcome: BrewOutcome | null;
  aim: { aim: Aim; source: AimSource } | null;
}

/** What is weighed and read, and at once what it comes to: on the map, and beside the forecast. */
export function Measure({ brew, outcome, aim }: MeasureProps) {
  const { data: changes = [] } = useChangesQuery(brew.lot.id);
  const change = changes.find(({ seen }) => seen?.afterBrewId === brew.id);
  return (
    <div className="grid grid-cols-1 gap-x-10 gap-y-6 xl:grid-cols-[minmax(0,1fr)_26rem]">
      <div className="flex min-w-0 flex-col gap-5">
        <div className="grid grid-cols-1 gap-x-8 gap-y-5 md:grid-cols-2">
          <section>
            <h2 className="heading mb-3">Weighed</h2>
            <WeighForm brew={brew} />
          </section>
          <section>
            <h2 className="heading mb-3">Refractometer</h2>
            <ReadingsForm brew={brew} modelTdsPercent={outcome?.asDone.tdsPercent.value ?? null} />
          </section>
        </div>
        {outcome && (
          <section>
            <h2 className="heading mb-2">Forecast and result</h2>
            <OutcomePanel brew={brew} outcome={outcome} />
          </section>
        )}
        {change?.seen && (
          <section>
            <h2 className="heading mb-1">What the change did</h2>
            <ChangeCame change={change} seen={change.seen} />
          </section>
        )}
      </div>
      <section>
        <h2 className="heading mb-2">Extraction map</h2>
        {aim && (
          <ExtractionMap
            brews={[...brew.siblings, brew].sort((a, b) => a.number - b.number)}
            currentId={brew.id}
            forecast={outcome?.planned}
            aim={aim.aim}
            aimSource={aim.source}
            height={400}
          />
        )}
      </section>
    </div>
  );
}
