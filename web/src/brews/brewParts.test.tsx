import { act, fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { toast } from 'sonner';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { brewResult } from '@vendu/core';
import { brewItem, brewView, PLAN } from '../testing/fixtures';
import { problem, renderPart, standInServer, type Answer, type SentRequest } from '../testing/renderPart';
import { Notices } from '../ui/Notices';
import { BesideTable } from './BesideTable';
import { ReadingsForm } from './ReadingsForm';
import { ResultFigures } from './ResultFigures';
import { ResultNotices } from './ResultNotices';
import { VerdictForm } from './VerdictForm';
import { WeighForm } from './WeighForm';

describe('a brew beside its siblings', () => {
  it('stands in order, with what the plans differ in', () => {
    const brew = brewView({
      number: 2,
      id: 22,
      siblings: [brewItem({ plan: { ...PLAN, grindUm: 640 }, beverageG: null })],
    });
    renderPart(<BesideTable brew={brew} />);
    expect(screen.getAllByRole('columnheader').map(({ textContent }) => textContent)).toEqual([
      'Figure',
      'Brew 1',
      'Brew 2',
    ]);
    expect(screen.getByRole('row', { name: /Plan differs in/ }).textContent).toContain('grind');
    expect(screen.getByRole('row', { name: /Beverage/ }).textContent).toContain('not weighed');
  });

  it('says what goes there when it is alone', () => {
    renderPart(<BesideTable brew={brewView()} />);
    expect(screen.getByText(/first brew of this recipe/)).toBeTruthy();
  });
});

describe('strength and yield', () => {
  it('wait for readings', () => {
    renderPart(<ResultFigures targets={null} brew={brewView({ result: null, readings: [] })} />);
    expect(screen.getByText('from three readings')).toBeTruthy();
  });

  it('stand against what is aimed at', () => {
    const targets = { tdsPercent: { low: 1.2, high: 1.3 }, yieldPercent: { low: 18.5, high: 21.5 } };
    renderPart(<ResultFigures targets={targets} brew={brewView()} />);
    // Computed: readings of 1.40 %, yield 19.16 %.
    const told = screen.getAllByRole('definition').map(({ textContent }) => textContent);
    expect(told).toContainEqual(expect.stringContaining('above the aim 1.20–1.30'));
    expect(told).toContainEqual(expect.stringContaining('on aim 18.5–21.5'));
  });

  it('open to the formula with its figures, and to the error of taking water for beverage', async () => {
    renderPart(<ResultFigures targets={null} brew={brewView()} />);
    await userEvent.click(screen.getByRole('button', { name: 'Where the yield comes from' }));
    const trail = screen.getByRole('dialog');
    // Computed: 1.40 x 219 / 16 = 19.16; with the water poured 1.40 x 250 / 16 = 21.9.
    expect(trail.textContent).toContain('1.400 % x 219 g / 16 g = 19.16 %');
    expect(trail.textContent).toContain('21.9 %');
  });

  it('say when the dose is only the plan’s', () => {
    renderPart(<ResultNotices brew={brewView({ doseBasis: 'as-planned' })} />);
    expect(screen.getByText(/dose was not weighed: the plan’s 16 g is used/)).toBeTruthy();
  });

  it('say when readings disagree', () => {
    const result = brewResult({ doseG: 16, waterG: 250, beverageG: 219, readingsPercent: [1.3, 1.4, 1.5] });
    renderPart(<ResultNotices brew={brewView({ result })} />);
    expect(screen.getByText(/zero on clean water and read again/)).toBeTruthy();
  });

  it('name the one reading that does not belong to the others', () => {
    const readingsPercent = [1.35, 1.27, 1.35];
    const readings = readingsPercent.map((tdsPercent, id) => ({
      id,
      tdsPercent,
      sampleC: null,
      source: 'typed' as const,
    }));
    const result = brewResult({ doseG: 16, waterG: 250, beverageG: 219, readingsPercent });
    renderPart(<ResultNotices brew={brewView({ result, readings })} />);
    expect(screen.getByText(/^1\.27 % is 0\.08 off the other readings/)).toBeTruthy();
  });
});

/** The kit is asked for too: its refractometer may be due. */
const readingsOf = (sent: SentRequest[]) => sent.filter(({ path }) => path.endsWith('/readings'));

describe('the readings', () => {
  it('go with the temperature of the sample, and say when it is too warm', async () => {
    const kit = { house: { roomC: 21 }, instruments: [] };
    const sent = standInServer({ 'GET kit': { body: kit }, 'POST brews/21/readings': { body: brewView() } });
    renderPart(<ReadingsForm brew={brewView()} modelTdsPercent={1.33} />);
    await userEvent.type(screen.getByLabelText('Sample at'), '41{Enter}');
    expect(await screen.findByText(/too warm: wait until it is near 21/)).toBeTruthy();
    await userEvent.type(screen.getByLabelText('Reading 4, % TDS'), '1.38{Enter}');
    await expect
      .poll(() => readingsOf(sent)[0]?.body)
      .toEqual({ tdsPercent: 1.38, sampleC: 41, source: 'typed' });
  });

  it('are checked before they are sent, and kept as typed', async () => {
    const sent = standInServer({});
    renderPart(<ReadingsForm brew={brewView()} modelTdsPercent={1.33} />);
    const field = screen.getByLabelText('Reading 4, % TDS');
    await userEvent.type(field, '135{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('if 1.35 was meant');
    await userEvent.clear(field);
    await userEvent.type(field, 'x{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('not a number');
    expect(readingsOf(sent)).toEqual([]);
    expect(field).toHaveProperty('value', 'x');
  });

  it('empty the field only once the server has the reading', async () => {
    const answers: Record<string, Answer> = {
      'POST brews/21/readings': problem('unavailable', 'The database does not answer.'),
    };
    const sent = standInServer(answers);
    renderPart(<ReadingsForm brew={brewView()} modelTdsPercent={1.33} />);
    const field = screen.getByLabelText('Reading 4, % TDS');
    await userEvent.type(field, '1,41{Enter}');
    expect(await screen.findByText('The database does not answer.')).toBeTruthy();
    expect(field).toHaveProperty('value', '1,41');
    answers['POST brews/21/readings'] = { body: brewView() };
    await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    await expect.poll(() => (field as HTMLInputElement).value).toBe('');
    const reading = { tdsPercent: 1.41, sampleC: null, source: 'typed' };
    expect(readingsOf(sent).map(({ body }) => body)).toEqual([reading, reading]);
  });
});

describe('a refractometer that is read by itself', () => {
  it('may be simulated: it reads what the model makes of the brew, marked as such, and keeps its zero to itself', async () => {
    localStorage.clear();
    const sent = standInServer({ 'POST brews/21/readings': { body: brewView() } });
    renderPart(<ReadingsForm brew={brewView()} modelTdsPercent={1.33} />);
    await userEvent.selectOptions(screen.getByLabelText('Read by'), 'simulated refractometer');
    await userEvent.click(screen.getByRole('button', { name: 'Clean water on the prism' }));
    expect(screen.getByRole('status').textContent).toMatch(/Zero was off by \+0\.0\d % and is set now/);
    expect(readingsOf(sent)).toEqual([]);
    await userEvent.click(screen.getByRole('button', { name: 'Sample on the prism' }));
    await expect.poll(() => readingsOf(sent)).toHaveLength(1);
    const body = readingsOf(sent)[0]?.body as { tdsPercent: number; source: string };
    expect(body.source).toBe('simulated');
    expect(Math.abs(body.tdsPercent - 1.33)).toBeLessThan(0.06);
    localStorage.clear();
  });

  it('sends on what a real one sends, at an address that the device keeps, and says what was refused', async () => {
    localStorage.clear();
    const listening: { onmessage?: (event: { data: string }) => void; address: string }[] = [];
    vi.stubGlobal(
      'EventSource',
      class {
        onmessage?: (event: { data: string }) => void;
        constructor(readonly address: string) {
          listening.push(this);
        }
        close() {
          return undefined;
        }
      },
    );
    const answers: Record<string, Answer> = { 'POST brews/21/readings': { body: brewView() } };
    const sent = standInServer(answers);
    const { unmount } = renderPart(<ReadingsForm brew={brewView()} modelTdsPercent={null} />);
    await userEvent.selectOptions(screen.getByLabelText('Read by'), 'refractometer over the network');
    act(() => listening[0]?.onmessage?.({ data: '{"tdsPercent":1.36,"sampleC":23}' }));
    await expect
      .poll(() => readingsOf(sent)[0]?.body)
      .toEqual({ tdsPercent: 1.36, sampleC: 23, source: 'sent' });
    answers['POST brews/21/readings'] = problem('invalid-input', 'Reading is -0.4; it may be 0 to 30 %.');
    act(() => listening[0]?.onmessage?.({ data: '{"tdsPercent":-0.4}' }));
    expect(await screen.findByText(/Reading is -0.4/)).toBeTruthy();
    unmount();
    renderPart(<ReadingsForm brew={brewView()} modelTdsPercent={null} />);
    expect(listening[1]?.address).toBe(listening[0]?.address);
    vi.unstubAllGlobals();
    localStorage.clear();
  });

  it('has nothing to read where the model has no answer', async () => {
    localStorage.clear();
    standInServer({});
    renderPart(<ReadingsForm brew={brewView()} modelTdsPercent={null} />);
    await userEvent.selectOptions(screen.getByLabelText('Read by'), 'simulated refractometer');
    expect(screen.getByRole('button', { name: 'Sample on the prism' })).toHaveProperty('disabled', true);
    localStorage.clear();
  });
});

describe('taking a reading out', () => {
  // Notices outlive the part that raised them, as they should; not the test, though.
  afterEach(() => void toast.dismiss());

  const takeOut = () =>
    userEvent.click(screen.getAllByRole('button', { name: 'Remove the reading 1.40 %' })[0]!);
  const form = (
    <>
      <ReadingsForm brew={brewView()} modelTdsPercent={1.33} />
      <Notices />
    </>
  );

  it('offers to take it back once it is done', async () => {
    const sent = standInServer({
      'DELETE brews/21/readings/1': { body: brewView() },
      'POST brews/21/readings/1/restore': { body: brewView() },
    });
    renderPart(form);
    await takeOut();
    await screen.findByText('Reading 1.40 % removed');
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    await expect.poll(() => sent.at(-1)?.path).toBe('brews/21/readings/1/restore');
  });

  it('is not called done when the server refused', async () => {
    standInServer({ 'DELETE brews/21/readings/1': problem('unavailable', 'The database does not answer.') });
    renderPart(form);
    await takeOut();
    expect(await screen.findByText('The database does not answer.')).toBeTruthy();
    expect(screen.queryByText('Reading 1.40 % removed')).toBeNull();
  });
});

describe('what was weighed', () => {
  async function typeBeverage(text: string) {
    const field = screen.getByLabelText('Beverage');
    await userEvent.clear(field);
    await userEvent.type(field, `${text}{Enter}`);
  }

  it('is not taken when the cup is heavier than the water', async () => {
    const sent = standInServer({});
    renderPart(<WeighForm brew={brewView()} />);
    await typeBeverage('260');
    expect(screen.getByText(/not lighter than the 250 g poured/)).toBeTruthy();
    expect(sent.filter(({ method }) => method === 'PATCH')).toEqual([]);
  });

  it('is saved by Enter with the revision it was read at, and says so in place', async () => {
    const sent = standInServer({ 'PATCH brews/21': { body: brewView({ revision: 3 }) } });
    renderPart(<WeighForm brew={brewView()} />);
    await typeBeverage('221.5');
    expect(await screen.findByText(/^saved \d\d:\d\d$/)).toBeTruthy();
    expect(sent.find(({ method }) => method === 'PATCH')?.body).toMatchObject({
      doseG: 16,
      waterG: null,
      beverageG: 221.5,
      note: '',
      revision: 2,
    });
  });

  it('is not called saved any more once something is typed that is not', async () => {
    standInServer({ 'PATCH brews/21': { body: brewView({ revision: 3 }) } });
    renderPart(<WeighForm brew={brewView()} />);
    await typeBeverage('221.5');
    expect(await screen.findByText(/^saved /)).toBeTruthy();
    await userEvent.type(screen.getByLabelText('Notes'), 'c');
    expect(screen.queryByText(/^saved /)).toBeNull();
  });

  it('stands under no sentence that denies it while it waits for the server', async () => {
    standInServer({ 'PATCH brews/21': { status: 502, body: 'bad gateway' } });
    renderPart(<WeighForm brew={brewView({ beverageG: null, doseBasis: 'as-planned' })} />);
    expect(screen.getByText(/The dose was not weighed/)).toBeTruthy();
    await typeBeverage('221.5');
    expect(await screen.findByText(/Not saved yet/)).toBeTruthy();
    expect(screen.queryByText(/not weighed/)).toBeNull();
  });

  it('is sent one entry after the other, each on top of the one before', async () => {
    const sent = standInServer({ 'PATCH brews/21': { body: brewView({ revision: 3 }) } });
    renderPart(<WeighForm brew={brewView()} />);
    await typeBeverage('221.5');
    await userEvent.type(screen.getByLabelText('Notes'), 'calm bed');
    await userEvent.tab();
    const patches = () => sent.filter(({ method }) => method === 'PATCH').map(({ body }) => body);
    await expect.poll(patches).toMatchObject([{ revision: 2 }, { revision: 3, note: 'calm bed' }]);
  });

  it('outlives a server that is gone, through a reload, and is not said to be saved', async () => {
    standInServer({ 'PATCH brews/21': problem('unavailable', 'The database does not answer.') });
    const { unmount } = renderPart(<WeighForm brew={brewView()} />);
    await typeBeverage('221.5');
    expect(await screen.findByText('The database does not answer.')).toBeTruthy();
    unmount();
    const sent = standInServer({ 'PATCH brews/21': { body: brewView({ revision: 3 }) } });
    renderPart(<WeighForm brew={brewView()} />);
    expect(screen.getByLabelText('Beverage')).toHaveProperty('value', '221.5');
    expect(screen.getByText(/Not saved yet/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Save what was weighed' }));
    await expect
      .poll(() => sent.find(({ method }) => method === 'PATCH')?.body)
      .toMatchObject({ beverageG: 221.5 });
  });

  it('is kept when somebody else saved first', async () => {
    standInServer({
      'PATCH brews/21': problem('stale', 'Saved by somebody else.'),
      'GET brews/21': { body: brewView() },
    });
    renderPart(<WeighForm brew={brewView()} />);
    await typeBeverage('221.5');
    expect(await screen.findByText(/Your figures are kept here/)).toBeTruthy();
    expect(screen.getByLabelText('Beverage')).toHaveProperty('value', '221.5');
  });

  it('stays on the revision it was typed at, even when the brew was read again meanwhile', async () => {
    const sent = standInServer({ 'PATCH brews/21': problem('stale', 'Saved by somebody else.') });
    const { unmount } = renderPart(<WeighForm brew={brewView({ revision: 2 })} />);
    await typeBeverage('221.5');
    unmount();
    renderPart(<WeighForm brew={brewView({ revision: 5, beverageG: 199 })} />);
    await userEvent.click(screen.getByRole('button', { name: 'Save what was weighed' }));
    await expect
      .poll(() => sent.findLast(({ method }) => method === 'PATCH')?.body)
      .toMatchObject({ revision: 2, beverageG: 221.5 });
  });

  it('shows what was written first when it was corrected', () => {
    const corrections = [
      { field: 'beverageG' as const, fromValue: 210, toValue: 219, by: 'Joss', at: '2026-11-21T10:00:00Z' },
    ];
    renderPart(<WeighForm brew={brewView({ corrections })} />);
    expect(screen.getByText(/Beverage first written/).textContent).toContain(
      '210 g, corrected to 219 g by Joss',
    );
  });
});

describe('the verdict', () => {
  it('is given against what the label promises', async () => {
    const sent = standInServer({ 'PUT brews/21/verdict': { body: brewView() } });
    renderPart(<VerdictForm brew={brewView()} />);
    expect(screen.getByText(/the label promises currant/)).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: 'Close' }));
    await userEvent.type(screen.getByLabelText('Why'), 'a little thin{Enter}');
    expect(await screen.findByText(/^saved \d\d:\d\d$/)).toBeTruthy();
    await expect
      .poll(() => sent.findLast(({ method }) => method === 'PUT')?.body)
      .toEqual({
        verdict: 'close',
        reason: 'a little thin',
      });
  });
});
