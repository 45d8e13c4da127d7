/** How a hand tilts a kettle. */
export interface Tilt {
  /** Flow that leaves the spout, g/s. */
  flowGps: number;
}

/** A held key tilts on at this rate, and a let-go one sets the kettle upright, g/s each second (assumed). */
const TILTS_GPS_PER_S = 6;
const UPRIGHT_GPS_PER_S = 25;
/** A gooseneck gives no more, g/s (common practice: 15 and less). */
export const FASTEST_GPS = 15;

/**
 * The flow a moment later.
 *
 * @param wantedGps - what the hand is at: a flow where it can be told (the distance of a pointer), `'more'` while a
 *   key is held, `null` once it is let go
 */
export function tilted({ flowGps }: Tilt, wantedGps: number | 'more' | null, stepS: number): Tilt {
  const goalGps = wantedGps === 'more' ? FASTEST_GPS : Math.min(FASTEST_GPS, Math.max(0, wantedGps ?? 0));
  const rate = goalGps > flowGps ? TILTS_GPS_PER_S : UPRIGHT_GPS_PER_S;
  const step = rate * stepS;
  return {
    flowGps: Math.abs(goalGps - flowGps) <= step ? goalGps : flowGps + Math.sign(goalGps - flowGps) * step,
  };
}
