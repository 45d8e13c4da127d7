import {
  KITCHEN_TASTE_WORDS,
  KITCHEN_TASTES,
  kitchenWords,
  parseDurationS,
  parseNumber,
  type KitchenTaste,
} from '@vendu/core';
import type { CardData } from '../src/page/cardData.js';
import { button, element, place } from './elements.js';
import type { OwnPlan } from './ownPlan.js';
import { offerToTell } from './tell.js';

const FIELD = 'reading h-10 rounded-edge border border-edge bg-raised px-2';

/** "Mine drained at 3:40 and tastes bitter": the next setting on one's own grinder, and how sure that is. */
export function fitToKitchen(card: CardData, own: OwnPlan): void {
  const section = place('fit');
  const { model } = card;
  if (!section || !model) return;
  const drained = element('input', { type: 'text', className: `${FIELD} w-24` });
  drained.placeholder = '2:45';
  const taste = element(
    'select',
    { className: FIELD },
    KITCHEN_TASTES.map((each) => option(each, KITCHEN_TASTE_WORDS[each])),
  );
  const grinder = element('select', { className: `${FIELD} max-w-full` }, [
    option('', 'one that is not listed'),
    ...card.grinders.map(({ name }, index) => option(String(index), name)),
  ]);
  const setting = element('input', { type: 'text', className: `${FIELD} w-24` });
  setting.inputMode = 'decimal';
  const settingField = labelled('at setting', setting);
  settingField.hidden = true;
  grinder.addEventListener('change', () => (settingField.hidden = grinder.value === ''));
  const answer = element('div', { role: 'status', className: 'flex flex-col gap-1' });
  const ask = button('What next?', () => void tell(), true);
  const form = element('form', { className: 'flex flex-wrap items-end gap-x-4 gap-y-3' }, [
    labelled('It drained at', drained),
    labelled('and tastes', taste),
    labelled('ground on', grinder),
    settingField,
    ask,
  ]);
  form.addEventListener('submit', (event) => {
    event.preventDefault();
    void tell();
  });

  async function tell() {
    const found = await answered();
    answer.replaceChildren(
      ...(typeof found === 'string'
        ? [element('p', { text: found, className: 'font-medium text-alarm' })]
        : found),
    );
  }

  /** @returns what is wrong with what was typed, or the answer */
  async function answered(): Promise<string | Node[]> {
    if (!model) return '';
    const at = parseDurationS(drained.value);
    if (!at.ok) return at.message;
    const used = grinder.value === '' ? null : (card.grinders[Number(grinder.value)] ?? null);
    const set = used && parseNumber(setting.value);
    if (set?.ok === false) return `The setting that you used, such as 20. ${set.message}`;
    ask.disabled = true;
    const { kitchenAdvice } = await import('./model.js').finally(() => (ask.disabled = false));
    const { kit, factors } = model;
    const { doseG } = own.now();
    const told = { doseG, drainedS: at.value, taste: taste.value as KitchenTaste };
    const found = kitchenAdvice({
      plan: own.now(),
      kit,
      factors,
      // Another dose drains at another time.
      provenS: doseG === card.plan.doseG ? card.provenS : null,
      drainedS: told.drainedS,
      taste: told.taste,
      grinder: used && set ? { ...used, setting: set.value } : null,
    });
    if (!found.ok) return found.message;
    const { next, because } = kitchenWords(found.value);
    return [
      element('p', { text: next, className: 'text-large font-semibold' }),
      element('p', { text: because, className: 'text-small text-quiet' }),
      offerToTell(card, { ...told, grinder: used?.name ?? '', setting: set?.value ?? null }),
    ];
  }

  section.className = 'flex flex-col gap-3 border-y border-ink py-4 print:hidden';
  section.append(element('h2', { text: 'How was yours?', className: 'text-large font-bold' }), form, answer);
  section.hidden = false;
}

function option(value: string, words: string): HTMLOptionElement {
  const made = element('option', { text: words });
  made.value = value;
  return made;
}

function labelled(words: string, control: HTMLElement): HTMLLabelElement {
  return element('label', { className: 'flex max-w-full flex-col gap-1 text-small text-quiet' }, [
    words,
    control,
  ]);
}
