import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

vi.unmock('./brewClock');

/** The wall's clock and the page's own, turned by hand and apart from one another. */
let wallMs: number;
let pageMs: number;
let isHidden: boolean;
let brewNowMs: () => number;
let goOnFrom: (momentMs: number) => void;

beforeEach(async () => {
  [wallMs, pageMs, isHidden] = [1_770_000_000_000, 500, false];
  vi.spyOn(Date, 'now').mockImplementation(() => wallMs);
  vi.spyOn(performance, 'now').mockImplementation(() => pageMs);
  vi.spyOn(document, 'hidden', 'get').mockImplementation(() => isHidden);
  vi.resetModules();
  ({ brewNowMs, goOnFrom } = await import('./brewClock'));
});
afterEach(() => vi.restoreAllMocks());

function pass(ms: number) {
  wallMs += ms;
  pageMs += ms;
}
function beSeen(seen: boolean) {
  isHidden = !seen;
  document.dispatchEvent(new Event('visibilitychange'));
}

describe('the clock of the bench', () => {
  it('goes with the wall', () => {
    expect(brewNowMs()).toBe(1_770_000_000_000);
    pass(45_250);
    expect(brewNowMs()).toBe(1_770_000_045_250);
  });

  it.each([-3_600_000, 3_600_000, -24 * 3_600_000])('does not jump when the wall is set by %i ms', (byMs) => {
    pass(30_000);
    wallMs += byMs;
    pass(10_000);
    expect(brewNowMs()).toBe(1_770_000_040_000);
  });

  it('takes over what the wall went on while the page slept, its own clock with it', () => {
    pass(30_000);
    beSeen(false);
    wallMs += 60_000;
    beSeen(true);
    expect(brewNowMs()).toBe(1_770_000_090_000);
  });

  it('goes on from the last mark of a brew that is taken up, where that lies ahead', () => {
    goOnFrom(1_770_000_060_000);
    pass(5_000);
    expect(brewNowMs()).toBe(1_770_000_065_000);
    goOnFrom(1_770_000_000_000);
    expect(brewNowMs()).toBe(1_770_000_065_000);
  });

  it('never goes back, even where the wall was set back while the page was not seen', () => {
    pass(30_000);
    beSeen(false);
    wallMs -= 3_600_000;
    beSeen(true);
    expect(brewNowMs()).toBe(1_770_000_030_000);
    pass(5_000);
    expect(brewNowMs()).toBe(1_770_000_035_000);
  });
});
