import { celsiusToFahrenheit, elevationAdvice, firstKettleC, parseNumber } from '@vendu/core';
import type { CardData } from '../src/page/cardData.js';
import { element, place } from './elements.js';
import { kept } from './kept.js';

const FIELD = 'reading h-10 rounded-edge border border-edge bg-raised px-2';
type Scale = '°C' | '°F';

/** The scale of one's kettle, and how high one's kitchen lies: both stay on this device, for all cards. */
export function offerOwnPlace({ plan }: CardData): void {
  const list = place('before');
  if (!list) return;
  const kettleC = firstKettleC(plan);
  const scale = kept<Scale>('card.scale');
  const elevation = kept<string>('card.elevation');
  const scales = element(
    'select',
    { id: 'own-scale', className: FIELD },
    (['°C', '°F'] as const).map((each) => element('option', { text: each })),
  );
  const height = element('input', {
    id: 'own-elevation',
    type: 'text',
    'aria-describedby': 'own-elevation-note',
    className: `${FIELD} w-24`,
  });
  height.inputMode = 'numeric';
  height.placeholder = '0';
  const note = element('p', {
    id: 'own-elevation-note',
    role: 'status',
    className: 'w-full text-small empty:hidden',
  });
  list.before(
    element(
      'div',
      { className: 'flex flex-wrap items-center gap-3 border-b border-rule py-2.5 print:hidden' },
      [label('Your kettle shows', scales), scales, label('Your kitchen lies at, m', height), height, note],
    ),
  );

  function showScale() {
    const figure = document.querySelector('[data-figure=kettle]');
    const isFahrenheit = scales.value === '°F';
    const fahrenheit = Math.round(celsiusToFahrenheit({ temperatureC: kettleC }));
    if (figure) figure.textContent = String(isFahrenheit ? fahrenheit : kettleC);
    if (figure?.nextElementSibling) figure.nextElementSibling.textContent = scales.value;
    const other = figure?.parentElement?.nextElementSibling;
    if (other?.textContent) {
      other.textContent = other.textContent.replace(
        /^[^;]*/,
        isFahrenheit ? `${kettleC} °C` : `${fahrenheit} °F`,
      );
    }
  }
  function showElevation() {
    const text = height.value.trim();
    const parsed = text === '' ? null : parseNumber(text);
    const told = parsed?.ok ? elevationAdvice({ kettleC, elevationM: parsed.value }) : null;
    const isUsable = parsed === null || told?.ok === true;
    height.setAttribute('aria-invalid', String(!isUsable));
    if (isUsable) elevation.write(text === '' ? null : text);
    note.textContent = told?.ok
      ? told.value
      : isUsable
        ? ''
        : 'Metres above the sea, -400 to 5000, such as 1200.';
  }

  scales.value = scale.read() ?? '°C';
  scales.addEventListener('change', () => {
    scale.write(scales.value === '°F' ? '°F' : null);
    showScale();
  });
  height.value = elevation.read() ?? '';
  height.addEventListener('change', showElevation);
  if (scales.value === '°F') showScale();
  if (height.value !== '') showElevation();
}

function label(words: string, control: HTMLElement): HTMLLabelElement {
  const made = element('label', { text: words, className: 'font-semibold' });
  made.htmlFor = control.id;
  return made;
}
