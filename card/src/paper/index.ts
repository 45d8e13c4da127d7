export { bagLabelPdf } from './bagLabelPdf.js';
export { blindLabelsPdf } from './blindLabelsPdf.js';
export { benchSheetPdf } from './benchSheetPdf.js';
export { CARD_SIZES, cardPdf, type CardSize } from './cardPdf.js';
export { cupLabelsPdf } from './cupLabelsPdf.js';
export { dossierPdf } from './dossierPdf.js';
export { previewPng } from './previewPng.js';
