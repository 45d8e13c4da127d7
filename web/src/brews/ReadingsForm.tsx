import type { BrewView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useDraft } from '../device/draft';
import { useKitQuery } from '../api/kitApi';
import { ReadingEntry } from '../ui/ReadingEntry';
import { ReadingList } from '../ui/ReadingList';
import { SampleField } from '../ui/SampleField';
import { RefractometerReader } from './RefractometerReader';
import { ZeroCheck } from './ZeroCheck';
import { offerUndoOf } from '../ui/offerUndo';
import { useAddReadingMutation, useSetReadingRemovedMutation } from '../api/brewsApi';

/** Readings one after the other: type, Enter, type, Enter. */
export function ReadingsForm({
  brew,
  modelTdsPercent,
}: {
  brew: BrewView;
  /** What a stand-in reads; `null` where the model has no answer. */
  modelTdsPercent: number | null;
}) {
  const [text, setText] = useDraft(`brew.${brew.id}.reading`, '');
  const [sampleC, setSampleC] = useDraft<number | null>(`brew.${brew.id}.sample`, null);
  const [add, { error, isLoading }] = useAddReadingMutation();
  const { data: kit } = useKitQuery();
  const [setRemoved] = useSetReadingRemovedMutation();

  async function send(tdsPercent: number) {
    const { data } = await add({ id: brew.id, reading: { tdsPercent, sampleC, source: 'typed' } });
    if (data) setText('');
  }
  function remove({ id: readingId, tdsPercent }: BrewView['readings'][number]) {
    void offerUndoOf(
      setRemoved({ id: brew.id, readingId, removed: true }),
      `Reading ${tdsPercent.toFixed(2)} % removed`,
      () => void setRemoved({ id: brew.id, readingId, removed: false }),
    );
  }
  return (
    <div className="flex flex-col gap-3">
      <ZeroCheck />
      <RefractometerReader brew={brew} sampleC={sampleC} modelTdsPercent={modelTdsPercent} />
      <ReadingList readings={brew.readings} onRemove={remove} />
      <div className="grid grid-cols-2 items-start gap-3">
        <SampleField sampleC={sampleC} roomC={kit?.house.roomC} onChange={setSampleC} />
        <ReadingEntry
          before={brew.readings.length}
          text={text}
          onType={setText}
          onAdd={(tdsPercent) => void send(tdsPercent)}
          isSending={isLoading}
          trouble={troubleOf(error)?.detail}
        />
      </div>
    </div>
  );
}
