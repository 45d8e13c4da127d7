import { feedSource } from './feedSource';
import { serialSource } from './serialSource';
import { simulatedThermometerSource } from './simulatedThermometerSource';
import { thermometerOf, type ThermometerSource } from './sources';

/** How the kettle's water is read on one bench. */
export type ThermometerChoice = 'none' | 'serial' | 'feed' | 'simulated';

export const THERMOMETER_CHOICES: { choice: ThermometerChoice; words: string }[] = [
  { choice: 'none', words: 'hand' },
  { choice: 'serial', words: 'thermometer on a cable' },
  { choice: 'feed', words: 'thermometer over the network' },
  { choice: 'simulated', words: 'simulated thermometer' },
];

export function thermometerSource(
  choice: ThermometerChoice,
  bench: { feedName: string; setC: number; roomC: number; seed: number },
): ThermometerSource | null {
  switch (choice) {
    case 'none':
      return null;
    case 'serial':
      return thermometerOf(serialSource());
    case 'feed':
      return thermometerOf(feedSource(bench.feedName));
    case 'simulated':
      return simulatedThermometerSource(bench);
  }
}
