import { afterAll, beforeAll, expect, it } from 'vitest';
import { startServer } from '../src/application.js';
import { floodFeed } from '../src/trust/feedFlood.js';
import { fuzz } from '../src/trust/fuzz.js';
import { enterLab } from '../src/trust/lab.js';
import { tryAsOtherUser } from '../src/trust/otherUser.js';
import { runRaces } from '../src/trust/races.js';
import { ownDatabase, type OwnDatabase } from './support/ownDatabase.js';

// What `./vendu trust` does to a running server at length, in small.
let own: OwnDatabase;
beforeAll(async () => {
  own = await ownDatabase();
}, 180_000);
afterAll(() => own.close());

it('a running server stands races, odd requests, a flood of lines and another system user', async () => {
  const { settings, paths } = own;
  const server = await startServer(settings, paths);
  try {
    const lab = await enterLab(`http://127.0.0.1:${settings.port}`);
    const broken = (await runRaces(lab, 2)).filter((race) => race.broken > 0);
    expect(broken).toEqual([]);

    const fuzzed = await fuzz(lab, 250, 7);
    expect(fuzzed).toMatchObject({ faults: [], brokenPages: [] });
    // Not all refused, or it would have tried nothing.
    expect(fuzzed.byHundred['2']).toBeGreaterThan(25);

    const flood = await floodFeed(lab, { listeners: 6, posts: 6, serverPid: server.pid });
    expect(flood.listenersTaken).toBe(4);
    expect(flood.postsTaken).toBe(2);

    expect((await tryAsOtherUser(paths))?.open ?? []).toEqual([]);
  } finally {
    await server.stop();
  }
}, 240_000);
