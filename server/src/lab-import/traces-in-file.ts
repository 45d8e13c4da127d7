import type { Readable } from 'node:stream';
import Papa from 'papaparse';
import type { Trace } from '@vendu/core';
import { ProblemError } from '../problem/problem-error.js';
import { broken } from './zip-entries.js';

/** What two scales read of one brew; its numbers are the file's. */
export interface TraceInFile {
  brewId: string;
  samples: Trace;
  outflow: Trace | null;
}

/** Ten a second for six hours: more readings than of any brew. */
const MOST_READINGS = 216_000;
/** No line of figures is so long, characters. */
const LONGEST_LINE = 10_000;

/** Readings of scales brew by brew, as they lie in the file. */
export async function* tracesIn(stream: Readable): AsyncGenerator<TraceInFile> {
  let now = null as TraceInFile | null;
  for await (const lines of linesOf(stream)) {
    for (const line of lines) {
      const [brewId, scale, at, mass] = cellsOf(line);
      if (brewId === 'brew_id' || brewId === undefined || brewId === '') continue;
      if (now?.brewId !== brewId) {
        if (now) yield now;
        now = { brewId, samples: { atMs: [], massG: [] }, outflow: null };
      }
      if (now.samples.atMs.length > MOST_READINGS) throw broken('traces.csv');
      const trace: Trace = scale === 'all' ? now.samples : (now.outflow ??= { atMs: [], massG: [] });
      const [atMs, massG] = [Number(at), Number(mass)];
      if (!Number.isInteger(atMs) || !Number.isFinite(massG)) throw broken('traces.csv');
      (trace.atMs as number[]).push(atMs);
      (trace.massG as number[]).push(massG);
    }
  }
  if (now) yield now;
}

/** A lab has tens of millions of readings, all figures: only a line that another program quoted is parsed with care. */
function cellsOf(line: string): readonly string[] {
  return line.includes('"')
    ? (Papa.parse<string[]>(line, { delimiter: ',' }).data[0] ?? [])
    : line.split(',');
}

/** The lines of a text, as many at a time as have come. */
async function* linesOf(stream: Readable): AsyncGenerator<string[]> {
  let begun = '';
  try {
    for await (const chunk of stream.setEncoding('utf8') as AsyncIterable<string>) {
      const lines = (begun + chunk).split(/\r?\n/);
      begun = lines.pop() ?? '';
      if (begun.length > LONGEST_LINE) throw broken('traces.csv');
      yield lines;
    }
  } catch (error) {
    // What cannot be unpacked tells of bytes, not of the file.
    throw error instanceof ProblemError ? error : broken('traces.csv');
  }
  if (begun !== '') yield [begun];
}
