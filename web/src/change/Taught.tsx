import type { Remote } from 'comlink';
import { useEffect, useState, type ReactNode } from 'react';
import {
  formatSigned,
  MOST_OF_OWN,
  NINE_OF_TEN,
  type BrewPlan,
  type Lesson,
  type LotTaught,
} from '@vendu/core';
import { brewRecordsOf, type BrewListItem } from '@vendu/contract';
import type { Forecaster, Unlike } from '../board/forecaster';
import { classes } from '../ui/classes';
import { likesWords } from './likesWords';
import { OUTCOME_ORDER, OUTCOME_WORDS } from '../ui/outcomeWords';

const LESSON_WORDS: Record<Lesson, string> = {
  read: 'read its strength',
  'time-the-drain': 'mark when it has drained',
  'another-grind':
    'another grind, 50 µm away or more: how much strength follows the grind was hardly measured yet',
  weigh: 'weigh the beverage',
};
const UNLIKE_WORDS: Record<Unlike['output'], string> = {
  drawdown: 'its drain time: look at grinder setting, paper and bed',
  tds: 'its strength: look at the readings',
  beverage: 'its beverage: look at the weights',
};

interface TaughtProps {
  forecaster: Remote<Forecaster> | null;
  plan: BrewPlan;
  /** Of the recipe, in the order brewed. */
  brews: readonly BrewListItem[];
}

/** What the brews of a lot have taught, beside lots like it, in figures that somebody can act on. */
export function Taught({ forecaster, plan, brews }: TaughtProps) {
  const [taught, setTaught] = useState<{ lot: LotTaught; unlike: Unlike[] } | null>(null);
  const planKey = JSON.stringify(plan);
  useEffect(() => {
    if (!forecaster) return undefined;
    let isStale = false;
    void forecaster.taught(JSON.parse(planKey) as BrewPlan).then((result) => {
      if (!isStale) setTaught(result);
    });
    return () => {
      isStale = true;
    };
  }, [forecaster, planKey]);
  // Nothing was measured: there is nothing to tell, and the proposals say so.
  if (!taught || taught.lot.brews === 0) return null;
  const { beside, finer, hotter, stepOpen, retainedGPerG, lesson } = taught.lot;
  const likes = likesWords(brews);
  const known = brews.filter((brew) => brewRecordsOf([brew]).length > 0);
  return (
    <section className="mt-6" aria-label="What the lot has taught">
      <h3 className="heading mb-2">
        What the lot has taught{' '}
        <span className="font-normal text-quiet">
          of this plan, by {byBrews(taught.lot.brews, known.length)}
        </span>
      </h3>
      <dl className="grid grid-cols-[8.5rem_1fr] gap-x-4 gap-y-1.5 text-small">
        {OUTCOME_ORDER.map((outcome) => {
          const { here, likeIt, sd } = beside[outcome];
          const { label, hue, show, step } = OUTCOME_WORDS[outcome];
          return (
            <Line key={outcome} name={label}>
              <span className={classes('reading font-semibold', hue)}>{show(here)}</span>{' '}
              <span className="reading text-quiet">± {step(NINE_OF_TEN * sd).replace('+', '')}</span>, where
              lots like it give <span className="reading">{show(likeIt)}</span>
            </Line>
          );
        })}
        <Line name="50 µm finer">
          <Effect by={finer} />
          <span className="text-quiet">, the step known to {Math.round(NINE_OF_TEN * stepOpen * 100)} %</span>
        </Line>
        <Line name="1 °C hotter">
          <Effect by={hotter} />
        </Line>
        <Line name="The bed keeps">
          <span className="reading text-water">{retainedGPerG.value.toFixed(2)} g/g</span>{' '}
          <span className="reading text-quiet">
            {retainedGPerG.low.toFixed(2)} to {retainedGPerG.high.toFixed(2)}
          </span>
        </Line>
        {taught.unlike.map(({ ownIndex, output }) => (
          <Line key={`${ownIndex} ${output}`} name={`Brew ${known[ownIndex]?.number ?? '?'}`}>
            does not fit the others by {UNLIKE_WORDS[output]}
          </Line>
        ))}
        {likes && <Line name="Liked most">{likes}</Line>}
        {lesson && <Line name="Teaches most next">{LESSON_WORDS[lesson]}</Line>}
      </dl>
    </section>
  );
}

function Line({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-quiet">{name}</dt>
      <dd>{children}</dd>
    </>
  );
}

function Effect({ by: { tdsPercent, yieldPercent, drawdownS } }: { by: LotTaught['finer'] }) {
  return (
    <span className="reading">
      <span className="text-strength">{formatSigned(tdsPercent, 2)} %</span>,{' '}
      <span className="text-yield">{formatSigned(yieldPercent, 1)} points</span>,{' '}
      <span className="text-time">{formatSigned(drawdownS, 0)} s</span>
    </span>
  );
}

/** Of very many brews the newest are learned from. */
function byBrews(count: number, known: number): string {
  if (count === 1) return 'one brew';
  return known > count && count >= MOST_OF_OWN ? `the newest ${count} brews` : `${count} brews`;
}
