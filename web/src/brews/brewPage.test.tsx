import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import { brewView, tastingView } from '../testing/fixtures';
import { renderPart, standInServer } from '../testing/renderPart';
import { BrewParts } from './BrewParts';
import { partDue, partsOf } from './brewPart';

const cupChanged = { kind: 'cup-changed' as const, atS: 30, massG: null };
const tasted = tastingView({ notes: 'lime' });

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
    const sent = standInServer({ 'PUT brews/21/verdict': { body: brewView() } });
    renderPart(<BrewParts brew={brewView({ readings: [], tastings: [], verdict: 'close' })} />);
    expect(screen.getByRole('tab', { selected: true }).textContent).toContain('Measure');
    await userEvent.keyboard('t');
    await userEvent.type(screen.getByLabelText('Why'), 'mint tea{Escape}');
    await userEvent.keyboard('r');
    expect(screen.getByRole('tab', { selected: true }).textContent).toContain('Record');
    await expect
      .poll(() => sent.find(({ method }) => method === 'PUT')?.body)
      .toMatchObject({ verdict: 'close', reason: 'mint tea' });
  });

  it('lead from the tastings to the cup by the same key', async () => {
    standInServer({});
    renderPart(
      <Routes>
        <Route path="/brews/21" element={<BrewParts brew={brewView()} />} />
        <Route path="/brews/21/taste" element={<p>at the cup</p>} />
      </Routes>,
      '/brews/21#record',
    );
    await userEvent.keyboard('t');
    expect(screen.getByRole('tab', { selected: true }).textContent).toContain('Taste');
    await userEvent.keyboard('t');
    expect(screen.getByText('at the cup')).toBeTruthy();
  });
});
