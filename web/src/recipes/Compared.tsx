import { planChanges, type BrewPlan, type PlanChange } from '@vendu/core';
import type { LotView, RecipeView } from '@vendu/contract';
import { Pick } from '../ui/Pick';

/** A plan drawn behind the one on the board, and what it is called. */
export interface ComparedPlan {
  key: string;
  name: string;
  plan: BrewPlan;
}

/** Everything this plan can be laid over: the recipe's own versions, and the lot's other recipes. */
export function comparables(recipe: RecipeView, lot: LotView | undefined): ComparedPlan[] {
  return [
    ...recipe.versions.map(({ id, number, plan }) => ({ key: `v${id}`, name: versionName(number), plan })),
    ...(lot?.recipes ?? [])
      .filter(({ id }) => id !== recipe.id)
      .map(({ id, brewerName, latestVersion, plan }) => ({
        key: `r${id}`,
        name: `${brewerName}, version ${latestVersion}`,
        plan,
      })),
  ];
}

/** What stands for no comparison: a choice needs a value. */
const NONE = 'none';
const versionName = (number: number) => (number === 1 ? 'starting recipe, version 1' : `version ${number}`);

function changeWords(changes: readonly PlanChange[]): string {
  return changes.map(({ figure, from, to }) => `${figure} ${from} → ${to}`).join(', ') || 'no difference';
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
      <Pick
        label="Compare with"
        className="w-64"
        value={compared?.key ?? NONE}
        options={[
          { value: NONE, name: 'none' },
          ...options.map((option) => ({
            value: option.key,
            name: option.name,
            detail: changeWords(planChanges({ from: option.plan, to: plan })),
          })),
        ]}
        onChange={(key) => onCompare(key === NONE ? null : key)}
      />
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
