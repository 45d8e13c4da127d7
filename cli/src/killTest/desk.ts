import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import { marksOf } from './device.js';
import { HOUSE_WORK_WRITTEN, houseWorkFound, roomFound, workForHouse } from './houseWork.js';
import { PLAN, signOffOf, waiversOf, type Answer, type Lab } from '../trust/lab.js';

const AGAIN_MS = 150;
const REFUSALS: readonly number[] = [400, 403, 404, 413, 422];
const READINGS = 2;
const LEFT_G = 640;
/** What else is written of a brew at its cup: each is there once, as it was sent last. */
const OF_BREW = {
  verdict: { verdict: 'close', reason: 'as asked' },
  'tastings/hot': { notes: 'plum', intensities: {} },
  fractions: { fractions: [{ startS: 0, endS: 60 }] },
} as const;

/** What a lot at its publication has. */
const WRITTEN = {
  recipes: 1,
  brews: 1,
  batches: 2,
  stockG: LEFT_G,
  readings: READINGS,
  verdict: OF_BREW.verdict.verdict,
  notes: OF_BREW['tastings/hot'].notes,
  cups: OF_BREW.fractions.fractions.length,
  versions: 2,
  publications: 1,
  kettles: 1,
  ...HOUSE_WORK_WRITTEN,
};

/** Another one for each lot, so that the last is told from all before. */
const roomAfter = (lots: number) => 18 + (lots % 100) / 10;

/** A lot as the desk that took it from arrival to publication knows it; every step was answered as stored. */
export interface DeskLot {
  name: string;
  /** All its steps were answered. */
  isFinished: boolean;
}

export interface DeskReport {
  lotsFinished: number;
  /** Lots that are missing or twice, with a stage that their records do not tell, or with rows missing or twice. */
  lotsWrong: string[];
  /** Answers that called an outage a fault of the application. */
  answered500: number;
}

/** Takes in lot after lot and brings each to its publication; every step is sent until it is answered, under one key. */
export class Desk {
  private readonly lots: DeskLot[] = [];
  private answered500 = 0;
  private roomC: number | null = null;

  constructor(private readonly lab: () => Lab) {}

  async workUntil(isOver: () => boolean): Promise<void> {
    while (!isOver()) {
      const lot: DeskLot = { name: `Desk ${randomUUID()}`, isFinished: false };
      this.lots.push(lot);
      await this.bringToPublication(lot.name);
      lot.isFinished = true;
    }
  }

  private async bringToPublication(name: string): Promise<void> {
    const { lead, barista } = this.lab();
    const post = (path: string, body: object, who = barista) => {
      const key = randomUUID();
      return this.untilTaken(() => who.post(path, body, key));
    };
    const lot = (await post('lots', { name, country: 'UG', process: 'washed', roastedOn: '2026-01-15' }))
      .body as { id: number; roastBatches: { id: number }[] };
    const recipe = (await post(`lots/${lot.id}/recipes`, { brewerId: 1, grinderId: 1, plan: PLAN, note: '' }))
      .body as { id: number; versions: { id: number }[] };
    const recipeVersionId = recipe.versions[0]?.id ?? 0;
    const brewKey = randomUUID();
    const brew = (
      await this.untilTaken(() =>
        barista.put(`brews/by-key/${brewKey}`, {
          recipeVersionId,
          roastBatchId: lot.roastBatches[0]?.id,
          entries: marksOf([Date.now()]),
        }),
      )
    ).body as { id: number };
    for (let count = 0; count < READINGS; count++) {
      await post(`brews/${brew.id}/readings`, { tdsPercent: 1.3 + count / 100 });
    }
    for (const [what, told] of Object.entries(OF_BREW)) {
      await this.untilTaken(() => barista.put(`brews/${brew.id}/${what}`, told));
    }
    await post(`lots/${lot.id}/stock`, { massG: LEFT_G });
    await post(`lots/${lot.id}/roast-batches`, { roastedOn: '2026-01-20' });
    const { versions } = (
      await post(`recipes/${recipe.id}/versions`, { basedOn: 1, plan: { ...PLAN, kettleC: 93 }, note: '' })
    ).body as { versions: { id: number }[] };
    this.roomC = roomAfter(this.lots.length);
    const work = { name, roomC: this.roomC, versionIds: versions.map(({ id }) => id) };
    await workForHouse(this.lab(), work, (send) => this.untilTaken(send));
    await post('kit/kettles', { name, stepC: 1, hasScale: false }, lead);
    await this.untilTaken(() => barista.put(`recipe-versions/${recipeVersionId}/acceptance`));
    for (const [path, waiver] of waiversOf(recipeVersionId)) {
      await this.untilTaken(() => lead.put(path, waiver));
    }
    await this.untilTaken(() => lead.put(...signOffOf(recipeVersionId)));
    await post('publications', { recipeVersionId, introduction: '' }, lead);
  }

  private async untilTaken(send: () => Promise<Answer>): Promise<Answer> {
    for (;;) {
      const answer = await send();
      if (answer.status >= 200 && answer.status < 300) return answer;
      if (answer.status === 500) this.answered500 += 1;
      // Asked for again it would be refused again, for ever.
      if (REFUSALS.includes(answer.status)) throw new Error(`refused: ${JSON.stringify(answer.body)}`);
      await sleep(AGAIN_MS);
    }
  }

  /** Looks at every lot once all is quiet again. */
  async report(): Promise<DeskReport> {
    const finished = this.lots.filter(({ isFinished }) => isFinished);
    const lotsWrong: string[] = [];
    for (const { name } of finished) {
      const wrong = await this.wrongOf(name);
      if (wrong !== null) lotsWrong.push(wrong);
    }
    const roomC = await roomFound(this.lab());
    if (this.roomC !== null && roomC !== this.roomC) lotsWrong.push(`room: ${roomC} for ${this.roomC} °C`);
    return { lotsFinished: finished.length, lotsWrong, answered500: this.answered500 };
  }

  private async wrongOf(name: string): Promise<string | null> {
    const { barista } = this.lab();
    const page = (await barista.get(`lots?search=${encodeURIComponent(name)}`)).body as {
      lots: { id: number; stage: string }[];
    };
    const [found] = page.lots;
    if (page.lots.length !== 1 || !found) return `${page.lots.length} lots of one name`;
    if (found.stage !== 'published') return `stage ${found.stage} of a published lot`;
    const lot = (await barista.get(`lots/${found.id}`)).body as {
      recipes: { id: number }[];
      roastBatches: unknown[];
      brews: { id: number }[];
      stockG: number;
    };
    const brew = (await barista.get(`brews/${lot.brews[0]?.id ?? 0}`)).body as {
      readings: unknown[];
      verdict: string;
      tastings: { notes: string }[];
      fractions: unknown[];
    };
    const recipe = (await barista.get(`recipes/${lot.recipes[0]?.id ?? 0}`)).body as {
      versions: unknown[];
      publications: unknown[];
    };
    const { kettles } = (await barista.get('kit')).body as { kettles: { name: string }[] };
    const is: Record<string, string | number> = {
      recipes: lot.recipes.length,
      brews: lot.brews.length,
      batches: lot.roastBatches.length,
      stockG: lot.stockG,
      readings: brew.readings.length,
      verdict: brew.verdict,
      notes: brew.tastings.map(({ notes }) => notes).join(),
      cups: brew.fractions.length,
      versions: recipe.versions.length,
      publications: recipe.publications.length,
      kettles: kettles.filter((kettle) => kettle.name === name).length,
      ...(await houseWorkFound(this.lab(), name)),
    };
    const wrong = Object.entries(WRITTEN).filter(([what, wanted]) => is[what] !== wanted);
    return wrong.length === 0
      ? null
      : wrong.map(([what, wanted]) => `${what}: ${is[what]} for ${wanted}`).join('; ');
  }
}
