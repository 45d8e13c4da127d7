import { Link } from 'react-router';
import { useComparisonsQuery } from '../api/comparisonsApi';
import { blindStanding } from '../ui/blindStanding';
import { ButtonLink } from '../ui/Button';

/** Questions that were asked of a lot's cups, and the way to another. */
export function LotComparisons({ lotId, hasRecipes }: { lotId: number; hasRecipes: boolean }) {
  const { data } = useComparisonsQuery();
  const own = data?.filter(({ lots }) => lots.some(({ id }) => id === lotId)) ?? [];
  if (own.length === 0 && !hasRecipes) return null;
  return (
    <section>
      <h2 className="heading mb-2">Comparisons</h2>
      <ul className="mb-3">
        {own.map(({ id, question, tests }) => (
          <li key={id} className="border-b border-rule py-1.5 text-small">
            <Link to={`/compare/${id}`} className="underline-offset-3 hover:underline">
              {question}
            </Link>
            <span className="caption block">{blindStanding(tests)}</span>
          </li>
        ))}
      </ul>
      <ButtonLink to={`/compare/new?lot=${lotId}`}>Compare versions</ButtonLink>
    </section>
  );
}
