import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { keepServers, type KeptServers } from '../src/keepServers.js';
import { startProxy, type Proxy } from '../src/proxy/startProxy.js';
import { proxyPlanOf, settingsOfEach } from '../src/severalServers.js';
import { floodFeed } from '../src/trust/feedFlood.js';
import { fuzz } from '../src/trust/fuzz.js';
import { enterLab, visitor, type Lab } from '../src/trust/lab.js';
import { tryAsOtherUser } from '../src/trust/otherUser.js';
import { runRaces } from '../src/trust/races.js';
import { ownDatabase, type OwnDatabase } from './support/ownDatabase.js';

// What `./vendu trust` does to a running server at length, in small: to two of them behind their proxy, which must be
// no less safe than one.
let own: OwnDatabase;
let proxy: Proxy;
let servers: KeptServers;
let lab: Lab;
beforeAll(async () => {
  own = await ownDatabase();
  const settings = { ...own.settings, extraEnv: { VENDU_SIGN_INS_PER_MINUTE: '1000' } };
  proxy = await startProxy(proxyPlanOf(settings, 2), own.paths);
  servers = await keepServers(settingsOfEach(settings, 2), own.paths);
  lab = await enterLab(`http://127.0.0.1:${settings.port}`);
}, 240_000);
afterAll(async () => {
  await servers.stop();
  await proxy.stop();
  await own.close();
});

it('a running lab stands races, odd requests, a flood of lines and another system user', async () => {
  const broken = (await runRaces(lab, 2)).filter((race) => race.broken > 0);
  expect(broken).toEqual([]);

  const fuzzed = await fuzz(lab, 250, 7);
  expect(fuzzed).toMatchObject({ faults: [], brokenPages: [] });
  // Not all refused, or it would have tried nothing.
  expect(fuzzed.byHundred['2']).toBeGreaterThan(25);

  // Those who listen to a feed and what is sent to it meet at one server.
  const flood = await floodFeed(lab, { listeners: 6, posts: 6, serverPid: null });
  expect(flood.listenersTaken).toBe(4);
  expect(flood.postsTaken).toBe(2);

  expect((await tryAsOtherUser(own.paths))?.open ?? []).toEqual([]);
}, 240_000);

it('several servers count guesses at one account together', async () => {
  const guess = { email: 'wenna@ninthmole.example', password: 'guess' };
  const answers = await Promise.all(
    Array.from({ length: 16 }, () => visitor(lab.url).post('session', guess)),
  );
  const counted = (status: number) => answers.filter((answer) => answer.status === status).length;
  expect([counted(401), counted(429)]).toEqual([10, 6]);
});

it('the log says by number who was refused, and at whose account somebody guessed', async () => {
  await lab.barista.get('people');
  await visitor(lab.url).post('session', { email: 'joss@ninthmole.example', password: 'guess' });
  const logged = () =>
    readdirSync(own.paths.folder)
      .filter((file) => /^server.*\.log$/.test(file))
      .map((file) => readFileSync(join(own.paths.folder, file), 'utf8'))
      .join('');
  const { id } = ((await lab.lead.get('people')).body as { id: number; email: string }[]).find(
    ({ email }) => email === 'joss@ninthmole.example',
  )!;
  await expect.poll(logged).toMatch(new RegExp(`"account":${id},"msg":"sign-in refused: wrong password"`));
  expect(logged()).toMatch(/"url":"\/api\/people"\},"personId":\d+,"res":\{"statusCode":403\}/);
  expect(logged()).not.toContain('joss@');
});

it('a server that ends is gone on without, and is there again', async () => {
  const before = servers.programs();
  await servers.kill(0);
  // One that was under way there is sent again by whoever sent it; the next goes to the other.
  await expect.poll(async () => (await lab.barista.get('lots')).status).toBe(200);
  await expect
    .poll(() => servers.programs().length === 2 && servers.programs()[0]?.pid !== before[0]?.pid)
    .toBe(true);
  expect((await lab.barista.get('kit')).status).toBe(200);
});
