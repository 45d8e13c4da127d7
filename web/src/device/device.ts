import { readDraft, writeDraft } from './draft';
import { uuid } from './uuid';

const DRAFT = 'device';
let made: string | null = null;

/** This device to the server: made here once, and kept. All pages of one browser are one device. */
export function deviceId(): string {
  const kept = readDraft(DRAFT);
  if (typeof kept === 'string') return kept;
  // A browser that keeps nothing is another device at each visit.
  made ??= uuid();
  writeDraft(DRAFT, made);
  return made;
}

/** This page, until it is left: two pages of one device tell of a brew in series of their own, and overtake one another. */
export const PAGE_ID: string = uuid();
