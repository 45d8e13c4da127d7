/** An address as a log may have it: the last part of a feed's is its secret. */
export function withoutSecret(url: string): string {
  return url.replace(/(\/instrument-feeds\/)[^/?]+/, '$1…');
}
