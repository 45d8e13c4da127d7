import { addedWaterG, beverageFault, pouredWaterG } from '@vendu/core';
import { useKitQuery } from '../api/kitApi';
import { useDraft } from '../device/draft';
import { useAppDispatch } from '../state/hooks';
import { QuantityField } from '../ui/QuantityField';
import { GRAMS, inRange } from '../ui/quantities';
import { ReadingEntry } from '../ui/ReadingEntry';
import { ReadingList } from '../ui/ReadingList';
import { SampleField } from '../ui/SampleField';
import { soFar, type BenchBrew } from './benchBrew';
import { brewTold, entryUndone } from './benchSlice';

/**
 * The cup is weighed before anybody drinks of it, whether or not a server answers: what is measured here is of the brew's
 * log and goes where it goes.
 */
export function MeasureHere({ brew }: { brew: BenchBrew }) {
  const dispatch = useAppDispatch();
  const { key, plan } = brew;
  const [text, setText] = useDraft(`bench.${key}.reading`, '');
  const [sampleC, setSampleC] = useDraft<number | null>(`bench.${key}.sample`, null);
  const { data: kit } = useKitQuery();
  const { steps, events, beverageG, readings } = soFar(brew);
  const tellBeverage = (massG: number | null) =>
    dispatch(brewTold({ key, happened: { kind: 'weighed', what: 'beverage', massG } }));
  function offerBeverage(massG: number): string | undefined {
    const { waterG } = pouredWaterG({ plan, done: steps });
    const bypassG = addedWaterG({ plan, events });
    const fault = beverageFault({ beverageG: massG, waterG, bypassG });
    if (fault) return fault.message;
    tellBeverage(massG);
    return undefined;
  }
  return (
    <div className="grid max-w-xl grid-cols-1 items-start gap-x-6 gap-y-3 sm:grid-cols-[10rem_1fr]">
      <QuantityField
        leavesOnEnter
        label="Beverage"
        quantity={inRange(GRAMS, { label: 'Beverage', min: 10, max: 5000 })}
        value={beverageG}
        onOffer={offerBeverage}
        onClear={() => tellBeverage(null)}
        placeholder="weighed later"
      />
      <div className="flex flex-col gap-2">
        <div className="grid grid-cols-2 items-start gap-3">
          <SampleField sampleC={sampleC} roomC={kit?.house.roomC} onChange={setSampleC} />
          <ReadingEntry
            before={readings.length}
            text={text}
            onType={setText}
            onAdd={(tdsPercent) => {
              dispatch(brewTold({ key, happened: { kind: 'strength-read', tdsPercent, sampleC } }));
              setText('');
            }}
          />
        </div>
        <ReadingList
          readings={readings.map((each) => ({
            ...each,
            id: `${each.number} ${each.device}`,
            source: 'typed' as const,
          }))}
          onRemove={({ device, number }) => dispatch(entryUndone({ key, of: { device, number } }))}
        />
      </div>
    </div>
  );
}
