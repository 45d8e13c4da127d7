import { ConnectionError } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { untilAnswers } from './until-answers.js';

function databaseThatAnswersAfter(refusals: number) {
  let asked = 0;
  return {
    authenticate: () =>
      ++asked <= refusals
        ? Promise.reject(new ConnectionError(new Error('ER_CONNECTION_TIMEOUT')))
        : Promise.resolve(),
  };
}

describe('a database that is slow to answer', () => {
  const said: string[] = [];
  const patience = { say: (line: string) => said.push(line), wait: () => Promise.resolve() };

  it('is asked again, and each time it is said', async () => {
    expect(await untilAnswers(databaseThatAnswersAfter(3), patience)).toBe(true);
    expect(said).toHaveLength(3);
    expect(said[1]).toContain('asking again (3 of 60 s)');
  });

  it('is given up after a minute', async () => {
    expect(await untilAnswers(databaseThatAnswersAfter(1000), patience)).toBe(false);
  });

  it('is not asked again for what waiting does not mend', async () => {
    const denied = { authenticate: () => Promise.reject(new Error('access denied')) };
    await expect(untilAnswers(denied, patience)).rejects.toThrow('access denied');
  });
});
