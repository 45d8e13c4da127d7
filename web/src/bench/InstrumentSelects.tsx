import { memo } from 'react';
import { useAppDispatch } from '../state/hooks';
import { feedAddress } from '../instruments/feedSource';
import { OUTFLOW_CHOICES } from '../instruments/outflowChoices';
import { SCALE_CHOICES } from '../instruments/scaleChoices';
import { THERMOMETER_CHOICES } from '../instruments/thermometerChoices';
import { BenchSelect } from './BenchSelect';
import { CupPlan } from './CupPlan';
import { cupsOf, type BenchBrew } from './benchBrew';
import { outflowFeedAddress } from './benchScales';
import { brewTold, outflowScaleChosen, scaleChosen, thermometerChosen } from './benchSlice';

/** How water and kettle are read, and into which cups the brew runs. All may change in the middle of it. */
export const InstrumentSelects = memo(function InstrumentSelects({ brew }: { brew: BenchBrew }) {
  const dispatch = useAppDispatch();
  const { key, scale, thermometer, outflowScale } = brew;
  return (
    <div className="grid grid-cols-2 gap-3">
      <BenchSelect
        label="Which scale"
        options={SCALE_CHOICES}
        value={scale}
        onChange={(next) => dispatch(scaleChosen({ key, scale: next }))}
      />
      <BenchSelect
        label="Scale under the server"
        options={OUTFLOW_CHOICES}
        value={outflowScale}
        onChange={(next) => dispatch(outflowScaleChosen({ key, scale: next }))}
      />
      <BenchSelect
        label="Which kettle thermometer"
        options={THERMOMETER_CHOICES}
        value={thermometer}
        onChange={(next) => dispatch(thermometerChosen({ key, thermometer: next }))}
      />
      <CupPlan
        rule={cupsOf(brew)}
        planned={brew.plan.cups}
        onChange={(rule) => dispatch(brewTold({ key, happened: { kind: 'cups-planned', rule } }))}
      />
      {(scale.kind === 'feed' || thermometer === 'feed') && (
        <p className="col-span-2 text-small break-all">
          Instruments send their lines to <code className="reading">{feedAddress(key)}</code>
        </p>
      )}
      {outflowScale === 'feed' && (
        <p className="col-span-2 text-small break-all">
          The scale under the server sends its lines to{' '}
          <code className="reading">{outflowFeedAddress(key)}</code>
        </p>
      )}
    </div>
  );
});
