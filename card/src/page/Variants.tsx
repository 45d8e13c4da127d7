import type { CardVariant } from '@vendu/core';
import type { PublicRecipeView } from '@vendu/contract';
import { Section } from './Section.js';

/** Other cups of the same coffee: what to change, and what the model expects then. */
export function Variants({ card: { model } }: { card: PublicRecipeView }) {
  if (!model || model.variants.length === 0) return null;
  return (
    <Section title="As you like it">
      {model.variants.map((variant) => (
        <p key={variant.variant}>
          <b>{variant.variant.charAt(0).toUpperCase() + variant.variant.slice(1)}</b>: {changeWords(variant)}.{' '}
          <span className="reading whitespace-nowrap text-strength">
            {variant.tdsPercent.value.toFixed(2)} %
          </span>{' '}
          <span className="reading whitespace-nowrap text-quiet">
            {variant.tdsPercent.low.toFixed(2)}–{variant.tdsPercent.high.toFixed(2)}
          </span>
        </p>
      ))}
      <p className="caption">Strength that the model expects, nine of ten between.</p>
    </Section>
  );
}

function changeWords({ grindByUm, waterByG }: CardVariant): string {
  return [
    ...(grindByUm === 0 ? [] : [`grind ${Math.abs(grindByUm)} µm ${grindByUm > 0 ? 'coarser' : 'finer'}`]),
    ...(waterByG === 0
      ? []
      : [`${Math.abs(waterByG)} g ${waterByG > 0 ? 'more' : 'less'} water in the last pour`]),
  ].join(', ');
}
