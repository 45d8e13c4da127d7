import { CAFFEINE_GUIDANCE_MG, TASTED_G } from '@vendu/core';
import { useCaffeineQuery } from '../api/tastersApi';
import { classes } from '../ui/classes';

const { atOnce, inADay } = CAFFEINE_GUIDANCE_MG;

/** What tasting has added up to, beside the guidance for adults; reckoned, and said so. */
export function CaffeineToday() {
  const { data } = useCaffeineQuery();
  if (!data || data.sheets === 0) return null;
  const mg = Math.round(data.mg / 5) * 5;
  const isMuch = data.mg > inADay || data.lastHourMg > atOnce;
  return (
    <section aria-label="Caffeine" className="mt-8 max-w-2xl border-t border-rule pt-2 text-small">
      <div className="flex items-center gap-3">
        <span className={classes('reading font-semibold', isMuch ? 'text-alarm' : '')}>about {mg} mg</span>
        <span aria-hidden className="relative h-1.5 grow bg-wash">
          <span
            className={classes('absolute inset-y-0 left-0', isMuch ? 'bg-alarm' : 'bg-time')}
            style={{ width: `${Math.min(100, (100 * data.mg) / inADay)}%` }}
          />
        </span>
        <span className="reading text-quiet">{inADay} mg</span>
      </div>
      <p className={isMuch ? 'text-alarm' : 'text-quiet'}>
        Your caffeine by tasting in the last 24 hours, reckoned from the doses of {data.sheets}{' '}
        {data.sheets === 1 ? 'sheet' : 'sheets'} with sips of {TASTED_G} g; what you drink besides is not in
        it. European guidance for adults: {atOnce} mg at once, {inADay} in a day, half of the day’s in
        pregnancy.
        {isMuch ? ' That is much: spit, or leave the next cups to others.' : ''}
      </p>
    </section>
  );
}
