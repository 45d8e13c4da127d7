import { BrewerSection, brewerWords } from '../brewerSection/BrewerSection';
import type { BenchBrew } from './benchSlice';
import type { BenchState } from './useBenchBrew';

const HEIGHT_PX = 60;

/** The brewer that stands on a stand-in scale, since nobody can look at it; drawn anew at each of its readings. */
export function StandInBrewer({ brew, bench: { scale } }: { brew: BenchBrew; bench: BenchState }) {
  const seen = scale?.source.seen?.() ?? null;
  const geometry = brew.ground?.kit.brewer;
  if (!seen || !geometry) return null;
  return (
    <p className="flex items-center gap-3 text-small">
      <BrewerSection geometry={geometry} seen={seen} heightPx={HEIGHT_PX} />
      <span>
        <span className="block text-quiet">simulated brewer</span>
        {brewerWords(geometry, seen)}
      </span>
    </p>
  );
}
