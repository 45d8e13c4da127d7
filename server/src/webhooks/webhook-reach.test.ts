import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fetch } from 'undici';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { WebhookReach } from './webhook-reach.js';

let program: Server;
let port: number;
beforeAll(async () => {
  program = createServer((_, response) => response.end('told'));
  await new Promise<void>((resolve) => program.listen(0, '127.0.0.1', resolve));
  ({ port } = program.address() as AddressInfo);
});
afterAll(() => program.close());

const NAMED = new WebhookReach({ webhookHosts: ['chat.house.example', '10.0.0.7:8080', 'localhost'] });
const UNNAMED = new WebhookReach({ webhookHosts: [] });
const told = async (reach: WebhookReach, url: string) =>
  (await fetch(url, { dispatcher: reach.dispatcherFor(url) })).text();

describe('a message', () => {
  it.each([
    'https://chat.elsewhere.example/vendu',
    'https://93.184.216.34/',
    'https://[2606:4700::1111]/',
    'http://chat.house.example/',
    'http://chat.house.example:8080/',
    'http://10.0.0.7:8080/news',
  ])('may go to %s', (url) => expect(NAMED.refusalOf(url)).toBeNull());

  // Ranges: RFC 6890 (special-purpose addresses), from memory.
  it.each([
    ['http://chat.elsewhere.example/', 'begin with https'],
    ['http://house.example/', 'begin with https'],
    ['http://10.0.0.7:8081/', 'begin with https'],
    ['https://10.0.0.7/', 'own network'],
    ['https://127.0.0.1/', 'own network'],
    ['https://2130706433/', 'own network'],
    ['https://0x7f.1/', 'own network'],
    ['https://0.0.0.0/', 'own network'],
    ['https://169.254.169.254/latest', 'own network'],
    ['https://192.168.1.1/', 'own network'],
    ['https://172.16.0.1/', 'own network'],
    ['https://100.64.0.1/', 'own network'],
    ['https://[::1]/', 'own network'],
    ['https://[::ffff:10.0.0.1]/', 'own network'],
    ['https://[fd00::1]/', 'own network'],
    ['https://[fe80::1]/', 'own network'],
  ])('does not go to %s', async (url, why) => {
    expect(NAMED.refusalOf(url)).toContain(why);
    await expect(told(NAMED, url)).rejects.toThrow(why);
  });

  it('goes nowhere by a name that leads into the network, unless that is named', async () => {
    await expect(told(UNNAMED, `https://localhost:${port}/`)).rejects.toMatchObject({
      cause: { message: "localhost leads into the lab's own network" },
    });
    expect(await told(NAMED, `http://localhost:${port}/`)).toBe('told');
  });
});
