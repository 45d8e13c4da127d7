import { useSyncExternalStore } from 'react';

// Writes that were sent and are not answered yet. The store forgets a write once the page that sent it is left; whoever
// comes to the next page at once still waits for it.

let pending = 0;
const watchers = new Set<() => void>();

function count(by: number): void {
  pending += by;
  for (const watch of watchers) watch();
}

/** Sends a write and counts it until it is answered, or fails. */
export async function counted<T>(write: () => Promise<T>): Promise<T> {
  count(1);
  try {
    return await write();
  } finally {
    // The store tells its pages of an answer with the next frame: until then they show what was before it.
    requestAnimationFrame(() => setTimeout(() => count(-1)));
  }
}

/** Whether something that was sent to be stored is not answered yet: what is read meanwhile may be of before it. */
export function useIsWriting(): boolean {
  return useSyncExternalStore(watched, () => pending > 0);
}

function watched(watch: () => void): () => void {
  watchers.add(watch);
  return () => watchers.delete(watch);
}
