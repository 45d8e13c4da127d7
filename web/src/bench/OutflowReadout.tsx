import { Notice } from '../ui/Notice';
import type { OutflowView } from './useOutflow';

/** What the scale under the server says: the beverage so far, and how fast it runs. */
export function OutflowReadout({ outflow }: { outflow: OutflowView | null }) {
  if (!outflow) return null;
  const { status, beverageG, gps, name, trouble } = outflow;
  if (status === 'silent') {
    return (
      <Notice tone="alarm">
        {name} is silent. The forecast goes on without the outflow. {trouble}
      </Notice>
    );
  }
  return (
    <p className="flex flex-wrap items-baseline gap-x-4 text-large">
      <span className="text-small text-quiet">in the server</span>
      <span className="reading font-semibold text-flow">
        {beverageG === null ? '–' : Math.max(0, beverageG).toFixed(1)} g
      </span>
      <span className="reading text-flow">{gps === null ? '–' : Math.max(0, gps).toFixed(1)} g/s</span>
    </p>
  );
}
