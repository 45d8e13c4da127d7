import { randomBytes, randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import { expectOk, nextVersion, startRecipe, visitor, type Lab } from './lab.js';

/** What came of tasters' phones that all answered. */
export interface PhonesReport {
  phones: number;
  requests: number;
  /** Answered within so long, ms: 95 of 100, and all. */
  p95Ms: number;
  mostMs: number;
  /** Places that do not have each of their answers once. */
  wrongPlaces: number;
  faults: string[];
}

interface Place {
  number: number;
  path: string;
  codes: string[];
  answered: string[];
}
interface Comparison {
  id: number;
  tests: { id: number; places: Place[]; results: { stage: string; answers: number }[] | null }[];
}

const STAGES = ['hot', 'warm', 'cool'];
/** Tasters do not press a key at one moment: within so long of each other, ms. */
const WITHIN_MS = 4000;

/**
 * A table of phones: each takes its place, loads once more in the middle, and answers every stage, every third of them twice
 * as over a bad network.
 */
export async function phonesAnswer(lab: Lab, phones: number, rounds: number): Promise<PhonesReport> {
  const times: number[] = [];
  const faults: string[] = [];
  let wrongPlaces = 0;
  for (let round = 0; round < rounds; round++) {
    const { id, test } = await layOut(lab, phones);
    await Promise.all(
      test.places.map(async (place, index) => {
        const device = randomBytes(16).toString('hex');
        const ask = async (what: string, body: object) => {
          const begun = performance.now();
          const { status } = await visitor(lab.url).put(`${place.path.slice(1)}/${what}`, {
            device,
            ...body,
          });
          times.push(performance.now() - begun);
          if (status !== 200) faults.push(`${what} was answered ${status}`);
        };
        await sleep(Math.random() * WITHIN_MS);
        await ask('taken', {});
        for (const stage of STAGES) {
          await sleep(Math.random() * WITHIN_MS);
          const answer = { chosen: place.codes[index % place.codes.length], note: '' };
          const sends = index % 3 === 0 ? 2 : 1;
          await Promise.all(Array.from({ length: sends }, () => ask(`answers/${stage}`, answer)));
          if (stage === 'warm') await ask('taken', {});
        }
      }),
    );
    const shown = (await expectOk(lab.lead.put(`blind-tests/${test.id}/opened`))).body as Comparison;
    const opened = shown.tests.find((each) => each.id === test.id);
    const isCounted = STAGES.every((stage) =>
      opened?.results?.some((result) => result.stage === stage && result.answers === phones),
    );
    wrongPlaces +=
      opened?.places.filter(({ answered }) => answered.length !== STAGES.length).length ?? phones;
    if (!isCounted) faults.push(`comparison ${id} does not count each answer once`);
  }
  times.sort((a, b) => a - b);
  return {
    phones,
    requests: times.length,
    p95Ms: Math.round(times[Math.ceil(0.95 * times.length) - 1] ?? 0),
    mostMs: Math.round(times.at(-1) ?? 0),
    wrongPlaces,
    faults,
  };
}

async function layOut(lab: Lab, tasters: number) {
  const { recipeId, versionId } = await startRecipe(lab);
  const newer = await nextVersion(lab, recipeId);
  const question = {
    question: 'Which?',
    asks: ['grind'],
    versionIds: [versionId, newer],
    matchedBy: 'dial',
    rounds: 1,
  };
  const { body } = await expectOk(lab.lead.post('comparisons', question, randomUUID()));
  const { id } = body as Comparison;
  const test = {
    method: 'triangle',
    arms: [0, 1],
    stages: STAGES,
    tasters,
    asksFor: '',
    alphaPercent: 5,
    hours: 1,
  };
  const served = await expectOk(lab.lead.post(`comparisons/${id}/blind-tests`, test, randomUUID()));
  const laid = (served.body as Comparison).tests.at(-1);
  if (!laid) throw new Error('no cups were laid out');
  return { id, test: laid };
}
