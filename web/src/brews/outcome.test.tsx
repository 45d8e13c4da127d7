import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { BrewOutcome, Expected } from '@vendu/core';
import { brewView } from '../testing/fixtures';
import { renderPart } from '../testing/renderPart';
import { departureWords } from './departureWords';
import { OutcomePanel } from './OutcomePanel';

describe('a brew beside its forecast', () => {
  const expected = (value: number, sd: number): Expected => ({
    value,
    sd,
    low: value - 1.645 * sd,
    high: value + 1.645 * sd,
  });
  const planned: BrewOutcome['planned'] = {
    drawdownS: expected(150, 8),
    tdsPercent: expected(1.31, 0.04),
    yieldPercent: expected(19.2, 0.6),
    beverageG: expected(215, 2),
    tdsYieldCorrelation: 0.9,
    drains: true,
    overflows: false,
    isRough: false,
  };
  const outcome: BrewOutcome = {
    planned,
    asDone: { ...planned, drawdownS: expected(158, 8), tdsPercent: expected(1.29, 0.04) },
    effects: [
      { departure: 'totals', by: { drawdownS: 8, tdsPercent: -0.02, yieldPercent: 0.14 } },
      { departure: 'kettle', by: { drawdownS: 0, tdsPercent: -0.01, yieldPercent: -0.1 } },
    ],
    remainder: {
      drawdownS: { missedBy: 41, isWithinBand: false },
      tdsPercent: { missedBy: 0.03, isWithinBand: true },
      yieldPercent: null,
    },
  };
  const brew = brewView({
    steps: [
      { stepIndex: 0, atS: 0, skipped: false, totalG: 41 },
      { stepIndex: 2, atS: 40, skipped: false, totalG: 152 },
    ],
    events: [
      {
        kind: 'kettle-read',
        atS: 40,
        kettleC: 90.5,
        instrument: 'Thermometer on a cable',
        isSimulated: false,
      },
    ],
  });

  it('says what was done otherwise, what that did, and what is left', () => {
    renderPart(<OutcomePanel brew={brew} outcome={outcome} />);
    const reasons = screen.getByRole('list', { name: 'What was done differently' }).textContent;
    expect(reasons).toContain('strength −0.02 %, yield +0.1 points, drained +8 s');
    expect(reasons).toMatch(/kettle .*°C: strength −0\.01 %/);
    expect(screen.getByRole('row', { name: /Strength/ }).textContent).toContain(
      '1.311.24 to 1.381.291.32+0.03 %within its band',
    );
    expect(screen.getByRole('row', { name: /Yield/ }).textContent).toContain('not measured');
    expect(screen.getByRole('row', { name: /Drained/ }).textContent).toContain('3:19+41 soutside its band');
    expect(screen.getByText(/Check grinder setting/)).toBeTruthy();
  });

  it('shows a drain as the clock did when it was marked', () => {
    const marked = { ...outcome.remainder, drawdownS: { missedBy: 41.6, isWithinBand: false } };
    renderPart(<OutcomePanel brew={brew} outcome={{ ...outcome, remainder: marked }} />);
    expect(screen.getByRole('row', { name: /Drained/ }).textContent).toContain('3:19');
    // A sum of figures that is 200 s but for rounding is 3:20.
    const whole = {
      ...outcome.remainder,
      drawdownS: { missedBy: 199.99999999999997 - 158, isWithinBand: true },
    };
    renderPart(<OutcomePanel brew={brew} outcome={{ ...outcome, remainder: whole }} />);
    expect(screen.getAllByRole('row', { name: /Drained/ })[1]?.textContent).toContain('3:20');
  });

  it('names each departure in the figures of the brew', () => {
    expect(departureWords('dose', { ...brew, doseG: 16.4 })).toBe('dose 16.4 g for 16 g');
    expect(departureWords('totals', brew)).toMatch(/^totals off by [+−0-9., –]+ g$/);
    expect(departureWords('kettle', brew)).toContain('°C');
    const swirl = { kind: 'agitated' as const, atS: 50, how: 'swirl' as const };
    expect(departureWords('agitation', { ...brew, events: [swirl] })).toContain('swirl added');
  });

  it('calls a forecast without a measured brew a rough range', () => {
    const rough = { ...outcome, planned: { ...planned, isRough: true }, effects: [] };
    renderPart(<OutcomePanel brew={brew} outcome={rough} />);
    expect(screen.getByText(/rough range for lots like it/)).toBeTruthy();
    expect(screen.queryByText('Forecast for what you poured')).toBeNull();
  });
});
