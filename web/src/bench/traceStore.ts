import { delMany, entries, set } from 'idb-keyval';
import type { Trace } from '@vendu/core';

// Readings by the wall clock, in pieces, in the browser's own database: a trace is too much for local storage.
// A browser without one records all the same; the trace then lives as long as the page.

type PieceKey = [prefix: 'trace', brewKey: string, place: number];

function isOf(brewKey: string, key: IDBValidKey): key is PieceKey {
  return Array.isArray(key) && key[0] === 'trace' && key[1] === brewKey;
}

function isKept(): boolean {
  return typeof indexedDB !== 'undefined';
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

export async function keepPiece(brewKey: string, place: number, piece: Trace): Promise<void> {
  if (!isKept()) return;
  await set(['trace', brewKey, place], piece);
}

/** All that is kept of a brew's trace, in order. */
export async function readTrace(brewKey: string): Promise<Trace> {
  if (!isKept()) return { atMs: [], massG: [] };
  const pieces = (await entries<IDBValidKey, Trace>())
    .flatMap(([key, piece]) => (isOf(brewKey, key) ? [{ place: key[2], piece }] : []))
    .sort((a, b) => a.place - b.place);
  return {
    atMs: pieces.flatMap(({ piece }) => piece.atMs),
    massG: pieces.flatMap(({ piece }) => piece.massG),
  };
}

export async function dropTrace(brewKey: string): Promise<void> {
  if (!isKept()) return;
  const keys = (await entries<IDBValidKey, Trace>()).map(([key]) => key).filter((key) => isOf(brewKey, key));
  await delMany(keys);
}
