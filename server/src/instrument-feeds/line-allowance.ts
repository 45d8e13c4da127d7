/** Ten lines a second are good; this is room for a scale, a thermometer and a hasty programmer. */
const LINES_PER_S = 60;
const LINES_AT_ONCE = 240;

/** How many lines a feed may send: so many a second, and some saved up for a connection that stuttered. */
export class LineAllowance {
  private left = LINES_AT_ONCE;
  private countedMs: number;

  constructor(nowMs: number) {
    this.countedMs = nowMs;
  }

  /** @returns whether so many lines may come now; they are counted if so */
  take(lines: number, nowMs: number): boolean {
    const since = Math.max(0, nowMs - this.countedMs) / 1000;
    this.left = Math.min(LINES_AT_ONCE, this.left + since * LINES_PER_S);
    this.countedMs = nowMs;
    if (lines > this.left) return false;
    this.left -= lines;
    return true;
  }
}
