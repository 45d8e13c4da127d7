import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { CLASSIC_WINDOW, ratioForAim, startingRecipe } from '@vendu/core';
import { ReasonList } from './ReasonList';

const { reasons } = startingRecipe({
  process: 'anaerobic',
  elevation: { fromM: 1000, toM: 1100 },
  roastLevel: 'medium',
  roastAgeDays: 9,
  brewer: { shape: 'cone', usualDoseG: 16 },
  labElevationM: 0,
});

describe('the reasons of a starting recipe', () => {
  it('show the sign that spoke, and the one that was overruled beside it', () => {
    render(<ReasonList reasons={reasons} />);
    const kettle = screen.getByText('Kettle').closest('li')!;
    expect(kettle.textContent).toContain('low elevation: softer bean');
    expect(kettle.textContent).toContain('overruled: low elevation');
    expect(within(kettle).getByText('95 °C')).toBeTruthy();
  });

  it('open to the way from the house recipe, and say that it is no measurement', async () => {
    render(<ReasonList reasons={reasons} />);
    await userEvent.click(screen.getByRole('button', { name: 'Where kettle comes from' }));
    const trail = screen.getByRole('dialog', { name: 'Where kettle comes from' });
    expect(
      within(trail)
        .getAllByRole('row')
        .map(({ textContent }) => textContent),
    ).toEqual([
      'house recipe94 °C',
      expect.stringContaining('+1') as string,
      expect.stringContaining('−3') as string,
      'proposed95 °C',
    ]);
    expect(trail.textContent).toContain('not measurements');
  });

  it('begin the ratio at what the aim asks for, and leave a drain time that nobody set to the grind', () => {
    const { reasons: aimed } = startingRecipe(
      {
        process: 'natural',
        elevation: null,
        roastLevel: null,
        roastAgeDays: 9,
        brewer: { shape: 'cone', usualDoseG: 16 },
        labElevationM: 0,
      },
      { forAim: ratioForAim(CLASSIC_WINDOW, 1.9) },
    );
    const grindFit = {
      wantedUm: 720,
      grindUm: 700,
      drawdownS: 184,
      yieldPercent: 20.1,
      targetDrawdownS: null,
      targetYieldPercent: 20,
      atGrindersEnd: false,
    };
    render(<ReasonList reasons={{ ...aimed, grindFit }} />);
    const ratio = screen.getByText('Ratio').closest('li');
    expect(ratio?.textContent).toContain('The aim asks for 1:17.9: 20.0 % yield at 1.25 % strength');
    expect(ratio?.textContent).toContain('−0.5');
    expect(screen.getByText('Grind').closest('li')?.textContent).toContain(
      '20.1 % in 3:04, target 20.0\u00a0%.',
    );
    expect(screen.queryByText('Drain time')).toBeNull();
  });

  it('say so where no sign speaks', () => {
    render(<ReasonList reasons={reasons} />);
    expect(screen.getByText('Bloom').closest('li')?.textContent).toContain('as in the house recipe');
  });
});
