import { expect, test, type Page } from '@playwright/test';
import type { BrewPlan } from '@vendu/core';
import type { RecipeView } from '@vendu/contract';
import {
  AIMS,
  ARMS,
  handOf,
  isInside,
  labOutcomes,
  LOTS_A_LAB,
  measuredByHand,
  MOST_BREWS,
  taskOf,
  trueCup,
  type Task,
  type TruthName,
} from '@vendu/measures/dialIn';
import { signIn } from '../support/people';
import { get, store, takeIn } from './lab';

// Brews to target through the application itself: lots of two truths, each brewed by a hand with errors, stored by the
// calls of the interface and dialled in by pressing what the lot page proposes. The same lots by core alone beside it.

/** Labs of ten lots, of each truth. */
const LABS = Number(process.env['VENDU_LABS'] ?? 3);
/** How a lot came to its recipe: its brews from the first, and which of them was taken. */
interface Way {
  brews: { isInside: boolean }[];
  finishedAt: number | null;
}

/** So many of the lots are to be right and finished within three brews. */
const LEAST_RIGHT = 0.8;
/** The house's window of the demo, and of the measures. */
const AIM = AIMS.house;

for (const truth of ['varied', 'layered'] as const) {
  test(`brews to target, ${truth} truth`, async ({ page }) => {
    await signIn(page, 'barista');
    const through: Way[] = [];
    const byCore: Way[] = [];
    const [arm] = ARMS;
    for (let lab = 0; lab < LABS; lab++) {
      if (arm) byCore.push(...labOutcomes(arm, truth, lab, AIM));
      for (let index = 0; index < LOTS_A_LAB; index++) {
        const task = taskOf(truth, lab * LOTS_A_LAB + index, AIM);
        through.push(await dialIn(page, truth, task));
      }
      console.log(`${truth}, ${through.length} lots: ${words(through)}; by core alone: ${words(byCore)}`);
    }
    expect(rightBy(3, through) / through.length).toBeGreaterThanOrEqual(LEAST_RIGHT);
  });
}

/** Of so many lots: the plan inside the window by its truth by brew 1, 2 and 3; taken as the recipe and inside within 3. */
function words(outcomes: readonly Way[]): string {
  const insideBy = (made: number) => outcomes.filter(({ brews }) => brews[made - 1]?.isInside).length;
  return `inside by brew 1 ${insideBy(1)}, by 2 ${insideBy(2)}, by 3 ${insideBy(3)}; right and finished within 3 ${rightBy(3, outcomes)}`;
}

function rightBy(most: number, outcomes: readonly Way[]): number {
  return outcomes.filter(
    ({ finishedAt, brews }) => finishedAt !== null && finishedAt <= most && brews[finishedAt - 1]?.isInside,
  ).length;
}

async function dialIn(page: Page, truth: TruthName, task: Task): Promise<Way> {
  const { id: recipeId, lot } = await takeIn(page, `${truth} ${task.seed}`, task);
  const random = handOf(task.seed);
  const brews: Way['brews'] = [];
  let finishedAt: number | null = null;
  for (let made = 1; made <= MOST_BREWS; made++) {
    const recipe = (await get(page, `/api/recipes/${recipeId}`)) as RecipeView;
    const plan = recipe.versions[0]?.plan as BrewPlan;
    await store(page, recipe, plan, measuredByHand(task.lot, plan, random));
    brews.push({ isInside: isInside(task, trueCup(task, plan)) });
    if (await nextChange(page, lot.id)) {
      finishedAt = made;
      break;
    }
  }
  const last = brews.at(-1);
  while (last && brews.length < MOST_BREWS) brews.push(last);
  return { brews, finishedAt };
}

/** Presses what the lot page puts first. @returns whether it says that the recipe is there */
async function nextChange(page: Page, lotId: number): Promise<boolean> {
  await page.goto(`/lots/${lotId}`);
  const next = page.locator('#next-change');
  const stays = next.getByRole('heading', { name: /^(Accept it|Brew it again)/ });
  const change = next.getByRole('button', { name: 'Try this change' }).first();
  const nothing = next.getByText('No change is likelier to hit the aim');
  await stays.or(change).or(nothing).first().waitFor();
  if ((await stays.count()) > 0) return true;
  if ((await change.count()) === 0) return false;
  await change.click();
  await page.getByRole('button', { name: /^Save as version/ }).click();
  await page.getByText(/^To do: /).waitFor();
  return false;
}
