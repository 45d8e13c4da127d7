import type { RunningBrewView } from '@vendu/contract';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { useLazyRunningTraceQuery, useRunningBrewsQuery } from './benchApi';
import { soFar, type BenchBrew } from './benchBrew';
import { brewPutBack, selectBrews } from './benchSlice';
import { readKeptBrew } from './keptBrew';
import { takeOver } from './runningSync';
import { keepTrace } from './traceStore';

const ASKED_EVERY_MS = 30_000;

/** A brew that another device of the lab began; this one can go on with it when that one has died. */
export function OtherBenches() {
  const dispatch = useAppDispatch();
  const here = useAppSelector(selectBrews);
  const { data = [] } = useRunningBrewsQuery(undefined, { pollingInterval: ASKED_EVERY_MS });
  const [askTrace] = useLazyRunningTraceQuery();
  const others = data.filter(({ key }) => !here.some((brew) => brew.key === key));

  async function goOnHere(brew: BenchBrew) {
    const { key } = brew;
    const startMs = soFar(brew).run.marks[0]?.atMs ?? 0;
    // Without its curve a brew goes on all the same.
    const { data: kept } = await askTrace(key);
    if (kept?.trace) {
      const { atMs, massG } = kept.trace;
      await keepTrace(key, { atMs: atMs.map((each) => each + startMs), massG });
    }
    takeOver(key);
    dispatch(brewPutBack(brew));
  }
  return others.map(({ key, lotName, brewerName, by, ...kept }) => {
    const brew = readRunning(kept);
    return (
      <p key={key} className="flex items-baseline gap-4 border-b border-ink px-6 py-1.5 text-small">
        <span>
          On another bench: {lotName}, {brewerName} <span className="text-quiet">({by})</span>
        </span>
        {brew ? (
          <button
            type="button"
            className="min-h-6 underline underline-offset-3"
            onClick={() => void goOnHere(brew)}
          >
            Continue here
          </button>
        ) : (
          <span className="text-quiet">
            It was started in another version of Vendu and can only continue there; reload this page to get
            the newest.
          </span>
        )}
      </p>
    );
  });
}

function readRunning({ state, entries }: Pick<RunningBrewView, 'state' | 'entries'>): BenchBrew | null {
  try {
    const kept = JSON.parse(state) as object;
    // One that was told before there were logs has all in its state.
    return readKeptBrew(entries.length === 0 ? kept : { ...kept, log: entries });
  } catch {
    return null;
  }
}
