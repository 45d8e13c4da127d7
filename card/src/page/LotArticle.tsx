import { endWords, firstKettleC, planAllWaterG } from '@vendu/core';
import type { PublicRecipeView } from '@vendu/contract';
import { StaircaseThumb } from '../drawing/StaircaseThumb.js';
import { editionName } from './editionName.js';
import { LotHead } from './LotHead.js';
import { PageHead } from './PageHead.js';

/** A lot's recipes side by side: what they have in common once, then each by its face and whoever signed it. */
export function LotArticle({ editions }: { editions: readonly PublicRecipeView[] }) {
  const [newest] = [...editions].sort((a, b) => b.publishedAt.localeCompare(a.publishedAt));
  if (!newest) return null;
  return (
    <>
      <PageHead houseName={newest.houseName} />
      <main className="mx-auto flex max-w-3xl flex-col gap-6 px-5 py-6">
        <header>
          <LotHead card={newest} />
        </header>
        <section>
          <h2 className="heading">Choose what you brew with</h2>
          <ul>
            {editions.map((card) => (
              <Edition key={card.slug} card={card} />
            ))}
          </ul>
        </section>
      </main>
    </>
  );
}

function Edition({ card }: { card: PublicRecipeView }) {
  const { plan, slug, signedBy, edition, proof } = card;
  return (
    <li className="border-b border-rule">
      <a
        href={`/r/${slug}`}
        className="grid grid-cols-1 items-center gap-x-6 gap-y-2 py-4 hover:bg-raised sm:grid-cols-[1fr_auto]"
      >
        <span>
          <span className="block text-large leading-tight font-bold underline underline-offset-3">
            {editionName({ brewerName: card.brewerName, name: edition?.name ?? '' })}
          </span>
          {edition?.tastesOf && <span className="block">{edition.tastesOf}</span>}
          <span className="reading mt-1 flex flex-wrap gap-x-5 text-small font-medium">
            <span className="text-water">
              {plan.doseG} g to {planAllWaterG(plan)} g
            </span>
            <span className="text-temperature">{firstKettleC(plan)} °C</span>
            <span>{plan.grindUm} µm</span>
            <span className="text-time">{endWords(plan)}</span>
            {proof && <span className="text-strength">{proof.strength.mean.toFixed(2)} %</span>}
          </span>
          {signedBy && <span className="caption">Signed by {signedBy}</span>}
        </span>
        <StaircaseThumb plan={plan} width={180} height={64} />
      </a>
    </li>
  );
}
