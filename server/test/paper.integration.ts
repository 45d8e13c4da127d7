import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { PNG } from 'pngjs';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type TestAgent from 'supertest/lib/agent.js';
import type { RecipeView } from '@vendu/contract';
import {
  startRecipe,
  startTestApplication,
  storeBrew,
  takeInLot,
  type TestApplication,
} from './support/application.js';

const CARD = '/api/published/umuseke-ridge-kittiwake-cone';
let app: TestApplication;
beforeAll(async () => {
  app = await startTestApplication();
});
afterAll(() => app.close());

/** A file as a reader of other make has it: text of each page, its size in mm, and whether all its type is in it. */
async function read(agent: TestAgent, path: string) {
  const startedMs = performance.now();
  const answer = await agent
    .get(path)
    .expect(200)
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () => done(null, Buffer.concat(chunks)));
    });
  console.log(`${path}: ${Math.round(performance.now() - startedMs)} ms`);
  expect(answer.headers['content-type']).toBe('application/pdf');
  const file = answer.body as Buffer;
  const raw = file.toString('latin1');
  const document = await getDocument({ data: new Uint8Array(file), verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let number = 1; number <= document.numPages; number++) {
    const content = await (await document.getPage(number)).getTextContent();
    pages.push(
      content.items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' ')
        // One glyph serves the micro sign and the Greek letter.
        .replaceAll('μ', 'µ'),
    );
  }
  const [, , width = 0, height = 0] = (await document.getPage(1)).view;
  return {
    pages,
    text: pages.join(' '),
    mm: [Math.round((width / 72) * 25.4), Math.round((height / 72) * 25.4)],
    fonts: (raw.match(/\/Type \/Font\b/g) ?? []).length,
    embedded: (raw.match(/\/FontFile[23]/g) ?? []).length,
    standard: /\/BaseFont \/(Helvetica|Times|Courier)/.test(raw),
  };
}

describe('what is printed', () => {
  it.each([
    ['a6', [105, 148]],
    ['a5', [148, 210]],
  ] as const)(
    'a card of %s is one page with both scales, steps and its address, type embedded',
    async (size, mm) => {
      const card = await read(app.visitor, `${CARD}/card-${size}.pdf`);
      expect(card.pages).toHaveLength(1);
      expect(card.mm).toEqual(mm);
      for (const told of [
        'Umuseke Ridge',
        '97 °C / 207 °F',
        'Swirl the brewer gently.',
        'to 280 g on the scale',
        'Grind 60 µm finer.',
        'Water near boiling',
        '/r/umuseke-ridge-kittiwake-cone',
      ]) {
        expect(card.text).toContain(told);
      }
      expect(card.text.includes('As proven')).toBe(size === 'a5');
      expect(card.embedded).toBeGreaterThan(2);
      expect(card.standard).toBe(false);
    },
  );

  it('a label is as wide as its roll, a bench sheet has room to write, and cups are named', async () => {
    const label = await read(app.visitor, `${CARD}/label.pdf`);
    expect(label.mm[0]).toBe(62);
    expect(label.text).toContain('16 g : 280 g, 1:17.5');
    const sheet = await read(app.barista, '/api/recipe-versions/3/bench-sheet.pdf');
    expect(sheet.mm).toEqual([210, 297]);
    expect(sheet.text).toMatch(/Done at.*Scale.*Note.*Readings, % TDS/);
    const cups = await read(app.barista, '/api/brews/3/cup-labels.pdf');
    expect(cups.text).toMatch(/Brew 3 Sample, to be read .* Brew 3 Hot .* Brew 3 Warm .* Brew 3 Cool/);
  });

  it('a dossier tells the lot, its trail, cups, proof and signatures', async () => {
    const { text } = await read(app.barista, '/api/lots/1/dossier.pdf');
    for (const told of [
      '412 smallholders',
      'Strength over yield',
      'grind 660 µm to 600 µm',
      'readings 1.21, 1.18, 1.18',
      'lemon rind',
      'signed off by Ilse Varnholt',
      'holds: another pair of hands',
      'Waived: Two brews in two hands',
    ]) {
      expect(text).toContain(told);
    }
  });

  it('of a lot with next to nothing, or of a recipe with very many steps and a long name, is whole as well', async () => {
    const lot = await takeInLot(app.barista, {
      name: 'Ağaçlı Çiftliği and the other long names of one station, upper and lower terraces',
    });
    const bare = await read(app.barista, `/api/lots/${lot.id}/dossier.pdf`);
    expect(bare.text).toContain('Ağaçlı Çiftliği');
    const recipe = await startRecipe(app.barista, lot.id);
    const pours = Array.from({ length: 12 }, (_, index) => ({
      startS: index * 20,
      amountG: 20,
      flowGps: 8,
      agitation: 'swirl',
      isBloom: index === 0,
    }));
    const plan = { ...recipe.versions[0]!.plan, pours, drawdownS: 300 };
    const next = (
      await app.barista
        .post(`/api/recipes/${recipe.id}/versions`)
        .send({ basedOn: 1, plan, note: '' })
        .expect(201)
    ).body as RecipeView;
    const sheet = await read(app.barista, `/api/recipe-versions/${next.versions[0]!.id}/bench-sheet.pdf`);
    expect(sheet.text.match(/Swirl the brewer/g)).toHaveLength(12);
    const brew = await storeBrew(app.barista, recipe);
    expect((await read(app.barista, `/api/brews/${brew.id}/cup-labels.pdf`)).pages).toHaveLength(1);
  });

  it('a picture for links has the size that is asked for', async () => {
    const answer = await app.visitor.get(`${CARD}/preview.png`).expect(200);
    const { width, height, data } = PNG.sync.read(answer.body as Buffer);
    expect([width, height]).toEqual([1200, 630]);
    // Sheet, ink, water, heat and time: something was drawn, in more than one hue.
    const colours = new Set<number>();
    for (let at = 0; at < data.length; at += 4) colours.add(data.readUIntBE(at, 3));
    expect(colours.size).toBeGreaterThan(50);
    await app.visitor.get('/api/published/nowhere/preview.png').expect(404);
  });

  it('is the lab’s own but for what is public', async () => {
    await app.visitor.get('/api/lots/1/dossier.pdf').expect(401);
    await app.visitor.get('/api/recipe-versions/3/bench-sheet.pdf').expect(401);
    await app.visitor.get('/api/published/nowhere/card-a6.pdf').expect(404);
    await app.visitor.get(`${CARD}/card-a3.pdf`).expect(404);
  });
});
