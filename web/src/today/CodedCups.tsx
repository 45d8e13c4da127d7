import { Link } from 'react-router';
import { useComparisonsQuery } from '../api/comparisonsApi';

/** Cups that are being tasted without knowing, and those whose answer waits for a lead. */
export function CodedCups() {
  const { data } = useComparisonsQuery();
  const waiting =
    data?.flatMap(({ id, question, tests }) => {
      const last = tests.at(-1);
      return last && last.state !== 'opened' ? [{ id, question, isOut: last.state === 'out' }] : [];
    }) ?? [];
  if (waiting.length === 0) return null;
  return (
    <section>
      <h2 className="heading">Coded cups</h2>
      <ul>
        {waiting.map(({ id, question, isOut }) => (
          <li key={id} className="border-b border-rule py-2 text-small">
            <Link to={`/compare/${id}`} className="font-semibold hover:underline">
              {question}
            </Link>{' '}
            {isOut ? 'at the table' : 'a lead opens them'}
          </li>
        ))}
      </ul>
    </section>
  );
}
