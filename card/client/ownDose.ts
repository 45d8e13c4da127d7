import { atOwnDose, cardWords, formatDuration, parseMassG, planAllWaterG, runningTotalsG } from '@vendu/core';
import type { CardData } from '../src/page/cardData.js';
import { button, element, place } from './elements.js';
import { kept } from './kept.js';
import type { OwnPlan } from './ownPlan.js';

/** What a kitchen's brewer may hold, g. */
const SMALLEST_G = 5;
const LARGEST_G = 60;

/** The card at a dose of one's own: its figures and steps follow, and beyond what was proven it says so. */
export function offerOwnDose(card: CardData, own: OwnPlan): void {
  const list = place('before');
  if (!list) return;
  const memory = kept<number>(`card.${card.slug}.doseG`);
  const input = element('input', {
    id: 'own-dose',
    type: 'text',
    'aria-describedby': 'own-dose-note',
    className: 'reading h-10 w-20 rounded-edge border border-edge bg-raised px-2',
  });
  input.inputMode = 'decimal';
  const note = element('p', { id: 'own-dose-note', role: 'status', className: 'text-small' });
  const workOut = button('Work out its grind', () => void shiftGrind());
  workOut.hidden = true;
  const label = element('label', { text: 'Your dose, g', className: 'font-semibold' });
  label.htmlFor = input.id;
  list.before(
    element('div', { className: 'flex flex-wrap items-center gap-3 pt-2.5 print:hidden' }, [
      label,
      input,
      note,
      workOut,
    ]),
  );

  function take(doseG: number) {
    const { plan, isProven } = atOwnDose(card.plan, doseG);
    own.change(plan);
    memory.write(doseG === card.plan.doseG ? null : doseG);
    note.textContent = isProven
      ? ''
      : `Scaled from ${card.plan.doseG} g and not proven there: a deeper bed drains slower.`;
    workOut.hidden = isProven || card.model === null;
  }
  function read() {
    const parsed = parseMassG(input.value);
    const isUsable = parsed.ok && parsed.value >= SMALLEST_G && parsed.value <= LARGEST_G;
    input.setAttribute('aria-invalid', String(!isUsable));
    if (isUsable) take(parsed.value);
    else {
      note.textContent = parsed.ok
        ? `A dose of ${SMALLEST_G} to ${LARGEST_G} g, such as ${card.plan.doseG}: for more, brew twice.`
        : parsed.message;
      workOut.hidden = true;
    }
  }
  async function shiftGrind() {
    if (!card.model) return;
    workOut.disabled = true;
    const { scalePlan } = await import('./model.js');
    workOut.disabled = false;
    const { kit, factors } = card.model;
    const { doseG } = own.now();
    const scaled = scalePlan({ plan: card.plan, kit, factors, doseG });
    workOut.hidden = true;
    if (!scaled.ok) {
      note.textContent = scaled.message;
      return;
    }
    const { grindShiftUm, plan } = scaled.value;
    const grind =
      grindShiftUm === 0
        ? 'The same grind'
        : `Grind ${Math.abs(grindShiftUm)} µm ${grindShiftUm > 0 ? 'coarser' : 'finer'}`;
    note.textContent = `${grind}, by the model; it drains at about ${formatDuration(plan.drawdownS)}.`;
  }

  own.onChange((plan) => {
    for (const [role, figure] of [
      ['dose', plan.doseG],
      ['water', planAllWaterG(plan)],
    ] as const) {
      const shown = document.querySelector(`[data-figure=${role}]`);
      if (shown) shown.textContent = String(figure);
    }
    const { before, steps, after } = cardWords(plan);
    list.replaceChildren(...before.map((words) => element('li', { text: words })));
    for (const [index, words] of document.querySelectorAll('[data-steps] [data-words]').entries()) {
      words.textContent = steps[index]?.words ?? '';
    }
    const totals = runningTotalsG(plan);
    for (const [index, row] of document.querySelectorAll('[data-pours] tbody tr').entries()) {
      const [, amount, total] = row.querySelectorAll('td');
      if (amount) amount.textContent = `${plan.pours[index]?.amountG ?? 0} g`;
      if (total) total.textContent = `${totals[index] ?? 0} g`;
    }
    for (const [index, words] of document.querySelectorAll('[data-after]').entries()) {
      words.textContent = after[index] ?? '';
    }
  });
  input.addEventListener('change', read);
  const before = memory.read();
  input.value = String(before ?? card.plan.doseG);
  if (before !== null) read();
}
