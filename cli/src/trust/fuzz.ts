import { asJson, Inventor, seeded, type Schema } from './invent.js';
import type { Lab } from './lab.js';

export interface FuzzReport {
  seed: number;
  requests: number;
  /** How many answers of each hundred: 2 for 200 to 299. */
  byHundred: Record<string, number>;
  /** Answered 500 or more, or not at all. */
  faults: { request: string; status: number }[];
  /** Pages that could not be read afterwards. */
  brokenPages: string[];
}

interface Operation {
  method: string;
  path: string;
  body: Schema | null;
}

interface Document {
  paths: Record<string, Record<string, { requestBody?: { content: Record<string, { schema: Schema }> } }>>;
  components: { schemas: Record<string, Schema> };
}

const ANSWER_WITHIN_MS = 15_000;
/** Signing in is limited by itself, and signing out would end the fuzz; a feed that is listened to never ends. */
const LEFT_OUT = [/\/session$/, /^get \/api\/instrument-feeds/];
const ODD_HEADERS: Record<string, string>[] = [
  { range: 'bytes=999999999-' },
  { range: 'bytes=-1' },
  { 'if-match': '"never"' },
  { 'if-unmodified-since': 'Thu, 01 Jan 1970 00:00:00 GMT' },
  { 'if-none-match': '*' },
  { accept: 'application/x-none' },
];
const ODD_ADDRESSES = [
  '/assets/none.js',
  '/assets/',
  '/assets/..%2f..%2fpackage.json',
  '/assets/%',
  '/%E0%A4%A',
  '/mark.svg',
  '/index.html',
  '/lots/3',
  '/r/none',
  '/api',
  '/api/docs/json',
  '/api/published?page=0',
  '/api/published?page=99999999999999999999',
  '/api/lots?page=1e9&sort=name&search=%25%5C',
  '/api/lots?search[]=a&search[]=b',
];

/** Sends requests made from the server's own document, the same for the same seed, and notes what is a fault of the server. */
export async function fuzz(lab: Lab, requests: number, seed: number): Promise<FuzzReport> {
  const document = (await (await fetch(`${lab.url}/api/docs/json`)).json()) as Document;
  const inventor = new Inventor(seeded(seed), document.components.schemas);
  const operations = operationsOf(document);
  const report: FuzzReport = { seed, requests, byHundred: {}, faults: [], brokenPages: [] };
  for (let count = 0; count < requests; count++) {
    const isPage = inventor.chance(0.08);
    const { request, status } = isPage
      ? await sendForFile(lab, inventor)
      : await sendOperation(lab, inventor, inventor.pick(operations));
    const hundred = String(Math.floor(status / 100));
    report.byHundred[hundred] = (report.byHundred[hundred] ?? 0) + 1;
    if (status === 0 || status >= 500) report.faults.push({ request, status });
  }
  report.brokenPages = await brokenPages(lab);
  return report;
}

function operationsOf({ paths }: Document): Operation[] {
  return Object.entries(paths).flatMap(([path, methods]) =>
    Object.entries(methods).flatMap(([method, { requestBody }]) =>
      LEFT_OUT.some((pattern) => pattern.test(`${method} ${path}`))
        ? []
        : [{ method, path, body: requestBody?.content['application/json']?.schema ?? null }],
    ),
  );
}

async function sendOperation(lab: Lab, inventor: Inventor, { method, path, body }: Operation) {
  const address = path
    .replace('{key}', () => inventor.key())
    .replace('{stage}', () => inventor.pick(['hot', 'warm', 'cool', 'cold']))
    .replace('{slug}', () => inventor.pick(['umuseke-ridge-kittiwake-cone', 'none', '%00', '..']))
    .replace(/\{\w+\}/g, () => inventor.id());
  const sent = body ? asJson(inventor.value(body)) : undefined;
  return send(lab, method.toUpperCase(), address, {
    headers: {
      'content-type': inventor.chance(0.97) ? 'application/json' : 'text/plain',
      cookie: inventor.pick([lab.lead, lab.barista]).cookie,
    },
    ...(sent === undefined ? {} : { body: inventor.chance(0.98) ? sent : sent.slice(0, -2) }),
  });
}

function sendForFile(lab: Lab, inventor: Inventor) {
  return send(lab, inventor.pick(['GET', 'GET', 'HEAD', 'POST']), inventor.pick(ODD_ADDRESSES), {
    headers: { ...inventor.pick(ODD_HEADERS), cookie: lab.barista.cookie, accept: 'text/html' },
  });
}

async function send(lab: Lab, method: string, address: string, init: RequestInit) {
  const request = `${method} ${address} ${typeof init.body === 'string' ? init.body.slice(0, 300) : ''}`;
  try {
    const response = await fetch(lab.url + address, {
      ...init,
      method,
      signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
    });
    await response.arrayBuffer();
    return { request, status: response.status };
  } catch {
    return { request, status: 0 };
  }
}

/** What was taken must not break a page that shows it. */
async function brokenPages({ lead }: Lab): Promise<string[]> {
  const broken: string[] = [];
  const read = async (path: string) => {
    const { status, body } = await lead.get(path);
    if (status === 0 || status >= 500) broken.push(`${status} ${path}`);
    return body;
  };
  for (const path of ['kit', 'practice', 'running-brews', 'published']) await read(path);
  for (let page = 1; ; page++) {
    const { lots = [] } = ((await read(`lots?page=${page}`)) ?? {}) as { lots?: { id: number }[] };
    if (lots.length === 0) break;
    for (const { id } of lots) {
      const lot = (await read(`lots/${id}`)) as {
        recipes?: { id: number }[];
        brews?: { id: number }[];
      } | null;
      for (const recipe of lot?.recipes ?? []) await read(`recipes/${recipe.id}`);
      for (const brew of lot?.brews ?? []) await read(`brews/${brew.id}`);
    }
  }
  return broken;
}
