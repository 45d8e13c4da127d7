import { describe, expect, it } from 'vitest';
import { LOT_STAGES } from '../vocabulary.js';
import { lotStage, type LotProgress } from './lotStage.js';
import { roastAgeDays } from './roastAge.js';

describe('roast age', () => {
  it('counts calendar days, over months and a daylight-saving change', () => {
    expect(roastAgeDays({ roastedOn: '2026-11-20', onDate: '2026-11-20' })).toBe(0);
    expect(roastAgeDays({ roastedOn: '2026-10-20', onDate: '2026-11-01' })).toBe(12);
    expect(roastAgeDays({ roastedOn: '2024-02-28', onDate: '2024-03-01' })).toBe(2);
  });

  it('throws on what is no date', () => {
    expect(() => roastAgeDays({ roastedOn: '2026-13-01', onDate: '2026-11-01' })).toThrow(RangeError);
  });
});

describe('the stage of a lot', () => {
  const none: LotProgress = {
    brewCount: 0,
    accepted: false,
    signedOff: false,
    published: false,
    recheckCount: 0,
  };

  it('climbs the ladder one rung at a time', () => {
    const climb: Partial<LotProgress>[] = [
      {},
      { brewCount: 1 },
      { brewCount: 3 },
      { accepted: true },
      { signedOff: true },
      { published: true },
      { recheckCount: 1 },
    ];
    let progress = none;
    const stages = climb.map((step) => lotStage((progress = { ...progress, ...step })));
    expect(stages).toEqual(LOT_STAGES);
  });

  it('falls back to signed off when a publication is withdrawn', () => {
    expect(
      lotStage({ brewCount: 5, accepted: true, signedOff: true, published: false, recheckCount: 2 }),
    ).toBe('signed-off');
  });
});
