import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import { runningTotalsG, type BrewPlan } from '@vendu/core';
import { PLAN } from '../testing/fixtures';
import { DrawingBoard } from './DrawingBoard';

let latest: BrewPlan = PLAN;
let edits = 0;

function Board({ refuses = false }: { refuses?: boolean }) {
  const [plan, setPlan] = useState(PLAN);
  const [dragged, setDragged] = useState<BrewPlan | null>(null);
  return (
    <DrawingBoard
      plan={dragged ?? plan}
      width={800}
      height={250}
      forecastEndS={0}
      selected={null}
      onSelect={() => undefined}
      onDrag={setDragged}
      onOffer={(next) => {
        if (refuses) return 'locked';
        edits += 1;
        latest = next;
        setPlan(next);
        return undefined;
      }}
    />
  );
}

function open(props: { refuses?: boolean } = {}) {
  latest = PLAN;
  edits = 0;
  // jsdom has no capture: what is captured stays with the element anyway.
  Element.prototype.setPointerCapture = () => undefined;
  // Nor does it lay anything out: the drawing lies in the corner of the page at its own size.
  Element.prototype.getBoundingClientRect = () => new DOMRect(0, 0, 800, 250);
  render(<Board {...props} />);
}
const handle = (name: string) => screen.getByRole('slider', { name });

describe('the drawing board', () => {
  it('moves a corner by keys: sideways on the clock, up and down in the water', async () => {
    open();
    handle('End of pour 2').focus();
    await userEvent.keyboard('{ArrowUp}');
    expect(runningTotalsG(latest)).toEqual([40, 141, 250]);
    await userEvent.keyboard('{Shift>}{ArrowDown}{/Shift}');
    expect(runningTotalsG(latest)).toEqual([40, 136, 250]);
    handle('Start of pour 3').focus();
    await userEvent.keyboard('{ArrowRight}');
    expect(latest.pours[2]?.startS).toBe(76);
    handle('End of the brew').focus();
    await userEvent.keyboard('{Shift>}{ArrowRight}{/Shift}');
    expect(latest.drawdownS).toBe(165);
  });

  it('takes a drag as one edit, however far it wanders, and says where a handle stands', () => {
    open();
    const start = handle('Start of pour 2');
    // A clock of 3:00 over 704 px from 46: one second is 704 / 180 px.
    const at = (seconds: number) => ({ clientX: 46 + (seconds * 704) / 180, clientY: 200, pointerId: 1 });
    fireEvent.pointerDown(start, at(40));
    fireEvent.pointerMove(start, at(44));
    fireEvent.pointerMove(start, at(48));
    expect(start.getAttribute('aria-valuetext')).toMatch(/^starts at 0:/);
    expect(edits).toBe(0);
    fireEvent.pointerUp(start, at(48));
    expect(edits).toBe(1);
    expect(latest.pours[1]?.startS).toBeGreaterThan(40);
    expect(handle('Start of pour 2').getAttribute('aria-valuenow')).toBe(String(latest.pours[1]?.startS));
  });

  it('leaves the plan where a lock refuses the edit', async () => {
    open({ refuses: true });
    handle('End of pour 2').focus();
    await userEvent.keyboard('{ArrowUp}');
    expect(handle('End of pour 2').getAttribute('aria-valuenow')).toBe('140');
  });
});
