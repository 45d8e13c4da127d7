import { NINE_OF_TEN, type Expectation } from '@vendu/core';
import { classes } from './classes';
import { OUTCOME_ORDER, OUTCOME_WORDS } from './outcomeWords';

/** What a plan is expected to come to, and by how much that is other than before; the band holds nine brews of ten. */
export function ExpectedFigures({ figures }: { figures: NonNullable<Expectation['figures']> }) {
  return (
    <dl className="flex flex-wrap gap-x-6 gap-y-1 text-small">
      {OUTCOME_ORDER.map((outcome) => {
        const { from, to, sd } = figures[outcome];
        const { label, hue, show, step } = OUTCOME_WORDS[outcome];
        return (
          <div key={outcome} className="flex items-baseline gap-2">
            <dt className="text-quiet">{label}</dt>
            <dd className="reading">
              {step(to - from)} to <span className={classes('font-semibold', hue)}>{show(to)}</span>{' '}
              <span className="text-quiet">± {step(NINE_OF_TEN * sd).replace(/^\+/, '')}</span>
            </dd>
          </div>
        );
      })}
    </dl>
  );
}
