import type { Hope } from '@vendu/core';
import { FINDING_WORDS } from './findingWords';
import { INTENSITY_WORDS } from './words';

/** What a change is to do in the cup, as it is said of it. */
export function hopeWords(hope: Hope): string {
  switch (hope.kind) {
    case 'gone':
      return `no longer ${FINDING_WORDS[hope.finding]}`;
    case 'more':
    case 'less':
      return `${hope.kind} ${INTENSITY_WORDS[hope.attribute].toLowerCase()}`;
    case 'brings':
      return `“${hope.word}” in the notes`;
  }
}
