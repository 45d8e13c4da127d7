import Papa from 'papaparse';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { BrewEntry } from '@vendu/core';
import type { ImportReport, ImportTaken, ImportView, LotView } from '@vendu/contract';
import { connectTo } from './support/database.js';
import { logOfBrew } from '../src/brew-logs/brew-logs.js';
import { DEMO_ACCOUNTS } from '../src/people/demo-accounts.js';
import {
  startRecipe,
  startTestApplication,
  storeBrew,
  takeInLot,
  type TestApplication,
} from './support/application.js';
import { exported, unzipped, zipped } from './support/zips.js';

let app: TestApplication;
let zip: Buffer;
let files: Map<string, string>;
beforeAll(async () => {
  app = await startTestApplication();
  await takeInLot(app.barista, {
    name: '=cmd|calc',
    supplier: "'quoted",
    region: 'with "marks",\nand a line',
  });
  await storeBrew(app.barista, await startRecipe(app.barista, (await takeInLot(app.barista)).id));
  // Rows that are told by two numbers.
  await app.lead.put('/api/recipe-versions/3/signature').expect(200);
  await app.lead.put('/api/brews/1/look').expect(200);
  zip = await exported(app.lead);
  files = await unzipped(zip);
});
afterAll(() => app.close());

const send = (path: string, body: Buffer, status: number) =>
  app.lead.post(path).set('Content-Type', 'application/zip').send(body).expect(status);
const report = async (body: Buffer) => (await send('/api/imports/report', body, 200)).body as ImportReport;
const take = async (body: Buffer) => (await send('/api/imports?name=lab.zip', body, 201)).body as ImportTaken;
const sum = (counts: ImportReport['counts'], of: 'fresh' | 'same' | 'differing' | 'heldBack') =>
  counts.reduce((total, count) => total + count[of], 0);
const countOf = ({ counts }: ImportReport, what: string) => counts.find((count) => count.what === what);

/** What data there are: the description says when it was made, and nothing else may differ. */
async function dataIn(body: Buffer): Promise<[string, string][]> {
  const all = await unzipped(body);
  return [...all].filter(([path]) => path !== 'datapackage.json').sort(([a], [b]) => a.localeCompare(b));
}

async function statements(...sqls: string[]): Promise<void> {
  const connection = await connectTo(app.configuration);
  for (const sql of sqls) await connection.query(sql);
  await connection.end();
}

/** As a lab is before anything was done in it; its people stay, so that somebody can sign in. */
async function wipe(): Promise<void> {
  const tables = [...files.keys()]
    .filter((path) => path.endsWith('.csv'))
    .map((path) => path.replace('.csv', ''));
  await statements(
    'SET FOREIGN_KEY_CHECKS = 0',
    ...[...tables, 'brew_entries', 'import_rows', 'imports']
      .filter((table) => !['people', 'house'].includes(table))
      .map((table) => `DELETE FROM ${table}`),
    "UPDATE house SET name = 'A new lab', place = '', room_c = 20",
  );
}

describe('into an empty lab', () => {
  beforeEach(wipe);

  it('comes from an earlier version too, whose weights of fines had a kind of their own', async () => {
    const [first = ''] = (files.get('brew-logs.jsonl') ?? '').split('\n');
    const line = JSON.parse(first) as { brew_key: string; entry: BrewEntry };
    const entry = { device: 'older', number: 1000, atMs: line.entry.atMs, kind: 'fines-weighed', finesG: 2 };
    await take(await altered('brew-logs.jsonl', (text) => `${text}${JSON.stringify({ ...line, entry })}\n`));
    expect(await logOfBrew(line.brew_key)).toContainEqual(
      expect.objectContaining({ device: 'older', kind: 'weighed', what: 'fines', massG: 2 }),
    );
  });

  it('comes all of it, and leaves again equal to the byte', async () => {
    const { taken, counts, conflicts } = await take(zip);
    expect(conflicts).toEqual([]);
    expect(sum(counts, 'differing') + sum(counts, 'heldBack')).toBe(0);
    expect(taken).toMatchObject({ fileName: 'lab.zip', takenBy: 'Ilse Varnholt', undoneAt: null });
    const again = await dataIn(await exported(app.lead));
    for (const [index, file] of (await dataIn(zip)).entries()) expect(again[index]).toEqual(file);
    expect(again.length).toBe(files.size - 1);
  });

  it('works on: lots open, are watched and brewed, as if they had been made there', async () => {
    await take(zip);
    const { lots } = (await app.barista.get('/api/lots').expect(200)).body as { lots: { id: number }[] };
    expect(lots.length).toBeGreaterThan(8);
    for (const { id } of lots) {
      await app.barista.get(`/api/lots/${id}`).expect(200);
    }
    await app.barista.get('/api/today').expect(200);
    await app.barista.get('/api/brews/1').expect(200);
  });

  it('and out of it again, which leaves it as it was', async () => {
    const before = await dataIn(await exported(app.lead));
    const { taken } = await take(zip);
    const undone = await app.lead.put(`/api/imports/${taken!.id}/undone`).expect(200);
    expect((undone.body as ImportView).undoneAt).not.toBeNull();
    expect(await dataIn(await exported(app.lead))).toEqual(before);
    await app.lead.put(`/api/imports/${taken!.id}/undone`).expect(200);
  });
});

/** The file with one of its parts altered. */
const altered = (path: string, change: (text: string) => string) =>
  zipped(new Map([...files].map(([name, text]) => [name, name === path ? change(text) : text])));

/** Never the one that it was: a row of the same number and moment would be the same row. */
const otherMs = (ms: string) => String((Number(ms) + 389) % 1000).padStart(3, '0');

/** Every lot, recipe and brew of another lab: made at another moment, and known by other keys. */
function elsewhere(): Promise<Buffer> {
  const moved = [...files].map(([name, text]): [string, string] => {
    if (name === 'people.csv') text = text.replaceAll('Tamsin Ekelund', 'Somebody Else');
    return [
      name,
      text
        .replace(/(?<=T\d\d:\d\d:\d\d\.)\d{3}(?=Z)/g, otherMs)
        .replace(/\b[0-9a-f]{8}-(?=[0-9a-f]{4}-)/g, 'ffffffff-'),
    ];
  });
  return zipped(new Map(moved));
}

describe('into a lab that lives', () => {
  beforeEach(async () => {
    await wipe();
    await take(zip);
  });

  it('brings nothing that is here, and says so', async () => {
    const told = await report(zip);
    expect(sum(told.counts, 'same')).toBeGreaterThan(300);
    expect(told.conflicts).toEqual([]);
    expect(sum(told.counts, 'fresh') + sum(told.counts, 'differing')).toBe(0);
    expect((await take(zip)).taken).toBeNull();
    const [first] = (await app.lead.get('/api/imports').expect(200)).body as ImportView[];
    expect((await app.lead.get('/api/imports').expect(200)).body).toHaveLength(1);
    expect(first?.counts.some(({ what, fresh }) => what === 'brews' && fresh > 0)).toBe(true);
  });

  it('a report stores nothing', async () => {
    const before = await dataIn(await exported(app.lead));
    expect(sum((await report(await elsewhere())).counts, 'fresh')).toBeGreaterThan(300);
    expect(await dataIn(await exported(app.lead))).toEqual(before);
  });

  it('never overwrites what was told otherwise here: it is shown, and stays', async () => {
    await statements("UPDATE lots SET name = 'Renamed here', farm = 'Seen here' WHERE id = 1");
    const told = await take(zip);
    expect(told.taken).toBeNull();
    expect(countOf(told, 'lots')).toMatchObject({ fresh: 0, differing: 1 });
    expect(
      told.conflicts.filter(({ what }) => what === 'lots').map(({ field, here }) => [field, here]),
    ).toEqual([
      ['name', 'Renamed here'],
      ['farm', 'Seen here'],
    ]);
    expect((await app.barista.get('/api/lots/1').expect(200)).body).toMatchObject({ name: 'Renamed here' });
  });

  it('gives back a brew that was lost, with its readings, trace and log, and its lot counts it', async () => {
    const of = async () => (await app.barista.get('/api/lots/1').expect(200)).body as { brewCount: number };
    const { brewCount } = await of();
    const whole = await dataIn(await exported(app.lead));
    await statements(
      'SET FOREIGN_KEY_CHECKS = 0',
      'DELETE FROM brew_entries WHERE brew_key = (SELECT client_key FROM brews WHERE id = 1)',
      ...['readings', 'tastings', 'corrections', 'fractions', 'traces'].map(
        (table) => `DELETE FROM ${table} WHERE brew_id = 1`,
      ),
      'DELETE FROM brews WHERE id = 1',
      'UPDATE lots SET brew_count = brew_count - 1 WHERE id = 1',
    );
    const { counts } = await take(zip);
    expect(countOf({ counts } as ImportReport, 'brews')).toMatchObject({ fresh: 1 });
    expect((await of()).brewCount).toBe(brewCount);
    expect(await dataIn(await exported(app.lead))).toEqual(whole);
  });

  it('holds back the brews of a version that is another plan here', async () => {
    const told = await report(
      await altered('recipe_versions.csv', (text) => text.replace('""kettleC"":97', '""kettleC"":91')),
    );
    expect(countOf(told, 'versions')).toMatchObject({ differing: 1 });
    expect(told.conflicts).toContainEqual(
      expect.objectContaining({ what: 'versions', field: 'plan', here: 'kettleC 97', inFile: 'kettleC 91' }),
    );
    expect(countOf(told, 'brews')?.heldBack).toBeGreaterThan(0);
    expect(countOf(told, 'readings')?.heldBack).toBeGreaterThan(0);
    expect(sum(told.counts, 'fresh')).toBe(0);
  });

  it('takes in another lab beside its own, under numbers of its own, and lets it go again', async () => {
    const before = await dataIn(await exported(app.lead));
    const { taken, counts, remarks } = await take(await elsewhere());
    expect(countOf({ counts } as ImportReport, 'grinders')).toMatchObject({ fresh: 0 });
    expect(countOf({ counts } as ImportReport, 'people')).toMatchObject({
      fresh: 1,
      same: DEMO_ACCOUNTS.length - 1,
    });
    expect(remarks.some((remark) => remark.includes('public address'))).toBe(true);
    const { lots } = (await app.barista.get('/api/lots?search=Umuseke').expect(200)).body as {
      lots: { id: number; brewCount: number; stage: string }[];
    };
    expect(lots).toHaveLength(2);
    const [came, here] = lots;
    expect(came).toMatchObject({ brewCount: here?.brewCount, stage: here?.stage });
    // A proof names the brews that came, and not those that have their numbers here.
    const after = await unzipped(await exported(app.lead));
    const table = (name: string) =>
      Papa.parse<Record<string, string>>(after.get(`${name}.csv`) ?? '', {
        header: true,
        skipEmptyLines: true,
      }).data;
    const lotOfBrew = new Map(table('brews').map(({ id, lot_id }) => [id, lot_id]));
    const lotOfRecipe = new Map(table('recipes').map(({ id, lot_id }) => [id, lot_id]));
    const proven = table('recipe_versions').filter(({ proof }) => proof !== '');
    expect(proven.length).toBeGreaterThan(3);
    for (const { proof, recipe_id } of proven) {
      const { checks } = JSON.parse(proof ?? '') as { checks: { brewIds: number[] }[] };
      for (const brew of checks.flatMap(({ brewIds }) => brewIds)) {
        expect(lotOfBrew.get(String(brew))).toBe(lotOfRecipe.get(recipe_id));
      }
    }
    await app.visitor
      .post('/api/session')
      .send({ email: '', password: 'harbour-bench' })
      .expect((answer) => expect(answer.status).not.toBe(200));
    await app.lead.put(`/api/imports/${taken!.id}/undone`).expect(200);
    expect(await dataIn(await exported(app.lead))).toEqual(before);
  });

  it('keeps what came where somebody worked with it since', async () => {
    const { taken } = await take(await elsewhere());
    const { lots } = (await app.barista.get('/api/lots?search=Umuseke').expect(200)).body as {
      lots: { id: number }[];
    };
    const id = Math.max(...lots.map((lot) => lot.id));
    await app.barista.post(`/api/lots/${id}/roast-batches`).send({ roastedOn: '2026-02-02' }).expect(201);
    const refused = await app.lead.put(`/api/imports/${taken!.id}/undone`).expect(409);
    expect((refused.body as { detail: string }).detail).toMatch(
      /1 roast batches that were made here hang on lots/,
    );
    await app.barista.get(`/api/lots/${id}`).expect(200);
  });
});

describe('one lot as a file', () => {
  it('has what is of it and nothing of another, and opens a lab that had none', async () => {
    await wipe();
    await take(zip);
    const alone = await exported(app.lead, '/api/export/lots/1.zip');
    const parts = await unzipped(alone);
    expect(parts.get('lots.csv')?.trimEnd().split('\r\n')).toHaveLength(2);
    expect(parts.has('house.csv')).toBe(false);
    expect([...parts.keys()].some((path) => path.startsWith('recipes/recipe-1-'))).toBe(true);
    expect([...parts.keys()].some((path) => path.startsWith('recipes/recipe-2-'))).toBe(false);
    await app.lead.get('/api/export/lots/999.zip').expect(404);
    await app.barista.get('/api/export/lots/1.zip').expect(403);
    // Its card names the lab that published it, which this one is not: it says so, and is all the same lot.
    const lot = async () => ({
      ...((await app.barista.get('/api/lots/1').expect(200)).body as LotView),
      outdatedCards: [],
    });
    const before = await lot();
    await wipe();
    const { taken } = await take(alone);
    expect(taken).not.toBeNull();
    expect(await lot()).toEqual(before);
  });
});

describe('a file that does not hold together', () => {
  const cases: [string, () => Promise<Buffer>, RegExp][] = [
    ['is no zip', () => Promise.resolve(Buffer.from('brews')), /no zip/],
    ['is cut off', () => Promise.resolve(zip.subarray(0, zip.length / 2)), /no zip/],
    ['is another zip', () => zipped(new Map([['a.txt', 'a']])), /no datapackage\.json/],
    [
      'has a column of tomorrow',
      () => altered('lots.csv', (text) => text.replace('name', 'name,aura')),
      /aura|cells/,
    ],
    [
      'has a word for a figure',
      () => altered('lots.csv', (text) => text.replace(/^1,/m, 'one,')),
      /lots\.csv, line 2: id “one” is no integer/,
    ],
    [
      'names a recipe that it has not',
      () => altered('recipes.csv', (text) => text.split('\r\n').slice(0, 1).join('')),
      /recipe_versions\.csv, line 2: recipe_id is 1/,
    ],
    [
      'has a plan past its range',
      () => altered('brews.csv', (text) => text.replace('""kettleC"":97', '""kettleC"":197')),
      /kettle/i,
    ],
    [
      'has a stage that is none',
      () => altered('tastings.csv', (text) => text.replace(',hot,', ',boiling,')),
      /tastings\.csv/,
    ],
    [
      'has a log that is none',
      () => altered('brew-logs.jsonl', (text) => text.replace('"kind":"marked"', '"kind":"spilled"')),
      /brew-logs\.jsonl/,
    ],
  ];
  beforeAll(wipe);

  it.each(cases)('%s: nothing is taken in, and it is said why', async (_, body, why) => {
    const refused = await send('/api/imports', await body(), 400);
    expect((refused.body as { detail: string }).detail).toMatch(why);
    const { lots } = (await app.barista.get('/api/lots').expect(200)).body as { lots: unknown[] };
    expect(lots).toEqual([]);
  });

  it('is a lead’s to bring', async () => {
    await app.barista.post('/api/imports').set('Content-Type', 'application/zip').send(zip).expect(403);
    await app.visitor.post('/api/imports').set('Content-Type', 'application/zip').send(zip).expect(401);
    await app.lead.put('/api/imports/999/undone').expect(404);
  });
});
