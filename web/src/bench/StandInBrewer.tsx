import { classes } from '../ui/classes';
import { BrewerSection, brewerWords } from '../brewerSection/BrewerSection';
import type { BenchBrew } from './benchBrew';
import type { BenchState } from './useBenchBrew';

const HEIGHT_PX = 60;

/** The brewer that stands on a stand-in scale, since nobody can look at it; drawn anew at each of its readings. */
export function StandInBrewer({
  brew,
  bench: { scale },
  isCompact,
}: {
  brew: BenchBrew;
  bench: BenchState;
  /** Words are enough beside another brew. */
  isCompact: boolean;
}) {
  const seen = scale?.source.seen?.() ?? null;
  const geometry = brew.ground?.kit.brewer;
  if (!seen || !geometry) return null;
  return (
    <p className="flex items-center gap-3 text-small">
      {!isCompact && <BrewerSection geometry={geometry} seen={seen} heightPx={HEIGHT_PX} />}
      <span>
        <span className={classes('text-quiet', !isCompact && 'block')}>
          simulated brewer{isCompact && ': '}
        </span>
        {brewerWords(geometry, seen)}
      </span>
    </p>
  );
}
