import { feedSource } from './feedSource';
import { serialSource } from './serialSource';
import { simulatedRefractometerSource } from './simulatedRefractometerSource';
import { refractometerOf, type RefractometerSource } from './sources';

/** How strength is read. */
export type RefractometerChoice = 'none' | 'serial' | 'feed' | 'simulated';

export const REFRACTOMETER_CHOICES: { choice: RefractometerChoice; words: string }[] = [
  { choice: 'none', words: 'typed in' },
  { choice: 'serial', words: 'refractometer on a cable' },
  { choice: 'feed', words: 'refractometer over the network' },
  { choice: 'simulated', words: 'simulated refractometer' },
];

export function refractometerSource(
  choice: RefractometerChoice,
  { feedName, seed }: { feedName: string; seed: number },
): RefractometerSource | null {
  switch (choice) {
    case 'none':
      return null;
    case 'serial':
      return refractometerOf(serialSource());
    case 'feed':
      return refractometerOf(feedSource(feedName));
    case 'simulated':
      return simulatedRefractometerSource(seed);
  }
}
