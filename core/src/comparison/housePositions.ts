import { grouped } from '../statistics/grouped.js';
import type { ComparedAxis } from '../vocabulary.js';
import { axesWords } from './axisWords.js';

/** A blind test that was opened, in short. */
export interface TestedQuestion {
  comparisonId: number;
  asks: readonly ComparedAxis[];
  /** As the trade says it: `naturals`; of several processes in one comparison, empty. */
  process: string;
  tasters: number;
  isFound: boolean;
  isConfounded: boolean;
}

/** What a house found out about one question, over all that it asked. */
export interface HousePosition {
  asks: readonly ComparedAxis[];
  process: string;
  tests: number;
  found: number;
  tasters: number;
  comparisonIds: number[];
}

/** What a house's blind tests say by question and process; those whose design was confounded say nothing. */
export function housePositions(tested: readonly TestedQuestion[]): HousePosition[] {
  const sound = tested.filter(({ isConfounded }) => !isConfounded);
  return [...grouped(sound, ({ asks, process }) => [...asks, process].join('|')).values()].flatMap(
    (tests) => {
      const [first] = tests;
      if (!first) return [];
      return [
        {
          asks: first.asks,
          process: first.process,
          tests: tests.length,
          found: tests.filter(({ isFound }) => isFound).length,
          tasters: tests.reduce((sum, { tasters }) => sum + tasters, 0),
          comparisonIds: [...new Set(tests.map(({ comparisonId }) => comparisonId))],
        },
      ];
    },
  );
}

/** `This house tested the bloom on naturals twice: no difference found, 24 tasters.` */
export function positionWords({ asks, process, tests, found, tasters }: HousePosition): string {
  const times = tests === 1 ? 'once' : tests === 2 ? 'twice' : `${tests} times`;
  const result =
    found === 0
      ? 'no difference found'
      : found === tests
        ? tests === 1
          ? 'a difference found'
          : 'a difference found each time'
        : `a difference found ${found === 1 ? 'once' : `${found} times`}`;
  return `This house tested ${axesWords(asks)}${process === '' ? '' : ` on ${process}`} ${times}: ${result}, ${tasters} tasters.`;
}
