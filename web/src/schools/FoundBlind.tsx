import { usePositionsQuery } from '../api/comparisonsApi';
import { Positions } from '../ui/Positions';

/** What the house's own blind tests say, beside what it stands for. */
export function FoundBlind() {
  const { data: positions } = usePositionsQuery();
  if (!positions || positions.length === 0) return null;
  return (
    <section className="mt-10">
      <h2 className="heading mb-2">Tasted blind in this house</h2>
      <Positions positions={positions} />
    </section>
  );
}
