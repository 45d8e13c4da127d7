export {
  renderCardPage,
  renderLotPage,
  renderRecalledPage,
  renderTroublePage,
  type PageAssets,
} from './renderPage.js';
export type { CardData } from './cardData.js';
