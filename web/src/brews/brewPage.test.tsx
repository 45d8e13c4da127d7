import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { brewView } from '../testing/fixtures';
import { renderPart, standInServer } from '../testing/renderPart';
import { BrewParts } from './BrewParts';
import { partDue, partsOf } from './brewPart';

const cupChanged = { kind: 'cup-changed' as const, atS: 30, massG: null };
const tasted = {
  stage: 'hot' as const,
  by: 'Somebody',
  personId: 7,
  notes: 'lime',
  intensities: brewView().tastings[0]?.intensities ?? {
    acidity: null,
    sweetness: null,
    body: null,
    bitterness: null,
    dryness: null,
    clarity: null,
    aftertaste: null,
  },
};

describe('the parts of a brew', () => {
  it.each([
    ['measure', 'while nothing was read', brewView({ readings: [] })],
    ['measure', 'while the beverage was not weighed', brewView({ beverageG: null })],
    ['taste', 'while nobody tasted it', brewView({ tastings: [], verdict: null })],
    ['taste', 'while there is no verdict', brewView({ tastings: [tasted], verdict: null })],
    [
      'cups',
      'where it was split and no cup is filled in',
      brewView({ tastings: [tasted], verdict: 'on-aim', events: [cupChanged] }),
    ],
    ['record', 'once all is entered', brewView({ tastings: [tasted], verdict: 'on-aim' })],
  ])('open with %s %s', (part, _, brew) => {
    expect(partDue(brew)).toBe(part);
  });

  it('have cups only where the brew was split', () => {
    expect(partsOf(brewView())).not.toContain('cups');
    expect(partsOf(brewView({ events: [cupChanged] }))).toContain('cups');
  });

  it('follow one another by their keys, keep what was typed, and stay put while entries come in', async () => {
    const sent = standInServer({ 'PUT brews/21/tastings/hot': { body: brewView() } });
    renderPart(<BrewParts brew={brewView({ readings: [], tastings: [], verdict: null })} />);
    expect(screen.getByRole('tab', { selected: true }).textContent).toContain('Measure');
    await userEvent.keyboard('t');
    const [hot] = screen.getAllByLabelText('What it tastes of');
    await userEvent.type(hot!, 'mint tea{Escape}');
    await userEvent.keyboard('r');
    expect(screen.getByRole('tab', { selected: true }).textContent).toContain('Record');
    await expect
      .poll(() => sent.find(({ method }) => method === 'PUT')?.body)
      .toMatchObject({ notes: 'mint tea' });
  });

  it('save a score that was being set when a key turned the page', async () => {
    const sent = standInServer({ 'PUT brews/21/tastings/hot': { body: brewView() } });
    renderPart(<BrewParts brew={brewView({ tastings: [], verdict: null })} />);
    const [acidity] = screen.getAllByRole('slider', { name: 'Acidity' });
    acidity!.focus();
    await userEvent.keyboard('7');
    await userEvent.keyboard('m');
    await expect
      .poll(() => sent.find(({ method }) => method === 'PUT')?.body)
      .toMatchObject({ intensities: { acidity: 7 } });
  });
});
