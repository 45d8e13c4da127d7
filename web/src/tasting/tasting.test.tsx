import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { NOT_SCORED } from '@vendu/core';
import { cupView, tastingView } from '../testing/fixtures';
import { problem, renderPart, standInServer } from '../testing/renderPart';
import { BeforeFirstSip } from './BeforeFirstSip';
import { CaffeineToday } from './CaffeineToday';
import { SheetForm } from './SheetForm';
import { SheetsTogether } from './SheetsTogether';

const ALL = '11'.repeat(7) + '9';

describe('a sheet at the cup', () => {
  it('is filled and sent by keys alone: two digits an attribute, a word, Enter', async () => {
    const sent = standInServer({ 'PUT brews/21/tastings/warm': { body: cupView() } });
    renderPart(<SheetForm cup={cupView()} stage="warm" personId={2} />);
    await userEvent.keyboard('67' + '58' + '45' + '26' + '37' + '77' + '68' + '7');
    await userEvent.keyboard('black{ArrowDown}{ArrowDown}{ArrowDown}{Enter}');
    await userEvent.keyboard('odd word{Enter}{Enter}{Enter}');
    await expect
      .poll(() => sent.find(({ method }) => method === 'PUT'))
      .toMatchObject({
        path: 'brews/21/tastings/warm',
        body: {
          intensities: {
            acidity: 6,
            sweetness: 5,
            body: 4,
            bitterness: 2,
            dryness: 3,
            clarity: 7,
            aftertaste: 6,
          },
          likings: {
            acidity: 7,
            sweetness: 8,
            body: 5,
            bitterness: 6,
            dryness: 7,
            clarity: 7,
            aftertaste: 8,
          },
          overall: 7,
          notes: 'black tea, odd word',
        },
      });
  });

  it('goes back by an arrow, skips by Space, and sends nothing while it says nothing', async () => {
    standInServer({});
    renderPart(<SheetForm cup={cupView()} stage="hot" personId={2} />);
    const send = screen.getByRole('button', { name: 'Send this sheet' });
    expect(send).toHaveProperty('disabled', true);
    await userEvent.keyboard(' 7{ArrowLeft}{Backspace}');
    expect(screen.getByRole('spinbutton', { name: 'Acidity, liked' }).textContent).toBe('–');
    await userEvent.keyboard('8');
    expect(screen.getByRole('spinbutton', { name: 'Acidity, liked' }).textContent).toBe('8');
    expect(send).toHaveProperty('disabled', false);
  });

  it('takes digits by thumb as well', async () => {
    standInServer({});
    renderPart(<SheetForm cup={cupView()} stage="warm" personId={2} />);
    const pad = within(screen.getByRole('group', { name: 'Digits' }));
    await userEvent.click(pad.getByRole('button', { name: '10' }));
    expect(pad.queryByRole('button', { name: '10' })).toBeNull();
    await userEvent.click(pad.getByRole('button', { name: '9' }));
    expect(screen.getByRole('spinbutton', { name: 'Acidity, how much' }).textContent).toBe('10');
    expect(screen.getByRole('spinbutton', { name: 'Acidity, liked' }).textContent).toBe('9');
    expect(pad.getByText('Sweetness, how much')).toBeTruthy();
  });

  it('stays on this device when it is refused, and says why', async () => {
    standInServer({ 'PUT brews/21/tastings/cool': problem('invalid-input', 'Not like this.') });
    const { unmount } = renderPart(<SheetForm cup={cupView()} stage="cool" personId={2} />);
    await userEvent.type(screen.getByLabelText('Aroma of the emptied cup'), 'toffee');
    await userEvent.click(screen.getByRole('button', { name: 'Send this sheet' }));
    expect(await screen.findByText('Not like this.')).toBeTruthy();
    unmount();
    renderPart(<SheetForm cup={cupView()} stage="cool" personId={2} />);
    expect(screen.getByLabelText('Aroma of the emptied cup')).toHaveProperty('value', 'toffee');
  });

  it('begins with the vessel of the stage before, and asks for each aroma at its moment', () => {
    standInServer({});
    const before = tastingView({
      stage: 'hot',
      personId: 2,
      vessel: 'wine-glass',
      isSpat: true,
      notes: 'fig',
    });
    renderPart(<SheetForm cup={cupView({ tastings: [before] })} stage="warm" personId={2} />);
    expect(screen.getByRole('radio', { name: 'wine glass' }).getAttribute('aria-checked')).toBe('true');
    expect(screen.getByRole('radio', { name: 'spat' }).getAttribute('aria-checked')).toBe('true');
    expect(screen.queryByLabelText(/Aroma/)).toBeNull();
  });

  it('ends in the notes once every figure is in', async () => {
    standInServer({});
    renderPart(<SheetForm cup={cupView()} stage="warm" personId={2} />);
    await userEvent.keyboard(ALL);
    expect(document.activeElement).toBe(screen.getByRole('combobox', { name: 'What it tastes of' }));
  });
});

describe('the sheets of a brew', () => {
  it('of others wait for one’s own, and show themselves to whoever will not taste it', async () => {
    const sent = standInServer({ 'PUT brews/21/look': { body: cupView() } });
    renderPart(<SheetsTogether cup={cupView({ sealedSheets: { hot: 2, cool: 1 } })} personId={2} />);
    expect(screen.getByText(/Sheets of others/).textContent).toContain('2 hot and 1 cool');
    await userEvent.click(screen.getByRole('button', { name: /I will not taste it/ }));
    await expect
      .poll(() => sent.map(({ method, path }) => `${method} ${path}`))
      .toContain('PUT brews/21/look');
  });

  it('are laid beside the label, each other, and what is known of their tasters', async () => {
    const habit = { attribute: 'dryness', byPoints: 1.04, withinPoints: 0.4, brews: 9, isHabit: true };
    standInServer({
      'GET tasters': { body: [{ personId: 9, name: 'Joss Pellwater', sheets: 20, habits: [habit] }] },
    });
    const sheets = [
      tastingView({ notes: 'currant', intensities: { ...NOT_SCORED, dryness: 7 }, faults: ['dry'] }),
      tastingView({ personId: 2, by: 'Tamsin', intensities: { ...NOT_SCORED, dryness: 3 } }),
      tastingView({
        personId: 3,
        by: 'Ilse',
        isAfterOthers: true,
        intensities: { ...NOT_SCORED, dryness: 7 },
      }),
    ];
    renderPart(<SheetsTogether cup={cupView({ tastings: sheets })} personId={2} />);
    expect(screen.getByRole('region', { name: 'Label in the cup' }).textContent).toMatch(
      /1 of \d.*currantfoundJoss hot/,
    );
    const agreement = screen.getByRole('region', { name: 'Agreement' });
    // Whoever had seen the others agrees for nothing.
    expect(agreement.textContent).toContain(
      '2 tasters: within two points on 0 of 1; apart on dryness 3 to 7',
    );
    expect(await within(agreement).findByText(/Joss reads dryness 1\.0 higher/)).toBeTruthy();
    expect(screen.getByRole('region', { name: 'Hot sheets' }).textContent).toContain(
      'sent after seeing others',
    );
    expect(screen.getByRole('img', { name: /dryness 7 hot/ })).toBeTruthy();
  });
});

describe('cautions of tasting', () => {
  it('name what was added before the first sip, and nothing where nothing was', () => {
    const { container, rerender } = renderPart(<BeforeFirstSip additions="mango" process="natural" />);
    expect(container.textContent).toMatch(/with mango.*allergens.*alcohol/);
    rerender(<BeforeFirstSip additions="" process="natural" />);
    expect(container.textContent).toBe('');
  });

  it('count caffeine as reckoned, and say when it is much', async () => {
    standInServer({ 'GET tasters/me/caffeine': { body: { mg: 412, lastHourMg: 40, sheets: 18 } } });
    renderPart(<CaffeineToday />);
    const caffeine = await screen.findByRole('region', { name: 'Caffeine' });
    expect(caffeine.textContent).toMatch(/about 410 mg.*18 sheets.*That is much/);
  });
});
