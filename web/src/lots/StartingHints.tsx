import {
  aimOf,
  ASSUMED_RETAINED,
  elevationOf,
  ratioForAim,
  UNROASTED_AGE_DAYS,
  startingRecipe,
  type StartingFacts,
} from '@vendu/core';
import type { KitView } from '@vendu/contract';
import { FIGURE_WORDS, signed } from '../recipes/figureWords';
import { StaircaseThumb } from '@vendu/card';
import { readLotForm, type LotFormText } from './lotForm';

/** What the facts typed so far do to the starting recipe, fact by fact, before the lot is even added. */
export function StartingHints({ text, kit }: { text: LotFormText; kit: KitView }) {
  const facts = factsOf(text, kit);
  if (!facts) {
    return (
      <aside aria-label="Starting recipe so far" className="text-small text-quiet">
        <h2 className="heading mb-3">Starting recipe so far</h2>
        Choose the process; then each fact shows here what it does to the starting recipe.
      </aside>
    );
  }
  // What the bed keeps is common practice here; the model says it for the kit once the lot is added.
  const aim = aimOf(kit.house.window, kit.house.schools);
  const { plan, reasons } = startingRecipe(facts, {
    forAim: ratioForAim(aim, ASSUMED_RETAINED.midGPerG),
  });
  const moved = reasons.figures.filter(
    ({ figure, steps }) =>
      steps.some(({ overruledBy }) => overruledBy === null) &&
      // A drain time follows from the grind unless the house has a position on it.
      (figure !== 'drawdownS' || steps.some(({ school }) => school !== undefined)),
  );
  return (
    <aside aria-label="Starting recipe so far" aria-live="polite" className="text-small">
      <h2 className="heading mb-3">Starting recipe so far</h2>
      <div className="mb-3 flex items-center gap-4">
        <StaircaseThumb plan={plan} width={150} height={44} />
        <p className="reading">
          {plan.doseG} g, <span className="text-temperature">{plan.kettleC} °C</span>
        </p>
      </div>
      {moved.length === 0 && <p className="text-quiet">So far it is the house recipe.</p>}
      <ul>
        {moved.map(({ figure, value, steps }) => (
          <li key={figure} className="grid grid-cols-[6.5rem_1fr] gap-x-3 border-b border-rule py-1.5">
            <span>
              <span className="block text-quiet">{FIGURE_WORDS[figure].name}</span>
              <span className="reading font-medium">{FIGURE_WORDS[figure].print(value)}</span>
            </span>
            <span>
              {steps
                .filter(({ overruledBy }) => overruledBy === null)
                .map(({ ruleId, because, by }) => (
                  <span key={ruleId} className="block">
                    {because} <span className="reading text-quiet">{signed(by)}</span>
                  </span>
                ))}
            </span>
          </li>
        ))}
      </ul>
      <p className="caption mt-2">
        For the {kit.brewers[0]?.name}. The model sets the grind, and the ratio for the aim, once the lot is
        added.
      </p>
    </aside>
  );
}

/** `null` until the one fact is there that every rule needs. */
function factsOf(text: LotFormText, kit: KitView): StartingFacts | null {
  const brewer = kit.brewers[0];
  if (text.process === '' || !brewer) return null;
  const { lot } = readLotForm(text, { kind: 'new' });
  return {
    process: text.process,
    baseProcess: lot.baseProcess,
    additions: lot.additions,
    isDecaffeinated: lot.isDecaffeinated,
    elevation: elevationOf(lot),
    roastLevel: text.roastLevel || null,
    roastAgeDays: ageOf(text.roastedOn),
    isRoasted: text.roastedOn !== '',
    brewer,
    signs: text.signs,
    schools: kit.house.schools,
    labElevationM: kit.house.elevationM,
  };
}

function ageOf(roastedOn: string): number {
  const days = Math.floor((Date.now() - Date.parse(roastedOn)) / 86_400_000);
  return Number.isFinite(days) && days >= 0 ? days : UNROASTED_AGE_DAYS;
}
