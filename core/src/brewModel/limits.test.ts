import { describe, expect, it } from 'vitest';
import { valueOf } from '../result.js';
import { GOLDEN_BREW } from '../testing/brews.js';
import { mixingTemperatureC } from '../water/mixing.js';
import { BREW_MODEL } from './constants.js';
import { BREWER_CLASSES, fillOf } from './hardware.js';
import { particlesOf } from './particles.js';
import { runBrew } from './runBrew.js';
import { momentsOf } from './series.js';
import { setupOf } from './setup.js';
import { DEFAULT_LOT, simulateBrew } from './simulateBrew.js';
import type { BrewModelInput } from './types.js';

const brewed = (change: Partial<BrewModelInput> = {}) =>
  valueOf(simulateBrew({ ...GOLDEN_BREW, ...change, stepS: 0.5 }));

describe('at its limits the model', () => {
  it('waits dry for a first pour that comes late', () => {
    const late = brewed({
      pours: GOLDEN_BREW.pours.map((pour) => ({ ...pour, startS: pour.startS + 5 })),
      agitation: GOLDEN_BREW.agitation.map((each) => ({ ...each, atS: each.atS + 5 })),
    });
    const prompt = brewed();
    expect(late.tdsPercent).toBeCloseTo(prompt.tdsPercent, 2);
    expect(late.yieldPercent).toBeCloseTo(prompt.yieldPercent, 1);
    expect((late.drawdownS ?? 0) - (prompt.drawdownS ?? 0)).toBeCloseTo(5, 0);
    expect(late.soluteError).toBeLessThan(1e-9);
  });

  it('gives strength 0 to a lot with nothing soluble in it', () => {
    expect(brewed({ lot: { ...DEFAULT_LOT, solubility: 0 } })).toMatchObject({
      tdsPercent: 0,
      yieldPercent: 0,
    });
  });

  it('lets nothing out of a bed that takes up all the water', () => {
    const { beverageG, drawdownS } = brewed({ pours: [{ startS: 0, amountG: 10, flowGps: 5 }] });
    expect(beverageG).toBeLessThan(0.2);
    expect(drawdownS).toBeGreaterThan(0);
  });

  it('never drains through a paper that is tight, and says so', () => {
    const brew = brewed({ paperPerM: 1e12 });
    expect(brew.drawdownS).toBeNull();
    expect(brew.warnings.map(({ kind }) => kind)).toContain('stall');
  });

  it('mixes to the heat balance by hand where nothing loses heat', () => {
    const adiabatic = { ...BREW_MODEL, wallWPerM2K: 0, airWPerM2K: 0, streamLossK: 0 };
    const setup = setupOf(
      { ...GOLDEN_BREW, kettleC: 94.5, pours: [{ startS: 0, amountG: 250, flowGps: 5 }] },
      adiabatic,
    );
    const temperatures: number[] = [];
    runBrew(setup, { stepS: 0.25, longestS: 50, onGrid: ({ slurryC }) => temperatures.push(slurryC) });
    // Water that has drained keeps the temperature it had: the last slurry is warmer than a full mix.
    const mixed = mixingTemperatureC({ waterG: 250, kettleC: 94.5, doseG: 15, coffeeC: 22 });
    const first = mixingTemperatureC({ waterG: 5, kettleC: 94.5, doseG: 15, coffeeC: 22 });
    expect(Math.max(...temperatures)).toBeLessThan(94.5);
    expect(temperatures.at(-1)).toBeGreaterThan(mixed - 0.2);
    expect(temperatures[3]).toBeCloseTo(first, 0);
  });

  it('brews cold water slowly and weakly: viscosity and diffusion', () => {
    const cold = brewed({ kettleC: 20 });
    expect(cold.drawdownS).toBeGreaterThan(1.5 * (brewed().drawdownS ?? 0));
    expect(cold.yieldPercent).toBeLessThan(brewed().yieldPercent - 2);
  });

  it('fills a frustum to the height whose volume it was given, upright walls too', () => {
    for (const wallSlope of [0, 0.2, 0.6]) {
      const brewer = { ...BREWER_CLASSES.cone, wallSlope };
      for (const volumeM3 of [1e-5, 1e-4, 4e-4]) {
        const { radiusM, heightM } = fillOf(brewer, volumeM3);
        const r0 = brewer.bottomRadiusM;
        const filled = ((Math.PI * heightM) / 3) * (r0 ** 2 + r0 * radiusM + radiusM ** 2);
        expect(filled / volumeM3).toBeCloseTo(1, 9);
      }
    }
  });

  it('comes nearer to itself with more layers', () => {
    const at = (cells: number) => {
      const run = runBrew(setupOf(GOLDEN_BREW, { ...BREW_MODEL, cells }), { stepS: 0.25, longestS: 900 });
      return (run.cup.soluteKg / 0.015) * 100;
    };
    const [four, eight, sixteen] = [at(4), at(8), at(16)];
    expect(Math.abs(sixteen - eight)).toBeLessThan(Math.abs(eight - four));
    expect(Math.abs(sixteen - four)).toBeLessThan(0.15);
  });
});

describe('release from a grain', () => {
  // Exact series of a diffusing sphere at D t / R^2 (computed; Crank, The Mathematics of Diffusion, eq. 6.20, mem.).
  it.each([
    [0.002, 0.145],
    [0.01, 0.309],
    [0.03, 0.496],
    [0.1, 0.77],
    [0.2, 0.915],
  ])('never lags behind the exact series and is at most 0.12 ahead, at %d', (fourier, exact) => {
    let series = 0;
    for (let n = 1; n <= 200; n++) series += Math.exp(-(n ** 2) * Math.PI ** 2 * fourier) / n ** 2;
    expect(1 - (6 / Math.PI ** 2) * series).toBeCloseTo(exact, 2);
    // One size, so that a pool pair stands for one sphere: what is left in its two modes.
    const { poolShares, poolRatesPerS } = particlesOf({ d50Um: 800, sigmaG: 1, finesShare: 0 });
    const radiusM = 400e-6;
    const seconds = (fourier * radiusM ** 2) / BREW_MODEL.diffusionM2PerS;
    const [, first = 0, second = 0] = poolShares[1] ?? [];
    const core = first / (6 / Math.PI ** 2);
    const left =
      first * Math.exp(-(poolRatesPerS[0] ?? 0) * seconds) +
      second * Math.exp(-(poolRatesPerS[1] ?? 0) * seconds);
    const released = 1 - left / core;
    expect(released).toBeGreaterThanOrEqual(exact - 2e-3);
    expect(released).toBeLessThanOrEqual(exact + 0.12);
  });
});

describe('what always goes one way', () => {
  const along = <T>(values: T[], change: (value: T) => Partial<BrewModelInput>) =>
    values.map((value) => brewed(change(value)));
  const times = (brews: ReturnType<typeof along>) => brews.map(({ drawdownS }) => drawdownS ?? Infinity);
  const yields = (brews: ReturnType<typeof along>) => brews.map(({ yieldPercent }) => yieldPercent);
  const rising = (values: number[]) => [...values].sort((a, b) => a - b);

  it('drains later the finer, the colder, the more clogging, the thicker the paper', () => {
    const lots = [
      along([1000, 850, 720, 600, 500], (d50Um) => ({ grind: { d50Um } })),
      along([98, 93, 88, 80, 70], (kettleC) => ({ kettleC })),
      along([0.5, 0.8, 1.2, 2, 3], (clogging) => ({ lot: { ...DEFAULT_LOT, clogging } })),
      along([1e8, 1.5e8, 2.5e8, 4e8, 7e8], (paperPerM) => ({ paperPerM })),
    ];
    for (const brews of lots) expect(times(brews)).toEqual(rising(times(brews)));
  });

  it('extracts more the finer down to 450 µm, the hotter, the faster to release, the more water', () => {
    const lots = [
      along([1100, 900, 700, 550, 460], (d50Um) => ({ grind: { d50Um } })),
      along([80, 86, 90, 94, 98], (kettleC) => ({ kettleC })),
      along([0.5, 0.8, 1.1, 1.5, 2], (rate) => ({ lot: { ...DEFAULT_LOT, rate } })),
      along([200, 225, 250, 275, 300], (waterG) => ({
        pours: GOLDEN_BREW.pours.map((pour) => ({ ...pour, amountG: (pour.amountG * waterG) / 250 })),
      })),
    ];
    for (const brews of lots) expect(yields(brews)).toEqual(rising(yields(brews)));
  });

  // Common practice: a fresh roast is gassy. The model has the direction, and too little of it.
  it('wets a fresh roast more slowly than one that has lost its gas', () => {
    const held = [1, 7, 14, 30, 90].map((ageDays) => {
      const brew = brewed({ lot: { ...DEFAULT_LOT, ageDays } });
      return momentsOf(brew.series).find(({ atS }) => atS === 10)?.aboveBedG ?? 0;
    });
    expect(held).toEqual(rising(held).reverse());
    expect(held[0]).toBeGreaterThan(held[4] ?? 0);
  });

  it('keeps more water in the bed the higher the retained factor', () => {
    const brews = along([0.85, 0.95, 1, 1.05, 1.15], (retained) => ({ lot: { ...DEFAULT_LOT, retained } }));
    const kept = brews.map(({ beverageG }) => -beverageG);
    expect(kept).toEqual(rising(kept));
  });
});
