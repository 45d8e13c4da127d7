import { setNonce } from 'get-nonce';

/**
 * Tells what adds a style to the page (the lock of scrolling under an open list) the word that the server's policy asks
 * such styles for.
 */
export function showStyleNonce(): void {
  const word = styleNonce();
  if (word) setNonce(word);
}

/** For what is told by its own property; `undefined` where the page has none, as when the sources are followed. */
export function styleNonce(): string | undefined {
  return document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content || undefined;
}
