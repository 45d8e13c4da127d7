import { describe, expect, it } from 'vitest';
import type { BenchEvent } from './benchEvents.js';
import { eventsOfRecord } from './keptEvents.js';

const wordy = (kind: BenchEvent['kind'], text = '', figure: number | null = null) => ({
  kind,
  atS: 12,
  figure,
  text,
});

describe('events of a record', () => {
  it('that said their facts in words say them as facts', () => {
    expect(
      eventsOfRecord([
        wordy('not-prepared', 'paper not rinsed'),
        wordy('agitated', 'Stir'),
        wordy('agitated', 'Swirl'),
        wordy('cup-changed', 'Cup changed', 61.5),
        wordy('kettle-read', 'Simulated thermometer', 93.1),
        wordy('kettle-read', '', 92),
        wordy('totals-moved', 'from pour 3 on', -4),
        wordy('scale-lost', 'Left scale'),
        wordy('clock-off', '1970-01-01T00:00:00Z'),
        wordy('bed-shows'),
      ]),
    ).toEqual([
      { kind: 'not-prepared', atS: 12, task: 'rinse' },
      { kind: 'agitated', atS: 12, how: 'stir' },
      { kind: 'agitated', atS: 12, how: 'swirl' },
      { kind: 'cup-changed', atS: 12, massG: 61.5 },
      {
        kind: 'kettle-read',
        atS: 12,
        kettleC: 93.1,
        instrument: 'Simulated thermometer',
        isSimulated: true,
      },
      { kind: 'kettle-read', atS: 12, kettleC: 92, instrument: '', isSimulated: false },
      { kind: 'totals-moved', atS: 12, fromPour: 3, byG: -4 },
      { kind: 'scale-lost', atS: 12, scale: 'Left scale' },
      { kind: 'clock-off', atS: 12, said: '1970-01-01T00:00:00Z' },
      { kind: 'bed-shows', atS: 12 },
    ]);
  });

  it('stay as they are where they already do', () => {
    const events: BenchEvent[] = [{ kind: 'agitated', atS: 3, how: 'stir' }];
    expect(eventsOfRecord(events)).toEqual(events);
  });

  it('that say nothing known are left out', () => {
    expect(eventsOfRecord([wordy('not-prepared', 'left the lid open'), wordy('kettle-read')])).toEqual([]);
  });
});
