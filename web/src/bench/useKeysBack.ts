import { useEffect, type RefObject } from 'react';

/** A note that nobody has added to for so long is written, ms: the keys are the clock's again. */
const PAUSE_MS = 4000;

/** Gives the keys back to the clock when a note was left standing with the focus in it. */
export function useKeysBack(field: RefObject<HTMLTextAreaElement | null>, text: string): void {
  useEffect(() => {
    if (text === '') return undefined;
    const timer = setTimeout(() => field.current?.blur(), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [field, text]);
}
