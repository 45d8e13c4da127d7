import { delMany, entries, set } from 'idb-keyval';
import type { Trace } from '@vendu/core';

// Readings by the wall clock, in pieces, in the browser's own database: a trace is too much for local storage.
// A browser without one records all the same; the trace then lives as long as the page.

type PieceKey = [prefix: 'trace', brewKey: string, place: number];

function isOf(brewKey: string, key: IDBValidKey): key is PieceKey {
  return Array.isArray(key) && key[0] === 'trace' && key[1] === brewKey;
}

/** As with a draft: a full, closed or missing storage must not stop the brew. */
async function attempt<T>(work: () => Promise<T>, otherwise: T): Promise<T> {
  try {
    return await work();
  } catch {
    return otherwise;
  }
}

/** Readings in one piece: a minute at 10 Hz. */
export const PIECE = 600;

/** Keeps a trace that another device began, as if it had been recorded here. */
export async function keepTrace(brewKey: string, { atMs, massG }: Trace): Promise<void> {
  for (let from = 0; from < atMs.length; from += PIECE) {
    const to = from + PIECE;
    await keepPiece(brewKey, from / PIECE, { atMs: atMs.slice(from, to), massG: massG.slice(from, to) });
  }
}

/** @returns whether this device has it now */
export function keepPiece(brewKey: string, place: number, piece: Trace): Promise<boolean> {
  return attempt(async () => {
    await set(['trace', brewKey, place], piece);
    return true;
  }, false);
}

/** All that is kept of a brew's trace, in order. */
export function readTrace(brewKey: string): Promise<Trace> {
  return attempt<Trace>(
    async () => {
      const pieces = (await entries<IDBValidKey, Trace>())
        .flatMap(([key, piece]) => (isOf(brewKey, key) ? [{ place: key[2], piece }] : []))
        .sort((a, b) => a.place - b.place);
      return {
        atMs: pieces.flatMap(({ piece }) => piece.atMs),
        massG: pieces.flatMap(({ piece }) => piece.massG),
      };
    },
    { atMs: [], massG: [] },
  );
}

export function dropTrace(brewKey: string): Promise<void> {
  return attempt(async () => {
    const keys = (await entries<IDBValidKey, Trace>())
      .map(([key]) => key)
      .filter((key) => isOf(brewKey, key));
    await delMany(keys);
  }, undefined);
}
