import { describe, expect, it } from 'vitest';
import { beginningHere, readNodeState, readRecovered, whoBegins } from './whoBegins.js';

/** As Galera 26.4 writes it into a node's data folder. */
const STATE = `# GALERA saved state
version: 2.1
uuid:    7c1e0b52-cf0a-11f1-9a3e-6b0a44f3f2f4
seqno:   -1
safe_to_bootstrap: 0
`;

describe('a node that stopped', () => {
  it('says how far it came, and whether it was the last to stop', () => {
    expect(readNodeState(STATE)).toEqual({ seqno: -1, isSafeToBegin: false });
    const last = STATE.replace('seqno:   -1', 'seqno:   4711').replace('bootstrap: 0', 'bootstrap: 1');
    expect(readNodeState(last)).toEqual({ seqno: 4711, isSafeToBegin: true });
    expect(readNodeState('')).toEqual({ seqno: -1, isSafeToBegin: false });
  });

  it('is told that the cluster begins with it, and nothing else in its file changes', () => {
    expect(readNodeState(beginningHere(STATE)).isSafeToBegin).toBe(true);
    expect(beginningHere(STATE).replace('bootstrap: 1', 'bootstrap: 0')).toBe(STATE);
  });

  it('that did not stop in good order is asked by its tables', () => {
    const log =
      '2026-12-01  9:00:00 0 [Note] WSREP: Recovered position: 7c1e0b52-cf0a-11f1-9a3e-6b0a44f3f2f4:815\n';
    expect(readRecovered(log)).toBe(815);
    expect(readRecovered('[ERROR] Aborting')).toBe(-1);
  });
});

describe('a cluster all of whose nodes are down', () => {
  it.each([
    ['the one that was the last to stop', [12, Number.POSITIVE_INFINITY, 40], 1],
    ['the one that has the most', [12, 39, 40], 2],
    ['one that was part of it before one that never was', [null, null, 0], 2],
    ['one that cannot say before one that never was part of it', [null, -1, null], 1],
    ['the first where there never was a cluster', [null, null, null], 0],
  ])('begins with %s', (_, seqnos, expected) => {
    expect(whoBegins(seqnos)).toBe(expected);
  });
});
