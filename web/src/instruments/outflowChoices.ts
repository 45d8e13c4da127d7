/** How the beverage is weighed while it runs: by a second scale, under the server alone. */
export type OutflowChoice = 'none' | 'serial' | 'feed' | 'simulated';

export const OUTFLOW_CHOICES: { words: string; choice: OutflowChoice }[] = [
  { words: 'none', choice: 'none' },
  { words: 'scale on a cable', choice: 'serial' },
  { words: 'scale over the network', choice: 'feed' },
  { words: 'simulated scale below', choice: 'simulated' },
];
