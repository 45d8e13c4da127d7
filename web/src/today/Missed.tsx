import { Link } from 'react-router';
import type { DayPlan } from '@vendu/core';
import type { TodayView } from '@vendu/contract';
import { missedCups, type MissedCups } from './missedCups';
import { FOLLOW_WORDS } from './todayWords';

/** So many cups of a lot are named; of more the last are as good as the first. */
const NAMED = 6;

/** Cups that stand and that nobody gets to in their time. */
export function Missed({ plan, today }: { plan: DayPlan; today: TodayView }) {
  const missed = missedCups(plan.missed, today.afters);
  if (missed.length === 0) return null;
  return (
    <section className="border-l-2 border-alarm pl-3 text-small">
      <h2 className="mb-1 font-semibold text-alarm">Nobody gets to these cups in their time</h2>
      <ul>
        {missed.map(({ lotName, steps }) => (
          <li key={lotName} className="flex flex-wrap items-center gap-x-4">
            <span className="font-semibold">{lotName}</span>
            {steps.map((step) => (
              <Step key={step.follow} lotName={lotName} {...step} />
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Step({ lotName, follow, brews }: { lotName: string } & MissedCups['steps'][number]) {
  return (
    <span className="flex items-center">
      {FOLLOW_WORDS[follow]}: brew
      {brews.slice(0, NAMED).map(({ brewId, number }) => (
        <Link
          key={brewId}
          to={`/brews/${brewId}`}
          aria-label={`${lotName}, brew ${number}`}
          className="reading inline-flex min-h-6 min-w-6 items-center justify-center underline underline-offset-3"
        >
          {number}
        </Link>
      ))}
      {brews.length > NAMED && `and ${brews.length - NAMED} more`}
    </span>
  );
}
