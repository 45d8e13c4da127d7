import {
  AGITATION_CONDITIONS,
  agitationWords,
  type AgitationCondition,
  type AgitationHow,
  type BrewPlan,
  type Pour,
} from '@vendu/core';
import { INPUT } from '../ui/Field';
import { Fold } from '../ui/Fold';
import { QuantityField } from '../ui/QuantityField';
import { COUNT, whole, inRange } from '../ui/quantities';
import { AGITATION_NAMES, CONDITION_NAMES } from '../ui/words';
import { nameOfPour } from './nameOfPour';
import { without } from './without';

interface HowAgitatedProps {
  plan: BrewPlan;
  onOffer: (plan: BrewPlan) => string | undefined;
  faults: Record<string, string>;
}

/** How often, how hard and whether at all the bed is swirled or stirred: folded away, since a gentle swirl needs no words. */
export function HowAgitated({ plan, onOffer, faults }: HowAgitatedProps) {
  const agitated = plan.pours.flatMap((pour, index) => (pour.agitation === 'none' ? [] : [{ pour, index }]));
  if (agitated.length === 0) return null;
  const told = agitated.flatMap(({ pour, index }) =>
    pour.agitationHow === undefined ? [] : [`${agitationWords(pour)} after ${nameOfPour(pour, index)}`],
  );
  const isWrong = Object.keys(faults).some((field) => field.includes('.agitationHow'));
  function change(index: number, how: AgitationHow): string | undefined {
    const isPlain = Object.keys(how).length === 0;
    const pours = plan.pours.map((pour, at): Pour => {
      if (at !== index) return pour;
      return isPlain ? without(pour, 'agitationHow') : { ...pour, agitationHow: how };
    });
    return onOffer({ ...plan, pours });
  }
  return (
    <Fold
      isWrong={isWrong}
      summary={
        <>
          <span className="font-semibold">Count and force of swirls</span>{' '}
          <span className="text-quiet">
            {told.length === 0 ? 'gently, as often as the hand likes' : told.join('; ')}
          </span>
        </>
      }
    >
      <div className="mt-3 grid gap-y-3">
        {agitated.map(({ pour, index }) => {
          const name = nameOfPour(pour, index);
          const how = pour.agitationHow ?? {};
          return (
            <div
              key={index}
              className="grid grid-cols-[4rem_minmax(0,1fr)_5.5rem_5rem_minmax(0,1.4fr)] items-start gap-3"
            >
              <span className="flex h-9 items-center text-small font-semibold">{name}</span>
              <span className="flex h-9 items-center text-small text-quiet">
                then {AGITATION_NAMES[pour.agitation]}
              </span>
              <QuantityField
                labelHidden
                label={`${name}, times`}
                quantity={whole(inRange({ ...COUNT, unit: 'x' }, { label: 'Times', min: 1, max: 50 }))}
                value={how.times ?? null}
                onOffer={(times) => change(index, { ...how, times })}
                onClear={() => change(index, without(how, 'times'))}
                placeholder="–"
                error={faults[`pours.${index}.agitationHow.times`]}
              />
              <label className="flex h-9 items-center gap-2 text-small">
                <input
                  type="checkbox"
                  aria-label={`${name}, hard`}
                  className="size-4 accent-ink"
                  checked={how.isHard ?? false}
                  onChange={({ target }) =>
                    change(index, target.checked ? { ...how, isHard: true } : without(how, 'isHard'))
                  }
                />
                hard
              </label>
              <select
                aria-label={`${name}, only if`}
                className={INPUT}
                value={how.onlyIf ?? ''}
                onChange={({ target }) =>
                  change(
                    index,
                    target.value === ''
                      ? without(how, 'onlyIf')
                      : { ...how, onlyIf: target.value as AgitationCondition },
                  )
                }
              >
                <option value="">always</option>
                {AGITATION_CONDITIONS.map((condition) => (
                  <option key={condition} value={condition}>
                    only if {CONDITION_NAMES[condition]}
                  </option>
                ))}
              </select>
            </div>
          );
        })}
      </div>
      <p className="caption mt-2">
        The forecast feels a swirl or a stir, not its count or force, and takes one that is left open as left
        out.
      </p>
    </Fold>
  );
}
