/** An address as a log may have it: a part of a feed's, a calendar's, an invitation's and a taster's is its secret. */
export function withoutSecret(url: string): string {
  return url.replace(/(\/(?:instrument-feeds|calendars|invitations|invited|blind)\/)[^/?]+/, '$1…');
}
