import { formatDuration } from '@vendu/core';
import { Notice } from '../ui/Notice';
import type { BenchState } from './useBenchBrew';

/** Leads and lags smaller than this are a hand's, s and g. */
const SAID_FROM = { s: 1, g: 3 };
/** A hand that is slower than this is not pouring any more, s. */
const LONGEST_LAG_S = 15;

/** What the scale says: water, flow with its target, lead or lag; and that it is silent, when it is. */
export function ScaleReadout({ bench }: { bench: BenchState }) {
  const { scaleView, flowGps, lead, moment } = bench;
  if (!scaleView) return null;
  const { status, massG, batteryPercent, name, trouble } = scaleView;
  if (status === 'silent') {
    return (
      <Notice tone="alarm">
        {name} is silent{moment.phase === 'running' && ` at ${formatDuration(Math.floor(moment.elapsedS))}`}.
        The brew goes on by marks; totals can be typed beside the pours. {trouble}
      </Notice>
    );
  }
  const wantedGps = wantedFlowGps(bench);
  return (
    <div className="flex flex-wrap items-baseline gap-x-7 gap-y-1">
      <span className="reading text-[2.75rem] leading-none font-semibold text-water">
        {massG === null ? '–' : massG.toFixed(1)} <span className="text-large font-normal">g</span>
      </span>
      <span className="reading text-[2rem] leading-none font-semibold text-flow">
        {flowGps === null ? '–' : Math.max(0, flowGps).toFixed(1)}{' '}
        <span className="text-large font-normal">g/s{wantedGps !== null && `, target ${wantedGps}`}</span>
      </span>
      {lead && <span className="text-large">{leadWords(lead)}</span>}
      {batteryPercent !== null && batteryPercent < 15 && (
        <span className="text-small font-semibold text-alarm">scale battery {batteryPercent} %</span>
      )}
    </div>
  );
}

/** A flow is asked for only while its pour is due and not in yet. */
function wantedFlowGps({ moment, plan, scaleView }: BenchState): number | null {
  const { current, elapsedS } = moment;
  if (moment.phase !== 'running' || current?.kind !== 'pour') return null;
  const isIn = (scaleView?.massG ?? 0) > current.totalG - SAID_FROM.g;
  const isOver = elapsedS > current.endS + LONGEST_LAG_S;
  return isIn || isOver ? null : (plan.pours[current.pourNumber - 1]?.flowGps ?? null);
}

function leadWords({ aheadG, aheadS }: NonNullable<BenchState['lead']>): string {
  if (aheadS !== null && Math.abs(aheadS) >= SAID_FROM.s) {
    return aheadS > 0 ? `${aheadS.toFixed(0)} s ahead` : `${(-aheadS).toFixed(0)} s behind`;
  }
  if (Math.abs(aheadG) < SAID_FROM.g) return 'on the plan';
  return aheadG > 0 ? `${aheadG.toFixed(0)} g over` : `${(-aheadG).toFixed(0)} g under`;
}
