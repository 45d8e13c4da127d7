import { grindEquivalent, grinderWord } from '@vendu/core';
import type { CardGrinder, PublicRecipeView } from '@vendu/contract';

/** The grind on the grinders of the house: a setting with its range, or what to do where one cannot reach it. */
export function Grinders({ card: { grinders = [], plan } }: { card: PublicRecipeView }) {
  if (grinders.length === 0 || plan.secondGrind) return null;
  return (
    <section className="text-small print:text-tiny">
      <h2 className="heading mb-1">
        {plan.grindUm} µm on a grinder{' '}
        <span className="font-normal text-quiet">yours may differ: go by the drain time</span>
      </h2>
      <ul className="sm:columns-2 sm:gap-x-8 print:columns-3">
        {grinders.map((grinder) => (
          <li key={grinder.name} className="break-inside-avoid border-b border-rule py-1.5 print:py-0.5">
            <Setting grinder={grinder} grindUm={plan.grindUm} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Setting({ grinder, grindUm }: { grinder: CardGrinder; grindUm: number }) {
  const found = grindEquivalent({ grinder, grindUm });
  if (found.kind === 'not-measured') {
    return (
      <>
        {grinder.name} <span className="text-quiet">not measured there</span>
      </>
    );
  }
  if (found.kind === 'out-of-reach') {
    return (
      <>
        {grinder.name} <b className="text-alarm">out of reach</b>{' '}
        <span className="text-quiet">
          at {found.nearest.setting} it is {Math.round(Math.abs(found.offUm))} µm too{' '}
          {found.offUm > 0 ? 'coarse' : 'fine'}: use {found.instead}
        </span>
      </>
    );
  }
  const word = grinderWord(grinder.words, found.setting);
  return (
    <span className="flex items-baseline gap-3">
      <span className="grow">
        {grinder.name}
        {word && <span className="text-quiet">, {word}</span>}
      </span>
      {grinder.rightAt && (
        <span className="text-quiet">
          right at {grinder.rightAt.setting} in {grinder.rightAt.count} kitchens
        </span>
      )}
      <span className="reading whitespace-nowrap">
        <b>{found.setting}</b>{' '}
        <span className="text-quiet">
          {found.lowSetting} to {found.highSetting}
        </span>
      </span>
    </span>
  );
}
