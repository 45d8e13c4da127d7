import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { DEFAULT_PORT, readCommand } from './arguments.js';
import { MARIADB } from './debian.js';
import { profilePaths, ROOT } from './paths.js';

const lines = readFileSync(join(ROOT, 'docs/examples/Containerfile'), 'utf8')
  .replaceAll('\\\n', ' ')
  .split('\n')
  .filter((line) => line !== '' && !line.startsWith('#'));
const said = (word: string) =>
  lines.filter((line) => line.startsWith(`${word} `)).map((line) => line.slice(word.length + 1).trim());

describe('the example of a container', () => {
  it('installs what a lab runs on, as root, and runs it as somebody else', () => {
    const install = said('RUN').find((line) => line.includes('apt-get install')) ?? '';
    for (const name of [MARIADB.name, 'nodejs', 'npm']) expect(install.split(/\s+/)).toContain(name);
    const order = lines.map((line) => line.split(' ')[0]);
    expect(order.indexOf('USER')).toBeGreaterThan(lines.findIndex((line) => line.includes('apt-get')));
    expect(order.indexOf('USER')).toBeLessThan(order.indexOf('COPY'));
    expect(said('USER')).not.toContain('root');
  });

  it('builds and serves by commands that there are', () => {
    const build = said('RUN').find((line) => line.startsWith('./vendu ')) ?? '';
    expect(readCommand(build.split(' && ')[0]?.split(' ').slice(1) ?? [])).toEqual({ name: 'build' });
    const [program, ...words] = JSON.parse(said('CMD')[0] ?? '[]') as string[];
    expect(program).toBe('./vendu');
    expect(readCommand(words)).toMatchObject({ name: 'serve', config: '/etc/vendu/lab.json' });
  });

  it('keeps the folder of a lab outside, and opens the port where it serves', () => {
    const [folder = ''] = said('WORKDIR');
    expect(said('VOLUME')).toEqual([profilePaths('lab', folder).folder]);
    expect(said('EXPOSE')).toEqual([String(DEFAULT_PORT)]);
  });
});
