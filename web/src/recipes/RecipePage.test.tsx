import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import { BREWER_CLASSES, classMeasures, PAPER_PER_M, USUAL_CHECKLIST, USUAL_SCHOOLS } from '@vendu/core';
import type { KitView, NewVersionDto } from '@vendu/contract';
import { PLAIN_BREWER, PLAIN_GRINDER, PLAN, recipe, version } from '../testing/fixtures';
import { pick } from '../testing/pick';
import { problem, renderPart, standInServer, type Answer } from '../testing/renderPart';
import { RecipePage } from './RecipePage';

const KIT: KitView = {
  house: {
    name: 'Lab',
    place: 'Hill',
    elevationM: 2000,
    roomC: 21,
    checklist: USUAL_CHECKLIST,
    schools: USUAL_SCHOOLS,
    revision: 0,
    window: { tdsLowPercent: 1.2, tdsHighPercent: 1.4, yieldLowPercent: 18, yieldHighPercent: 22 },
  },
  brewers: [
    {
      id: 1,
      revision: 0,
      name: 'Cone',
      ...classMeasures('cone'),
      ribs: null,
      wallMaterial: null,
      wallMm: null,
      ...PLAIN_BREWER,
      outlet: 'one hole',
      paperId: 1,
      paper: 'white',
      paperResistancePerM: PAPER_PER_M.ordinary,
      usualDoseG: 16,
      capacityG: 380,
      geometry: BREWER_CLASSES.cone,
    },
  ],
  papers: [],
  kettles: [],
  waters: [],
  instruments: [],
  sieves: [],
  feeders: [],
  statedSettings: [],
  grinders: [
    {
      id: 1,
      revision: 0,
      name: 'Grinder',
      burrSet: 'flat',
      settingStep: 0.1,
      ...PLAIN_GRINDER,
      points: [
        { setting: 2, grindUm: 500 },
        { setting: 10, grindUm: 1100 },
      ],
    },
  ],
};
// Computed: water boils at 93.3 °C at the lab of this kit, 2000 m.
const COOL_PLAN = { ...PLAN, kettleC: 92 };
const VIEW = recipe({ versions: [version({ plan: COOL_PLAN })] });

function open(answers: Record<string, Answer> = {}) {
  const all: Record<string, Answer> = {
    'GET kit': { body: KIT },
    'GET recipes/7': { body: VIEW },
    ...answers,
  };
  const sent = standInServer(all);
  const rendered = renderPart(
    <Routes>
      <Route path="/recipes/:recipeId" element={<RecipePage />} />
    </Routes>,
    '/recipes/7',
  );
  return { ...rendered, sent, answers: all };
}

async function type(label: string, text: string) {
  const field = await screen.findByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, `${text}{Enter}`);
}

describe('the recipe sheet', () => {
  it('offers to save only what differs, and sends the plan with the version it is based on', async () => {
    const { sent } = open({ 'POST recipes/7/versions': { status: 201, body: VIEW } });
    await screen.findByRole('heading', { name: /Cone/ });
    expect(screen.queryByRole('button', { name: /Save as version/ })).toBeNull();
    await type('Grind', '650');
    await userEvent.type(screen.getByLabelText('What changed and why'), 'tart');
    await userEvent.selectOptions(screen.getByLabelText('Less of'), 'acidity');
    await userEvent.selectOptions(screen.getByLabelText('More of'), 'body');
    await userEvent.type(screen.getByLabelText('A note it is to bring'), 'plum');
    // A hope is taken back where it was made.
    await userEvent.click(screen.getByRole('button', { name: 'more body', pressed: true }));
    await within(screen.getByRole('group', { name: 'What it is to do' })).findByText('Strength');
    await userEvent.click(screen.getByRole('button', { name: 'Save as version 2' }));
    await expect
      .poll(() => sent.find(({ method }) => method === 'POST')?.body)
      .toEqual({
        basedOn: 1,
        note: 'tart',
        plan: { ...COOL_PLAN, grindUm: 650 },
        expectation: {
          source: { kind: 'own' },
          figures: expect.anything() as object,
          hopes: [
            { kind: 'less', attribute: 'acidity' },
            { kind: 'brings', word: 'plum' },
          ],
        },
      });
    // Finer is stronger.
    const saved = sent.find(({ method }) => method === 'POST')?.body as NewVersionDto | undefined;
    const { from = NaN, to = NaN } = saved?.expectation?.figures?.tdsPercent ?? {};
    expect(to).toBeGreaterThan(from);
    await expect.poll(() => screen.queryByRole('button', { name: /Save as version/ })).toBeNull();
  });

  it('does not save a kettle that the lab’s elevation cannot boil', async () => {
    const { sent } = open();
    await type('Kettle', '96c');
    expect(screen.getByText(/Water boils at 93\.3 °C at the lab/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Save as version 2' })).toHaveProperty('disabled', true);
    expect(sent.filter(({ method }) => method === 'POST')).toEqual([]);
  });

  it('says what the grinder can do with the grind', async () => {
    open();
    // Computed: 2 + (700 - 500) / 600 x 8 = 4.67.
    expect(await screen.findByText('Grinder at 4.7')).toBeTruthy();
    await type('Grind', '450');
    expect(screen.getByText(/not measured finer than 500 µm/)).toBeTruthy();
  });

  it('warns of the unusual, with what to do, and lets it be', async () => {
    open();
    await type('Water', '300');
    expect(screen.getByText(/Ratio 1:18\.8 is outside/).parentElement?.textContent).toContain(
      'Use less water or more coffee.',
    );
    expect(screen.getByRole('button', { name: 'Save as version 2' })).toHaveProperty('disabled', false);
  });

  it('takes edits back with Z, but leaves Z to someone who types', async () => {
    open();
    await type('Grind', '650');
    fireEvent.keyDown(screen.getByLabelText('Grind'), { key: 'z' });
    expect(screen.getByLabelText('Grind')).toHaveProperty('value', '650');
    fireEvent.blur(screen.getByLabelText('Grind'));
    fireEvent.keyDown(document.body, { key: 'z' });
    expect(screen.getByLabelText('Grind')).toHaveProperty('value', '700');
    await userEvent.click(screen.getByRole('button', { name: 'Redo' }));
    expect(screen.getByLabelText('Grind')).toHaveProperty('value', '650');
  });

  it('keeps edits over a newer version of somebody else, and puts them on top when asked', async () => {
    const { sent, answers } = open({ 'POST recipes/7/versions': problem('stale', 'Version 2 was saved.') });
    await type('Grind', '650');
    const theirs = version({ id: 12, number: 2, plan: { ...COOL_PLAN, kettleC: 90 } });
    answers['GET recipes/7'] = { body: recipe({ versions: [theirs, version({ plan: COOL_PLAN })] }) };
    await userEvent.click(screen.getByRole('button', { name: 'Save as version 2' }));
    await screen.findByText(/Version 2 was saved since you opened version 1/);
    expect(screen.getByLabelText('Grind')).toHaveProperty('value', '650');
    await userEvent.click(screen.getByRole('button', { name: 'Put mine on top of version 2' }));
    await userEvent.click(screen.getByRole('button', { name: 'Save as version 3' }));
    const posted = () =>
      sent.filter(({ method }) => method === 'POST').map(({ body }) => (body as { basedOn: number }).basedOn);
    await expect.poll(posted).toEqual([1, 2]);
  });

  it('shows a fault the server found at its field', async () => {
    const errors = [{ field: 'plan.pours.1.startS', message: 'Pour 1 still runs.' }];
    open({ 'POST recipes/7/versions': problem('invalid-input', 'x', errors) });
    await type('Grind', '650');
    await userEvent.click(screen.getByRole('button', { name: 'Save as version 2' }));
    expect(await screen.findByText('Pour 1 still runs.')).toBeTruthy();
    expect(screen.getByLabelText('Pour 2, start').getAttribute('aria-invalid')).toBe('true');
  });
});

describe('what a recipe is brewed with and aims at', () => {
  const water = {
    id: 5,
    revision: 0,
    name: 'Tap',
    origin: 'analysis' as const,
    hardnessMgPerL: 60,
    alkalinityMgPerL: 40,
    mineralsMgPerL: 100,
    mix: null,
  };

  it('is set in one tap, and the aim of its own can be given back', async () => {
    const own = { tdsLowPercent: 1.3, tdsHighPercent: 1.45, yieldLowPercent: 19, yieldHighPercent: 20 };
    const { sent } = open({
      'GET kit': { body: { ...KIT, waters: [water] } },
      'GET recipes/7': { body: recipe({ versions: [version({ plan: COOL_PLAN })], aim: own }) },
      'PUT recipes/7/setup': {
        body: recipe({ versions: [version({ plan: COOL_PLAN })], waterId: 5, aim: own }),
      },
    });
    await pick('Which water', /^Tap/);
    await userEvent.click(screen.getByRole('button', { name: 'Use the house’s aim' }));
    await expect
      .poll(() => sent.filter(({ method }) => method === 'PUT').map(({ body }) => body))
      .toEqual([
        { waterId: 5, kettleId: null, aim: own },
        { waterId: 5, kettleId: null, aim: null },
      ]);
  });

  it('makes another recipe of a plan scaled to another grinder', async () => {
    const [grinder] = KIT.grinders;
    const other = { ...grinder!, id: 2, name: 'Other' };
    const { sent } = open({
      'GET kit': { body: { ...KIT, grinders: [grinder!, other] } },
      'POST lots/3/recipes': { status: 201, body: VIEW },
    });
    await userEvent.click(await screen.findByText(/Scale to another dose/));
    await type('To a dose of', '20');
    await pick('On the grinder', /Other/);
    await userEvent.click(screen.getByRole('button', { name: 'Work it out' }));
    await userEvent.click(
      await screen.findByRole('button', { name: 'Keep it as a recipe for Cone and Other' }),
    );
    await expect
      .poll(() => sent.find(({ method }) => method === 'POST')?.body)
      .toMatchObject({
        brewerId: 1,
        grinderId: 2,
        paperId: 1,
        note: 'Scaled from Cone, 16 g',
        plan: { doseG: 20 },
      });
  });
});
