import { once } from 'node:events';
import { request, type IncomingMessage } from 'node:http';
import { createReadStream, createWriteStream, statSync } from 'node:fs';
import { Readable } from 'node:stream';
import { text } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import type { Lab } from './lab.js';
import { memoryMb } from './memory.js';

/** One way of a file, as it went. */
export interface Carried {
  seconds: number;
  megabytes: number;
  /** Most that the server held meanwhile, MB; `null` where its process is not known. */
  memoryMb: number | null;
}

const WATCH_EVERY_MS = 200;

/** Takes everything of a lab out into a file. */
export function takeOut(lab: Lab, path: string, serverPid: number | null): Promise<Carried> {
  return watched(path, serverPid, async () => {
    const answer = await fetch(`${lab.url}/api/export/lab.zip`, { headers: { cookie: lab.lead.cookie } });
    if (!answer.ok || !answer.body) throw new Error(`the export was answered ${answer.status}`);
    await pipeline(Readable.fromWeb(answer.body), createWriteStream(path));
  });
}

/** Brings such a file into a lab. */
export async function bringIn(
  lab: Lab,
  path: string,
  serverPid: number | null,
): Promise<Carried & { fresh: number }> {
  let fresh = 0;
  const carried = await watched(path, serverPid, async () => {
    const answer = await sent(lab, path);
    const report = JSON.parse(answer.text) as { counts?: { fresh: number }[]; detail?: string };
    if (!report.counts) throw new Error(`the import was answered ${answer.status}: ${report.detail}`);
    fresh = report.counts.reduce((sum, count) => sum + count.fresh, 0);
  });
  return { ...carried, fresh };
}

/** Without the five minutes that a fetch waits for an answer. */
async function sent(lab: Lab, path: string): Promise<{ status: number; text: string }> {
  const asking = request(`${lab.url}/api/imports?name=carried.zip`, {
    method: 'POST',
    headers: { cookie: lab.lead.cookie, 'content-type': 'application/zip' },
  });
  const answered = once(asking, 'response') as Promise<[IncomingMessage]>;
  await pipeline(createReadStream(path), asking);
  const [answer] = await answered;
  return { status: answer.statusCode ?? 0, text: await text(answer) };
}

async function watched(path: string, pid: number | null, work: () => Promise<void>): Promise<Carried> {
  let most = 0;
  const watch = setInterval(() => (most = Math.max(most, memoryMb(pid) ?? 0)), WATCH_EVERY_MS);
  const begunMs = Date.now();
  try {
    await work();
  } finally {
    clearInterval(watch);
  }
  return {
    seconds: (Date.now() - begunMs) / 1000,
    megabytes: statSync(path).size / 1e6,
    memoryMb: pid === null ? null : most,
  };
}
