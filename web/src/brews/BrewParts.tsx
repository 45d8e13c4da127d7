import { Tabs } from 'radix-ui';
import { aimOf, aimSourceOf, targetsOf } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { useKitQuery } from '../api/kitApi';
import { useRecipeQuery } from '../api/recipesApi';
import { KeyHint } from '../ui/Button';
import { BrewRecord } from './BrewRecord';
import { partsOf, partWords, type BrewPart } from './brewPart';
import { Cups } from './Cups';
import { Measure } from './Measure';
import { ResultFigures } from './ResultFigures';
import { Taste } from './Taste';
import { useBrewPart } from './useBrewPart';
import { useLearnAhead } from './useLearnAhead';
import { useOutcome } from './useOutcome';

const NAMES: Record<BrewPart, string> = {
  measure: 'Measure',
  taste: 'Taste',
  cups: 'Cups',
  record: 'Record',
};

/** What is done with a brew, one thing to a screen; what it came to stays in sight above. */
export function BrewParts({ brew }: { brew: BrewView }) {
  const { part, go } = useBrewPart(brew);
  const { data: kit } = useKitQuery();
  const { data: recipe } = useRecipeQuery(brew.recipeId);
  const outcome = useOutcome(brew, kit);
  useLearnAhead(brew, recipe, kit);
  const aim =
    kit && recipe
      ? {
          aim: aimOf(kit.house.window, recipe.schools, recipe.aim),
          source: aimSourceOf(recipe.schools, recipe.aim),
        }
      : null;
  return (
    <Tabs.Root
      value={part}
      onValueChange={(to) => go(to as BrewPart)}
      onKeyDown={({ key, target }) => {
        // Out of a field, back to the page’s keys.
        if (key === 'Escape' && target instanceof HTMLElement && target.matches('input, textarea'))
          target.blur();
      }}
    >
      <div className="sticky top-0 z-20 -mx-4 mb-4 border-b border-ink bg-sheet px-4 pt-2 sm:-mx-6 sm:px-6">
        <ResultFigures brew={brew} targets={aim && targetsOf(aim.aim)} />
        <Tabs.List aria-label="Brew" className="mt-1 -ml-3 flex overflow-x-auto">
          {partsOf(brew).map((each) => (
            <Tabs.Trigger
              key={each}
              value={each}
              className="flex h-10 items-center gap-2 border-b-3 border-transparent px-3 text-small whitespace-nowrap text-quiet hover:text-ink data-[state=active]:border-ink data-[state=active]:font-semibold data-[state=active]:text-ink"
            >
              {NAMES[each]}
              <span className="max-sm:hidden">
                <KeyHint name={NAMES[each].charAt(0)} />
              </span>
              <span className="caption font-normal max-md:hidden">{partWords(each, brew)}</span>
            </Tabs.Trigger>
          ))}
        </Tabs.List>
      </div>
      <Tabs.Content value="measure">
        <Measure brew={brew} outcome={outcome} aim={aim} />
      </Tabs.Content>
      <Tabs.Content value="taste">
        <Taste brew={brew} />
      </Tabs.Content>
      <Tabs.Content value="cups">
        <Cups brew={brew} />
      </Tabs.Content>
      <Tabs.Content value="record">
        <BrewRecord brew={brew} />
      </Tabs.Content>
    </Tabs.Root>
  );
}
