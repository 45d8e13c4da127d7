import { act, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PLAN } from '../testing/fixtures';
import { GuidedSteps } from './GuidedSteps';

beforeEach(() => {
  vi.useFakeTimers({ now: new Date('2026-11-23T10:00:00Z') });
});
afterEach(() => {
  vi.useRealTimers();
});

function pass(seconds: number) {
  act(() => {
    vi.advanceTimersByTime(seconds * 1000);
  });
}

const currentStep = () => document.querySelector('[aria-current=step]')?.textContent;

describe('the customer’s guided steps', () => {
  it('say every step in words, with totals to pour to', () => {
    render(<GuidedSteps slug="ridge-cone" plan={PLAN} />);
    expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
      'Heat the kettle to 94 °C (201 °F).',
      'Rinse the paper and throw the rinse water away.',
      'Put 16 g of ground coffee into the paper and shake the bed flat.',
      'Set the scale to zero.',
      '0:00Bloom: wet all grounds with 40 g in 5 s.',
      '0:05Swirl the brewer gently.',
      '0:40Pour 100 g in 13 s, to 140 g on the scale.',
      '1:15Pour 110 g in 14 s, to 250 g on the scale.',
      '2:40The stream turns to drops: done.',
    ]);
    expect(currentStep()).toBeUndefined();
  });

  it('say of a pour that waits for something seen that its time is only about', () => {
    const pours = PLAN.pours.map((pour, index) =>
      index === 1 ? { ...pour, startsWhen: 'through' as const } : pour,
    );
    render(<GuidedSteps slug="ridge-cone" plan={{ ...PLAN, pours }} />);
    expect(screen.getByText(/^When all of it is through, pour 100 g/).closest('li')?.textContent).toMatch(
      /^about0:40/,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Start with the first pour' }));
    pass(2);
    expect(screen.queryByRole('button', { name: 'It is: pour now' })).toBeNull();
    // Nothing is counted down to, and nothing goes on by itself.
    pass(58);
    expect(screen.getByText(/^waits:/).textContent).toContain('When all of it is through, pour 100 g');
    expect(currentStep()).toContain('Swirl');
    fireEvent.click(screen.getByRole('button', { name: 'It is: pour now' }));
    expect(currentStep()).toContain('pour 100 g');
    // Twenty seconds later than expected: so is what comes after.
    pass(30);
    expect(screen.getByRole('timer').parentElement?.textContent).toContain('in 5 s: Pour 110 g');
  });

  it('walk along with the clock and count down to the next', () => {
    render(<GuidedSteps slug="ridge-cone" plan={PLAN} />);
    fireEvent.click(screen.getByRole('button', { name: 'Start with the first pour' }));
    expect(currentStep()).toContain('Bloom');
    pass(30);
    expect(currentStep()).toContain('Swirl');
    // The next step is said beside the clock too, for a hand that has scrolled away.
    expect(screen.getByRole('timer').parentElement?.textContent).toContain('in 10 s: Pour 100 g in 13 s');
    pass(60);
    expect(currentStep()).toContain('to 250 g');
    expect(screen.getByRole('timer').textContent).toBe('1:30');
  });

  it('go on through a reload of the page, and back to zero on request', () => {
    const { unmount } = render(<GuidedSteps slug="ridge-cone" plan={PLAN} />);
    fireEvent.click(screen.getByRole('button', { name: 'Start with the first pour' }));
    pass(20);
    unmount();
    vi.setSystemTime(new Date('2026-11-23T10:00:50Z'));
    render(<GuidedSteps slug="ridge-cone" plan={PLAN} />);
    expect(screen.getByRole('timer').textContent).toBe('0:50');
    fireEvent.click(screen.getByRole('button', { name: 'Back to zero' }));
    expect(screen.getByRole('timer').textContent).toBe('0:00');
  });

  it('forget a clock that was left running, and keep one recipe’s clock out of another’s', () => {
    const { unmount } = render(<GuidedSteps slug="ridge-cone" plan={PLAN} />);
    fireEvent.click(screen.getByRole('button', { name: 'Start with the first pour' }));
    unmount();
    const other = render(<GuidedSteps slug="slope-cone" plan={PLAN} />);
    expect(screen.getByRole('timer').textContent).toBe('0:00');
    other.unmount();
    vi.setSystemTime(new Date('2026-11-24T10:00:00Z'));
    render(<GuidedSteps slug="ridge-cone" plan={PLAN} />);
    expect(screen.getByRole('timer').textContent).toBe('0:00');
    expect(screen.getByRole('button', { name: 'Start with the first pour' })).toBeTruthy();
  });
});
