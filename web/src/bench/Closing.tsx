import { closingOf, type BrewPlan, type ClosingTask } from '@vendu/core';

const WORDS: Record<ClosingTask, string> = {
  'discard-bed': 'discard paper and grounds',
  rinse: 'rinse brewer and server',
  'brush-sieve': 'brush the sieve',
  'chill-ball': 'ball back into the freezer',
  'wipe-prism': 'wipe the prism once it is read',
  'empty-kettle': 'empty the kettle and charge the scale at the end of the day',
};

/** What to put in order after a brew: to be looked at, not ticked, since nothing of the brew hangs on it. */
export function Closing({ plan }: { plan: BrewPlan }) {
  return (
    <p className="max-w-md text-small text-quiet">
      <span className="font-semibold text-ink">Then:</span>{' '}
      {closingOf(plan)
        .map((task) => WORDS[task])
        .join(', ')}
      .
    </p>
  );
}
