import { useNavigate } from 'react-router';
import { afterBrew, cutTo, RECORD, storableTrace, type Trace, USUAL_ROOM_C } from '@vendu/core';
import { troubleOf } from '../api/problem';
import { dropDraft, readDraft, writeDraft } from '../device/draft';
import { useAppDispatch } from '../state/hooks';
import { usePutBrewMutation } from '../api/brewsApi';
import { Button } from '../ui/Button';
import { TroubleNotice } from '../ui/Notice';
import { Closing } from './Closing';
import { MeasureHere } from './MeasureHere';
import { BenchButton } from './BenchButton';
import { ServingList } from './ServingList';
import { benchScaleOf, forgetScales, recordedTrace } from './benchScales';
import { soFar, type BenchBrew } from './benchBrew';
import { brewStored, entriesNow } from './benchSlice';
import { useAbandon } from './useAbandon';

/** The clock has stopped: what the scale showed is entered, then the brew is saved. */
export function Finish({ brew }: { brew: BenchBrew }) {
  const [put, { error, isLoading }] = usePutBrewMutation();
  const abandon = useAbandon(brew);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { run, drainHeard } = soFar(brew);
  const startMs = run.marks[0]?.atMs ?? 0;
  const endMs = run.marks.at(-1)?.atMs ?? startMs;

  async function store() {
    const [trace, outflow] = await Promise.all(
      (['brewer', 'server'] as const).map(async (place) =>
        curveUntil(endMs - startMs, await recordedTrace(brew.key, place, startMs)),
      ),
    );
    const { data } = await put({
      key: brew.key,
      brew: {
        recipeVersionId: brew.recipeVersionId,
        roastBatchId: brew.roastBatchId,
        grinderId: brew.grinderId,
        fromCard: brew.fromCard,
        comparisonArmId: brew.arm?.id ?? null,
        entries: entriesNow(brew),
        trace: trace ?? null,
        outflow: outflow ?? null,
        scale: cutTo(benchScaleOf(brew.key)?.source.name ?? '', RECORD.longestScaleName),
        isSimulated: brew.scale.kind === 'simulated' || brew.outflowScale === 'simulated',
      },
    });
    if (!data) return;
    await forgetScales(brew.key);
    handOverReading(brew.key, data.id);
    const clocks = afterBrew({ roomC: brew.ground?.kit.ambientC ?? USUAL_ROOM_C });
    dispatch(
      brewStored({
        key: brew.key,
        after: {
          brewId: data.id,
          brewNumber: data.number,
          lotName: brew.lotName,
          drainedAtMs: endMs,
          clocks: clocks.ok ? clocks.value : [],
          done: [],
          laterMs: {},
        },
      }),
    );
    void navigate(`/brews/${data.id}`);
  }
  return (
    <div className="mt-4 flex grow flex-col gap-4 border-t-4 border-ink pt-3">
      <p className="text-[2.5rem] leading-tight font-bold">Drained</p>
      <ServingList brew={brew} />
      <p className="max-w-md text-large">
        If you read the scale, enter what it showed beside the pours. The brew is kept on this device until
        the server has it.
      </p>
      {drainHeard === 'marked' && (
        <p className="text-small text-quiet">
          Marked by the scale under the server, when the outflow fell to drips. U takes it back.
        </p>
      )}
      <MeasureHere brew={brew} />
      <Closing plan={brew.plan} />
      <TroubleNotice trouble={troubleOf(error)} />
      <div className="flex flex-wrap items-center gap-4">
        <BenchButton main disabled={isLoading} onClick={() => void store()}>
          Save the brew
        </BenchButton>
        <Button weight="quiet" className="h-12" onClick={abandon}>
          Abandon this brew
        </Button>
      </div>
    </div>
  );
}

/** A reading that is being typed, and is not added yet, goes on being typed where the brew is measured, of the same sample. */
function handOverReading(brewKey: string, brewId: number): void {
  for (const what of ['reading', 'sample']) {
    const typed = readDraft(`bench.${brewKey}.${what}`);
    if (typed) writeDraft(`brew.${brewId}.${what}`, typed);
    dropDraft(`bench.${brewKey}.${what}`);
  }
}

/** A curve as the record keeps it, up to a moment; `null` where there is none. */
function curveUntil(untilMs: number, { atMs, massG }: Trace): { atMs: number[]; massG: number[] } | null {
  const past = atMs.findIndex((each) => each > untilMs);
  const to = past === -1 ? atMs.length : past;
  const kept = storableTrace({ atMs: atMs.slice(0, to), massG: massG.slice(0, to) });
  return kept.atMs.length === 0 ? null : { atMs: [...kept.atMs], massG: [...kept.massG] };
}
