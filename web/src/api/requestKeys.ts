import { readDraft, writeDraft } from '../device/draft';
import { uuid } from '../device/uuid';

/** A request that stores something new and that nobody has answered yet. */
interface Unanswered {
  key: string;
  sentMs: number;
}

const DRAFT = 'unanswered';
/** Who sends the same after so long means another thing by it. */
const SAME_FOR_MS = 10 * 60_000;
/** A longer one is known again as long as the page is open. */
const LONGEST_KEPT = 4000;

const unanswered = new Map<string, Unanswered>(
  Object.entries((readDraft(DRAFT) as Record<string, Unanswered> | null) ?? {}),
);

/** What is asked for, in full: two requests that differ in a letter are two. */
const textOf = (url: string, body: unknown) => `${url} ${JSON.stringify(body ?? null)}`;

/**
 * The key of a request that stores something new. The same sent again before an answer came has the same key, through a
 * reload too, so that the server stores it once.
 */
export function requestKeyFor(url: string, body: unknown, nowMs = Date.now()): string {
  const text = textOf(url, body);
  const before = unanswered.get(text);
  if (before && nowMs - before.sentMs < SAME_FOR_MS) return before.key;
  const key = uuid();
  unanswered.set(text, { key, sentMs: nowMs });
  keep(nowMs);
  return key;
}

/** It was answered, whichever way: the same sent again is another one. */
export function requestAnswered(url: string, body: unknown): void {
  if (unanswered.delete(textOf(url, body))) keep();
}

function keep(nowMs = Date.now()): void {
  const current = [...unanswered].filter(
    ([text, { sentMs }]) => text.length <= LONGEST_KEPT && nowMs - sentMs < SAME_FOR_MS,
  );
  writeDraft(DRAFT, Object.fromEntries(current));
}
