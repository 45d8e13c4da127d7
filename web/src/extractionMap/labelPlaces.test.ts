import { describe, expect, it } from 'vitest';
import { labelPlaces } from './labelPlaces';

const SPAN = { tdsPercent: 0.5, yieldPercent: 8 };
const at = (id: number, tdsPercent: number, yieldPercent: number) => ({ id, tdsPercent, yieldPercent });

describe('numbers of points on the map', () => {
  it('keep their usual place where they are apart', () => {
    const places = labelPlaces([at(1, 1.2, 18), at(2, 1.4, 20)], SPAN);
    expect([places.get(1)?.hasLeader, places.get(2)?.hasLeader]).toEqual([false, false]);
  });

  it('are moved apart where points lie on each other; the last one given stays', () => {
    const places = labelPlaces([at(1, 1.3, 19.5), at(2, 1.31, 19.6), at(3, 1.3, 19.6)], SPAN);
    expect(places.get(3)?.hasLeader).toBe(false);
    expect(new Set([1, 2, 3].map((id) => JSON.stringify(places.get(id)))).size).toBe(3);
    expect(places.get(1)?.hasLeader).toBe(true);
  });
});
