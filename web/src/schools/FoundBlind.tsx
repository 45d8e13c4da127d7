import { useComparisonsQuery } from '../api/comparisonsApi';
import { Positions } from '../ui/Positions';

/** What the house's own blind tests say, beside what it stands for. */
export function FoundBlind() {
  const { data } = useComparisonsQuery();
  if (!data || data.positions.length === 0) return null;
  return (
    <section className="mt-10">
      <h2 className="heading mb-2">Tasted blind in this house</h2>
      <Positions positions={data.positions} />
    </section>
  );
}
