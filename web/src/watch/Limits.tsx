import { USUAL_WATCH_LIMITS, type WatchLimits } from '@vendu/core';
import { WatchLimitsDto, type WatchView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useSetWatchLimitsMutation } from '../api/watchApi';
import { EditButton } from '../kit/EditButton';
import { FiguresForm, type FigureField } from '../kit/FiguresForm';
import { Button } from '../ui/Button';
import { DAYS, PERCENT_FINE, POINTS, SECONDS, whole } from '../ui/quantities';

const FIELDS: readonly FigureField<WatchLimits>[] = [
  { field: 'everyDays', label: 'Brewed again after', kind: 'figure', quantity: whole(DAYS) },
  { field: 'olderByDays', label: 'Or once the roast is older by', kind: 'figure', quantity: whole(DAYS) },
  { field: 'strengthPercent', label: 'Strength off by at most', kind: 'figure', quantity: PERCENT_FINE },
  { field: 'yieldPoints', label: 'Yield off by at most', kind: 'figure', quantity: POINTS },
  { field: 'drainS', label: 'Time off by at most', kind: 'figure', quantity: whole(SECONDS) },
  { field: 'likingPoints', label: 'Liking off by at most', kind: 'figure', quantity: POINTS },
];

/** What the recipe is held to; a lead sets it. */
export function Limits({ watch, isLead }: { watch: WatchView; isLead: boolean }) {
  const [setLimits, setting] = useSetWatchLimitsMutation();
  const { recipeId, limits, hasOwnLimits } = watch;
  return (
    <section>
      <h2 className="heading mb-2">What it is held to</h2>
      <p className="text-small text-quiet">
        Brewed again every {limits.everyDays} days, and once its roast is {limits.olderByDays} days older than
        it was brewed with. Off by more than {limits.strengthPercent.toFixed(2)} % of strength,{' '}
        {limits.yieldPoints} points of yield, {limits.drainS} s or {limits.likingPoints} in liking is another
        cup, however it spreads.{!isLead && ' A lead sets it.'}
      </p>
      {isLead && (
        <div className="mt-2 flex flex-wrap gap-2">
          <EditButton words="Change for this recipe" title="What this recipe is held to">
            {(leave) => (
              <FiguresForm
                draftKey={`watch.${recipeId}`}
                dto={WatchLimitsDto}
                initial={limits}
                fields={FIELDS}
                onSave={async (own) => troubleOf((await setLimits({ recipeId, limits: own })).error)}
                onLeave={leave}
              />
            )}
          </EditButton>
          {hasOwnLimits && (
            <Button
              weight="quiet"
              disabled={setting.isLoading}
              onClick={() => void setLimits({ recipeId, limits: null })}
            >
              As usual: every {USUAL_WATCH_LIMITS.everyDays} days
            </Button>
          )}
        </div>
      )}
    </section>
  );
}
