import { Link } from 'react-router';
import { useComparisonsQuery } from '../api/comparisonsApi';
import { blindStanding } from '../ui/blindStanding';

/** Whether tasters who did not know told a version from the one it was made of, or that from it. */
export function ToldBlind({ recipeVersionId }: { recipeVersionId: number }) {
  const { data } = useComparisonsQuery();
  const opened =
    data?.filter(
      ({ arms, tests, isOfChange }) =>
        isOfChange &&
        arms.some((arm) => arm.recipeVersionId === recipeVersionId) &&
        tests.some(({ state }) => state === 'opened'),
    ) ?? [];
  return opened.map(({ id, question, tests }) => (
    <p key={id} className="mt-1 text-tiny">
      Blind:{' '}
      <Link to={`/compare/${id}`} className="underline underline-offset-3">
        {question}
      </Link>{' '}
      {blindStanding(tests)}
    </p>
  ));
}
