import { memo } from 'react';
import { useAppDispatch } from '../app/store';
import { feedAddress } from '../instruments/feedSource';
import { SCALE_CHOICES } from '../instruments/scaleChoices';
import { THERMOMETER_CHOICES, type ThermometerChoice } from '../instruments/thermometerChoices';
import { scaleChosen, thermometerChosen, type BenchBrew } from './benchSlice';

const SELECT = 'h-12 min-w-0 rounded-edge border border-edge bg-raised px-2';
const LABEL = 'flex min-w-0 items-center gap-2 text-small whitespace-nowrap';

/** How water and kettle are read: off an instrument, a stand-in, or by hand. May change in the middle of a brew. */
export const InstrumentSelects = memo(function InstrumentSelects({ brew }: { brew: BenchBrew }) {
  const dispatch = useAppDispatch();
  const { key, scale, thermometer } = brew;
  const chosen = SCALE_CHOICES.find(({ choice }) => JSON.stringify(choice) === JSON.stringify(scale));
  return (
    <>
      <label className={LABEL}>
        Water is read by
        <select
          className={SELECT}
          value={chosen?.id ?? 'none'}
          onChange={({ target }) => {
            const next = SCALE_CHOICES.find(({ id }) => id === target.value);
            if (next) dispatch(scaleChosen({ key, scale: next.choice }));
          }}
        >
          {SCALE_CHOICES.map(({ id, words }) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <label className={LABEL}>
        Kettle is read by
        <select
          className={SELECT}
          value={thermometer}
          onChange={({ target }) =>
            dispatch(thermometerChosen({ key, thermometer: target.value as ThermometerChoice }))
          }
        >
          {THERMOMETER_CHOICES.map(({ choice, words }) => (
            <option key={choice} value={choice}>
              {words}
            </option>
          ))}
        </select>
      </label>
      {(scale.kind === 'feed' || thermometer === 'feed') && (
        <p className="w-full text-small break-all">
          Instruments send their lines to <code className="reading">{feedAddress(key)}</code>
        </p>
      )}
    </>
  );
});
