import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import type { LotListItem, LotsPageView, LotView } from '@vendu/contract';
import { PLAN } from '../testing/fixtures';
import { problem, renderPart, standInServer, type Answer, type SentRequest } from '../testing/renderPart';
import { EditLotPage } from './EditLotPage';
import { LotsPage } from './LotsPage';
import { NewLotPage } from './NewLotPage';

const LOT: LotListItem = {
  id: 3,
  name: 'Ridge',
  country: 'RW',
  region: 'west',
  process: 'co-fermented',
  baseProcess: 'honey',
  additions: 'mango pulp',
  isDecaffeinated: false,
  elevationFromM: 1800,
  elevationWord: null,
  elevationToM: 1950,
  stage: 'dialling-in',
  roastAgeDays: 12,
  launchOn: '2026-11-28',
  daysToLaunch: 5,
  due: { action: 'next-brew', isPressing: false },
  proofMissing: null,
  gramsLeftG: 936,
  gramsBrewedG: 64,
  brewCount: 4,
  recipe: {
    id: 7,
    lotId: 3,
    brewerName: 'Cone',
    paperName: 'white',
    latestVersion: 3,
    plan: PLAN,
    accepted: false,
    signedOff: false,
    publishedSlug: null,
  },
  lastStrengthPercent: 1.334,
  lastYieldPercent: 19.26,
  lastYieldBasis: 'assumed',
};

const page = (lots: LotListItem[]): LotsPageView => ({
  lots,
  total: lots.length,
  countByStage: lots.length === 0 ? {} : { 'dialling-in': lots.length },
});

describe('the lots', () => {
  it('show each lot with units, its stage, and what was only assumed', async () => {
    standInServer({ 'GET lots': { body: page([LOT]) } });
    renderPart(<LotsPage />);
    const row = (await screen.findByRole('link', { name: 'Ridge' })).closest('tr')!;
    for (const words of [
      'Rwanda, west',
      'contains mango pulp',
      '1800–1950 m',
      '12 d',
      '1.33 %',
      '19.3 %',
      'assumed',
      '936 g',
      '1:15.6',
    ]) {
      expect(row.textContent).toContain(words);
    }
    expect(within(row).getByRole('img', { name: 'Dialling in, step 3 of 7' })).toBeTruthy();
  });

  it('leave a dash where nothing is known', async () => {
    const bare = {
      ...LOT,
      recipe: null,
      lastStrengthPercent: null,
      lastYieldPercent: null,
      lastYieldBasis: null,
      gramsLeftG: null,
      elevationFromM: null,
    };
    standInServer({ 'GET lots': { body: page([bare]) } });
    renderPart(<LotsPage />);
    const row = (await screen.findByRole('link', { name: 'Ridge' })).closest('tr')!;
    expect(within(row).getAllByLabelText('not known')).toHaveLength(2);
    expect(row.textContent).toContain('elevation not known');
  });

  it('say what goes there when there are none, and offer the first step', async () => {
    standInServer({ 'GET lots': { body: page([]) } });
    renderPart(<LotsPage />);
    expect(await screen.findByText(/Every green lot on its way to a recipe stands here/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Add the first lot' }).getAttribute('href')).toBe('/lots/new');
  });

  it('can be asked for again when the server did not answer', async () => {
    const answers: Record<string, Answer> = { 'GET lots': { status: 502, body: 'bad gateway' } };
    standInServer(answers);
    renderPart(<LotsPage />);
    await screen.findByRole('heading', { name: 'Not available now' });
    answers['GET lots'] = { body: page([LOT]) };
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByRole('link', { name: 'Ridge' })).toBeTruthy();
  });
});

/** The kit is asked for too, for what the facts do to the starting recipe. */
const posted = (sent: SentRequest[]) => sent.filter(({ method }) => method === 'POST');

describe('adding a lot', () => {
  async function fillIn() {
    await userEvent.type(screen.getByLabelText(/^Name/), 'Ridge');
    await userEvent.selectOptions(screen.getByLabelText(/^Country/), 'Rwanda');
    await userEvent.selectOptions(screen.getByLabelText(/^Process/), 'Washed');
    await userEvent.type(screen.getByLabelText(/^Roast date/), '2026-11-10');
  }

  it('sends nothing while a field is wrong', async () => {
    const sent = standInServer({});
    renderPart(<NewLotPage />);
    await fillIn();
    await userEvent.type(screen.getByLabelText('Elevation'), '1950-1700');
    await userEvent.click(screen.getByRole('button', { name: 'Add the lot' }));
    expect(await screen.findByText(/range runs downwards, from 1950 to 1700 m/)).toBeTruthy();
    expect(posted(sent)).toEqual([]);
  });

  it('puts what the server refuses at its field, and keeps the form', async () => {
    const refusal = problem('invalid-input', 'x', [
      { field: 'stockG', message: 'Stock is more than the shelf holds.' },
    ]);
    standInServer({ 'POST lots': refusal });
    renderPart(<NewLotPage />);
    await fillIn();
    await userEvent.type(screen.getByLabelText('Stock weighed in'), '900000');
    await userEvent.click(screen.getByRole('button', { name: 'Add the lot' }));
    expect(await screen.findByText('Stock is more than the shelf holds.')).toBeTruthy();
    expect(screen.getByLabelText('Stock weighed in')).toHaveProperty('value', '900000');
  });

  it('forgets its draft once the lot is stored', async () => {
    const sent = standInServer({ 'POST lots': { status: 201, body: { id: 9 } } });
    const { unmount } = renderPart(<NewLotPage />);
    await fillIn();
    await userEvent.click(screen.getByRole('button', { name: 'Add the lot' }));
    await expect.poll(() => posted(sent).length).toBe(1);
    expect(posted(sent)[0]?.body).toMatchObject({
      name: 'Ridge',
      country: 'RW',
      process: 'washed',
      roastedOn: '2026-11-10',
      roastLevel: null,
    });
    await expect.poll(() => localStorage.getItem('vendu.draft.lot.new')).toBeNull();
    unmount();
    renderPart(<NewLotPage />);
    expect(screen.getByLabelText(/^Name/)).toHaveProperty('value', '');
  });
});

describe('editing the facts of a lot', () => {
  const stored: Partial<LotView> = {
    id: 3,
    revision: 4,
    name: 'Ridge',
    country: 'RW',
    process: 'washed',
    region: 'west',
    farm: '',
    producer: '',
    variety: '',
    fermentationNote: '',
    additions: '',
    isDecaffeinated: false,
    elevationFromM: 1800,
    elevationToM: 1950,
    supplier: '',
    launchOn: null,
    signs: [],
    harvest: '',
    drying: '',
    labelNotes: [],
    stockG: 1000,
  };

  it('keeps mine when theirs was saved first, and saves it once I have seen theirs', async () => {
    const answers: Record<string, Answer> = {
      'GET lots/3': { body: stored },
      'PATCH lots/3': problem('stale', 'This lot was saved by somebody else.'),
    };
    const sent = standInServer(answers);
    renderPart(
      <Routes>
        <Route path="/lots/:lotId/edit" element={<EditLotPage />} />
      </Routes>,
      '/lots/3/edit',
    );
    const region = await screen.findByLabelText('Region');
    await userEvent.clear(region);
    await userEvent.type(region, 'south');
    await userEvent.click(screen.getByRole('button', { name: 'Save the facts' }));
    await screen.findByText(/saved by somebody else/);
    expect(region).toHaveProperty('value', 'south');

    answers['GET lots/3'] = { body: { ...stored, revision: 5, region: 'north' } };
    answers['PATCH lots/3'] = { body: { ...stored, revision: 6 } };
    await userEvent.click(screen.getByRole('button', { name: 'Keep mine' }));
    await expect.poll(() => screen.queryByText(/saved by somebody else/)).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Save the facts' }));
    const patches = () =>
      sent
        .filter(({ method }) => method === 'PATCH')
        .map(({ body }) => body as { revision: number; region: string });
    await expect.poll(() => patches().length).toBe(2);
    expect(patches().map(({ revision, region: typed }) => [revision, typed])).toEqual([
      [4, 'south'],
      [5, 'south'],
    ]);
  });

  it('stays on the revision it was typed at through a reload, so that nobody is overwritten unseen', async () => {
    const answers: Record<string, Answer> = {
      'GET lots/3': { body: stored },
      'PATCH lots/3': problem('stale', 'This lot was saved by somebody else.'),
    };
    const sent = standInServer(answers);
    const page = (
      <Routes>
        <Route path="/lots/:lotId/edit" element={<EditLotPage />} />
      </Routes>
    );
    const { unmount } = renderPart(page, '/lots/3/edit');
    await userEvent.type(await screen.findByLabelText('Region'), 'ern');
    unmount();
    answers['GET lots/3'] = { body: { ...stored, revision: 5, region: 'north' } };
    renderPart(page, '/lots/3/edit');
    expect(await screen.findByLabelText('Region')).toHaveProperty('value', 'western');
    await userEvent.click(screen.getByRole('button', { name: 'Save the facts' }));
    await screen.findByText(/saved by somebody else/);
    expect(sent.find(({ method }) => method === 'PATCH')?.body).toMatchObject({
      revision: 4,
      region: 'western',
    });
  });
});
