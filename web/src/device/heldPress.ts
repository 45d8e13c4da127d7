const PRESSED = 'button, a[href], summary, [role="button"], [role="tab"]';
/** These open a list under the finger while it still presses. */
const OPENS_A_LIST = '[aria-haspopup], [role="combobox"]';
/** A hand that trembles stays within so many px; what goes farther is a drag. */
const STILL_PX = 8;

/**
 * A press counts where it began. Figures that arrive between pressing and letting go move the page under a finger that
 * rests, and the browser then takes the press for none at all.
 *
 * @returns ends it
 */
export function countHeldPresses(page: Document = document): () => void {
  let began: { control: HTMLElement; x: number; y: number } | null = null;
  const press = ({ target, clientX: x, clientY: y, isPrimary, button }: PointerEvent) => {
    const control =
      isPrimary && button === 0 && target instanceof Element ? target.closest<HTMLElement>(PRESSED) : null;
    began = control && !control.matches(OPENS_A_LIST) ? { control, x, y } : null;
  };
  const release = ({ target, clientX, clientY }: PointerEvent) => {
    const held = began;
    began = null;
    if (!held?.control.isConnected || !(target instanceof Node)) return;
    const isStill = Math.hypot(clientX - held.x, clientY - held.y) <= STILL_PX;
    // Where it is let go on what was pressed, the browser tells of it itself.
    if (isStill && !held.control.contains(target)) held.control.click();
  };
  const forget = () => {
    began = null;
  };
  page.addEventListener('pointerdown', press, true);
  page.addEventListener('pointerup', release, true);
  page.addEventListener('pointercancel', forget, true);
  return () => {
    page.removeEventListener('pointerdown', press, true);
    page.removeEventListener('pointerup', release, true);
    page.removeEventListener('pointercancel', forget, true);
  };
}
