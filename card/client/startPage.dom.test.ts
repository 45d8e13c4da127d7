import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { PublicPageView } from '@vendu/contract';
import { renderCardPage } from '../src/page/renderPage.js';
import { CARD, PLAN, view } from '../testing/cards.js';
import { startPage } from './startPage.js';

/** The page as the server sends it, and its program started on it, as after a load. */
function open(shown: PublicPageView = view()): void {
  const html = renderCardPage(shown, {
    address: 'https://lab.example/r/ridge-cone',
    assets: { scripts: [], styles: [], fonts: [] },
    qrSvgPath: '/r/ridge-cone/qr.svg',
  });
  const page = new DOMParser().parseFromString(html, 'text/html');
  document.head.innerHTML = page.head.innerHTML;
  document.body.innerHTML = page.body.innerHTML;
  startPage();
}

beforeEach(() => {
  localStorage.clear();
  vi.useFakeTimers({ now: new Date('2026-11-23T10:00:00Z') });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
  document.head.replaceChildren();
  document.body.replaceChildren();
});

const pass = (seconds: number) => vi.advanceTimersByTime(seconds * 1000);
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const currentStep = () => document.querySelector('[aria-current=step]')?.textContent;
const clock = () => screen.getByRole('timer').textContent;

describe('the guided clock of a card', () => {
  it('walks along with the steps and counts down to the next', () => {
    open();
    expect(currentStep()).toBeUndefined();
    press('Start with the first pour');
    expect(currentStep()).toContain('Bloom');
    pass(30);
    expect(currentStep()).toContain('Swirl');
    // The next step is said beside the clock too, for a hand that has scrolled away.
    expect(screen.getByRole('timer').parentElement?.textContent).toContain('in 10 s: Pour 100 g in 13 s');
    pass(60);
    expect(currentStep()).toContain('to 250 g');
    expect(clock()).toBe('1:30');
  });

  it('waits for what has to be seen, and moves what comes after', () => {
    const pours = PLAN.pours.map((pour, index) =>
      index === 1 ? { ...pour, startsWhen: 'through' as const } : pour,
    );
    open(view({ ...CARD, plan: { ...PLAN, pours } }));
    press('Start with the first pour');
    pass(2);
    expect(screen.queryByRole('button', { name: 'It is: pour now' })).toBeNull();
    // Nothing is counted down to, and nothing goes on by itself.
    pass(58);
    expect(screen.getByText(/^waits:/).textContent).toContain('When all of it is through, pour 100 g');
    expect(currentStep()).toContain('Swirl');
    press('It is: pour now');
    expect(currentStep()).toContain('pour 100 g');
    // Twenty seconds later than expected: so is what comes after.
    pass(30);
    expect(screen.getByRole('timer').parentElement?.textContent).toContain('in 5 s: Pour 110 g');
  });

  it('goes on through a reload of the page, and back to zero on request', () => {
    open();
    press('Start with the first pour');
    vi.setSystemTime(new Date('2026-11-23T10:00:50Z'));
    open();
    expect(clock()).toBe('0:50');
    press('Back to zero');
    expect(clock()).toBe('0:00');
  });

  it('forgets a clock that was left running, and keeps one recipe’s clock out of another’s', () => {
    open();
    press('Start with the first pour');
    open(view({ ...CARD, slug: 'slope-cone' }));
    expect(clock()).toBe('0:00');
    vi.setSystemTime(new Date('2026-11-24T10:00:00Z'));
    open();
    expect(clock()).toBe('0:00');
    expect(screen.getByRole('button', { name: 'Start with the first pour' }).hidden).toBe(false);
  });

  it('reads a step aloud where somebody wants it', () => {
    const spoken: string[] = [];
    vi.stubGlobal('speechSynthesis', { speak: ({ text }: { text: string }) => spoken.push(text) });
    vi.stubGlobal(
      'SpeechSynthesisUtterance',
      class {
        constructor(readonly text: string) {}
      },
    );
    open();
    fireEvent.click(screen.getByLabelText('Read aloud'));
    press('Start with the first pour');
    pass(6);
    expect(spoken).toEqual(['Bloom: wet all grounds with 40 g in 5 s.', 'Swirl the brewer gently.']);
  });
});

describe('a dose of one’s own', () => {
  const dose = (text: string) =>
    fireEvent.change(screen.getByLabelText('Your dose, g'), { target: { value: text } });
  const note = () => document.getElementById('own-dose-note')?.textContent;

  it('moves figures and steps, is kept, and says from where on it is not proven', () => {
    open();
    dose('17');
    expect(document.querySelector('[data-figure=water]')?.textContent).toBe('266');
    expect(note()).toBe('');
    dose('24');
    expect(screen.getByText('Bloom: wet all grounds with 60 g in 5 s.')).toBeTruthy();
    expect(note()).toBe('Scaled from 16 g and not proven there: a deeper bed drains slower.');
    expect(document.querySelector('[data-pours] tbody tr:last-child')?.textContent).toBe(
      'Pour 31:15165 g375 g',
    );
    open();
    expect(screen.getByLabelText('Your dose, g')).toHaveProperty('value', '24');
    expect(document.querySelector('[data-figure=dose]')?.textContent).toBe('24');
  });

  it('is worked out by the model where somebody asks', async () => {
    vi.useRealTimers();
    open();
    dose('24');
    press('Work out its grind');
    await waitFor(() =>
      expect(note()).toMatch(/^Grind \d+ µm coarser, by the model; it drains at about [2-5]:\d\d\.$/),
    );
  });

  it.each(['0', '200', 'two spoons', ''])('of %j is answered with what can be', (text) => {
    open();
    dose(text);
    expect(note()).toMatch(/5 to 60 g|not a mass|such as/i);
    expect(document.querySelector('[data-figure=dose]')?.textContent).toBe('16');
    expect(screen.getByLabelText('Your dose, g').getAttribute('aria-invalid')).toBe('true');
  });
});

describe('a kitchen of one’s own', () => {
  const kettle = () => document.querySelector('[data-figure=kettle]')?.parentElement;
  const lies = (text: string) =>
    fireEvent.change(screen.getByLabelText('Your kitchen lies at, m'), { target: { value: text } });
  const told = () => document.getElementById('own-elevation-note')?.textContent;

  it('reads the kettle in its own scale, on every card', () => {
    open();
    expect(kettle()?.textContent).toBe('94°C');
    fireEvent.change(screen.getByLabelText('Your kettle shows'), { target: { value: '°F' } });
    expect(kettle()?.textContent).toBe('201°F');
    expect(kettle()?.nextElementSibling?.textContent).toMatch(/^94 °C; above/);
    open(view({ ...CARD, slug: 'slope-cone' }));
    expect(kettle()?.textContent).toBe('201°F');
    fireEvent.change(screen.getByLabelText('Your kettle shows'), { target: { value: '°C' } });
    expect(kettle()?.nextElementSibling?.textContent).toMatch(/^201 °F; above/);
  });

  it('on a hill is told what its kettle can do; by the sea nothing; and a height that is none is named', () => {
    open();
    lies('2600');
    expect(told()).toMatch(/^Water boils at 91\.\d °C .* straight off the boil/);
    lies('40');
    expect(told()).toBe('');
    lies('very high');
    expect(told()).toContain('-400 to 5000');
    open();
    expect(screen.getByLabelText('Your kitchen lies at, m')).toHaveProperty('value', '40');
  });
});

describe('a brew at home', () => {
  beforeEach(() => vi.useRealTimers());
  const fill = (label: string, value: string) =>
    fireEvent.change(screen.getByLabelText(label), { target: { value } });
  const fit = () => within(screen.getByRole('region', { name: 'How was yours' }));

  it('is answered with the next setting of the grinder it was ground on, and how sure that is', async () => {
    open();
    fill('It drained at', '3:15');
    fill('and tastes', 'bitter');
    fill('ground on', '0');
    fill('at setting', '20');
    press('What next?');
    expect(await fit().findByText(/^Set your grinder to 2[1-4]/)).toBeTruthy();
    expect(fit().getByText(/of 100 sure of the side. Nine of ten kitchens/)).toBeTruthy();
  });

  it('of a grinder that nobody described is answered by the size of the step', async () => {
    open();
    fill('It drained at', '4:10');
    fill('and tastes', 'bitter');
    press('What next?');
    expect(await fit().findByText(/^Grind coarser, about \d+ µm: a small step/)).toBeTruthy();
  });

  it('that stood for twenty minutes is asked after, and a time that is none is named', async () => {
    open();
    fill('It drained at', '20:00');
    press('What next?');
    expect(await fit().findByText(/clogged/)).toBeTruthy();
    fill('It drained at', 'late');
    press('What next?');
    expect(await fit().findByText(/late/)).toBeTruthy();
  });

  it('is told to the roastery by a press of its own, once, and without a name', async () => {
    const sent: { path: string; body: unknown }[] = [];
    vi.stubGlobal('fetch', (path: string, { body }: { body: string }) => {
      sent.push({ path, body: JSON.parse(body) });
      return Promise.resolve(new Response(null, { status: sent.length === 1 ? 503 : 204 }));
    });
    open();
    fill('It drained at', '2:50');
    fill('and tastes', 'right');
    press('What next?');
    fireEvent.click(await fit().findByRole('button', { name: 'Tell the roastery' }));
    expect(await fit().findByText(/did not get through/)).toBeTruthy();
    press('Tell the roastery');
    expect(await fit().findByText('Told. Thank you.')).toBeTruthy();
    expect(sent[0]).toEqual(sent[1]);
    expect(sent[0]).toEqual({
      path: '/api/published/ridge-cone/home-results',
      body: {
        key: expect.any(String) as string,
        versionNumber: 2,
        doseG: 16,
        drainedS: 170,
        taste: 'right',
        grinder: '',
        setting: null,
      },
    });
  });
});
