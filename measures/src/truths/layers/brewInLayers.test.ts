import { BREWER_CLASSES, PAPER_PER_M, type BrewConditions } from '@vendu/core';
import { describe, expect, it } from 'vitest';
import { brewInLayers, type LayeredLot } from './brewInLayers.js';
import { heightIn, layersOf, networkFlow } from './network.js';
import { PHYSICS } from './physics.js';

const LOT: LayeredLot = { soluble: 1, rate: 1, resistance: 1, fines: 1, held: 1, gas: 1 };
const AS_STATED = { grinderOff: 1, drainOff: 1, paperOff: 1 };
const pours = (flowGps: number, ...list: [startS: number, amountG: number][]) =>
  list.map(([startS, amountG]) => ({ startS, amountG, flowGps }));
const brewed = (change: Partial<BrewConditions> = {}, lot: Partial<LayeredLot> = {}) =>
  brewInLayers(
    {
      doseG: 15,
      grind: { d50Um: 680 },
      kettleC: 94,
      ambientC: 22,
      elevationM: 0,
      roastAgeDays: 14,
      agitation: [],
      brewer: BREWER_CLASSES.cone,
      paperPerM: PAPER_PER_M.ordinary,
      pours: pours(8, [0, 45], [40, 100], [85, 100]),
      ...change,
    },
    { ...LOT, ...lot },
    PHYSICS,
    AS_STATED,
  );

// Common practice, as directions: what a truth has to do before anything is held against it.
describe('a brew in layers', () => {
  it('drains, extracts and keeps water as filter brews do', () => {
    const { drawdownS, tdsPercent, yieldPercent, beverageG } = brewed();
    expect(drawdownS).toBeGreaterThan(120);
    expect(drawdownS).toBeLessThan(240);
    expect(tdsPercent).toBeGreaterThan(1.1);
    expect(tdsPercent).toBeLessThan(1.6);
    expect(yieldPercent).toBeCloseTo((tdsPercent * beverageG) / 15, 6);
    const retainedGPerG = (245 - beverageG) / 15;
    expect(retainedGPerG).toBeGreaterThan(1.2);
    expect(retainedGPerG).toBeLessThan(2.3);
  });

  it('finer: slower, stronger, and keeps more', () => {
    const [fine, coarse] = [brewed({ grind: { d50Um: 600 } }), brewed({ grind: { d50Um: 800 } })];
    expect(fine.drawdownS).toBeGreaterThan(coarse.drawdownS);
    expect(fine.yieldPercent).toBeGreaterThan(coarse.yieldPercent);
    expect(fine.beverageG).toBeLessThan(coarse.beverageG);
  });

  it('extracts more where it is hotter, stirred, or poured hard', () => {
    const plain = brewed().yieldPercent;
    expect(brewed({ kettleC: 98 }).yieldPercent).toBeGreaterThan(plain);
    expect(brewed({ agitation: [{ atS: 12, kind: 'stir' }] }).yieldPercent).toBeGreaterThan(plain);
    const gentle = brewed({ pours: pours(5, [0, 45], [40, 100], [85, 100]) });
    const hard = brewed({ pours: pours(12, [0, 45], [40, 100], [85, 100]) });
    expect(hard.yieldPercent).toBeGreaterThan(gentle.yieldPercent);
  });

  it('drains slower when fresh, in a thick paper, with more fines', () => {
    const plain = brewed().drawdownS;
    expect(brewed({ roastAgeDays: 3 }).drawdownS).toBeGreaterThan(plain + 5);
    expect(brewed({ paperPerM: PAPER_PER_M.thick }).drawdownS).toBeGreaterThan(plain);
    expect(brewed({}, { fines: 1.4 }).drawdownS).toBeGreaterThan(plain);
  });
});

describe('its network of layers', () => {
  const cylinder = { bottomRadiusM: 0.03, wallSlope: 0, drainShare: 0 };

  // Computed by hand: Darcy's law through a plain cylinder, q = k A rho g (level) / (mu h + mu R k).
  it('is Darcy’s law where nothing drains aside', () => {
    const [permeabilityM2, viscosity, density, paperPerM] = [2e-11, 3.2e-4, 965, 1e8];
    const bedM3 = 4e-5;
    const bedM = heightIn(cylinder, bedM3);
    const layers = layersOf(cylinder, bedM3, [permeabilityM2, permeabilityM2, permeabilityM2]);
    const { down, aside } = networkFlow(layers, cylinder, { levelM: 0.05, paperPerM, viscosity, density });
    const areaM2 = Math.PI * 0.03 ** 2;
    const byHand =
      (density * 9.81 * 0.05) /
      ((viscosity * bedM) / (permeabilityM2 * areaM2) + (viscosity * paperPerM) / areaM2);
    for (const flow of down) expect(flow / byHand).toBeCloseTo(1, 6);
    expect(aside.every((flow) => flow === 0)).toBe(true);
  });

  it('loses aside what does not come out below', () => {
    const cone = { bottomRadiusM: 0.01, wallSlope: 0.577, drainShare: 0.5 };
    const layers = layersOf(cone, 4e-5, [2e-11, 2e-11, 2e-11, 2e-11]);
    const { down, aside } = networkFlow(layers, cone, {
      levelM: 0.06,
      paperPerM: 1.8e8,
      viscosity: 3.2e-4,
      density: 965,
    });
    const out = (down.at(-1) ?? 0) + aside.reduce((sum, flow) => sum + flow, 0);
    expect(out / (down[0] ?? 1)).toBeCloseTo(1, 9);
    expect(aside.some((flow) => flow > 0)).toBe(true);
  });

  it('fills a frustum to the height of its volume', () => {
    const cone = { bottomRadiusM: 0.01, wallSlope: 0.577, drainShare: 0 };
    const heightM = heightIn(cone, 5e-5);
    const top = 0.01 + 0.577 * heightM;
    expect((Math.PI * heightM * (0.01 ** 2 + 0.01 * top + top ** 2)) / 3).toBeCloseTo(5e-5, 12);
  });
});
