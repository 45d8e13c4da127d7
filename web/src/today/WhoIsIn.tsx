import { CAFFEINE_GUIDANCE_MG, type DayPlan } from '@vendu/core';
import type { TodayView } from '@vendu/contract';
import { classes } from '../ui/classes';
import { Tick } from '../ui/Tick';

interface WhoIsInProps {
  today: TodayView;
  plan: DayPlan | null;
  /** Those whom the plan counts with, in its order. */
  planned: readonly string[];
  out: readonly string[];
  onChange: (out: string[]) => void;
}

/** Whose hands there are, and what the day's tasting brings each of them. */
export function WhoIsIn({ today: { people }, plan, planned, out, onChange }: WhoIsInProps) {
  return (
    <section>
      <h2 className="heading mb-1">Who is in</h2>
      <ul>
        {people.map(({ name, caffeineMg }) => {
          const byEvening = plan?.caffeineMg[planned.indexOf(name)] ?? caffeineMg;
          const isMuch = byEvening > CAFFEINE_GUIDANCE_MG.inADay;
          return (
            <li key={name} className="flex items-center justify-between gap-3 border-b border-rule">
              <Tick
                label={name}
                checked={!out.includes(name)}
                onChange={(isIn) => onChange(isIn ? out.filter((each) => each !== name) : [...out, name])}
              />
              <span className={classes('reading text-small', isMuch ? 'font-bold text-alarm' : 'text-quiet')}>
                {Math.round(byEvening)} mg
              </span>
            </li>
          );
        })}
      </ul>
      <p className="caption mt-1">
        Caffeine by the evening if it is swallowed, from doses and assumed sips. Guidance for adults is{' '}
        {CAFFEINE_GUIDANCE_MG.inADay} mg a day, half of it in pregnancy: spit.
      </p>
    </section>
  );
}
