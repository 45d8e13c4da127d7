import { servingOf, type Serving } from '@vendu/core';
import { useAppDispatch } from '../state/hooks';
import { classes } from '../ui/classes';
import { soFar, type BenchBrew } from './benchBrew';
import { brewTold, entryUndone } from './benchSlice';

/** What the plan does with the beverage before it is read, in the order of doing; each can be told as left out. */
export function ServingList({ brew: { key, log, plan }, brew }: { brew: BenchBrew }) {
  const dispatch = useAppDispatch();
  const serving = servingOf(plan);
  const { notServed } = soFar(brew);
  if (serving.length === 0) return null;
  function toggle({ task }: Serving) {
    const told = log.findLast((entry) => entry.kind === 'not-served' && entry.serving === task);
    dispatch(
      notServed.includes(task) && told
        ? entryUndone({ key, of: { device: told.device, number: told.number } })
        : brewTold({ key, happened: { kind: 'not-served', serving: task } }),
    );
  }
  return (
    <ol aria-label="With the beverage" className="max-w-xl">
      {serving.map((each) => {
        const isLeftOut = notServed.includes(each.task);
        return (
          <li
            key={each.task}
            className="flex min-h-12 items-center justify-between gap-4 border-b border-rule"
          >
            <span className={classes('text-large font-semibold', isLeftOut && 'text-quiet line-through')}>
              <ServingWords serving={each} />
            </span>
            <button
              type="button"
              aria-pressed={isLeftOut}
              aria-label={`Left out: ${NAMES[each.task]}`}
              onClick={() => toggle(each)}
              className={classes(
                'min-h-10 shrink-0 border px-3 text-small',
                isLeftOut ? 'border-alarm font-semibold text-alarm' : 'border-edge text-quiet',
              )}
            >
              left out
            </button>
          </li>
        );
      })}
    </ol>
  );
}

const NAMES: Record<Serving['task'], string> = {
  tail: 'tail apart',
  bypass: 'water added',
  mix: 'mixing',
  decant: 'decanting',
};

function ServingWords({ serving }: { serving: Serving }) {
  switch (serving.task) {
    case 'tail':
      return <>Stand the brewer on its own cup: the tail is weighed and tasted apart.</>;
    case 'bypass':
      return (
        <>
          Add <span className="reading text-water">{serving.bypassG} g</span> of hot water to the cup.
        </>
      );
    case 'mix':
      return <>{serving.how === 'stir' ? 'Stir' : 'Swirl'} the beverage.</>;
    case 'decant':
      return <>Decant it into another vessel.</>;
  }
}
