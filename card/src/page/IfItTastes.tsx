import { drainAdviceS, formatDuration, tasteAdvice, type Finding } from '@vendu/core';
import type { PublicRecipeView } from '@vendu/contract';
import { Fragment } from 'react';

/** What the lot's own trials found comes first, then the rules of the trade. */
export function IfItTastes({ card: { plan, trials = [], proof } }: { card: PublicRecipeView }) {
  // What was proven counts, not what was once planned.
  const drain = drainAdviceS({ ...plan, drawdownS: proof?.drain?.mean ?? plan.drawdownS });
  const found = trials.filter(({ came }) => came);
  return (
    <section className="text-small print:text-tiny">
      <h2 className="heading mb-2">If it tastes like</h2>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 print:grid-cols-[auto_1fr_auto_1fr] print:gap-y-0">
        {found.map((trial, index) => (
          <Fragment key={index}>
            <dt className="font-semibold">{TASTES[trial.finding]}</dt>
            <dd>
              {trial.change}{' '}
              <span className="text-quiet">In our trials of this coffee it was gone then.</span>
            </dd>
          </Fragment>
        ))}
        {tasteAdvice(plan).map(({ taste, change }) => (
          <Fragment key={taste}>
            <dt className="font-semibold">{taste}</dt>
            <dd>{change}</dd>
          </Fragment>
        ))}
      </dl>
      {drain && (
        <p className="mt-2 print:mt-1">
          Drained before <span className="reading">{formatDuration(drain.earlyS)}</span>: grind finer. After{' '}
          <span className="reading">{formatDuration(drain.lateS)}</span>: grind coarser.
        </p>
      )}
    </section>
  );
}

const TASTES: Record<Finding, string> = {
  sour: 'sour',
  watery: 'watery',
  bitter: 'bitter',
  dry: 'dry',
  muddled: 'muddled',
  'sour-and-bitter': 'sour and bitter',
  boozy: 'boozy',
  flat: 'flat',
  stalled: 'it stalled',
  'drained-fast': 'it drained fast',
  'level-high': 'the water stayed high',
  'bed-dry': 'the bed ran dry',
  'bed-cratered': 'the bed cratered',
};
