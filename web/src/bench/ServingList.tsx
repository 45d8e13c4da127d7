import { servingOf, type BrewPlan, type Serving } from '@vendu/core';

/** What the plan does with the beverage before it is read, in the order of doing. */
export function ServingList({ plan }: { plan: BrewPlan }) {
  const serving = servingOf(plan);
  if (serving.length === 0) return null;
  return (
    <ol aria-label="With the beverage" className="text-large font-semibold">
      {serving.map((each) => (
        <li key={each.task}>
          <ServingWords serving={each} />
        </li>
      ))}
    </ol>
  );
}

function ServingWords({ serving }: { serving: Serving }) {
  switch (serving.task) {
    case 'tail':
      return <>Stand the brewer on its own cup: the tail is weighed and tasted apart.</>;
    case 'bypass':
      return (
        <>
          Add <span className="reading text-water">{serving.bypassG} g</span> of hot water to the cup.
        </>
      );
    case 'mix':
      return <>{serving.how === 'stir' ? 'Stir' : 'Swirl'} the beverage.</>;
    case 'decant':
      return <>Decant it into another vessel.</>;
  }
}
