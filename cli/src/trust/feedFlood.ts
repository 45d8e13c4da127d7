import { randomUUID } from 'node:crypto';
import { visitor, type Lab } from './lab.js';
import { memoryMb } from './memory.js';

export interface FeedReport {
  listenersAsked: number;
  listenersTaken: number;
  postsSent: number;
  postsTaken: number;
  linesTaken: number;
  /** How long somebody else waited for a page at worst while it went on, ms. */
  longestAnswerMs: number;
  /** Memory that the server held before and at most, MB; `null` where its process is not known. */
  memoryMb: { before: number; most: number } | null;
}

/**
 * What stopped the server once: a megabyte of short lines, again and again, from somebody without a session, to a feed that
 * as many listen to as are let in, none of whom reads. Bounded in count and time.
 */
export async function floodFeed(
  lab: Lab,
  { listeners, posts, serverPid }: { listeners: number; posts: number; serverPid: number | null },
): Promise<FeedReport> {
  const key = randomUUID();
  const leaving = new AbortController();
  const asked = await Promise.all(
    Array.from({ length: listeners }, () =>
      fetch(`${lab.url}/api/instrument-feeds/${key}`, {
        headers: { cookie: lab.barista.cookie },
        signal: leaving.signal,
      }),
    ),
  );
  const before = memoryMb(serverPid);
  let most = before ?? 0;
  let longestAnswerMs = 0;
  const over = new AbortController();
  const watching = (async () => {
    while (!over.signal.aborted) {
      const askedMs = Date.now();
      await visitor(lab.url).get('health');
      longestAnswerMs = Math.max(longestAnswerMs, Date.now() - askedMs);
      most = Math.max(most, memoryMb(serverPid) ?? 0);
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  })();
  const answers: { status: number; taken: number }[] = [];
  for (let count = 0; count < posts; count++) {
    // Every third is what an instrument might send; the others are the flood.
    answers.push(await post(lab.url, key, count % 3 === 0 ? '12.3\n'.repeat(20) : '123.4\n'.repeat(170_000)));
  }
  over.abort();
  await watching;
  leaving.abort();
  const taken = answers.filter(({ status }) => status === 200);
  return {
    listenersAsked: listeners,
    listenersTaken: asked.filter(({ status }) => status === 200).length,
    postsSent: posts,
    postsTaken: taken.length,
    linesTaken: taken.reduce((sum, each) => sum + each.taken, 0),
    longestAnswerMs,
    memoryMb: before === null ? null : { before, most },
  };
}

async function post(url: string, key: string, lines: string): Promise<{ status: number; taken: number }> {
  try {
    const response = await fetch(`${url}/api/instrument-feeds/${key}`, {
      method: 'POST',
      headers: { 'content-type': 'text/plain' },
      body: lines,
      signal: AbortSignal.timeout(150_000),
    });
    const answer = (await response.json()) as { taken?: number };
    return { status: response.status, taken: answer.taken ?? 0 };
  } catch {
    // A body that is far too large may find its connection closed before it is through.
    return { status: 0, taken: 0 };
  }
}
