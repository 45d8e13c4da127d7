import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { brewView } from '../testing/fixtures';
import { problem, renderPart, standInServer } from '../testing/renderPart';
import { BrewRecord } from './BrewRecord';
import { Cups, isSplit } from './Cups';
import { CupsTogether } from './CupsTogether';
import { DoneSteps } from './DoneSteps';
import { WeighForm } from './WeighForm';

const cupChanged = (atS: number) => ({
  kind: 'cup-changed' as const,
  atS,
  massG: null,
});

describe('the cups of a split brew', () => {
  const split = brewView({ events: [cupChanged(30), cupChanged(75)] });

  it('begin as the stretches between the marks of the bench', async () => {
    const sent = standInServer({ 'PUT brews/21/fractions': { body: split } });
    renderPart(<Cups brew={split} />);
    await userEvent.type(screen.getByLabelText('Cup 1, mass'), '41{Enter}');
    await userEvent.selectOptions(screen.getByLabelText('Cup 2, haze'), 'hazy');
    await userEvent.click(screen.getByLabelText('Cup 2 is wanted'));
    await expect
      .poll(() => sent.findLast(({ method }) => method === 'PUT')?.body)
      .toMatchObject({
        fractions: [
          { startS: 0, endS: 30, beverageG: 41, haze: null, isWanted: null },
          { startS: 30, endS: 75, haze: 'hazy', isWanted: true },
          { startS: 75, endS: 158.7 },
        ],
      });
  });

  it('keep what was typed when the server refuses a cup, and say which', async () => {
    standInServer({
      'PUT brews/21/fractions': problem('invalid-input', 'x', [
        {
          field: 'fractions.1.startS',
          message: 'Cup 2 cannot begin before the one before it was taken away.',
        },
      ]),
    });
    renderPart(<Cups brew={split} />);
    await userEvent.type(screen.getByLabelText('Cup 3, notes'), 'tea-like');
    await userEvent.tab();
    expect(await screen.findByText(/Cup 2 cannot begin/)).toBeTruthy();
    expect(screen.getByLabelText('Cup 3, notes')).toHaveProperty('value', 'tea-like');
    expect(localStorage.getItem('vendu.draft.brew.21.cups')).toContain('tea-like');
  });

  it('say what they make together, and what the forecasts learn from them', () => {
    const cups = [
      { endS: 30, beverageG: 40, tdsPercent: 3 },
      { endS: 75, beverageG: 60, tdsPercent: 1 },
      { endS: 158, beverageG: 100, tdsPercent: null },
    ];
    const { rerender } = render(<CupsTogether cups={cups} isRead={false} />);
    // By hand: (40 x 3 + 60 x 1) / 100.
    expect(screen.getByText(/The cups up to 1:15/).textContent).toContain('1.80 %');
    expect(screen.getByText(/as from a brewer lifted off at 1:15/)).toBeTruthy();
    rerender(<CupsTogether cups={cups.map((cup) => ({ ...cup, tdsPercent: 1 }))} isRead={false} />);
    expect(screen.getByText(/All cups/).textContent).toContain('as from one cup');
    rerender(<CupsTogether cups={cups} isRead />);
    expect(screen.getByText(/the mixed cup, which was read too/)).toBeTruthy();
    rerender(<CupsTogether cups={cups.slice(2)} isRead={false} />);
    expect(screen.queryByText(/forecasts learn/)).toBeNull();
  });

  it('are asked for only where a brew was split', () => {
    expect(isSplit(brewView())).toBe(false);
    expect(isSplit(split)).toBe(true);
  });
});

describe('what was weighed', () => {
  it('lists its own corrections and none of the marks', () => {
    standInServer({});
    const at = '2026-11-21T09:30:00Z';
    renderPart(
      <WeighForm
        brew={brewView({
          corrections: [
            { field: 'step.0.atS', fromValue: 1.5, toValue: 2, by: 'Joss', at },
            { field: 'doseG', fromValue: 16, toValue: 16.2, by: 'Tamsin', at },
          ],
        })}
      />,
    );
    expect(screen.getAllByText(/first written/)).toHaveLength(1);
    expect(screen.getByText(/first written/).textContent).toContain('Dose first written 16 g');
  });
});

describe('what was marked', () => {
  it('is mended in place, and what was first marked stands beside it', async () => {
    const mended = brewView({
      corrections: [
        { field: 'step.0.totalG', fromValue: 48, toValue: 41, by: 'Tamsin', at: '2026-11-21T09:30:00Z' },
      ],
    });
    const sent = standInServer({ 'PATCH brews/21/steps/0': { body: mended } });
    renderPart(<DoneSteps brew={mended} />);
    expect(screen.getByRole('row', { name: /Bloom/ }).textContent).toContain('48 g');
    const field = screen.getByLabelText('Bloom was at');
    await userEvent.clear(field);
    await userEvent.type(field, '0:02{Enter}');
    // A bench of another test may still be telling the server of its brew.
    const mending = () => sent.find(({ method }) => method === 'PATCH')?.body;
    await expect.poll(mending).toEqual({ revision: 2, atS: 2, totalG: 41 });
  });

  it('shows a time as the clock did, not the second after it', () => {
    const brew = brewView({ steps: [{ stepIndex: 0, atS: 0.9, skipped: false, totalG: 41 }] });
    renderPart(<DoneSteps brew={brew} />);
    expect(screen.getByLabelText('Bloom was at')).toHaveProperty('value', '0:00');
  });

  it('comes off the scale where there was one, with the kit and what else happened', async () => {
    standInServer({ 'GET brews/21/trace': { body: { trace: { atMs: [0, 100, 200], massG: [0, 1, 2] } } } });
    renderPart(
      <BrewRecord
        brew={brewView({
          hasTrace: true,
          events: [cupChanged(30)],
          kit: {
            brewer: 'Cone',
            paper: 'white',
            grinder: 'Grinder',
            grinderSetting: 5,
            water: null,
            kettle: null,
            scale: 'Left scale',
          },
        })}
      />,
    );
    expect(await screen.findByText(/3 readings of the scale/)).toBeTruthy();
    expect(screen.getByText(/white paper, Grinder at 5, Left scale/)).toBeTruthy();
    expect(screen.getByText(/cup changed/)).toBeTruthy();
  });
});
