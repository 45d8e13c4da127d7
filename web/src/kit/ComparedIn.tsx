import { Link } from 'react-router';
import { useComparisonsQuery } from '../api/comparisonsApi';
import { blindStanding } from '../ui/blindStanding';

/** Questions that were asked about a brewer or a paper, where it was one of the sides. */
export function ComparedIn({ axis, id }: { axis: 'brewer' | 'paper'; id: number }) {
  const { data } = useComparisonsQuery();
  const asked =
    data?.filter(
      ({ asks, arms }) =>
        asks.includes(axis) &&
        arms.some(({ brewerId, paperId }) => (axis === 'brewer' ? brewerId : paperId) === id),
    ) ?? [];
  return asked.map((comparison) => (
    <span key={comparison.id} className="caption block">
      <Link
        to={`/compare/${comparison.id}`}
        className="inline-flex min-h-6 items-center underline underline-offset-3"
      >
        {comparison.question}
      </Link>{' '}
      {blindStanding(comparison.tests)}
    </span>
  ));
}
