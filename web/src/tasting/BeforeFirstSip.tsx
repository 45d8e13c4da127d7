import type { BrewView } from '@vendu/contract';
import { Notice } from '../ui/Notice';

/** What somebody must know before the cup is at his lips. */
export function BeforeFirstSip({ additions, process }: Pick<BrewView['lot'], 'additions' | 'process'>) {
  if (additions === '' && process !== 'co-fermented') return null;
  return (
    <div className="mt-2">
      <Notice tone="alarm">
        <strong>Before the first sip:</strong> co-fermented{additions === '' ? '' : ` with ${additions}`}. It
        may carry allergens of what was added, and some alcohol. Whoever must avoid them does not taste it;
        what has to be declared is for your local food law.
      </Notice>
    </div>
  );
}
