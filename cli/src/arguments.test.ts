import { describe, expect, it } from 'vitest';
import { readCommand } from './arguments.js';

describe('the command line', () => {
  it('reads commands with their defaults', () => {
    expect(readCommand([])).toEqual({ name: 'help' });
    expect(readCommand(['demo'])).toEqual({
      name: 'demo',
      port: 4600,
      reset: false,
      opensToPhones: false,
    });
    expect(readCommand(['demo', '--port', '4711', '--reset'])).toEqual({
      name: 'demo',
      port: 4711,
      reset: true,
      opensToPhones: false,
    });
    expect(readCommand(['serve', '--phones'])).toEqual({
      name: 'serve',
      port: null,
      opensToPhones: true,
      config: null,
      workers: 1,
    });
    expect(readCommand(['serve', '--workers', '2'])).toMatchObject({ workers: 2 });
    expect(() => readCommand(['serve', '--workers', '0'])).toThrow('--workers must be a whole number from 1');
    expect(readCommand(['cluster'])).toEqual({ name: 'cluster', port: 4600, workers: 2 });
    expect(readCommand(['serve', '--config', 'lab.json', '--port', '4700'])).toMatchObject({
      port: 4700,
      config: 'lab.json',
    });
    expect(readCommand(['test'])).toMatchObject({ suites: ['checks', 'unit', 'integration', 'e2e'] });
    expect(readCommand(['test', 'unit'])).toMatchObject({ suites: ['unit'] });
    expect(readCommand(['bench'])).toMatchObject({
      measures: [
        ...['speed', 'accuracy', 'facts', 'tasks', 'days', 'blind', 'warnings', 'starts', 'practice'],
        ...['second', 'brews', 'split', 'ablation', 'many', 'house'],
      ],
    });
    expect(readCommand(['kill'])).toEqual({ name: 'kill', kills: 50 });
    expect(readCommand(['kill', '--kills', '3'])).toEqual({ name: 'kill', kills: 3 });
    expect(readCommand(['trust'])).toMatchObject({
      parts: [
        'doors',
        'races',
        'fuzz',
        'feed',
        'migrations',
        'carry',
        'phones',
        'faults',
        'disk',
        'cluster',
        'load',
        'dial-in',
        'proposals',
      ],
    });
    expect(readCommand(['backup'])).toEqual({ name: 'backup', isDemo: false, folder: null, keep: 14 });
    expect(readCommand(['backup', '--to', '/mnt/copies', '--keep', '3', '--demo'])).toEqual({
      name: 'backup',
      isDemo: true,
      folder: '/mnt/copies',
      keep: 3,
    });
    expect(readCommand(['restore', 'a.sql.gz'])).toEqual({
      name: 'restore',
      isDemo: false,
      file: 'a.sql.gz',
    });
    expect(readCommand(['trust', 'races'])).toEqual({ name: 'trust', parts: ['races'] });
    expect(readCommand(['mutate', 'change', '--own'])).toEqual({
      name: 'mutate',
      folders: ['change'],
      byOwnTests: true,
    });
    expect(readCommand(['mutate', 'plan'])).toMatchObject({ byOwnTests: false });
    expect(readCommand(['bench', 'second'])).toMatchObject({ measures: ['second'] });
  });

  it.each([
    [['brew'], 'no command “brew”'],
    [['demo', '--port', '80'], '1024 to 65535'],
    [['demo', '--port', 'x'], '1024 to 65535'],
    [['demo', '--fast'], '--fast'],
    [['kill', '--kills', '0'], '1 to 1000'],
    [['test', 'speed'], 'no suite “speed”'],
    [['bench', 'unit'], 'no measure “unit”'],
    [['trust', 'luck'], 'no part “luck”'],
    [['backup', '--keep', '0'], '1 to 1000'],
    [['restore'], 'Name one file'],
    [['restore', 'a', 'b'], 'Name one file'],
    [['mutate', 'web'], 'no folder “web”'],
  ])('refuses %j and says what there is', (words, message) => {
    expect(() => readCommand(words)).toThrow(message);
  });
});
