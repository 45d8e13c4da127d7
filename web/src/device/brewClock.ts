// The clock that brews run by. The wall's clock may be set while a brew runs, by the network or by a hand; a brew's must not
// jump with it. So the wall is read once, and counted on from there by the page's own clock, which only ever goes on.
// A page that was put to sleep may have slept with its clock: what the wall went on meanwhile is taken over when it
// is seen again, but never what it went back.

let wallMs = Date.now();
let pageMs = performance.now();

/** Now, ms of the wall's clock as it went when this page was opened; never earlier than it was before. */
export function brewNowMs(): number {
  return Math.round(wallMs + performance.now() - pageMs);
}

/**
 * Goes on from a moment that a brew has been marked at: a page that is opened after the wall was set back, or that takes up
 * a brew of a device whose clock is ahead, must not find itself before it.
 */
export function goOnFrom(momentMs: number): void {
  if (brewNowMs() >= momentMs) return;
  pageMs = performance.now();
  wallMs = momentMs;
}

/** The page is seen again. */
function wake(): void {
  const countedMs = brewNowMs();
  pageMs = performance.now();
  wallMs = Math.max(countedMs, Date.now());
}

document.addEventListener('visibilitychange', () => {
  if (!document.hidden) wake();
});
// From the browser's cache of pages, and from being frozen.
addEventListener('pageshow', (event) => {
  if (event.persisted) wake();
});
document.addEventListener('resume', wake);
