import { Logger } from '@nestjs/common';
import type { SlowStatement } from '@vendu/contract';

/** From so long on a statement is kept in mind, and from so long on it is a line of the log, ms. */
const SLOW_MS = 200;
const LOGGED_MS = 1000;
const MOST_KEPT = 200;
/** A statement with a curve in it has megabytes; its shape shows in the beginning. */
const LOOKED_AT = 4000;
const SHOWN = 300;

/** What statements took, told apart by their shape: nothing that anybody typed is kept. */
export class Statements {
  count = 0;
  totalMs = 0;
  private readonly logger = new Logger(Statements.name);
  private readonly kept = new Map<string, SlowStatement>();

  /** As the connection tells of each: its text and how long it took. */
  note(logged: string, ms: number): void {
    this.count++;
    this.totalMs += ms;
    if (ms < SLOW_MS) return;
    const statement = shapeOf(logged);
    const before = this.kept.get(statement);
    this.kept.set(statement, {
      statement,
      count: (before?.count ?? 0) + 1,
      longestMs: Math.max(before?.longestMs ?? 0, Math.round(ms)),
    });
    if (this.kept.size > MOST_KEPT) this.forgetQuickest();
    if (ms >= LOGGED_MS) this.logger.warn({ statement, ms: Math.round(ms) }, 'slow statement');
  }

  slowest(most: number): SlowStatement[] {
    return [...this.kept.values()].sort((a, b) => b.longestMs - a.longestMs).slice(0, most);
  }

  private forgetQuickest(): void {
    const quickest = this.slowest(MOST_KEPT + 1).at(-1);
    if (quickest) this.kept.delete(quickest.statement);
  }
}

/** A statement without its values. */
export function shapeOf(logged: string): string {
  return logged
    .slice(0, LOOKED_AT)
    .replace(/^Executed \([^)]*\): /, '')
    .replaceAll(/'(?:[^'\\]|\\.|'')*'/g, '?')
    .replace(/'.*$/s, '?')
    .replaceAll(/\b\d+(?:\.\d+)?\b/g, '?')
    .replaceAll(
      /\(\s*\?(?:\s*,\s*(?:\?|NULL|DEFAULT))*\s*\)(?:\s*,\s*\(\s*\?(?:\s*,\s*(?:\?|NULL|DEFAULT))*\s*\))*/g,
      '(?)',
    )
    .replaceAll(/\s+/g, ' ')
    .trim()
    .slice(0, SHOWN);
}
