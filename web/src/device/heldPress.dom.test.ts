import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { countHeldPresses } from './heldPress';

let end: () => void;
const clicked = vi.fn();
let save: HTMLButtonElement;
let other: HTMLElement;
beforeEach(() => {
  end = countHeldPresses();
  document.body.innerHTML = '<button><span>Save</span></button><p>below</p>';
  save = document.querySelector('button')!;
  other = document.querySelector('p')!;
  save.addEventListener('click', clicked);
});
afterEach(() => {
  end();
  clicked.mockReset();
  document.body.innerHTML = '';
});

const point = (kind: string, target: Element, at: { x?: number; y?: number } = {}) =>
  target.dispatchEvent(
    new PointerEvent(kind, {
      bubbles: true,
      isPrimary: true,
      button: 0,
      clientX: at.x ?? 10,
      clientY: at.y ?? 10,
    }),
  );

describe('a press', () => {
  it('counts where it began when the page moves under a finger that rests', () => {
    point('pointerdown', save.querySelector('span')!);
    point('pointerup', other, { x: 13 });
    expect(clicked).toHaveBeenCalledTimes(1);
  });

  it('is left to the browser where it ends on what was pressed', () => {
    point('pointerdown', save);
    point('pointerup', save.querySelector('span')!);
    expect(clicked).not.toHaveBeenCalled();
  });

  it('is none where the finger moved away, was taken over by a scroll, or what was pressed is gone or barred', () => {
    point('pointerdown', save);
    point('pointerup', other, { y: 60 });
    point('pointerdown', save);
    point('pointercancel', save);
    point('pointerup', other);
    point('pointerdown', save);
    save.disabled = true;
    point('pointerup', other);
    save.disabled = false;
    point('pointerdown', save);
    save.remove();
    point('pointerup', other);
    point('pointerdown', other);
    point('pointerup', save);
  });

  it('that opens a list under the finger is left alone', () => {
    save.setAttribute('role', 'combobox');
    point('pointerdown', save);
    point('pointerup', other);
    expect(clicked).not.toHaveBeenCalled();
  });
});
