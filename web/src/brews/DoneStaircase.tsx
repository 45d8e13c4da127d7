import { actualStaircase, sinceStart } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { traceLine } from '../bench/traceLine';
import { FittedStaircase } from '../ui/FittedStaircase';
import { useTraceQuery } from '../api/brewsApi';

/** The plan with what was done over it, off the scale where there was one. */
export function DoneStaircase({ brew }: { brew: BrewView }) {
  const { data } = useTraceQuery(brew.id, { skip: !brew.hasTrace });
  const trace = data?.trace ?? null;
  const outflow = data?.outflow ?? null;
  const lastS = brew.steps.at(-1)?.atS ?? brew.plan.drawdownS;
  return (
    <>
      <div className="bg-raised">
        <FittedStaircase
          plan={brew.plan}
          height={200}
          actual={
            trace ? traceLine(trace) : actualStaircase({ plan: brew.plan, done: brew.steps, untilS: lastS })
          }
          outflow={outflow ? traceLine(sinceStart(outflow)) : undefined}
          label="The plan as a staircase, with what was done drawn over it"
        />
      </div>
      <p className="caption mt-1">
        {trace
          ? `Blue: the plan. Black: ${trace.atMs.length} readings of the scale; a gap is where the scale was silent.`
          : 'Blue: the plan. Black: from marked times and entered totals, at the planned flow.'}
        {outflow && ' Green: what ran into the server.'}
        {trace && (
          <>
            {' '}
            <a href={`/api/brews/${brew.id}/trace.csv`} download className="underline underline-offset-3">
              The readings as CSV
            </a>
          </>
        )}
      </p>
    </>
  );
}
