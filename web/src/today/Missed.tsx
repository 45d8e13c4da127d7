import { Link } from 'react-router';
import type { DayPlan } from '@vendu/core';
import type { TodayView } from '@vendu/contract';
import { FOLLOW_WORDS } from './todayWords';

/** Cups that stand and that nobody gets to in their time. */
export function Missed({ plan, today }: { plan: DayPlan; today: TodayView }) {
  const missed = plan.missed.flatMap(({ id, follow }) => {
    const after = today.afters.find(({ brewId }) => `brew-${brewId}` === id);
    return after ? [{ ...after, follow }] : [];
  });
  if (missed.length === 0) return null;
  return (
    <ul className="border-l-2 border-alarm pl-3 text-small">
      {missed.map(({ brewId, lotName, number, follow }) => (
        <li key={`${brewId} ${follow}`}>
          <Link to={`/brews/${brewId}`} className="font-semibold underline underline-offset-3">
            {lotName}, brew {number}
          </Link>
          : nobody got to {FOLLOW_WORDS[follow]} in its time.
        </li>
      ))}
    </ul>
  );
}
