import { useKitQuery } from '../api/kitApi';
import { useAppDispatch } from '../state/hooks';
import { BenchSelect } from './BenchSelect';
import type { BenchBrew } from './benchBrew';
import { grinderChosen } from './benchSlice';
import { groundOn } from './groundOn';

/** On which grinder it is ground: the recipe's, or another that is there to prove it on. */
export function GrinderSelect({ brew }: { brew: BenchBrew }) {
  const dispatch = useAppDispatch();
  const { data: kit } = useKitQuery();
  const { key, grinderId, plan } = brew;
  if (!kit || grinderId === null || kit.grinders.length < 2) return null;
  const options = kit.grinders.map((grinder) => {
    const ground = groundOn(grinder, plan);
    const { grinderName, grinderSetting } = ground;
    return {
      words: `${grinderName}${grinderSetting === null ? ', setting not known' : ` at ${grinderSetting}`}`,
      choice: grinder.id,
    };
  });
  return (
    <BenchSelect
      label="Which grinder"
      options={options}
      value={grinderId}
      onChange={(id) => {
        const grinder = kit.grinders.find((each) => each.id === id);
        if (grinder) dispatch(grinderChosen({ key, ...groundOn(grinder, plan) }));
      }}
    />
  );
}
