import { describe, expect, it } from 'vitest';
import { coffeeUsedReport } from './coffeeUsed.js';
import { dialInReport, type LotDialledIn } from './dialIn.js';
import { forecastReport } from './forecastError.js';
import { grinderReport } from './grinders.js';
import { hitRateReport } from './hitRates.js';
import { repeatingReport } from './repeating.js';
import { tasterReport } from './tasters.js';

// Worked by hand from invented records: medians, sums and shares.

const lot = (lotId: number, brews: number, more: Partial<LotDialledIn> = {}): LotDialledIn => ({
  lotId,
  lot: `Lot ${lotId}`,
  arrivedOn: '2026-03-01',
  acceptedOn: `2026-03-${String(10 + lotId).padStart(2, '0')}`,
  publishedOn: null,
  brews,
  grams: brews * 16,
  ...more,
});

describe('to a recipe', () => {
  it('is the median of brews, grams and days, over lots in the order accepted', () => {
    const { answer, rows, chart } = dialInReport([
      lot(2, 7, { publishedOn: '2026-03-21' }),
      lot(1, 3, { publishedOn: '2026-03-11' }),
      lot(3, 4),
    ]);
    expect(answer).toBe(
      'A lot takes 4 brews and 64 g to an accepted recipe (median of 3 lots). From arrival to a public card it is 15 days (2 lots).',
    );
    expect(rows.map(({ lotId }) => lotId)).toEqual([3, 2, 1]);
    expect(rows[1]?.cells).toMatchObject({ brews: 7, grams: 112, days: 20 });
    expect(chart?.points.map(({ y }) => y)).toEqual([3, 7, 4]);
    expect(chart?.line?.y).toBe(4);
  });

  it('says where it goes once there are lots enough', () => {
    const lots = [6, 6, 5, 6, 4, 3, 3, 4].map((brews, index) => lot(index + 1, brews));
    expect(dialInReport(lots).answer).toContain('The older half took 6 brews, the newer 3.5.');
    expect(dialInReport(lots.slice(0, 7)).answer).not.toContain('half');
  });

  it('draws nothing of nothing', () => {
    expect(dialInReport([])).toMatchObject({
      answer: 'No recipe was accepted in this time.',
      rows: [],
      chart: null,
    });
  });
});

describe('forecasts', () => {
  const seen = (expectedBy: number, didBy: number, asExpected: boolean) => ({
    expectedBy,
    didBy,
    asExpected,
    toldApart: true,
  });
  it('tell how far strength came off, and how many figures lay in their band', () => {
    const { answer, rows, chart } = forecastReport([
      {
        lotId: 1,
        lot: 'A',
        brewer: 'cone',
        on: '2026-04-02',
        figures: { tdsPercent: seen(-0.1, -0.06, true), drawdownS: seen(10, 30, false) },
      },
      {
        lotId: 2,
        lot: 'B',
        brewer: 'flat',
        on: '2026-04-01',
        figures: { tdsPercent: seen(0.05, 0.03, true) },
      },
    ]);
    expect(answer).toBe(
      'Strength came 0.03 % TDS off what was expected (median of 2 changes). Of 3 figures 2 lay in their band, which should hold nine of ten.',
    );
    expect(chart?.points.map(({ x, y }) => [x, Number(y.toFixed(3))])).toEqual([
      ['2026-04-01', -0.02],
      ['2026-04-02', 0.04],
    ]);
    expect(rows[0]?.cells).toMatchObject({ lot: 'A', drainDid: 30, yieldDid: null, held: '1 of 2' });
  });
});

describe('changes', () => {
  it('are counted by whose idea they were; who told nothing is left out', () => {
    const { answer, rows } = hitRateReport({
      model: { came: 9, missed: 1 },
      rules: [
        { name: 'sour', came: 2, missed: 1 },
        { name: 'dry', came: 0, missed: 0 },
      ],
      people: [],
    });
    expect(answer).toBe('The model’s figures came 9 of 10 times, what rules hoped for 2 of 3 times.');
    expect(
      rows.map(({ cells }) => [cells['name'], cells['told'], Math.round(Number(cells['share']))]),
    ).toEqual([
      ['its figures', 10, 90],
      ['sour', 3, 67],
    ]);
  });

  it('are not spoken of before one was seen', () => {
    expect(hitRateReport({ model: { came: 0, missed: 0 }, rules: [], people: [] }).chart).toBeNull();
  });
});

describe('tasters', () => {
  const habit = (byPoints: number, isHabit: boolean) =>
    ({ attribute: 'dryness', byPoints, withinPoints: 0.4, brews: 10, isHabit }) as const;
  it('name the largest habit, and only what is one', () => {
    const { answer, rows } = tasterReport([
      { name: 'Joss', sheets: 20, habits: [habit(0.9, true)] },
      { name: 'Tamsin', sheets: 18, habits: [habit(-1.2, false)] },
    ]);
    expect(answer).toBe('Joss reads dryness 0.9 points higher than the rest (10 brews). 1 habit in all.');
    expect(rows.map(({ cells }) => cells['habit'])).toEqual(['yes', 'no']);
    expect(tasterReport([{ name: 'Joss', sheets: 2, habits: [] }]).answer).toContain(
      'as far as 2 sheets of 1 taster can tell',
    );
  });
});

describe('repeating', () => {
  const precision = (repeatabilitySd: number | null, reproducibilitySd: number | null) => ({
    mean: 1.34,
    count: 4,
    hands: 2,
    repeatabilitySd,
    reproducibilitySd,
    expected: null,
  });
  const version = (on: string, same: number | null, any: number | null) => ({
    lotId: 1,
    lot: 'A',
    brewer: 'cone',
    versionNumber: 2,
    on,
    strength: precision(same, any),
    yield: null,
  });
  it('is the median spread of the same hands and of any', () => {
    const { answer, chart } = repeatingReport([
      version('2026-05-03', 0.02, 0.05),
      version('2026-05-01', 0.03, null),
      version('2026-05-02', null, null),
    ]);
    expect(answer).toBe(
      'The same hands repeat strength to 0.025 % TDS (standard deviation, median of 2 versions). By whoever brews it, it is 0.050 % (1 version).',
    );
    expect(chart?.points.map(({ y }) => y)).toEqual([0.03, 0.05]);
  });
});

describe('grinders', () => {
  const recheck = (lotId: number, grinder: string, byStrengthSd: number) => ({
    lotId,
    lot: `Lot ${lotId}`,
    grinder,
    on: `2026-06-0${lotId}`,
    byStrengthSd,
    byDrainSd: null,
  });
  it('name one whose lots moved together, else how each lies', () => {
    const drifted = [recheck(1, 'Halyard', -2.4), recheck(2, 'Halyard', -2), recheck(3, 'Bowline', 0.2)];
    expect(grinderReport(drifted).answer).toMatch(/^Halyard: 2 lots on it came out weaker/);
    expect(grinderReport([recheck(1, 'Halyard', -0.4), recheck(2, 'Bowline', 0.2)]).answer).toBe(
      'No grinder moved its lots together. On the mean, in standard deviations: Halyard −0.4 (1 lot); Bowline +0.2 (1 lot).',
    );
  });
});

describe('coffee used', () => {
  const use = { lotId: 1, lot: 'A', brews: 4, grams: 64, greenG: 80, leftG: 400, pricePerKg: 10 };
  it('costs what its green cost, before it lost weight in the roast', () => {
    const { answer, rows } = coffeeUsedReport(
      [use, { ...use, lotId: 2, brews: 1, grams: 16, pricePerKg: null }],
      [{ month: '2026-06', grams: 80 }],
    );
    expect(answer).toBe(
      '5 brews took 0.08 kg of coffee, 16 g a brew. Its green cost 0.80 (1 of 2 lots have a price).',
    );
    expect(rows[0]?.cells['cost']).toBeCloseTo(0.8);
    expect(rows[1]?.cells['cost']).toBeNull();
  });

  it('keeps the place of a month in which nobody brewed, over a new year too', () => {
    const { chart } = coffeeUsedReport(
      [use],
      [
        { month: '2025-11', grams: 30 },
        { month: '2026-02', grams: 50 },
      ],
    );
    expect(chart?.points.map(({ x, y }) => [x, y])).toEqual([
      ['Nov 2025', 30],
      ['Dec 2025', 0],
      ['Jan 2026', 0],
      ['Feb 2026', 50],
    ]);
  });
});
