import type { BlindMethod, ComparedAxis, GrindMatch, TastingStage } from '@vendu/core';

/** How the tasters of a stage take the arms. */
export interface DemoPalate {
  stage: TastingStage;
  /** Share of them who notice the odd cup; the others guess. */
  noticing?: number;
  /** How each arm is liked, points of nine. */
  liked?: readonly number[];
}

export interface DemoComparison {
  lot: string;
  question: string;
  asks: readonly ComparedAxis[];
  matchedBy: GrindMatch;
  rounds: number;
  /** Index into the demo accounts. */
  by: number;
  daysAgo: number;
  arms: readonly {
    brewer: string;
    version: number;
    /** Numbers of brews within the lot. */
    brews: readonly number[];
  }[];
  test: {
    method: BlindMethod;
    asksFor: string;
    tasters: number;
    palates: readonly DemoPalate[];
    isOpened: boolean;
  };
}

/** Three questions: one that its own design spoils, one that was asked soundly, and one whose answer waits. */
export const DEMO_COMPARISONS: readonly DemoComparison[] = [
  {
    lot: 'Coroico Cellar Carbonic',
    question: 'Cone or flat bottom for the card?',
    asks: ['brewer'],
    matchedBy: 'drain',
    rounds: 2,
    by: 1,
    daysAgo: 12,
    arms: [
      { brewer: 'Kittiwake cone', version: 3, brews: [3, 4] },
      { brewer: 'Slipway flat', version: 1, brews: [5, 6] },
    ],
    test: {
      method: 'paired',
      asksFor: '',
      tasters: 16,
      palates: [
        { stage: 'hot', liked: [5, 8.5] },
        { stage: 'cool', liked: [8.5, 5] },
      ],
      isOpened: true,
    },
  },
  {
    lot: 'Bugoma Lowland Natural',
    question: 'Do two degrees show in the cup?',
    asks: ['temperature'],
    matchedBy: 'dial',
    rounds: 2,
    by: 2,
    daysAgo: 3,
    arms: [
      { brewer: 'Lantern carafe', version: 2, brews: [3, 6] },
      { brewer: 'Lantern carafe', version: 1, brews: [4, 5] },
    ],
    test: {
      method: 'triangle',
      asksFor: '',
      tasters: 12,
      palates: [
        { stage: 'hot', noticing: 0.1 },
        { stage: 'cool', noticing: 0.1 },
      ],
      isOpened: true,
    },
  },
  {
    lot: 'Biligiri Stream Honey',
    question: 'Which of the three starts gives the fig?',
    asks: ['temperature', 'grind'],
    matchedBy: 'dial',
    rounds: 1,
    by: 1,
    daysAgo: 1,
    arms: [
      { brewer: 'Slipway flat', version: 1, brews: [4] },
      { brewer: 'Slipway flat', version: 2, brews: [5] },
      { brewer: 'Slipway flat', version: 3, brews: [6] },
    ],
    test: {
      method: 'ranking',
      asksFor: 'most fig first',
      tasters: 8,
      palates: [
        { stage: 'hot', liked: [4, 5, 8] },
        { stage: 'cool', liked: [4, 5, 7.5] },
      ],
      isOpened: false,
    },
  },
];
