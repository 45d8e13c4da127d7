/** An address as a log may have it: a part of a feed's and of a calendar's is its secret. */
export function withoutSecret(url: string): string {
  return url.replace(/(\/(?:instrument-feeds|calendars)\/)[^/?]+/, '$1…');
}
