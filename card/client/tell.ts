import type { KitchenTaste } from '@vendu/core';
import type { HomeResultDto } from '@vendu/contract';
import type { CardData } from '../src/page/cardData.js';
import { button, element } from './elements.js';

interface Told {
  doseG: number;
  drainedS: number;
  taste: KitchenTaste;
  grinder: string;
  setting: number | null;
}

/** With consent, and by a press of its own, the outcome goes back to the roastery: no name, no address. */
export function offerToTell({ slug, versionNumber }: CardData, told: Told): HTMLElement {
  const place = element('div', { className: 'flex flex-wrap items-center gap-3 pt-1 text-small' });
  // Sent twice, it is stored once.
  const key = crypto.randomUUID();
  const send = button('Tell the roastery', () => void tell());
  place.append(send, 'Time, taste, dose and grinder, nothing about you: it helps the next card.');
  async function tell() {
    send.disabled = true;
    const result: HomeResultDto = { key, versionNumber, ...told };
    try {
      const answer = await fetch(`/api/published/${encodeURIComponent(slug)}/home-results`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(result),
      });
      if (!answer.ok) throw new Error(String(answer.status));
      place.replaceChildren('Told. Thank you.');
    } catch {
      send.disabled = false;
      place.replaceChildren(send, 'It did not get through: try once more later.');
    }
  }
  return place;
}
