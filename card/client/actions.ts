import { button, place } from './elements.js';

/** What a page without a program leaves to the browser's own menus. */
export function showActions(): void {
  const actions = place('actions');
  if (!actions) return;
  actions.append(button('Print on one sheet', () => window.print()));
  actions.hidden = false;
}
