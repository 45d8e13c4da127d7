import { useEffect, useEffectEvent, useSyncExternalStore } from 'react';
import type { Trace } from '@vendu/core';
import type { ScaleChoice } from '../instruments/scaleChoices';
import { scaleOf, type ScaleSource } from '../instruments/sources';
import { feedSource } from '../instruments/feedSource';
import { serialSource } from '../instruments/serialSource';
import { simulatedScaleSource } from '../instruments/simulatedScaleSource';
import { BenchScale, type ScaleView } from './benchScale';
import type { BenchBrew } from './benchBrew';
import { standInBrewer } from './standInBrewer';
import { dropTrace, readTrace } from './traceStore';

/** The scales in use, by the key of their brew; they outlive the page that shows them. */
const scales = new Map<string, BenchScale>();
/** What was chosen last, by the key of its brew, while it is being connected. */
const wanted = new Map<string, string>();
const listeners = new Set<() => void>();
const NO_TRACE: Trace = { atMs: [], massG: [] };

function tellOfChange(): void {
  for (const listener of listeners) listener();
}

async function sourceOf(brew: BenchBrew, choice: ScaleChoice, before: Trace): Promise<ScaleSource | null> {
  switch (choice.kind) {
    case 'none':
      return null;
    case 'serial':
      return scaleOf(serialSource());
    case 'feed':
      return scaleOf(feedSource(brew.key));
    case 'simulated':
      return simulatedScaleSource({
        ...choice,
        seed: seedOf(brew.key),
        before,
        brewer: await standInBrewer(brew, choice.bed),
      });
  }
}

/** Each brew has its own hand; the same brew the same one. */
export function seedOf(brewKey: string): number {
  return Number.parseInt(brewKey.slice(0, 8), 16);
}

/** Connects the scale of a brew; what was recorded before on this device is taken up. */
async function connectScale(brew: BenchBrew, choice: ScaleChoice): Promise<void> {
  const choiceKey = JSON.stringify(choice);
  if (wanted.get(brew.key) === choiceKey) return;
  // What the scale before it heard goes on with the new one, whether this device could write it down or not.
  const heard = scales.get(brew.key)?.traceFrom(0);
  disconnectScale(brew.key);
  wanted.set(brew.key, choiceKey);
  const before = heard ?? (await readTrace(brew.key));
  const source = await sourceOf(brew, choice, before);
  // Another may have been chosen meanwhile.
  if (wanted.get(brew.key) !== choiceKey) return;
  wanted.delete(brew.key);
  if (source) scales.set(brew.key, new BenchScale(brew.key, source, choiceKey, before));
  tellOfChange();
}

/** The scale of a brew as it is now; `null` where it is marked by hand. */
export function benchScaleOf(brewKey: string): BenchScale | null {
  return scales.get(brewKey) ?? null;
}

export function disconnectScale(brewKey: string): void {
  wanted.delete(brewKey);
  scales.get(brewKey)?.disconnect();
  scales.delete(brewKey);
  tellOfChange();
}

/** Lets go of a brew's scale and of what was recorded: it is stored, or not wanted. */
export async function forgetScale(brewKey: string): Promise<void> {
  disconnectScale(brewKey);
  await dropTrace(brewKey);
}

/** What was recorded of a brew on its own clock, whether its scale still answers or not. */
export async function recordedTrace(brewKey: string, startMs: number): Promise<Trace> {
  const scale = scales.get(brewKey);
  if (scale) return scale.traceFrom(startMs);
  const { atMs, massG } = await readTrace(brewKey);
  const first = atMs.findIndex((each) => each >= startMs);
  return first === -1
    ? NO_TRACE
    : { atMs: atMs.slice(first).map((each) => each - startMs), massG: massG.slice(first) };
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The scale of a brew, connected while the choice stands; `null` where it is marked by hand. */
export function useBenchScale(brew: BenchBrew): BenchScale | null {
  const { key } = brew;
  const scale = useSyncExternalStore(subscribe, () => scales.get(key) ?? null);
  const choiceKey = JSON.stringify(brew.scale);
  const connect = useEffectEvent((choice: ScaleChoice) => void connectScale(brew, choice));
  useEffect(() => {
    const chosen = JSON.parse(choiceKey) as ScaleChoice;
    if (chosen.kind === 'none') disconnectScale(key);
    else if (scales.get(key)?.choiceKey !== choiceKey) connect(chosen);
  }, [key, choiceKey]);
  return scale;
}

const NO_SCALE = () => () => undefined;

/** What a scale says now; renders at every reading. */
export function useScaleView(scale: BenchScale | null): ScaleView | null {
  return useSyncExternalStore(scale?.subscribe ?? NO_SCALE, () => scale?.snapshot() ?? null);
}
