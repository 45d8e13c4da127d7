import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { ROOT } from './paths.js';

interface Packages {
  dependencies?: Record<string, string>;
  devDependencies?: Record<string, string>;
  workspaces?: string[];
}
const json = (path: string) => JSON.parse(readFileSync(join(ROOT, path), 'utf8')) as unknown;
const house = json('package.json') as Packages;
const rooms = ['.', ...house.workspaces!].map((room) => json(`${room}/package.json`) as Packages);
const asked = rooms.flatMap((room) => Object.entries({ ...room.dependencies, ...room.devDependencies }));
const foreign = asked.filter(([name]) => !name.startsWith('@vendu/'));

const text = readFileSync(join(ROOT, 'docs/DEPENDENCIES.md'), 'utf8');
const table = [...text.matchAll(/^\| `([^`]+)`\s*\| ([^|]+?)\s*\| ([^|]+?)\s*\|/gm)].map(
  ([, name, licence, reason]) => ({ name: name!, licence: licence!, reason: reason! }),
);
const typesNamed = [...text.matchAll(/`(@types\/[^`]+)`/g)].map(([, name]) => name!);

const { packages } = json('package-lock.json') as {
  packages: Record<string, { license?: string; link?: boolean }>;
};
/** These say it in an older way, or in their LICENSE alone: MIT, read off it. */
const SAID_ELSEWHERE = ['busboy', 'jstat', 'png-js', 'streamsearch'];
const licenceOf = (name: string, license: string | undefined) =>
  SAID_ELSEWHERE.includes(name) ? 'MIT' : license;

/** Licences that go with Apache 2.0 as packages are used here: unchanged, and from the registry. */
const FINE = new Set([
  ...['MIT', 'MIT-0', 'ISC', '0BSD', 'BSD-2-Clause', 'BSD-3-Clause', 'Apache-2.0', 'BlueOak-1.0.0', 'Zlib'],
  ...['Unlicense', 'CC0-1.0', 'Python-2.0', 'CC-BY-4.0', 'OFL-1.1', 'MPL-2.0', 'LGPL-2.1-or-later'],
]);

describe('what Vendu stands on', () => {
  it('is named with its reason, all of it and nothing else', () => {
    const names = [...new Set(foreign.map(([name]) => name))].sort();
    expect([...new Set([...table.map(({ name }) => name), ...typesNamed])].sort()).toEqual(names);
    expect(table.filter(({ reason }) => reason.length < 5)).toEqual([]);
  });

  it('has the licence that the table says', () => {
    for (const { name, licence } of table) {
      const found = Object.entries(packages).find(([path]) => path.endsWith(`node_modules/${name}`));
      expect([name, licenceOf(name, found?.[1].license)]).toEqual([name, licence]);
    }
  });

  it('has licences that go with its own, down to packages of packages', () => {
    const others = Object.entries(packages).filter(
      ([path, { link }]) => path.includes('node_modules/') && !link,
    );
    const strange = others.flatMap(([path, { license }]) => {
      const licence = licenceOf(path.replace(/^.*node_modules\//, ''), license) ?? 'none';
      const parts = licence.replaceAll(/[()]/g, '').split(/ AND | OR /);
      return parts.every((part) => FINE.has(part)) ? [] : [`${path}: ${licence}`];
    });
    expect(strange).toEqual([]);
    expect(others.length).toBeGreaterThan(500);
  });

  it('is asked for in exact versions', () => {
    expect(foreign.filter(([, version]) => !/^(npm:.+@)?\d+\.\d+\.\d+/.test(version))).toEqual([]);
  });
});
