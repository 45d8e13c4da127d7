export const STREAMS = ['thin', 'usual', 'full'] as const;
/** How heavy a stream is, as people say it of a kettle. */
export type Stream = (typeof STREAMS)[number];

/** What a stream pours where nobody times it, g/s (common practice: a hand's usual stream is 100 g in about 10 s). */
export const STREAM_GPS: Record<Stream, number> = { thin: 4, usual: 8, full: 12 };

/** What people call a stream of this flow: the one that it is nearest to. */
export function streamOf(flowGps: number): Stream {
  return STREAMS.reduce((nearest, each) =>
    Math.abs(STREAM_GPS[each] - flowGps) < Math.abs(STREAM_GPS[nearest] - flowGps) ? each : nearest,
  );
}
