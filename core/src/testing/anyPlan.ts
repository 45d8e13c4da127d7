import fc from 'fast-check';
import type { CupSchedule } from '../plan/cupSchedule.js';
import { planFaults } from '../plan/planFaults.js';
import type { BrewPlan, Pour } from '../plan/plan.js';
import {
  AGITATION_CONDITIONS,
  AGITATIONS,
  BEVERAGE_MIXINGS,
  POUR_PATTERNS,
  POUR_TRIGGERS,
} from '../vocabulary.js';

const rising = (least: number, apart: number) =>
  fc
    .array(fc.integer({ min: apart, max: 60 }), { minLength: 1, maxLength: 6 })
    .map((gaps) => gaps.map((_, index) => least + gaps.slice(1, index + 1).reduce((a, b) => a + b, 0)));

/** A row of cups that a hand can follow. */
export const anyCups: fc.Arbitrary<CupSchedule> = fc.oneof(
  fc.record({ kind: fc.constant('time' as const), everyS: fc.integer({ min: 3, max: 600 }) }),
  fc.record({ kind: fc.constant('mass' as const), everyG: fc.integer({ min: 5, max: 500 }) }),
  fc.record({ kind: fc.constant('times' as const), atS: rising(10, 3) }),
  fc.record({ kind: fc.constant('masses' as const), atG: rising(20, 5) }),
);

/** A plan that has no fault, with any of what a plan can ask for. */
export const anyPlan = fc
  .record({
    doseG: fc.integer({ min: 12, max: 30 }),
    kettleC: fc.integer({ min: 85, max: 97 }),
    bloomG: fc.integer({ min: 25, max: 70 }),
    mains: fc.array(
      fc.record({
        amountG: fc.integer({ min: 30, max: 120 }),
        flowGps: fc.integer({ min: 4, max: 10 }),
        agitation: fc.constantFrom(...AGITATIONS),
        agitationHow: fc.record(
          {
            times: fc.integer({ min: 1, max: 20 }),
            isHard: fc.constant(true),
            onlyIf: fc.constantFrom(...AGITATION_CONDITIONS),
          },
          { requiredKeys: [] },
        ),
        kettleC: fc.option(fc.integer({ min: 80, max: 97 }), { nil: undefined }),
        pattern: fc.option(fc.constantFrom(...POUR_PATTERNS), { nil: undefined }),
        heightCm: fc.option(fc.integer({ min: 2, max: 30 }), { nil: undefined }),
        startsWhen: fc.option(fc.constantFrom(...POUR_TRIGGERS), { nil: undefined }),
        levelMm: fc.integer({ min: 2, max: 60 }),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    hasBloom: fc.boolean(),
    lifts: fc.boolean(),
    lidOpensS: fc.option(fc.integer({ min: 0, max: 150 }), { nil: undefined }),
    endWithinS: fc.option(fc.integer({ min: 1, max: 60 }), { nil: undefined }),
    ballUntilS: fc.option(fc.integer({ min: 20, max: 90 }), { nil: undefined }),
    bypassG: fc.option(fc.integer({ min: 5, max: 60 }), { nil: undefined }),
    regulatorGps: fc.option(fc.integer({ min: 2, max: 9 }), { nil: undefined }),
    secondGrind: fc.option(
      fc.record({
        grindUm: fc.integer({ min: 400, max: 1300 }),
        sharePercent: fc.integer({ min: 10, max: 90 }),
      }),
      { nil: undefined },
    ),
    sieveUm: fc.option(fc.integer({ min: 150, max: 400 }), { nil: undefined }),
    cups: fc.option(anyCups, { nil: undefined }),
    switches: fc.record(
      {
        needlesDry: fc.constant(true),
        showerPlate: fc.constant(true),
        tailApart: fc.constant(true),
        beverageMixed: fc.constantFrom(...BEVERAGE_MIXINGS),
        decants: fc.constant(true),
      },
      { requiredKeys: [] },
    ),
  })
  .map((drawn): BrewPlan => {
    const { doseG, kettleC, bloomG, mains, hasBloom, lifts } = drawn;
    const { ballUntilS, bypassG, regulatorGps, secondGrind, sieveUm, endWithinS, lidOpensS, cups, switches } =
      drawn;
    const bloom: Pour = { startS: 0, amountG: bloomG, flowGps: 6, agitation: 'swirl', isBloom: true };
    const pours = mains.map(
      ({ kettleC: ownC, pattern, heightCm, startsWhen, levelMm, agitationHow, ...pour }, index): Pour => ({
        ...pour,
        ...(pour.agitation === 'none' || Object.keys(agitationHow).length === 0 ? {} : { agitationHow }),
        startS: (hasBloom ? 40 : 0) + index * 40,
        isBloom: false,
        ...(ownC === undefined || (!hasBloom && index === 0) ? {} : { kettleC: ownC }),
        ...(pattern === undefined ? {} : { pattern }),
        ...(heightCm === undefined ? {} : { heightCm }),
        ...(startsWhen === undefined || (!hasBloom && index === 0) ? {} : { startsWhen }),
        ...(startsWhen !== 'level' || (!hasBloom && index === 0) ? {} : { levelMm }),
      }),
    );
    return {
      doseG,
      kettleC,
      grindUm: 700,
      pours: hasBloom ? [bloom, ...pours] : pours,
      drawdownS: 260,
      ...(lifts ? { lifts } : {}),
      ...(lidOpensS === undefined ? {} : { lidOpensS }),
      ...(endWithinS === undefined ? {} : { endWithinS }),
      ...(ballUntilS === undefined ? {} : { ballUntilS }),
      ...(bypassG === undefined ? {} : { bypassG }),
      ...(regulatorGps === undefined ? {} : { regulatorGps }),
      ...(secondGrind === undefined ? {} : { secondGrind }),
      ...(sieveUm === undefined ? {} : { sieveUm }),
      ...(cups === undefined ? {} : { cups }),
      ...switches,
    };
  })
  .filter((plan) => planFaults({ plan }).length === 0);
