import { chmodSync, existsSync, rmSync, writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';
import { userInfo } from 'node:os';
import { setTimeout as sleep } from 'node:timers/promises';
import { execa } from 'execa';
import { ownLog } from '../ownLog.js';
import { NEUTRAL_FOLDER, PATH_WITH_SBIN } from '../mariadb.js';
import type { ProfilePaths } from '../paths.js';
import { CommandFailure } from '../report.js';
import type { Program } from '../running.js';
import { databaseUser } from '../systemUser.js';
import { haproxyConfig, type ProxyPlan } from './haproxyConfig.js';

const PROGRAM = 'haproxy';
const START_TIMEOUT_MS = 20_000;

export interface Proxy {
  programs: readonly Program[];
  /** Resolves once it ended, by whatever. */
  ended: () => Promise<void>;
  stop: () => Promise<void>;
}

/** Starts HAProxy and waits until it takes connections. Configuration and log are in the profile's folder. */
export async function startProxy(plan: Omit<ProxyPlan, 'user'>, paths: ProfilePaths): Promise<Proxy> {
  const file = join(paths.folder, 'haproxy.cfg');
  const log = join(paths.folder, 'haproxy.log');
  const user = userInfo().uid === 0 ? databaseUser().name : null;
  writeFileSync(file, haproxyConfig({ ...plan, user }), { mode: 0o600 });
  chmodSync(file, 0o600);
  if (plan.database !== null) rmSync(plan.database.socket, { force: true });
  const proxy = execa(PROGRAM, ['-db', '-f', file], {
    env: { PATH: PATH_WITH_SBIN },
    cwd: NEUTRAL_FOLDER,
    reject: false,
    all: true,
    buffer: false,
    // It goes after those who come by it, and not with the terminal.
    detached: true,
  });
  proxy.all.pipe(ownLog(log));
  const stop = async () => {
    proxy.kill('SIGTERM');
    await proxy;
  };
  const deadlineMs = Date.now() + START_TIMEOUT_MS;
  while (Date.now() < deadlineMs && proxy.exitCode === null) {
    if (await takes(plan)) {
      const programs = proxy.pid === undefined ? [] : [{ pid: proxy.pid, file: PROGRAM }];
      return { programs, ended: () => proxy.then(() => undefined), stop };
    }
    await sleep(100);
  }
  await stop();
  throw new CommandFailure(`HAProxy did not start; its log is ${log}.`);
}

async function takes({ port, database }: Omit<ProxyPlan, 'user'>): Promise<boolean> {
  if (database !== null && !existsSync(database.socket)) return false;
  return new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1');
    socket.once('connect', () => {
      socket.destroy();
      resolve(true);
    });
    socket.once('error', () => resolve(false));
  });
}
