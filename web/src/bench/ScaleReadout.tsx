import { formatDuration, type BenchStep, type BrewPlan } from '@vendu/core';
import { Notice } from '../ui/Notice';
import type { BenchState } from './useBenchBrew';

/** Leads and lags smaller than this are a hand's, s and g. */
const SAID_FROM = { s: 1, g: 3 };

/** What the scale says: water, flow with its target, lead or lag; and that it is silent, when it is. */
export function ScaleReadout({ bench }: { bench: BenchState }) {
  const { scaleView, flowGps, lead, moment, plan } = bench;
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
  const wantedGps = pourOn(moment.current, plan)?.flowGps;
  return (
    <div className="flex flex-wrap items-baseline gap-x-7 gap-y-1">
      <span className="reading text-[2.75rem] leading-none font-semibold text-water">
        {massG === null ? '–' : massG.toFixed(1)} <span className="text-large font-normal">g</span>
      </span>
      <span className="reading text-[2rem] leading-none font-semibold text-flow">
        {flowGps === null ? '–' : Math.max(0, flowGps).toFixed(1)}{' '}
        <span className="text-large font-normal">
          g/s{wantedGps !== undefined && `, wanted ${wantedGps}`}
        </span>
      </span>
      {lead && <span className="text-large">{leadWords(lead)}</span>}
      {batteryPercent !== null && batteryPercent < 15 && (
        <span className="text-small font-semibold text-alarm">scale battery {batteryPercent} %</span>
      )}
    </div>
  );
}

function pourOn(current: BenchStep | null, plan: BrewPlan) {
  return current?.kind === 'pour' ? plan.pours[current.pourNumber - 1] : undefined;
}

function leadWords({ aheadG, aheadS }: NonNullable<BenchState['lead']>): string {
  if (aheadS !== null && Math.abs(aheadS) >= SAID_FROM.s) {
    return aheadS > 0 ? `${aheadS.toFixed(0)} s ahead` : `${(-aheadS).toFixed(0)} s behind`;
  }
  if (Math.abs(aheadG) < SAID_FROM.g) return 'on the plan';
  return aheadG > 0 ? `${aheadG.toFixed(0)} g over` : `${(-aheadG).toFixed(0)} g under`;
}
