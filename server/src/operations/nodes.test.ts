import { describe, expect, it } from 'vitest';
import { nodesOf } from './nodes.js';

describe('the nodes of a database', () => {
  it('are those that are together of those that it is told of', () => {
    const address = 'gcomm://127.0.0.1:4567,127.0.0.1:4577,127.0.0.1:4587?pc.wait_prim=no';
    expect(nodesOf(address, '2')).toEqual({ running: 2, of: 3 });
    expect(nodesOf(address, null)).toEqual({ running: 0, of: 3 });
  });

  it('are none of one that is alone', () => {
    for (const address of [null, '', 'gcomm://']) expect(nodesOf(address, '0')).toBeNull();
  });
});
