import { describe, expect, it } from 'vitest';
import { readConfiguration } from './configuration.js';

const SMALLEST = {
  VENDU_DB_PORT: '33070',
  VENDU_DB_NAME: 'vendu',
  VENDU_DB_USER: 'vendu',
  VENDU_DB_PASSWORD: 'x',
  VENDU_SESSION_SECRET: 'y',
};

describe('the configuration', () => {
  it('has its defaults in one place', () => {
    expect(readConfiguration(SMALLEST)).toMatchObject({
      port: 4600,
      isDemo: false,
      webRoot: null,
      signInsPerMinute: 20,
      database: { host: '127.0.0.1', port: 33_070 },
    });
  });

  it.each(Object.keys(SMALLEST))('names %s when it is missing or empty', (name) => {
    expect(() => readConfiguration({ ...SMALLEST, [name]: '' })).toThrow(name);
    expect(() => readConfiguration({ ...SMALLEST, [name]: undefined })).toThrow(name);
  });

  it('refuses a port that is no number instead of guessing', () => {
    expect(() => readConfiguration({ ...SMALLEST, VENDU_PORT: '46OO' })).toThrow(
      'VENDU_PORT must be a whole number',
    );
  });
});
