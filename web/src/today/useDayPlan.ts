import { useEffect, useState } from 'react';
import type { DayInput, DayPlan } from '@vendu/core';
import { askPlan } from './planner';

/** The plan of a day; the one before stays until the next is worked out. */
export function useDayPlan(input: DayInput, order: readonly string[] | null): DayPlan | null {
  const [plan, setPlan] = useState<DayPlan | null>(null);
  // The day as text: only what truly changed is planned anew.
  const key = JSON.stringify({ input, order });
  useEffect(() => {
    let isCurrent = true;
    const asked = JSON.parse(key) as { input: DayInput; order: string[] | null };
    void askPlan(asked.input, asked.order).then((next) => {
      if (isCurrent) setPlan(next);
    });
    return () => {
      isCurrent = false;
    };
  }, [key]);
  return plan;
}
