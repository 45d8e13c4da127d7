import { describe, expect, it } from 'vitest';
import { Computation } from '../computation/computation.js';
import { Drawing } from './drawing.js';

// Node aborts the whole process where a thread is ended while it loads its program: nothing would be left to fail.
describe('threads that have hardly begun', () => {
  it('are ended without harm, of papers and of core', async () => {
    for (let time = 0; time < 6; time++) {
      const [drawing, computation] = [new Drawing(), new Computation()];
      const computed = computation.run('calibrateLot', { brews: [] });
      await Promise.all([drawing.onModuleDestroy(), computation.onModuleDestroy()]);
      await expect(computed).resolves.toMatchObject({ ok: true });
    }
  }, 60_000);
});
