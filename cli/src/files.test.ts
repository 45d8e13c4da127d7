import { mkdirSync, mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { hashOf } from './build.js';
import { stopLeftover } from './mariadb.js';
import { profilePaths } from './paths.js';
import { endOrphanedServer, findRunning } from './running.js';
import { ensureSecrets } from './secrets.js';

const root = mkdtempSync(join(tmpdir(), 'vendu-files-'));
afterAll(() => rmSync(root, { recursive: true }));

describe('the paths of a profile', () => {
  it('keep profiles apart, and a socket short enough for the system', () => {
    expect(profilePaths('demo', '/srv').socket).toBe('/srv/.vendu/demo/mariadb.sock');
    const deep = `/srv/${'deep/'.repeat(40)}`;
    expect(profilePaths('demo', deep).socket.length).toBeLessThan(100);
    expect(profilePaths('demo', deep).socket).not.toBe(profilePaths('test', deep).socket);
  });
});

describe('secrets', () => {
  it('are made once, differ per profile, and are for their owner only', () => {
    const file = join(root, 'a', 'secrets.json');
    const made = ensureSecrets(file);
    expect(ensureSecrets(file)).toEqual(made);
    expect(ensureSecrets(join(root, 'b', 'secrets.json'))).not.toEqual(made);
    expect(statSync(file).mode & 0o077).toBe(0);
  });
});

describe('the stamp of a build', () => {
  it('changes with a name or a content, and with nothing else', () => {
    mkdirSync(join(root, 'src'));
    writeFileSync(join(root, 'src/a.ts'), 'one');
    const before = hashOf(['src'], root);
    expect(hashOf(['src'], root)).toBe(before);
    writeFileSync(join(root, 'src/a.ts'), 'two');
    const changed = hashOf(['src'], root);
    writeFileSync(join(root, 'src/b.ts'), '');
    expect(new Set([before, changed, hashOf(['src'], root)]).size).toBe(3);
  });
});

describe('what a killed run leaves', () => {
  it('is no run, and its pid file and socket are cleared without touching a stranger’s process', async () => {
    const paths = profilePaths('demo', join(root, 'left'));
    mkdirSync(paths.folder, { recursive: true });
    // This very process: alive, but neither a demo nor a database of that folder.
    writeFileSync(paths.running, JSON.stringify({ pid: process.pid, url: '', serverPid: process.pid }));
    writeFileSync(paths.databasePid, String(process.pid));
    writeFileSync(paths.socket, '');
    expect(findRunning(paths)).toBeNull();
    expect(await endOrphanedServer(paths)).toBe(false);
    expect(await stopLeftover(paths)).toBe(false);
    expect(() => statSync(paths.socket)).toThrow();
  });
});
