import type { SchoolPoint, Schools } from '@vendu/core';

interface PointWords {
  name: string;
  question: string;
  /** Each stand with what those who hold it say for it, all of them told alike. */
  stands: Record<string, { name: string; because: string }>;
}

/** The twelve disputed points as practitioners argue them. */
export const SCHOOL_WORDS: {
  [P in SchoolPoint]: PointWords & { stands: Record<Schools[P], { name: string; because: string }> };
} = {
  bloom: {
    name: 'Bloom',
    question: 'Does a brew begin with a bloom?',
    stands: {
      always: {
        name: 'always',
        because: 'all grounds are wet before the water runs through, so they extract alike',
      },
      'if-it-rises': {
        name: 'if it rises',
        because: 'the bloom lets gas out; where nothing rises there is none to let out',
      },
      never: {
        name: 'never',
        because: 'one continuous pour keeps the early, lively part and is done by 1:30',
      },
    },
  },
  length: {
    name: 'Length',
    question: 'How long does a brew run?',
    stands: {
      short: { name: 'short', because: 'later fractions were flat and drying when tasted apart' },
      conventional: {
        name: 'conventional',
        because: '2:15 to 3:30 balances the early acids with the later sweetness',
      },
      long: { name: 'long', because: 'sweetness and texture need the time' },
    },
  },
  agitation: {
    name: 'Agitation',
    question: 'Is the bed moved?',
    stands: {
      agitate: { name: 'agitate', because: 'swirl, stir, needles and hard pours leave no dry pocket' },
      'leave-still': {
        name: 'leave still',
        because: 'a bed left alone keeps its fines where they are and ends clean',
      },
    },
  },
  style: {
    name: 'Style',
    question: 'Which corner does the house brew in?',
    stands: {
      'fine-hot-wide': {
        name: 'fine, hot, wide',
        because: 'about 1:16 to 1:17 and 1.35 % and more, for sweetness and texture',
      },
      'coarse-cool-tight': {
        name: 'coarse, cool, tight',
        because: 'about 1:14 at 88 °C and 1.20 to 1.25 %, for transparency',
      },
    },
  },
  'first-lever': {
    name: 'First lever',
    question: 'What is changed first?',
    stands: {
      grind: { name: 'grind', because: 'it moves strength, yield and time together and nothing else' },
      ratio: { name: 'ratio', because: 'it moves strength with all else equal' },
      kettle: { name: 'kettle', because: 'heat is an intensity knob and leaves the flow alone' },
      pours: {
        name: 'pours',
        because: 'where the water falls in time decides which part of the brew speaks',
      },
    },
  },
  'pour-when': {
    name: 'When to pour',
    question: 'What starts the next pour?',
    stands: {
      'on-the-clock': { name: 'on the clock', because: 'others can repeat it' },
      'when-drained': {
        name: 'when drained',
        because: 'each pour works alone, and the bed tells when it is done',
      },
      'before-drained': {
        name: 'before it has drained',
        because: 'a bed that runs dry loses heat and cracks',
      },
    },
  },
  'pour-where': {
    name: 'Where to pour',
    question: 'Centre or circle?',
    stands: {
      'by-brewer': {
        name: 'by brewer',
        because: 'a ribbed cone takes a centre pour, a smooth one came out uneven with it',
      },
      centre: { name: 'centre', because: 'the same hand every time, and no water along the wall' },
      circle: { name: 'circle', because: 'every part of the bed sees fresh water' },
    },
  },
  end: {
    name: 'End',
    question: 'How does a brew end?',
    stands: {
      'let-drain': {
        name: 'let it drain',
        because: 'nothing to time, and the beverage weighs what the plan says',
      },
      lift: { name: 'lift the brewer', because: 'the last, drying part never reaches the cup' },
    },
  },
  fines: {
    name: 'Fines',
    question: 'What about the dust of the grinder?',
    stands: {
      leave: { name: 'leave', because: 'they are part of the cup, and nobody at home sieves' },
      sieve: { name: 'sieve out', because: 'cleaner, sweeter and less dry' },
      'blend-grinds': {
        name: 'blend two grinds',
        because: 'a coarse part for aroma, a fine one for sweetness',
      },
    },
  },
  aim: {
    name: 'Aims',
    question: 'Which strength and yield are aimed at?',
    stands: {
      classic: {
        name: 'the house’s window',
        because: 'as set under the lab; 1.15 to 1.35 % and 18 to 22 % is the classic one',
      },
      light: { name: 'light', because: '1.20 to 1.25 %: what is delicate shows' },
      strong: { name: 'strong', because: '1.30 to 1.45 %: texture carries the flavour' },
      'high-yield': { name: 'high yield', because: '20 to 23 % with even feeds and fast papers' },
    },
  },
  dilution: {
    name: 'Dilution',
    question: 'Is water added after the brew?',
    stands: {
      never: { name: 'never', because: 'the brew is the recipe' },
      'for-clarity': {
        name: 'for clarity',
        because: 'a few per cent open a dense cup without touching the yield',
      },
    },
  },
  swirls: {
    name: 'Swirls',
    question: 'How often is it swirled?',
    stands: {
      'always-the-same': {
        name: 'always the same',
        because: 'one thing less that differs between two brews',
      },
      'when-needed': {
        name: 'when needed',
        because: 'the age of the roast and the cup ask for it; the card says optional',
      },
    },
  },
};

export const SCHOOL_POINTS = Object.keys(SCHOOL_WORDS) as SchoolPoint[];

/** @example standName('end', schools) // 'lift the brewer' */
export function standName(point: SchoolPoint, schools: Schools): string {
  return (SCHOOL_WORDS[point].stands as PointWords['stands'])[schools[point]]?.name ?? schools[point];
}
