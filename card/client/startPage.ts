import { CARD_DATA_ID, type CardData } from '../src/page/cardData.js';
import { showActions } from './actions.js';
import { fitToKitchen } from './fit.js';
import { startGuide } from './guide.js';
import { offerOwnDose } from './ownDose.js';
import { offerOwnPlace } from './ownPlace.js';
import { ownPlan } from './ownPlan.js';

/** Fills the places that the page keeps for its program; a page that is no card has none. */
export function startPage(): void {
  const data = document.getElementById(CARD_DATA_ID)?.textContent;
  if (!data) return;
  const card = JSON.parse(data) as CardData;
  const own = ownPlan(card.plan);
  startGuide(card, own);
  offerOwnDose(card, own);
  offerOwnPlace(card);
  fitToKitchen(card, own);
  showActions();
}
