import { chmodSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { hashOf } from './build.js';
import { stopLeftover } from './mariadb.js';
import { asTyped, profilePaths } from './paths.js';
import { claim, endOrphans, findRunning } from './running.js';
import { ensureSecrets } from './secrets.js';

const root = mkdtempSync(join(tmpdir(), 'vendu-files-'));
// Else a database of a profile in it would be kept elsewhere.
chmodSync(root, 0o755);
afterAll(() => rmSync(root, { recursive: true }));

describe('a file named on the command line', () => {
  it('is looked for where the command was typed', () => {
    expect(asTyped('copies/a.sql.gz', '/home/lab')).toBe('/home/lab/copies/a.sql.gz');
    expect(asTyped('/mnt/a.sql.gz', '/home/lab')).toBe('/mnt/a.sql.gz');
    expect(asTyped('a.sql.gz')).toBe(join(process.env['VENDU_TYPED_IN'] ?? process.cwd(), 'a.sql.gz'));
  });
});

describe('the paths of a profile', () => {
  it('keep profiles apart, and a socket short enough for the system', () => {
    expect(profilePaths('demo', '/srv').socket).toBe('/srv/.vendu/demo/database/mariadb.sock');
    const deep = `/srv/${'deep/'.repeat(40)}`;
    expect(profilePaths('demo', deep).socket.length).toBeLessThan(100);
    expect(profilePaths('demo', deep).socket).not.toBe(profilePaths('test', deep).socket);
  });

  it('put the database where its own user may enter, when that is another one', () => {
    const closed = join(root, 'closed');
    mkdirSync(closed, { mode: 0o700 });
    const { folder, home } = profilePaths('demo', closed);
    expect(folder).toBe(join(closed, '.vendu/demo'));
    // As anybody but root the database runs as whoever starts it, who may enter.
    expect(home.startsWith('/var/lib/vendu/')).toBe(userInfo().uid === 0);
  });
});

describe('secrets', () => {
  it('are made once, differ per profile, and are for their owner only', () => {
    const file = join(root, 'a', 'secrets.json');
    const made = ensureSecrets(file);
    expect(ensureSecrets(file)).toEqual(made);
    expect(ensureSecrets(join(root, 'b', 'secrets.json'))).not.toEqual(made);
    expect(new Set(Object.values(made)).size).toBe(3);
    expect(statSync(file).mode & 0o077).toBe(0);
  });
});

describe('secrets of an older version', () => {
  it('stay as they are, and what was not made then is added', () => {
    const file = join(root, 'old.json');
    writeFileSync(file, JSON.stringify({ databasePassword: 'p', sessionSecret: 's' }));
    const added = ensureSecrets(file);
    expect(added).toMatchObject({ databasePassword: 'p', sessionSecret: 's' });
    expect(added.databaseRootPassword.length).toBeGreaterThan(40);
    expect(ensureSecrets(file)).toEqual(added);
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
  it('is no run, and its socket is cleared without touching a stranger’s process', async () => {
    const paths = profilePaths('demo', join(root, 'left'));
    mkdirSync(paths.folder, { recursive: true });
    // This very process: alive, but neither a demo nor a database of that folder.
    writeFileSync(
      paths.running,
      JSON.stringify({ pid: process.pid, url: '', programs: [{ pid: process.pid, file: 'haproxy' }] }),
    );
    mkdirSync(paths.databaseFolder, { recursive: true });
    writeFileSync(paths.socket, '');
    expect(findRunning(paths)).toBeNull();
    expect(await endOrphans(paths)).toBe(false);
    expect(await stopLeftover(paths)).toBe(false);
    expect(() => statSync(paths.socket)).toThrow();
  });
});

describe('a profile', () => {
  it('is one run’s at a time, and is not kept by the note of a killed one', () => {
    const paths = profilePaths('demo', join(root, 'claimed'));
    expect(claim(paths, { url: 'first', programs: [] })).toBeNull();
    // The note names this process, which is no run of Vendu: as good as killed.
    expect(claim(paths, { url: 'second', programs: [] })).toBeNull();
    expect(JSON.parse(readFileSync(paths.running, 'utf8'))).toMatchObject({ url: 'second' });
    writeFileSync(paths.running, '{"pid": 1');
    expect(findRunning(paths)).toBeNull();
  });
});
