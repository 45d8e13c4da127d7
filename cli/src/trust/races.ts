import { randomUUID } from 'node:crypto';
import {
  accept,
  expectOk,
  nextVersion,
  readRecipe,
  signOff,
  signOffOf,
  startRecipe,
  storeBrew,
  takeInLot,
  waive,
  type Answer,
  type Lab,
} from './lab.js';

/** Two requests at the same moment that must not both have their way, or must both. */
interface Race {
  name: string;
  /** Makes the ground, races, and looks at what came of it. @returns what is wrong; `null` where nothing is */
  run: (lab: Lab) => Promise<string | null>;
}

export interface RaceReport {
  name: string;
  pairs: number;
  broken: number;
  /** What was wrong, each way once. */
  wrongs: string[];
}

const isGood = ({ status }: Answer) => status >= 200 && status < 300;
/** Refused with a reason of the trade; anything above is a fault. */
const isAnswered = ({ status }: Answer) => status > 0 && status < 500;
const statuses = (answers: readonly Answer[]) => answers.map(({ status }) => status).join(' and ');

/** Publications of a recipe that are live, or signatures that hang in the air. */
async function signatureFault(
  lab: Lab,
  recipeId: number,
  answers: readonly Answer[],
): Promise<string | null> {
  if (!answers.every(isAnswered)) return `answered ${statuses(answers)}`;
  const { versions, publications } = await readRecipe(lab, recipeId);
  const live = publications.filter(({ withdrawnAt }) => withdrawnAt === null);
  if (live.length > 1) return `${live.length} live publications`;
  if (versions.some(({ signedOff, accepted }) => signedOff && !accepted))
    return 'signed off and not accepted';
  const isPublic = (number: number) => live.some(({ versionNumber }) => versionNumber === number);
  if (versions.some(({ signedOff }, index) => !signedOff && isPublic(versions.length - index)))
    return 'public and not signed off';
  return null;
}

const publish = (lab: Lab, recipeVersionId: number) =>
  lab.lead.post('publications', { recipeVersionId, introduction: '' });

const RACES: readonly Race[] = [
  {
    name: 'publish beside publish',
    run: async (lab) => {
      const { recipeId, versionId } = await startRecipe(lab);
      await signOff(lab, versionId);
      const answers = await Promise.all([publish(lab, versionId), publish(lab, versionId)]);
      if (answers.filter(isGood).length !== 1) return `answered ${statuses(answers)}`;
      return signatureFault(lab, recipeId, answers);
    },
  },
  {
    name: 'publish beside sign-off taken back',
    run: async (lab) => {
      const { recipeId, versionId } = await startRecipe(lab);
      await signOff(lab, versionId);
      const answers = await Promise.all([
        publish(lab, versionId),
        lab.lead.delete(`recipe-versions/${versionId}/sign-off`),
      ]);
      return signatureFault(lab, recipeId, answers);
    },
  },
  {
    name: 'restore beside publish',
    run: async (lab) => {
      const { recipeId, versionId } = await startRecipe(lab);
      await signOff(lab, versionId);
      await expectOk(publish(lab, versionId));
      const [first] = (await readRecipe(lab, recipeId)).publications;
      await expectOk(lab.lead.delete(`publications/${first?.id ?? 0}`));
      const next = await nextVersion(lab, recipeId);
      const answers = await Promise.all([
        lab.lead.post(`publications/${first?.id ?? 0}/restore`),
        publish(lab, next),
      ]);
      return signatureFault(lab, recipeId, answers);
    },
  },
  {
    name: 'sign-off beside acceptance taken back',
    run: async (lab) => {
      const { recipeId, versionId } = await startRecipe(lab);
      await accept(lab, versionId);
      await waive(lab, versionId);
      const answers = await Promise.all([
        lab.lead.put(...signOffOf(versionId)),
        lab.barista.delete(`recipe-versions/${versionId}/acceptance`),
      ]);
      return signatureFault(lab, recipeId, answers);
    },
  },
  {
    name: 'two lots of one name published',
    run: async (lab) => {
      const name = `Twin ${randomUUID()}`;
      const [one, other] = [await startRecipe(lab, name), await startRecipe(lab, name)];
      await signOff(lab, one.versionId);
      await signOff(lab, other.versionId);
      const answers = await Promise.all([publish(lab, one.versionId), publish(lab, other.versionId)]);
      return answers.every(isGood) ? null : `answered ${statuses(answers)}`;
    },
  },
  {
    name: 'facts edited beside stock weighed',
    run: async (lab) => {
      const { lotId, revision } = await takeInLot(lab);
      const facts = { name: 'Edited', country: 'UG', process: 'washed', revision };
      const answers = await Promise.all([
        lab.barista.patch(`lots/${lotId}`, facts),
        lab.secondBarista.post(`lots/${lotId}/stock`, { massG: 640 }),
      ]);
      if (!answers.every(isGood)) return `answered ${statuses(answers)}`;
      const { name, stockG } = (await expectOk(lab.barista.get(`lots/${lotId}`))).body as {
        name: string;
        stockG: number;
      };
      if (name !== 'Edited') return 'facts overwritten';
      return stockG === 640 ? null : 'a weighing overwritten';
    },
  },
  {
    name: 'ten writes on one lot',
    run: async (lab) => {
      const recipe = await startRecipe(lab);
      const brewId = await storeBrew(lab, recipe);
      const { lotId, versionId, revision } = recipe;
      const answers = await Promise.all([
        lab.barista.patch(`lots/${lotId}`, { name: 'Edited', country: 'UG', process: 'washed', revision }),
        lab.secondBarista.post(`lots/${lotId}/stock`, { massG: 700 }),
        lab.barista.post(`lots/${lotId}/roast-batches`, { roastedOn: '2026-01-20' }),
        lab.secondBarista.put(`brews/${brewId}/verdict`, { verdict: 'close', reason: '' }),
        lab.barista.post(`brews/${brewId}/readings`, { tdsPercent: 1.3 }),
        lab.secondBarista.put(`brews/${brewId}/tastings/hot`, { notes: 'plum', intensities: {} }),
        lab.barista.put(`brews/${brewId}/fractions`, { fractions: [{ startS: 0, endS: 60 }] }),
        lab.secondBarista.put(`recipe-versions/${versionId}/acceptance`),
        lab.barista.post(`brews/${brewId}/set-aside`),
        lab.secondBarista.put(`recipes/${recipe.recipeId}/setup`, {
          waterId: null,
          kettleId: null,
          aim: null,
        }),
      ]);
      return answers.every(isGood) ? null : `answered ${statuses(answers)}`;
    },
  },
  {
    name: 'one reading sent twice',
    run: async (lab) => {
      const brewId = await storeBrew(lab, await startRecipe(lab));
      const key = randomUUID();
      const send = () => lab.barista.post(`brews/${brewId}/readings`, { tdsPercent: 1.31 }, key);
      const answers = await Promise.all([send(), send()]);
      if (!answers.every(isGood)) return `answered ${statuses(answers)}`;
      const { readings } = (await expectOk(lab.barista.get(`brews/${brewId}`))).body as {
        readings: unknown[];
      };
      return readings.length === 1 ? null : `${readings.length} readings`;
    },
  },
  {
    name: 'one lot taken in twice',
    run: async (lab) => {
      const key = randomUUID();
      const lot = { name: `Once ${key}`, country: 'UG', process: 'washed', roastedOn: '2026-01-15' };
      const send = () => lab.barista.post('lots', lot, key);
      const answers = await Promise.all([send(), send()]);
      if (!answers.every(isGood)) return `answered ${statuses(answers)}`;
      const page = await expectOk(lab.barista.get(`lots?search=${encodeURIComponent(lot.name)}`));
      const { total } = page.body as { total: number };
      return total === 1 ? null : `${total} lots`;
    },
  },
  {
    name: 'two devices tell of one running brew',
    run: async (lab) => {
      const key = randomUUID();
      const tell = (who: Lab['barista'], state: string) =>
        who.put(`running-brews/${key}`, {
          seq: 1,
          lotName: 'Trust lot',
          brewerName: 'Cone',
          state,
          device: randomUUID(),
        });
      const answers = await Promise.all([tell(lab.barista, 'first'), tell(lab.secondBarista, 'second')]);
      const told = answers.filter(({ status }) => status === 409);
      return answers.filter(isGood).length === 1 && told.length === 1
        ? null
        : `answered ${statuses(answers)}`;
    },
  },
];

/** Races each pair so often, one after the other, against a server with the demo's people. */
export async function runRaces(
  lab: Lab,
  pairs: number,
  onRace?: (report: RaceReport) => void,
): Promise<RaceReport[]> {
  const reports: RaceReport[] = [];
  for (const { name, run } of RACES) {
    const found: string[] = [];
    for (let pair = 0; pair < pairs; pair++) {
      const wrong = await run(lab);
      if (wrong !== null) found.push(wrong);
    }
    const report = { name, pairs, broken: found.length, wrongs: [...new Set(found)] };
    reports.push(report);
    onRace?.(report);
  }
  return reports;
}
