import { useEffect, useSyncExternalStore } from 'react';
import type { Trace } from '@vendu/core';
import type { ScaleChoice } from '../instruments/scaleChoices';
import { scaleOf, type ScaleSource } from '../instruments/sources';
import { feedSource } from '../instruments/feedSource';
import { serialSource } from '../instruments/serialSource';
import { simulatedScaleSource } from '../instruments/simulatedScaleSource';
import { BenchScale, type ScaleView } from './benchScale';
import { dropTrace, readTrace } from './traceStore';

/** The scales in use, by the key of their brew; they outlive the page that shows them. */
const scales = new Map<string, BenchScale>();
const waiting = new Set<string>();
const listeners = new Set<() => void>();
const NO_TRACE: Trace = { atMs: [], massG: [] };

function tellOfChange(): void {
  for (const listener of listeners) listener();
}

function sourceOf(brewKey: string, choice: ScaleChoice, before: Trace): ScaleSource | null {
  switch (choice.kind) {
    case 'none':
      return null;
    case 'serial':
      return scaleOf(serialSource());
    case 'feed':
      return scaleOf(feedSource(brewKey));
    case 'simulated':
      return simulatedScaleSource({
        ...choice,
        seed: seedOf(brewKey),
        alreadyG: before.massG.at(-1) ?? 0,
      });
  }
}

/** Each brew has its own hand; the same brew the same one. */
export function seedOf(brewKey: string): number {
  return Number.parseInt(brewKey.slice(0, 8), 16);
}

/** Connects the scale of a brew; what was recorded before on this device is taken up. */
async function connectScale(brewKey: string, choice: ScaleChoice): Promise<void> {
  if (waiting.has(brewKey)) return;
  waiting.add(brewKey);
  const before = await readTrace(brewKey);
  waiting.delete(brewKey);
  disconnectScale(brewKey);
  const source = sourceOf(brewKey, choice, before);
  if (source) scales.set(brewKey, new BenchScale(brewKey, source, JSON.stringify(choice), before));
  tellOfChange();
}

/** The scale of a brew as it is now; `null` where it is marked by hand. */
export function benchScaleOf(brewKey: string): BenchScale | null {
  return scales.get(brewKey) ?? null;
}

export function disconnectScale(brewKey: string): void {
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
export function useBenchScale(brewKey: string, choice: ScaleChoice): BenchScale | null {
  const scale = useSyncExternalStore(subscribe, () => scales.get(brewKey) ?? null);
  const choiceKey = JSON.stringify(choice);
  useEffect(() => {
    const chosen = JSON.parse(choiceKey) as ScaleChoice;
    const connected = scales.get(brewKey);
    if (chosen.kind === 'none') disconnectScale(brewKey);
    else if (connected?.choiceKey !== choiceKey) void connectScale(brewKey, chosen);
  }, [brewKey, choiceKey]);
  return scale;
}

const NO_SCALE = () => () => undefined;

/** What a scale says now; renders at every reading. */
export function useScaleView(scale: BenchScale | null): ScaleView | null {
  return useSyncExternalStore(scale?.subscribe ?? NO_SCALE, () => scale?.snapshot() ?? null);
}
