import type { CDPSession } from '@playwright/test';

interface TraceEvent {
  name: string;
  ph: string;
  pid: number;
  tid: number;
  /** Processor time that the task took, microseconds; waiting for the processor is not in it. */
  tdur?: number;
  args?: { name?: string };
}

/** Follows the browser's trace; the answer is how long each task of the page's main thread worked, ms, longest first. */
export async function followMainThread(debug: CDPSession): Promise<() => Promise<number[]>> {
  const events: TraceEvent[] = [];
  debug.on('Tracing.dataCollected', ({ value }) => events.push(...(value as unknown as TraceEvent[])));
  await debug.send('Tracing.start', {
    transferMode: 'ReportEvents',
    categories: 'toplevel,devtools.timeline,disabled-by-default-devtools.timeline',
  });
  return async () => {
    const ended = new Promise((resolve) => debug.once('Tracing.tracingComplete', resolve));
    await debug.send('Tracing.end');
    await ended;
    const mains = events.filter(
      ({ name, args }) => name === 'thread_name' && args?.name === 'CrRendererMain',
    );
    const isMain = ({ pid, tid }: TraceEvent) => mains.some((main) => main.pid === pid && main.tid === tid);
    return events
      .filter((event) => event.ph === 'X' && event.name.endsWith('RunTask') && isMain(event))
      .map(({ tdur = 0 }) => tdur / 1000)
      .sort((a, b) => b - a);
  };
}
