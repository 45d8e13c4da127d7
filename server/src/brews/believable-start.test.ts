import { describe, expect, it } from 'vitest';
import { believableStart } from './believable-start.js';

const NOW = new Date('2026-03-01T10:00:00Z');
const start = (said: string) =>
  believableStart({ startMs: Date.parse(said), steps: [{ atS: 0 }, { atS: 180 }] }, NOW);

describe('the start of a brew', () => {
  it.each(['2026-03-01T09:55:00Z', '2026-02-01T08:00:00+01:00', '2026-03-01T10:09:00Z'])(
    'is what the device says: %s',
    (said) => {
      expect(start(said)).toEqual({ startedAt: new Date(said), clockOff: [] });
    },
  );

  it.each(['1970-01-01T00:04:00Z', '2040-05-05T05:05:05Z', '9999-12-31T23:59:59Z'])(
    'is reckoned back from now where the device says what cannot be: %s',
    (said) => {
      const { startedAt, clockOff } = start(said);
      expect(startedAt).toEqual(new Date('2026-03-01T09:57:00Z'));
      expect(clockOff).toEqual([{ kind: 'clock-off', atS: 0, said: new Date(said).toISOString() }]);
    },
  );
});
