import { describe, expect, it } from 'vitest';
import { haproxyConfig } from './haproxyConfig.js';
import { proxyPlanOf, settingsOfEach } from '../severalServers.js';

const LAB = { port: 4600 };
const config = (reached: { port: number; extraEnv?: Record<string, string> }) =>
  haproxyConfig({ ...proxyPlanOf(reached, 2), user: null });

describe('several servers of one lab', () => {
  it('are heard by this machine alone, at the ports after that of the lab, and know what stands before them', () => {
    const open = {
      ...LAB,
      extraEnv: { VENDU_LISTEN: '0.0.0.0', VENDU_PROXIES: '10.0.0.2', VENDU_ADDRESS: 'x' },
    };
    expect(settingsOfEach(open, 2)).toMatchObject([
      {
        port: 4601,
        extraEnv: {
          VENDU_LISTEN: '127.0.0.1',
          // By which it asks for https.
          VENDU_REACHED_ON: '0.0.0.0',
          VENDU_PROXIES: 'loopback,10.0.0.2',
          VENDU_SERVER: '1 of 2',
          VENDU_ADDRESS: 'x',
        },
      },
      { port: 4602, extraEnv: { VENDU_SERVER: '2 of 2' } },
    ]);
    expect(settingsOfEach(LAB, 1)[0]).toMatchObject({
      extraEnv: { VENDU_REACHED_ON: '127.0.0.1', VENDU_PROXIES: 'loopback' },
    });
  });
});

describe('the proxy before them', () => {
  it('sends what belongs to one instrument to one server, and all else to any', () => {
    const text = config(LAB);
    expect(text).toContain('bind 127.0.0.1:4600');
    expect(text.match(/server server-1 127\.0\.0\.1:4601 check/g)).toHaveLength(2);
    const [, feeds = ''] = text.split('\nbackend feeds');
    expect(feeds).toMatch(/balance uri\n\s+hash-type consistent/);
    expect(text).toContain('use_backend feeds if { path_beg /api/instrument-feeds/ }');
  });

  it('believes nobody who says that he came by https but the proxies that the lab names', () => {
    expect(config(LAB)).toMatch(/set-header x-forwarded-proto http$/m);
    const behind = config({
      ...LAB,
      extraEnv: { VENDU_LISTEN: '::', VENDU_PROXIES: 'uniquelocal,203.0.113.7' },
    });
    expect(behind).toContain('bind [::]:4600 v4v6');
    expect(behind).toMatch(
      /x-forwarded-proto http unless \{ src 10\.0\.0\.0\/8 .*fc00::\/7 203\.0\.113\.7 \}/,
    );
  });

  it('has all servers write to one node, and stay with it', () => {
    const nodes = [1, 2, 3].map((at) => ({
      name: `node-${at}`,
      socket: `/run/${at}.sock`,
      toldPort: 4570 + at,
    }));
    const text = haproxyConfig({ ...proxyPlanOf(LAB, 2, { socket: '/run/db.sock', nodes }), user: 'mysql' });
    expect(text).toContain('bind unix@/run/db.sock mode 600');
    expect(text).toMatch(/stick-table .*size 1 .*\n\s+stick on int\(1\)/);
    expect(text).toMatch(
      /server node-2 unix@\/run\/2\.sock check addr 127\.0\.0\.1 port 4572 .*shutdown-sessions/,
    );
    expect(text).toContain('user mysql');
  });
});
