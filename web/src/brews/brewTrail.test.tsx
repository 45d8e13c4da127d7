import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { brewResult } from '@vendu/core';
import type { ChangeView } from '@vendu/contract';
import { brewItem, PLAN } from '../testing/fixtures';
import { renderPart, standInServer } from '../testing/renderPart';
import { BrewTrail } from './BrewTrail';

describe('the trail of brews', () => {
  it('is newest first and shows only what changed between neighbours', () => {
    const first = brewItem();
    const second = brewItem({ id: 22, number: 2, plan: { ...PLAN, kettleC: 96 } });
    const third = brewItem({ id: 23, number: 3, plan: { ...PLAN, kettleC: 96 }, verdict: 'on-aim' });
    standInServer({ 'GET lots/3/changes': { body: [] } });
    renderPart(<BrewTrail brews={[first, second, third]} lotId={3} />);
    const rows = screen
      .getAllByRole('row')
      .slice(1)
      .map(({ textContent }) => textContent);
    expect(rows[0]).toContain('Brew 3');
    expect(rows[0]).toContain('nothing, a repeat');
    expect(rows[0]).toContain('On aim');
    expect(rows[1]).toContain('kettle 94 °C → 96 °C');
    expect(rows[1]).not.toContain('grind');
    expect(rows[2]).toContain('first brew');
    expect(rows[2]).toContain('2:38');
  });

  it('of a long lot shows the newest brews, and the earlier ones with their grams when asked', async () => {
    const brews = Array.from({ length: 60 }, (_, index) => brewItem({ id: 100 + index, number: index + 1 }));
    standInServer({ 'GET lots/3/changes': { body: [] } });
    renderPart(<BrewTrail brews={brews} lotId={3} />);
    const numbers = () => screen.getAllByRole('link').map(({ textContent }) => textContent);
    expect(numbers()).toHaveLength(20);
    expect(numbers()[0]).toBe('Brew 60');
    await userEvent.click(screen.getByRole('button', { name: '40 earlier brews, 640 g' }));
    expect(numbers()).toHaveLength(60);
    expect(numbers().at(-1)).toBe('Brew 1');
    expect(screen.queryByRole('button', { name: /earlier brews/ })).toBeNull();
  });

  it('marks an assumed yield as such, with its band', () => {
    const result = brewResult({ doseG: 16, waterG: 250, beverageG: null, readingsPercent: [1.4] });
    standInServer({ 'GET lots/3/changes': { body: [] } });
    renderPart(<BrewTrail brews={[brewItem({ beverageG: null, result })]} lotId={3} />);
    // Computed: 1.40 x (250 - 2.3 x 16) / 16 and 1.40 x (250 - 1.2 x 16) / 16.
    expect(screen.getByText(/18\.7–20\.2/)).toBeTruthy();
    expect(screen.getByText('assumed')).toBeTruthy();
  });
});

describe('what a change did', () => {
  it('stands in the trail between its brews: figures and hopes, each as expected or not, and what was moved at once', async () => {
    const figure = { expectedBy: -0.1, didBy: -0.09, asExpected: true, toldApart: true };
    const change: ChangeView = {
      recipeId: 7,
      recipeVersionId: 12,
      versionNumber: 2,
      by: 'Joss',
      expectation: {
        source: { kind: 'own' },
        figures: null,
        hopes: [
          { kind: 'gone', finding: 'dry' },
          { kind: 'brings', word: 'florals' },
          { kind: 'more', attribute: 'sweetness' },
        ],
      },
      seen: {
        beforeBrewId: 21,
        afterBrewId: 22,
        isSealed: false,
        what: {
          figures: {
            tdsPercent: figure,
            drawdownS: { expectedBy: 12, didBy: 2, asExpected: false, toldApart: false },
          },
          hopes: ['missed', 'came', 'not-told'],
          moved: ['grind', 'kettle'],
        },
      },
    };
    standInServer({ 'GET lots/3/changes': { body: [change] } });
    renderPart(<BrewTrail brews={[brewItem(), brewItem({ id: 22, number: 2 })]} lotId={3} />);
    const list = await screen.findByRole('list', { name: 'What the change to version 2 did' });
    const [strength, drain, dry, florals, sweetness, alike, moved] = within(list)
      .getAllByRole('listitem')
      .map((item) => `${within(item).queryByRole('img')?.getAttribute('aria-label')}: ${item.textContent}`);
    expect(strength).toMatch(/^as expected: .*strength −0\.09, was to do −0\.10$/);
    expect(drain).toMatch(/^not as expected: .*drain time \+2 s, was to do \+12 s$/);
    expect(dry).toMatch(/^not as expected: .*no longer dry, hoped for$/);
    expect(florals).toMatch(/^as expected: .*“florals” in the notes$/);
    expect(sweetness).toMatch(/^open: .*more sweetness: nobody scored both at one stage$/);
    expect(alike).toContain('Not told apart from the brew before: drain time');
    expect(moved).toContain('grind and kettle moved at once');
    expect(within(list).getAllByRole('listitem')).toHaveLength(7);
  });
});
