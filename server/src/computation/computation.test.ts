import { EventEmitter } from 'node:events';
import { setImmediate as nextTurn } from 'node:timers/promises';
import { Piscina } from 'piscina';
import { beforeEach, expect, it, vi } from 'vitest';
import type { fittedStart } from '@vendu/core';
import { Computation } from './computation.js';

/** Refused as soon as it is looked at. */
const NOTHING = {} as Parameters<typeof fittedStart>[0];

const ended = vi.spyOn(Piscina.prototype, 'destroy');
beforeEach(() => void ended.mockClear());

/** A thread of which nothing is heard but what a test lets be heard. */
function thread(): EventEmitter {
  const begun = new EventEmitter();
  (process as EventEmitter).emit('worker', begun);
  return begun;
}

it.each(['message', 'exit', 'error'])(
  'waits for a thread that loads its program, though it came too late for anything to do, until its %s',
  async (heard) => {
    const computation = new Computation();
    const late = thread();
    const ending = computation.onModuleDestroy();
    for (let turn = 0; turn < 5; turn++) await nextTurn();
    expect(ended).not.toHaveBeenCalled();
    late.emit(heard, new Error('x'));
    await ending;
    expect(ended).toHaveBeenCalledOnce();
  },
);

it('begins nothing for whoever asks while it ends, and does what was asked before', async () => {
  const computation = new Computation();
  const asked = computation.run('fittedStart', NOTHING);
  const outcome = expect(asked).rejects.toThrow(TypeError);
  const ending = computation.onModuleDestroy();
  await expect(computation.run('fittedStart', NOTHING)).rejects.toThrow('The server ends just now.');
  await outcome;
  await ending;
});
