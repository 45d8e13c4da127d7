import { memo } from 'react';
import { useAppDispatch } from '../app/store';
import { feedAddress } from '../instruments/feedScaleSource';
import { SCALE_CHOICES } from '../instruments/scaleChoices';
import { scaleChosen, type BenchBrew } from './benchSlice';

/** How the water is read: off a scale, a stand-in, or by hand. May change in the middle of a brew. */
export const ScaleSelect = memo(function ScaleSelect({ brew }: { brew: BenchBrew }) {
  const dispatch = useAppDispatch();
  const chosen = SCALE_CHOICES.find(({ choice }) => JSON.stringify(choice) === JSON.stringify(brew.scale));
  return (
    <div className="min-w-0">
      <label className="flex items-center gap-2 text-small">
        Water is read by
        <select
          className="h-12 rounded-edge border border-edge bg-raised px-2"
          value={chosen?.id ?? 'none'}
          onChange={({ target }) => {
            const next = SCALE_CHOICES.find(({ id }) => id === target.value);
            if (next) dispatch(scaleChosen({ key: brew.key, scale: next.choice }));
          }}
        >
          {SCALE_CHOICES.map(({ id, words }) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </select>
      </label>
      {brew.scale.kind === 'feed' && (
        <p className="mt-1 text-small break-all">
          The scale sends its lines to <code className="reading">{feedAddress(brew.key)}</code>
        </p>
      )}
    </div>
  );
});
