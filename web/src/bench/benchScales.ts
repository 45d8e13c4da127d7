import { useEffect, useEffectEvent, useSyncExternalStore } from 'react';
import type { Trace } from '@vendu/core';
import { scaleOf, type ScaleSource } from '../instruments/sources';
import { feedAddress, feedSource } from '../instruments/feedSource';
import { serialSource } from '../instruments/serialSource';
import { simulatedOutflowSource } from '../instruments/simulatedOutflowSource';
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
const PLACES = ['brewer', 'server'] as const satisfies ScalePlace[];
const NONE: Record<ScalePlace, string> = { brewer: JSON.stringify({ kind: 'none' }), server: 'none' };

function tellOfChange(): void {
  for (const listener of listeners) listener();
}

/** Under everything, where it shows what was poured; or under the server alone, where it shows what has run through. */
export type ScalePlace = 'brewer' | 'server';

function keyAt(brewKey: string, place: ScalePlace): string {
  return place === 'brewer' ? brewKey : `${brewKey}.server`;
}

type Scaled = Pick<BenchBrew, 'key' | 'ground' | 'plan' | 'log' | 'scale' | 'outflowScale'>;

const choiceAt = ({ scale, outflowScale }: Scaled, place: ScalePlace) =>
  place === 'brewer' ? JSON.stringify(scale) : outflowScale;

async function brewerSource(brew: Scaled, before: Trace): Promise<ScaleSource | null> {
  switch (brew.scale.kind) {
    case 'none':
      return null;
    case 'serial':
      return scaleOf(serialSource());
    case 'feed':
      return scaleOf(feedSource(brew.key));
    case 'simulated':
      return simulatedScaleSource({
        ...brew.scale,
        seed: seedOf(brew.key),
        before,
        brewer: await standInBrewer(brew, brew.scale.bed),
      });
  }
}

function serverSource({ key, outflowScale }: Scaled): ScaleSource | null {
  switch (outflowScale) {
    case 'none':
      return null;
    case 'serial':
      return scaleOf(serialSource());
    case 'feed':
      return scaleOf(feedSource(keyAt(key, 'server')));
    case 'simulated':
      return simulatedOutflowSource({
        seen: () => scales.get(key)?.source.seen?.() ?? null,
        seed: seedOf(key),
      });
  }
}

/** Where a scale under the server over the network sends its lines. */
export function outflowFeedAddress(brewKey: string): string {
  return feedAddress(keyAt(brewKey, 'server'));
}

/** Each brew has its own hand; the same brew the same one. */
export function seedOf(brewKey: string): number {
  return Number.parseInt(brewKey.slice(0, 8), 16);
}

/** Connects a scale of a brew; what was recorded before on this device is taken up. */
async function connectScale(brew: Scaled, place: ScalePlace): Promise<void> {
  const key = keyAt(brew.key, place);
  const choiceKey = choiceAt(brew, place);
  if (wanted.get(key) === choiceKey) return;
  // What the scale before it heard goes on with the new one, whether this device could write it down or not.
  const heard = scales.get(key)?.traceFrom(0);
  disconnectAt(key);
  wanted.set(key, choiceKey);
  const before = heard ?? (await readTrace(key));
  const source = place === 'brewer' ? await brewerSource(brew, before) : serverSource(brew);
  // Another may have been chosen meanwhile.
  if (wanted.get(key) !== choiceKey) return;
  wanted.delete(key);
  if (source) {
    const scale = new BenchScale(key, source, choiceKey, before);
    scales.set(key, scale);
    if (place === 'brewer') scale.subscribe(() => tellHeard(brew.key));
  }
  tellOfChange();
}

const heardBy = new Set<(brewKey: string) => void>();

function tellHeard(brewKey: string): void {
  for (const listener of heardBy) listener(brewKey);
}

/** What to do whenever the scale under everything of a brew is read, or falls silent. */
export function onScaleHeard(listener: (brewKey: string) => void): void {
  heardBy.add(listener);
}

/** The scale under a brew as it is now; `null` where it is marked by hand. */
export function benchScaleOf(brewKey: string): BenchScale | null {
  return scales.get(brewKey) ?? null;
}

function disconnectAt(key: string): void {
  wanted.delete(key);
  scales.get(key)?.disconnect();
  scales.delete(key);
  tellOfChange();
}

export function disconnectScales(brewKey: string): void {
  for (const place of PLACES) disconnectAt(keyAt(brewKey, place));
}

/** Lets go of a brew's scales and of what was recorded: it is stored, or not wanted. */
export async function forgetScales(brewKey: string): Promise<void> {
  disconnectScales(brewKey);
  for (const place of PLACES) await dropTrace(keyAt(brewKey, place));
}

/** What was recorded of a brew on its own clock, whether its scale still answers or not. */
export async function recordedTrace(brewKey: string, place: ScalePlace, startMs: number): Promise<Trace> {
  const key = keyAt(brewKey, place);
  const scale = scales.get(key);
  if (scale) return scale.traceFrom(startMs);
  const { atMs, massG } = await readTrace(key);
  const first = atMs.findIndex((each) => each >= startMs);
  return first === -1
    ? NO_TRACE
    : { atMs: atMs.slice(first).map((each) => each - startMs), massG: massG.slice(first) };
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** A scale of a brew, connected while the choice stands; `null` where there is none. */
export function useBenchScale(brew: BenchBrew, place: ScalePlace): BenchScale | null {
  const key = keyAt(brew.key, place);
  const scale = useSyncExternalStore(subscribe, () => scales.get(key) ?? null);
  const choiceKey = choiceAt(brew, place);
  const connect = useEffectEvent(() => void connectScale(brew, place));
  useEffect(() => {
    if (choiceKey === NONE[place]) disconnectAt(key);
    else if (scales.get(key)?.choiceKey !== choiceKey) connect();
  }, [key, place, choiceKey]);
  return scale;
}

const NO_SCALE = () => () => undefined;

/** What a scale says now; renders at every reading. */
export function useScaleView(scale: BenchScale | null): ScaleView | null {
  return useSyncExternalStore(scale?.subscribe ?? NO_SCALE, () => scale?.snapshot() ?? null);
}
