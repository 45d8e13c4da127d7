import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { benchSteps, type BrewPlan, USUAL_ROOM_C } from '@vendu/core';
import { useAppDispatch } from '../state/hooks';
import type { ThermometerSource } from '../instruments/sources';
import { thermometerSource } from '../instruments/thermometerChoices';
import { brewNowMs } from '../device/brewClock';
import { seedOf } from './benchScales';
import { soFar, type BenchBrew } from './benchBrew';
import { brewTold } from './benchSlice';

/** A reading older than this says nothing of the water poured now, ms. */
const FRESH_MS = 5000;
const WATCHED_EVERY_MS = 1000;

export interface KettleView {
  name: string;
  kettleC: number | null;
  readMs: number;
  /** What stands in the way of reading it; empty where nothing does. */
  trouble: string;
}

/** Follows the thermometer of a brew, and writes down what it shows when a pour begins; `null` where it is read by hand. */
export function useKettle(brew: BenchBrew, plan: BrewPlan): KettleView | null {
  const { key, thermometer } = brew;
  const { steps: done, events } = soFar(brew);
  const dispatch = useAppDispatch();
  const source = useRef<ThermometerSource | null>(null);
  const [view, setView] = useState<KettleView | null>(null);
  const setC = plan.kettleC;
  const roomC = brew.ground?.kit.ambientC ?? USUAL_ROOM_C;
  useEffect(() => {
    const connected = thermometerSource(thermometer, { feedName: key, setC, roomC, seed: seedOf(key) });
    if (!connected) return undefined;
    source.current = connected;
    const { name } = connected;
    const stop = connected.start({
      onReading: (kettleC) => setView({ name, kettleC, readMs: brewNowMs(), trouble: '' }),
      onTrouble: (trouble) => setView({ name, kettleC: null, readMs: 0, trouble }),
    });
    // A figure that is no longer read is no figure.
    const watch = setInterval(
      () =>
        setView((last) =>
          last && last.kettleC !== null && brewNowMs() - last.readMs > FRESH_MS
            ? { ...last, kettleC: null, trouble: `${name} is silent: type what the kettle was.` }
            : last,
        ),
      WATCHED_EVERY_MS,
    );
    return () => {
      stop();
      clearInterval(watch);
      source.current = null;
      setView(null);
    };
  }, [thermometer, key, setC, roomC]);

  const lastPour = done.findLast(({ stepIndex, skipped }) => !skipped && isPour(plan, stepIndex));
  const onPour = useEffectEvent(() => {
    if (!lastPour) return;
    const number = benchSteps(plan)
      .slice(0, lastPour.stepIndex + 1)
      .filter(({ kind }) => kind === 'pour').length;
    const { amountG = 0, flowGps = 1 } = plan.pours[number - 1] ?? {};
    source.current?.lift?.(amountG / flowGps);
    const isRead = events.some(({ kind, atS }) => kind === 'kettle-read' && atS === lastPour.atS);
    if (isRead || view === null || view.kettleC === null || brewNowMs() - view.readMs > FRESH_MS) return;
    const { kettleC, name: instrument } = view;
    const isSimulated = thermometer === 'simulated';
    const { stepIndex } = lastPour;
    dispatch(
      brewTold({ key, happened: { kind: 'kettle-read', stepIndex, kettleC, instrument, isSimulated } }),
    );
  });
  const lastPourAtS = lastPour?.atS;
  useEffect(() => {
    // Only a new pour is news; totals written down later change the list and not the moment.
    if (lastPourAtS !== undefined) onPour();
  }, [lastPourAtS]);
  return view;
}

function isPour(plan: BrewPlan, stepIndex: number): boolean {
  return benchSteps(plan)[stepIndex]?.kind === 'pour';
}
