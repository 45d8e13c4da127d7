import type { BrewerGeometry, BrewerSeen } from '@vendu/core';

/** Water less high than this above the bed is a wet bed, mm. */
const FILM_MM = 1;
/** Slower than this the stream has turned to drops, g/s (common practice: drops, not a stream, end the drain). */
const DROPS_GPS = 0.3;

/** A simulated brewer cut open, to scale: the bed, the water over it, and the rim. */
export function BrewerSection({
  geometry: { bottomRadiusM, wallSlope, heightM },
  seen,
  heightPx,
}: {
  geometry: BrewerGeometry;
  seen: BrewerSeen;
  heightPx: number;
}) {
  const px = heightPx / (heightM * 1000);
  const halfAt = (mm: number) => (bottomRadiusM * 1000 + wallSlope * mm) * px;
  const rimMm = heightM * 1000;
  const middle = halfAt(rimMm) + 1;
  const y = (mm: number) => heightPx - mm * px + 1;
  const slice = (fromMm: number, toMm: number) =>
    `M${middle - halfAt(fromMm)},${y(fromMm)} L${middle - halfAt(toMm)},${y(toMm)} H${middle + halfAt(toMm)} L${middle + halfAt(fromMm)},${y(fromMm)} Z`;
  const waterMm = Math.min(rimMm, seen.waterMm);
  return (
    <svg width={2 * middle} height={heightPx + 3} aria-hidden className="shrink-0">
      <path d={slice(0, Math.min(rimMm, seen.bedMm))} className="fill-quiet/50" />
      {waterMm > seen.bedMm && <path d={slice(seen.bedMm, waterMm)} className="fill-water/40" />}
      <path
        d={`M${middle - halfAt(rimMm)},${y(rimMm)} L${middle - halfAt(0)},${y(0)} H${middle + halfAt(0)} L${middle + halfAt(rimMm)},${y(rimMm)}`}
        className="fill-none stroke-ink"
        strokeWidth={1.5}
      />
    </svg>
  );
}

/** What an eye would say of it. */
export function brewerWords({ heightM }: BrewerGeometry, seen: BrewerSeen): string {
  const overMm = seen.waterMm - seen.bedMm;
  if (seen.waterMm > heightM * 1000) return 'water runs over the rim';
  if (overMm >= FILM_MM) return `water stands ${overMm.toFixed(0)} mm over the bed`;
  if (seen.beverageG === 0) return 'the bed is dry';
  return seen.outflowGps < DROPS_GPS ? 'the bed shows, drops only' : 'the bed shows, the stream runs';
}
