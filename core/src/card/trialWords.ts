import { leversMoved } from '../changeLife/leversMoved.js';
import { planAllWaterG, type BrewPlan } from '../plan/plan.js';

/**
 * A change that was tried, as somebody at home can do it too: by how much, since nobody else stands where the trial began.
 *
 * @returns `null` where several things were moved at once, or one that is no single step
 */
export function trialWords({ from, to }: { from: BrewPlan; to: BrewPlan }): string | null {
  const [lever, ...others] = leversMoved({ from, to });
  if (others.length > 0) return null;
  switch (lever) {
    case 'grind': {
      const byUm = to.grindUm - from.grindUm;
      return byUm === 0 ? null : `Grind ${Math.abs(byUm)} µm ${byUm > 0 ? 'coarser' : 'finer'}.`;
    }
    case 'kettle': {
      const byC = Math.round((to.kettleC - from.kettleC) * 10) / 10;
      return byC === 0 ? null : `Set the kettle ${Math.abs(byC)} °C ${byC > 0 ? 'hotter' : 'cooler'}.`;
    }
    case 'ratio':
    case 'water': {
      const byG = Math.round(planAllWaterG(to) - planAllWaterG(from));
      return byG === 0 ? null : `Use ${Math.abs(byG)} g ${byG > 0 ? 'more' : 'less'} water.`;
    }
    default:
      return null;
  }
}
