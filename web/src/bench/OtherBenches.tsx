import { useAppDispatch, useAppSelector } from '../app/store';
import { useRunningBrewsQuery } from './benchApi';
import { brewPutBack, selectBrews, type BenchBrew } from './benchSlice';

const ASKED_EVERY_MS = 30_000;

/** A brew that another device of the lab began; this one can go on with it when that one has died. */
export function OtherBenches() {
  const dispatch = useAppDispatch();
  const here = useAppSelector(selectBrews);
  const { data = [] } = useRunningBrewsQuery(undefined, { pollingInterval: ASKED_EVERY_MS });
  const others = data.filter(({ key }) => !here.some((brew) => brew.key === key));
  return others.map(({ key, lotName, brewerName, by, state }) => (
    <p key={key} className="flex items-baseline gap-4 border-b border-ink px-6 py-1.5 text-small">
      <span>
        On another bench: {lotName}, {brewerName} <span className="text-quiet">({by})</span>
      </span>
      <button
        type="button"
        className="min-h-6 underline underline-offset-3"
        onClick={() => dispatch(brewPutBack(JSON.parse(state) as BenchBrew))}
      >
        Go on with it here
      </button>
    </p>
  ));
}
