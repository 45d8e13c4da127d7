import { randomUUID } from 'node:crypto';
import { marksOf } from '../killTest/device.js';
import { CommandFailure } from '../report.js';
import { sessionCookie } from '../sessionCookie.js';

/** What a request was answered: its status, and its body where that is JSON. `0` where nothing answered. */
export interface Answer {
  status: number;
  body: unknown;
}

/** Somebody signed in at a running server, with a browser of his own. */
export interface Visitor {
  get: (path: string) => Promise<Answer>;
  post: (path: string, body?: object, key?: string) => Promise<Answer>;
  put: (path: string, body?: object) => Promise<Answer>;
  patch: (path: string, body: object) => Promise<Answer>;
  delete: (path: string) => Promise<Answer>;
  cookie: string;
}

const ANSWER_WITHIN_MS = 30_000;

export function visitor(url: string, cookie = ''): Visitor {
  const ask = async (method: string, path: string, body?: object, key?: string): Promise<Answer> => {
    try {
      const response = await fetch(`${url}/api/${path}`, {
        method,
        headers: {
          ...(body ? { 'content-type': 'application/json' } : {}),
          ...(key === undefined ? {} : { 'idempotency-key': key }),
          cookie,
        },
        ...(body ? { body: JSON.stringify(body) } : {}),
        signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
      });
      const text = await response.text();
      return {
        status: response.status,
        body: text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : null,
      };
    } catch {
      return { status: 0, body: null };
    }
  };
  return {
    get: (path) => ask('GET', path),
    post: (path, body, key) => ask('POST', path, body, key),
    put: (path, body) => ask('PUT', path, body),
    patch: (path, body) => ask('PATCH', path, body),
    delete: (path) => ask('DELETE', path),
    cookie,
  };
}

/** The people of the demo, signed in. */
export interface Lab {
  url: string;
  lead: Visitor;
  barista: Visitor;
  secondBarista: Visitor;
}

export async function enterLab(url: string): Promise<Lab> {
  const enter = async (email: string, password: string) => {
    const response = await fetch(`${url}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email, password }),
    });
    if (!response.ok) throw new CommandFailure(`${email} could not sign in: ${response.status}`);
    return visitor(url, sessionCookie(response));
  };
  return {
    url,
    lead: await enter('ilse@ninthmole.example', 'harbour-lead'),
    barista: await enter('tamsin@ninthmole.example', 'harbour-bench'),
    secondBarista: await enter('joss@ninthmole.example', 'harbour-bench'),
  };
}

export const PLAN = {
  doseG: 15,
  kettleC: 94,
  grindUm: 720,
  drawdownS: 165,
  pours: [
    { startS: 0, amountG: 45, flowGps: 6, agitation: 'swirl', isBloom: true },
    { startS: 40, amountG: 195, flowGps: 7, agitation: 'none', isBloom: false },
  ],
};

export interface LotMade {
  lotId: number;
  revision: number;
  roastBatchId: number;
}

export async function takeInLot(lab: Lab, name = 'Trust lot'): Promise<LotMade> {
  const { body } = await expectOk(
    lab.barista.post('lots', {
      name,
      country: 'UG',
      process: 'washed',
      roastedOn: '2026-01-15',
      stockG: 900,
    }),
  );
  const { id, revision, roastBatches } = body as {
    id: number;
    revision: number;
    roastBatches: { id: number }[];
  };
  return { lotId: id, revision, roastBatchId: roastBatches[0]?.id ?? 0 };
}

export interface RecipeMade extends LotMade {
  recipeId: number;
  versionId: number;
}

/** A recipe with a plan brought along: nothing has to be worked out for it. */
export async function startRecipe(lab: Lab, name?: string): Promise<RecipeMade> {
  const lot = await takeInLot(lab, name);
  const { body } = await expectOk(
    lab.barista.post(`lots/${lot.lotId}/recipes`, { brewerId: 1, grinderId: 1, plan: PLAN, note: '' }),
  );
  const { id, versions } = body as { id: number; versions: { id: number }[] };
  return { ...lot, recipeId: id, versionId: versions[0]?.id ?? 0 };
}

export async function accept(lab: Lab, versionId: number): Promise<void> {
  await expectOk(lab.barista.put(`recipe-versions/${versionId}/acceptance`));
}

/** What a washed lot without label notes has to show and these recipes, never brewed three times, have not. */
const NOT_SHOWN = ['repeats', 'second-hands', 'second-grinder', 'three-stages'];
const WAIVED = { reason: 'not what is tested' };

/** What a lead sends so that a version counts as proven. */
export const waiversOf = (versionId: number) =>
  NOT_SHOWN.map((check) => [`recipe-versions/${versionId}/waivers/${check}`, WAIVED] as const);

export async function waive(lab: Lab, versionId: number): Promise<void> {
  for (const [path, waiver] of waiversOf(versionId)) await expectOk(lab.lead.put(path, waiver));
}

/** A sign-off of what was brewed alone says why. */
export const signOffOf = (versionId: number) => [`recipe-versions/${versionId}/sign-off`, WAIVED] as const;

export async function signOff(lab: Lab, versionId: number): Promise<void> {
  await accept(lab, versionId);
  await waive(lab, versionId);
  await expectOk(lab.lead.put(...signOffOf(versionId)));
}

/** A further version of a recipe, signed off. */
export async function nextVersion(lab: Lab, recipeId: number): Promise<number> {
  const plan = { ...PLAN, kettleC: 93 };
  const { body } = await expectOk(
    lab.barista.post(`recipes/${recipeId}/versions`, { basedOn: 1, plan, note: '' }),
  );
  const versionId = (body as { versions: { id: number }[] }).versions[0]?.id ?? 0;
  await signOff(lab, versionId);
  return versionId;
}

export async function storeBrew(lab: Lab, { versionId, roastBatchId }: RecipeMade): Promise<number> {
  const { body } = await expectOk(
    lab.barista.put(`brews/by-key/${randomUUID()}`, {
      recipeVersionId: versionId,
      roastBatchId,
      entries: marksOf([Date.parse('2026-02-01T09:30:00Z')]),
    }),
  );
  return (body as { id: number }).id;
}

export interface RecipeSeen {
  versions: { id: number; accepted: object | null; signedOff: object | null }[];
  publications: { id: number; versionNumber: number; withdrawnAt: string | null }[];
}

export async function readRecipe(lab: Lab, recipeId: number): Promise<RecipeSeen> {
  return (await expectOk(lab.barista.get(`recipes/${recipeId}`))).body as RecipeSeen;
}

export async function expectOk(asked: Promise<Answer>): Promise<Answer> {
  const answer = await asked;
  if (answer.status < 200 || answer.status >= 300) {
    throw new CommandFailure(
      `An answer that had to be good was ${answer.status}: ${JSON.stringify(answer.body)}`,
    );
  }
  return answer;
}
