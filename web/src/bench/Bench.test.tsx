import { act, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { PutBrewDto } from '@vendu/contract';
import { brewSoFar } from '@vendu/core';
import { useAppSelector } from '../state/hooks';
import { brewView, LAID_OUT, PLAN } from '../testing/fixtures';
import { problem, renderPart, standInServer } from '../testing/renderPart';
import { standInSound } from '../testing/standInSound';
import { Bench } from './Bench';
import { noteOf, soFar } from './benchBrew';
import { brewLaidOut, selectBrews, stepMarked, type LaidOutBrew } from './benchSlice';

const START = new Date('2026-11-23T10:00:00Z');

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'], now: START });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const { key } = LAID_OUT;
/** The brew on the bench as its log has it. */
function benchBrew(store: ReturnType<typeof renderPart>['store']) {
  const brew = selectBrews(store.getState()).find((each) => each.key === key);
  return brew && { ...soFar(brew), note: noteOf(brew) };
}

function WholeBench() {
  return <Bench brews={useAppSelector(selectBrews)} />;
}

/** A bench with a brew laid out on it. */
function laidOutBench(changes: Partial<LaidOutBrew> = {}) {
  const rendered = renderPart(<WholeBench />);
  act(() => {
    rendered.store.dispatch(brewLaidOut({ ...LAID_OUT, ...changes }));
  });
  return rendered;
}

/** A bench whose clock was started at `START`. */
function startedBench(changes: Partial<LaidOutBrew> = {}) {
  const rendered = laidOutBench(changes);
  act(() => {
    rendered.store.dispatch(stepMarked({ key: changes.key ?? key, atMs: START.getTime() }));
  });
  return rendered;
}

/** Lets time pass second by second, as a screen would see it. */
function pass(seconds: number) {
  for (let left = seconds; left > 0; left -= 1) {
    act(() => {
      vi.advanceTimersByTime(Math.min(left, 1) * 1000);
    });
  }
}

const press = (key: string) => fireEvent.keyDown(document.body, { key });
const clock = () => screen.getByRole('timer', { name: 'Brew clock' }).textContent;

describe('the bench before the clock', () => {
  it('lists what to have ready, in both scales, with the allergen fact, and starts on Space', () => {
    const { store } = laidOutBench();
    expect(screen.getByText(/Before the clock/)).toBeTruthy();
    expect(screen.getByText('(201 °F)')).toBeTruthy();
    expect(screen.getByRole('button', { name: /^Rinse the paper with 100 g ?white/ })).toBeTruthy();
    expect(screen.getByText(/Co-fermented with mango pulp/)).toBeTruthy();
    press(' ');
    expect(benchBrew(store)?.run.marks).toEqual([{ stepIndex: 0, atMs: START.getTime(), skipped: false }]);
  });

  it('ticks what is ready, one after the other by P or any by a tap', () => {
    const { store } = laidOutBench();
    press('p');
    fireEvent.click(screen.getByRole('button', { name: /Tare/ }));
    press('p');
    expect(benchBrew(store)?.prepared).toEqual(['water', 'tare', 'rinse']);
    fireEvent.click(screen.getByRole('button', { name: /Tare/ }));
    expect(benchBrew(store)?.prepared).toEqual(['water', 'rinse']);
  });

  it('leaves the next thing out by S, says so, and lets a tap make up for it', () => {
    const { store } = laidOutBench();
    press('p');
    press('s');
    press('s');
    expect(benchBrew(store)).toMatchObject({ prepared: ['water'], leftOut: ['rinse', 'discard'] });
    expect(screen.getByRole('button', { name: /Discard/ }).textContent).toContain('skipped');
    fireEvent.click(screen.getByRole('button', { name: /Discard/ }));
    expect(benchBrew(store)).toMatchObject({ prepared: ['water', 'discard'], leftOut: ['rinse'] });
    press('p');
    expect(benchBrew(store)?.prepared).toContain('weigh');
  });
});

describe('the bench running', () => {
  it('says the next thing with its total, counts down to it and says when it is late', () => {
    startedBench();
    press(' ');
    pass(20);
    expect(clock()).toBe('0:20');
    expect(screen.getByText('in 20 s')).toBeTruthy();
    expect(screen.getByText(/at 0:40/).textContent).toContain('+100 g');
    pass(23);
    expect(screen.getByText('late 3 s')).toBeTruthy();
  });

  it('marks steps with their real times', () => {
    const { store } = startedBench();
    pass(7);
    press(' ');
    pass(35.5);
    press(' ');
    const marks = benchBrew(store)?.run.marks.map(({ atMs }) => (atMs - START.getTime()) / 1000);
    expect(marks).toEqual([0, 7, 42.5]);
    expect(screen.getByRole('row', { name: /Pour 2/ }).textContent).toContain('0:422 s late');
  });

  it('lets only agitation be left out, and takes a mark back', () => {
    const { store } = startedBench();
    press('s');
    expect(benchBrew(store)?.run.marks.at(-1)).toMatchObject({
      stepIndex: 1,
      skipped: true,
    });
    press('s');
    expect(benchBrew(store)?.run.marks).toHaveLength(2);
    press('u');
    expect(benchBrew(store)?.run.marks).toHaveLength(1);
  });

  it('starts again after the very first mark was taken back', () => {
    const { store } = startedBench();
    press('u');
    expect(screen.getByText(/Before the clock/)).toBeTruthy();
    pass(5);
    press(' ');
    expect(benchBrew(store)?.run.marks).toEqual([
      { stepIndex: 0, atMs: START.getTime() + 5000, skipped: false },
    ]);
  });

  it('does not take typing for keys', () => {
    const { store } = startedBench();
    const note = screen.getByLabelText('Note (N)');
    fireEvent.change(note, { target: { value: 'sour smell' } });
    fireEvent.keyDown(note, { key: ' ' });
    fireEvent.keyDown(note, { key: 'b' });
    fireEvent.keyDown(note, { key: 'u' });
    expect(benchBrew(store)).toMatchObject({
      note: 'sour smell',
      run: { marks: [{ stepIndex: 0 }] },
    });
  });

  it('gives the keys back from a note by Enter, and by a space that begins none', () => {
    const { store } = startedBench();
    const note = screen.getByLabelText<HTMLTextAreaElement>('Note (N)');
    press('n');
    expect(document.activeElement).toBe(note);
    fireEvent.keyDown(note, { key: ' ' });
    expect(benchBrew(store)?.run.marks).toHaveLength(2);
    expect(document.activeElement).not.toBe(note);
    press('n');
    fireEvent.change(note, { target: { value: 'foam' } });
    fireEvent.keyDown(note, { key: 'Enter', shiftKey: true });
    expect(document.activeElement).toBe(note);
    fireEvent.keyDown(note, { key: 'Enter' });
    expect(document.activeElement).not.toBe(note);
    expect(benchBrew(store)?.note).toBe('foam');
  });

  it('loses no mark to a field for figures that has the focus, and takes what was typed there', () => {
    const { store } = startedBench();
    const total = screen.getByLabelText('Bloom, scale showed');
    total.focus();
    fireEvent.change(total, { target: { value: '42' } });
    fireEvent.keyDown(total, { key: ' ' });
    expect(benchBrew(store)).toMatchObject({ steps: [{ totalG: 42 }, { totalG: null }] });
    total.focus();
    fireEvent.keyDown(total, { key: 'b' });
    expect(benchBrew(store)?.events.map(({ kind }) => kind)).toEqual(['bed-shows']);
  });

  it('is never emptied by undo: the start mark taken back leaves the brew ready on the bench', () => {
    const { store } = startedBench();
    press('u');
    press('u');
    expect(benchBrew(store)).toMatchObject({ wasStarted: true, run: { marks: [] } });
    expect(screen.getByRole('button', { name: /Start with the first pour/ })).toBeTruthy();
  });

  it('ignores a key held down', () => {
    const { store } = startedBench();
    fireEvent.keyDown(document.body, { key: ' ', repeat: true });
    expect(benchBrew(store)?.run.marks).toHaveLength(1);
  });

  it('sounds a warning and a call for each step, once, unless it is muted', () => {
    const tones = standInSound();
    startedBench();
    pass(1);
    press(' ');
    pass(30);
    tones.length = 0;
    pass(15);
    expect(tones).toEqual([520, 880]);
    press(' ');
    press('m');
    pass(40);
    expect(tones).toEqual([520, 880]);
  });
});

describe('what the bed shows', () => {
  it('is written down by a key at its moment, and taken back by another', () => {
    const { store } = startedBench();
    vi.setSystemTime(START.getTime() + 31_400);
    fireEvent.keyDown(document.body, { key: 'b' });
    expect(benchBrew(store)?.events).toEqual([{ kind: 'bed-shows', atS: 31.4 }]);
    expect(screen.getByText(/bed visible at/).textContent).toContain('0:31');
    vi.setSystemTime(START.getTime() + 38_000);
    fireEvent.keyDown(document.body, { key: 'h' });
    expect(benchBrew(store)?.events.map(({ kind }) => kind)).toEqual(['bed-shows', 'water-stands']);
    fireEvent.keyDown(document.body, { key: 'u' });
    expect(benchBrew(store)?.events).toHaveLength(1);
  });

  it('is nothing to say before the water runs', () => {
    const { store } = laidOutBench();
    fireEvent.keyDown(document.body, { key: 'b' });
    expect(benchBrew(store)?.events).toEqual([]);
    expect(screen.queryByRole('button', { name: /Bed visible/ })).toBeNull();
  });
});

describe('a choice of instrument', () => {
  it('gives the keys back when a finger made it, and keeps them for a keyboard', () => {
    laidOutBench();
    const select = screen.getByLabelText<HTMLSelectElement>('Fractions');
    select.focus();
    fireEvent.keyDown(select, { key: 'ArrowDown' });
    fireEvent.change(select, { target: { value: 1 } });
    expect(document.activeElement).toBe(select);
    fireEvent.pointerDown(select);
    fireEvent.change(select, { target: { value: 2 } });
    expect(document.activeElement).toBe(document.body);
  });
});

describe('a thermometer in the kettle', () => {
  const chooseThermometer = (words: string) => {
    const select = screen.getByLabelText<HTMLSelectElement>('Which kettle thermometer');
    const index = [...select.options].findIndex(({ text }) => text === words);
    fireEvent.change(select, { target: { value: index } });
  };
  const pass = (ms: number) =>
    act(() => {
      vi.advanceTimersByTime(ms);
    });

  it('is shown, and written down for each pour as it begins', () => {
    const { store } = laidOutBench();
    chooseThermometer('simulated thermometer');
    pass(3000);
    expect(screen.getByText('°C kettle')).toBeTruthy();
    fireEvent.keyDown(document.body, { key: ' ' });
    const [read] = benchBrew(store)?.events ?? [];
    expect(read).toMatchObject({ kind: 'kettle-read', atS: 0, isSimulated: true });
    const readC = read?.kind === 'kettle-read' ? read.kettleC : 0;
    expect(Math.abs(readC - PLAN.kettleC)).toBeLessThan(1.5);
    pass(20_000);
    expect(benchBrew(store)?.events).toHaveLength(1);
  });

  it('that has fallen silent shows no figure any more', () => {
    let send: ((event: { data: string }) => void) | undefined;
    vi.stubGlobal(
      'EventSource',
      class {
        set onmessage(listener: (event: { data: string }) => void) {
          send = listener;
        }
        close() {
          return undefined;
        }
      },
    );
    laidOutBench();
    chooseThermometer('thermometer over the network');
    act(() => send?.({ data: '{"kettleC":93.5}' }));
    expect(screen.getByText('°C kettle')).toBeTruthy();
    pass(4000);
    expect(screen.getByText('°C kettle')).toBeTruthy();
    pass(3000);
    expect(screen.queryByText('°C kettle')).toBeNull();
    expect(screen.getByText(/is silent: type what the kettle was/)).toBeTruthy();
  });

  it('writes nothing down where it has said nothing yet, or where nobody reads it', () => {
    const { store } = laidOutBench();
    chooseThermometer('simulated thermometer');
    fireEvent.keyDown(document.body, { key: ' ' });
    expect(benchBrew(store)?.events).toEqual([]);
    pass(2000);
    fireEvent.click(screen.getByRole('button', { name: 'Change' }));
    chooseThermometer('hand');
    expect(screen.queryByText('°C kettle')).toBeNull();
  });
});

describe('what is safe where', () => {
  it('is said as it is: a storage that is full is no place', async () => {
    // A brew of its own: what a server answered late about another test's is remembered by key.
    const own = '8c3f0a52-6f0b-4b7e-9f0e-2d1c5b7a9e31';
    standInServer({ [`PUT running-brews/${own}`]: problem('unavailable', 'The database does not answer.') });
    const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    startedBench({ key: own });
    expect(screen.getByText(/in this page only/).className).toContain('text-alarm');
    full.mockRestore();
    standInServer({ [`PUT running-brews/${own}`]: { body: { seq: 1 } } });
    press(' ');
    expect(await screen.findByText(/on this device/)).toBeTruthy();
  });
});

describe('the bench when it is drained', () => {
  function drain(before?: () => void, changes: Partial<LaidOutBrew> = {}) {
    const rendered = laidOutBench(changes);
    before?.();
    press(' ');
    for (const seconds of [6, 36, 34, 84]) {
      pass(seconds);
      press(' ');
    }
    return rendered;
  }

  it('says what is to be added to the beverage, where the recipe has a bypass', () => {
    const { unmount } = drain();
    expect(screen.queryByText(/hot water to the cup/)).toBeNull();
    unmount();
    localStorage.clear();
    drain(undefined, { plan: { ...PLAN, bypassG: 60 } });
    expect(screen.getByText(/hot water to the cup/).textContent).toBe('Add 60 g of hot water to the cup.');
  });

  it('stops its clock and takes no more marks', () => {
    const { store } = drain();
    expect(clock()).toBe('2:40');
    pass(60);
    press(' ');
    expect(clock()).toBe('2:40');
    expect(benchBrew(store)?.run.marks).toHaveLength(5);
  });

  it('sends what was done, with the totals that were read and no others', async () => {
    const sent = standInServer({
      [`PUT brews/by-key/${key}`]: { body: brewView({ id: 21 }) },
      [`PUT running-brews/${key}`]: { body: { seq: 1 } },
    });
    const { store } = drain(() => {
      press('p');
      press('s');
    });
    vi.useRealTimers();
    const field = screen.getByLabelText('Bloom, scale showed');
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value: '43' } });
    fireEvent.keyDown(field, { key: 'Enter' });
    // Typed and not left yet: it goes along.
    fireEvent.change(screen.getByLabelText('Note (N)'), { target: { value: 'stalled at the end' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save the brew' }));
    await expect.poll(() => benchBrew(store)).toBeUndefined();
    const body = sent.find(({ path }) => path.startsWith('brews/'))?.body as PutBrewDto;
    expect(body).toMatchObject({ recipeVersionId: 11, roastBatchId: 4 });
    expect(body.entries.find(({ kind }) => kind === 'marked')?.atMs).toBe(START.getTime());
    expect(brewSoFar(body.entries)).toMatchObject({
      events: [{ kind: 'not-prepared', atS: 0, task: 'rinse' }],
      note: 'stalled at the end',
      steps: [
        { stepIndex: 0, atS: 0, skipped: false, totalG: 43 },
        { stepIndex: 1, atS: 6, totalG: null },
        { stepIndex: 2, atS: 42, totalG: null },
        { stepIndex: 3, atS: 76, totalG: null },
        { stepIndex: 4, atS: 160, totalG: null },
      ],
    });
  });
});
