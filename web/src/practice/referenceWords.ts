import type { ReferenceKind } from '@vendu/core';

/** What is looked for in reference cups, how it is asked, and what the odd cup was. */
export const REFERENCE_WORDS: Record<ReferenceKind, { name: string; question: string; asked: string }> = {
  strength: {
    name: 'A little weaker',
    question: 'Which of the three is different?',
    asked: 'the different one',
  },
  dryness: { name: 'A dry cup', question: 'Which of the three is different?', asked: 'the different one' },
  repeat: { name: 'The same again', question: 'Which of the two is the known cup?', asked: 'the known cup' },
};
