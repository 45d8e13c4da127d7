import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { PLAN } from '../../testing/cards.js';
import { Staircase } from './Staircase.js';
import { StaircaseThumb } from './StaircaseThumb.js';

/** The corners of a drawn path, as numbers. */
function corners(path: Element | null | undefined): [number, number][] {
  return [...(path?.getAttribute('d') ?? '').matchAll(/[ML](-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => [
    Number(x),
    Number(y),
  ]);
}

describe('the staircase', () => {
  const drawn = () => screen.getByRole('img', { name: 'Plan' });

  it('names each step with its running total and its time', () => {
    render(<Staircase plan={PLAN} width={800} height={300} label="Plan" />);
    const words = [...drawn().querySelectorAll('text')].map(({ textContent }) => textContent);
    expect(words).toEqual(
      expect.arrayContaining(['0:00', '40 g', 'swirl', '0:40', '140 g', '1:15', '250 g', '2:40', 'drained']),
    );
  });

  it('writes what is done to the bed clear of the axis, however low the drawing is', () => {
    for (const height of [300, 115]) {
      const { unmount } = render(<Staircase plan={PLAN} width={560} height={height} label="Plan" />);
      const word = [...drawn().querySelectorAll('text')].find(({ textContent }) => textContent === 'swirl');
      const times = [...drawn().querySelectorAll('text')].find(({ textContent }) => textContent === '0:00');
      // Times stand 18 px under the axis.
      expect(Number(word?.getAttribute('y'))).toBeLessThan(Number(times?.getAttribute('y')) - 18);
      unmount();
    }
  });

  it('rises and never falls, from left to right', () => {
    render(<Staircase plan={PLAN} width={800} height={300} label="Plan" />);
    const points = corners(drawn().querySelector('path.stroke-water'));
    expect(points).toHaveLength(7);
    for (const [index, [x, y]] of points.entries()) {
      const [beforeX, beforeY] = points[index - 1] ?? [0, Infinity];
      expect(x).toBeGreaterThanOrEqual(beforeX);
      expect(y).toBeLessThanOrEqual(beforeY);
    }
  });

  it('makes room for what was done beyond the plan', () => {
    const actual = [
      { atS: 0, totalG: 0 },
      { atS: 300, totalG: 280 },
    ];
    render(<Staircase plan={PLAN} actual={actual} nowS={300} width={800} height={300} label="Plan" />);
    const [end] = corners(drawn().querySelector('path.stroke-ink')).slice(-1);
    expect(end?.[0]).toBeLessThanOrEqual(800);
    expect(end?.[1]).toBeGreaterThanOrEqual(0);
  });

  it('draws a second plan behind only when it is given one', () => {
    const { rerender } = render(<Staircase plan={PLAN} width={800} height={300} label="Plan" />);
    const behind = () => drawn().querySelectorAll('path.stroke-edge').length;
    expect(behind()).toBe(0);
    rerender(
      <Staircase plan={PLAN} behind={{ ...PLAN, drawdownS: 200 }} width={800} height={300} label="Plan" />,
    );
    expect(behind()).toBe(1);
  });

  it('as a thumbnail is longer for a longer recipe', () => {
    const widthOf = (drawdownS: number) => {
      const { container } = render(<StaircaseThumb plan={{ ...PLAN, drawdownS }} />);
      return corners(container.querySelector('path')).at(-1)?.[0] ?? 0;
    };
    expect(widthOf(240)).toBeGreaterThan(widthOf(150));
  });
});
