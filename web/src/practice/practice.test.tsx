import { act, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { PracticeView } from '@vendu/contract';
import { BREW_KIT } from '../testing/fixtures';
import { renderPart, standInServer } from '../testing/renderPart';
import { PracticePage } from './PracticePage';

const RUN: PracticeView = {
  id: 1,
  exercise: 'hold-flow',
  by: 'Tamsin',
  isOwn: true,
  at: '2026-11-23T09:00:00Z',
  score: {
    points: { flow: 81, timing: 92, totals: 64, steadiness: 77 },
    misses: { flowGps: 1.1, lateS: 0.4, overG: 4.2, sway: 0.11 },
    missedPours: 0,
  },
};

beforeEach(() => {
  vi.useFakeTimers({
    toFake: ['setInterval', 'clearInterval', 'Date'],
    now: new Date('2026-11-23T10:00:00Z'),
  });
});
afterEach(() => {
  vi.useRealTimers();
});

function pass(seconds: number) {
  for (let step = 0; step < seconds * 4; step++) {
    act(() => {
      vi.advanceTimersByTime(250);
    });
  }
}

const KIT = {
  house: { roomC: 21, elevationM: 0 },
  brewers: [{ id: 1, name: 'Cone', geometry: BREW_KIT.brewer, paperResistancePerM: BREW_KIT.paperPerM }],
  papers: [],
};

describe('practice', () => {
  it('shows what stands in the brewer that is poured into', async () => {
    standInServer({ 'GET practice': { body: [] }, 'GET kit': { body: KIT } });
    renderPart(<PracticePage />);
    await vi.waitFor(() => screen.getByText('the bed is dry'));
    fireEvent.keyDown(document.body, { key: ' ' });
    pass(10);
    const words = screen.getByText(/water stands \d+ mm over the bed/).textContent;
    expect(Number(words.match(/(\d+) mm/)?.[1])).toBeGreaterThan(5);
    fireEvent.keyUp(document.body, { key: ' ' });
  });

  it('pours while Space is held, ends by itself, and sends what the scale saw', async () => {
    const sent: { path: string; body: unknown }[] = standInServer({ 'GET practice': { body: [] } });
    const { container } = renderPart(<PracticePage />);
    expect(screen.getByText(/100 g in ten seconds/)).toBeTruthy();
    fireEvent.keyDown(document.body, { key: ' ' });
    pass(4);
    expect(container.textContent).toContain('pouring');
    fireEvent.keyUp(document.body, { key: ' ' });
    pass(12);
    const run = await vi.waitFor(() => {
      const found = sent.find(({ path }) => path.startsWith('practice/'));
      if (!found) throw new Error('nothing sent yet');
      return found.body as { exercise: string; trace: { atMs: number[]; massG: number[] } };
    });
    expect(run.exercise).toBe('hold-flow');
    expect(run.trace.atMs.length).toBeGreaterThan(100);
    // Four seconds of a key held, from nothing: the flow grows until the spout gives no more.
    expect(run.trace.massG.at(-1)).toBeGreaterThan(30);
    expect(run.trace.massG.at(-1)).toBeLessThan(60);
  });

  it('lets a pointer pull the flow, and a kettle let go stands up', () => {
    standInServer({ 'GET practice': { body: [] } });
    const { container } = renderPart(<PracticePage />);
    const field = screen.getByText(/press here and pull down/);
    field.setPointerCapture = () => undefined;
    fireEvent.pointerDown(field, { clientY: 100, pointerId: 1 });
    fireEvent.pointerMove(field, { clientY: 190, pointerId: 1 });
    pass(3);
    expect(container.textContent).toMatch(/6\.1 g\/s/);
    fireEvent.pointerUp(field, { pointerId: 1 });
    pass(1);
    expect(container.textContent).toMatch(/0\.0 g\/s/);
  });

  it('shows the latest runs of the lab with their points', async () => {
    standInServer({ 'GET practice': { body: [RUN] } });
    renderPart(<PracticePage />);
    const row = await vi.waitFor(() => screen.getByRole('row', { name: /Tamsin/ }));
    expect(row.textContent).toContain('81926477');
  });
});
