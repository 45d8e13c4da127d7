import { formatDuration } from '../quantity/duration.js';
import type { KitchenAdvice, KitchenAnswer } from './kitchenAdvice.js';

/** Steps of a grinder that nobody described are named by their size; half of ten is within the error. */
const STEP_UM = 5;

/** What to do next, and what that rests on. */
export function kitchenWords({ advice, expectedS }: KitchenAnswer): { next: string; because: string } {
  const [low, high] = [expectedS.low, expectedS.high].map((seconds) => formatDuration(Math.round(seconds)));
  const span = `Nine of ten kitchens with the right grind drain between ${low} and ${high}.`;
  return { next: nextWords(advice), because: `${becauseWords(advice)}${span}` };
}

function nextWords(advice: KitchenAdvice): string {
  switch (advice.kind) {
    case 'keep':
      return 'Leave it as it is: it tastes right.';
    case 'evenness':
      return 'Leave the grind: wet all of the coffee in the first pour, pour over the whole bed and keep it level.';
    case 'water':
      return advice.more
        ? 'Leave the grind: add a little hot water to the cup.'
        : 'Leave the grind: end the last pour a little earlier.';
    case 'grind':
      return grindWords(advice);
  }
}

function grindWords({ byUm, setting }: Extract<KitchenAdvice, { kind: 'grind' }>): string {
  const way = byUm < 0 ? 'finer' : 'coarser';
  const size = `about ${Math.max(STEP_UM, Math.round(Math.abs(byUm) / STEP_UM) * STEP_UM)} µm`;
  if (!setting) return `Grind ${way}, ${size}: a small step on your grinder, then time it again.`;
  if (setting.kind === 'setting') {
    const { setting: at, lowSetting, highSetting } = setting;
    const span = lowSetting === highSetting ? '' : ` (${lowSetting} to ${highSetting})`;
    return `Set your grinder to ${at}${span}: ${size} ${way}.`;
  }
  if (setting.kind === 'out-of-reach') {
    return `Your grinder does not reach it: set it to ${setting.nearest.setting}, its nearest, and use ${setting.instead}.`;
  }
  return `Grind ${way}, ${size}: where your grinder has that was not measured.`;
}

function becauseWords(advice: KitchenAdvice): string {
  if (advice.kind === 'evenness') {
    return 'The clock asks for one grind and the taste for the opposite: water went around some of the coffee. ';
  }
  if (advice.kind === 'water') return 'The clock finds nothing amiss with the grind. ';
  if (advice.kind !== 'grind') return '';
  return advice.sure === null
    ? 'The clock does not tell it: the taste alone asks for this. '
    : `By the clock, ${Math.min(99, Math.round(advice.sure * 100))} of 100 sure of the side. `;
}
