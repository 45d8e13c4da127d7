import type { PublicRecipeView } from '@vendu/contract';

/** Where the page's program asks how a brew at home came out; nothing stands here without it. */
export function Fit({ card: { model, plan } }: { card: PublicRecipeView }) {
  if (!model || plan.lifts) return null;
  return <section data-fit hidden aria-label="How was yours" className="print:hidden" />;
}
