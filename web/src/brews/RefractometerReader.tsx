import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { formatSigned, USUAL_ROOM_C } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useDraft } from '../device/draft';
import { feedAddress } from '../instruments/feedSource';
import {
  REFRACTOMETER_CHOICES,
  refractometerSource,
  type RefractometerChoice,
} from '../instruments/refractometerChoices';
import type { RefractometerReading, RefractometerSource } from '../instruments/sources';
import { useKitQuery } from '../api/kitApi';
import { Button } from '../ui/Button';
import { Notice, TroubleNotice } from '../ui/Notice';
import { useAddReadingMutation } from '../api/brewsApi';

/** An instrument that posts its lines keeps its address: the device has one feed for all brews. */
const FEED = 'refractometer';

/** Takes readings straight off the instrument, or off a stand-in that reads what the model makes of the brew. */
export function RefractometerReader({
  brew,
  sampleC,
  modelTdsPercent,
}: {
  brew: BrewView;
  sampleC: number | null;
  modelTdsPercent: number | null;
}) {
  const [usual, setUsual] = useDraft<RefractometerChoice>('refractometer', 'none');
  // A port is picked by hand each time: the browser gives none away to a page that was only opened.
  const [choice, setChoice] = useState<RefractometerChoice>(usual === 'serial' ? 'none' : usual);
  const { data: kit } = useKitQuery();
  const [add, { error, isLoading }] = useAddReadingMutation();
  const [said, setSaid] = useState('');
  const [trouble, setTrouble] = useState('');
  const source = useRef<RefractometerSource | null>(null);
  const take = useEffectEvent((reading: RefractometerReading) => {
    if (reading.isZero) {
      setSaid(`Zero was off by ${formatSigned(reading.tdsPercent, 2)} % and is set now.`);
      return;
    }
    setSaid('');
    void add({
      id: brew.id,
      reading: {
        tdsPercent: reading.tdsPercent,
        sampleC: reading.sampleC ?? sampleC,
        source: choice === 'simulated' ? 'simulated' : 'sent',
      },
    });
  });
  useEffect(() => {
    const connected = refractometerSource(choice, { feedName: FEED, seed: brew.id });
    if (!connected) return undefined;
    source.current = connected;
    const stop = connected.start({ onReading: take, onTrouble: setTrouble });
    return () => {
      stop();
      source.current = null;
      setTrouble('');
    };
  }, [choice, brew.id]);
  const roomC = kit?.house.roomC ?? USUAL_ROOM_C;
  return (
    <div className="flex flex-col gap-2 text-small">
      <label className="flex items-center gap-2 whitespace-nowrap">
        Read by
        <select
          className="h-8 min-w-0 rounded-edge border border-edge bg-raised px-2"
          value={choice}
          onChange={({ target }) => {
            setChoice(target.value as RefractometerChoice);
            setUsual(target.value as RefractometerChoice);
          }}
        >
          {REFRACTOMETER_CHOICES.map((each) => (
            <option key={each.choice} value={each.choice}>
              {each.words}
            </option>
          ))}
        </select>
      </label>
      <TroubleNotice trouble={troubleOf(error)} />
      {trouble !== '' && <Notice tone="alarm">{trouble}</Notice>}
      {choice === 'feed' && (
        <p className="break-all">
          It sends its lines to <code className="reading">{feedAddress(FEED)}</code>
        </p>
      )}
      {choice === 'simulated' && (
        <div className="flex flex-wrap items-center gap-2">
          <Button onClick={() => source.current?.put?.('clean-water')}>Clean water on the prism</Button>
          <Button
            disabled={modelTdsPercent === null || isLoading}
            onClick={() =>
              modelTdsPercent !== null &&
              source.current?.put?.({ tdsPercent: modelTdsPercent, sampleC: sampleC ?? roomC })
            }
          >
            Sample on the prism
          </Button>
        </div>
      )}
      {said !== '' && <p role="status">{said}</p>}
    </div>
  );
}
