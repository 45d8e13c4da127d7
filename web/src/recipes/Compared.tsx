import { planChanges, type BrewPlan } from '@vendu/core';
import type { LotView, RecipeView } from '@vendu/contract';
import { Field, INPUT } from '../ui/Field';

/** A plan drawn behind the one on the board, and what it is called. */
export interface ComparedPlan {
  key: string;
  name: string;
  plan: BrewPlan;
}

/** Everything this plan can be laid over: the recipe's own versions, and the lot's other recipes. */
export function comparables(recipe: RecipeView, lot: LotView | undefined): ComparedPlan[] {
  return [
    ...recipe.versions.map(({ id, number, plan }) => ({ key: `v${id}`, name: `version ${number}`, plan })),
    ...(lot?.recipes ?? [])
      .filter(({ id }) => id !== recipe.id)
      .map(({ id, brewerName, latestVersion, plan }) => ({
        key: `r${id}`,
        name: `${brewerName}, version ${latestVersion}`,
        plan,
      })),
  ];
}

/** Which plan lies behind, and only what differs from it. */
export function Compared({
  plan,
  options,
  compared,
  onCompare,
}: {
  plan: BrewPlan;
  options: ComparedPlan[];
  compared: ComparedPlan | undefined;
  onCompare: (key: string | null) => void;
}) {
  const changes = compared ? planChanges({ from: compared.plan, to: plan }) : [];
  return (
    <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1 text-small">
      <Field label="Compare with" className="w-52">
        {(control) => (
          <select
            {...control}
            className={INPUT}
            value={compared?.key ?? ''}
            onChange={(event) => onCompare(event.target.value || null)}
          >
            <option value="">none</option>
            {options.map(({ key, name }) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </select>
        )}
      </Field>
      {compared && changes.length === 0 && <span className="text-quiet">No difference.</span>}
      <ul className="flex grow flex-wrap gap-x-5">
        {changes.map(({ figure, from, to }) => (
          <li key={figure}>
            <span className="text-quiet">{figure}</span> <span className="reading text-quiet">{from}</span> →{' '}
            <span className="reading font-bold">{to}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
