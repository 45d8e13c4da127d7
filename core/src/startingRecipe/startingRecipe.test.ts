import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { PAPER_PER_M } from '../brewModel/hardware.js';
import { planWaterG, pourEndS } from '../plan/plan.js';
import { planFaults } from '../plan/planFaults.js';
import { USUAL } from '../plan/planWarnings.js';
import { SCHOOLS, USUAL_SCHOOLS, type SchoolPoint, type Schools } from '../schools/schools.js';
import { BREWER_SHAPES, LOT_SIGNS, PROCESSES, ROAST_LEVELS } from '../vocabulary.js';
import { boilingPointC } from '../water/boilingPoint.js';
import { UNROASTED_AGE_DAYS, type StartingFacts } from './facts.js';
import type { Figure } from './figures.js';
import { STARTING_RULES } from './rules.js';
import { startingRecipe } from './startingRecipe.js';

/** A lot that no rule but the brewer's and "washed" speaks to. */
const PLAIN: StartingFacts = {
  process: 'washed',
  elevation: { fromM: 1450, toM: 1450 },
  roastLevel: 'medium-light',
  roastAgeDays: 10,
  brewer: { shape: 'cone', usualDoseG: 16 },
  labElevationM: 10,
};

const schools = (stand: Partial<Schools>): Partial<StartingFacts> => ({
  schools: { ...USUAL_SCHOOLS, ...stand },
});

/** Every house that leaves the usual stands on one point. */
const ONE_STAND_APART = (Object.keys(SCHOOLS) as SchoolPoint[]).flatMap((point) =>
  SCHOOLS[point].map((stand) => ({ point, stand, schools: { ...USUAL_SCHOOLS, [point]: stand } })),
);

function valueOf(facts: Partial<StartingFacts>, figure: Figure): number {
  const reason = startingRecipe({ ...PLAIN, ...facts }).reasons.figures.find(
    (each) => each.figure === figure,
  );
  return reason?.value ?? Number.NaN;
}

describe('the starting recipe', () => {
  const high = { elevation: { fromM: 1800, toM: 2000 } };
  const low = { elevation: { fromM: 900, toM: 1100 } };

  // Directions: common practice for each sign, compared with the same lot without it.
  it.each<[string, Partial<StartingFacts>, Partial<StartingFacts>, Figure, 1 | -1]>([
    ['high and washed: hotter', high, {}, 'kettleC', 1],
    ['high and washed: finer', high, {}, 'grindUm', -1],
    ['low elevation: finer', low, {}, 'grindUm', -1],
    ['low elevation: hotter', low, {}, 'kettleC', 1],
    ['low elevation: more pours', low, {}, 'mainPours', 1],
    ['anaerobic: cooler', { process: 'anaerobic' }, {}, 'kettleC', -1],
    ['anaerobic: gentler', { process: 'anaerobic' }, {}, 'bloomSwirls', -1],
    ['co-fermented: more water', { process: 'co-fermented' }, {}, 'ratio', 1],
    ['co-fermented: longer bloom', { process: 'co-fermented' }, {}, 'bloomS', 1],
    ['co-fermented: one long pour', { process: 'co-fermented' }, {}, 'mainPours', -1],
    ['natural: tighter', { process: 'natural' }, {}, 'ratio', -1],
    ['natural: coarser', { process: 'natural' }, {}, 'grindUm', 1],
    ['washed: more water than honey', {}, { process: 'honey' }, 'ratio', 1],
    ['honey: coarser', { process: 'honey' }, {}, 'grindUm', 1],
    ['honey: cooler', { process: 'honey' }, {}, 'kettleC', -1],
    ['decaffeinated: tighter', { process: 'decaffeinated' }, {}, 'ratio', -1],
    ['decaffeinated: finer', { process: 'decaffeinated' }, {}, 'grindUm', -1],
    ['light roast: hotter', { roastLevel: 'light' }, {}, 'kettleC', 1],
    ['light roast: shorter', { roastLevel: 'light' }, {}, 'drawdownS', -1],
    ['developed roast: cooler', { roastLevel: 'medium-dark' }, {}, 'kettleC', -1],
    ['fresh roast: longer bloom', { roastAgeDays: 3 }, {}, 'bloomS', 1],
    ['fresh roast: larger bloom', { roastAgeDays: 3 }, {}, 'bloomMultiple', 1],
    ['light roast: larger bloom', { roastLevel: 'light' }, {}, 'bloomMultiple', 1],
    ['aged roast: smaller bloom', { roastAgeDays: 20 }, {}, 'bloomMultiple', -1],
    ['no bloom rise: a small bloom', { signs: ['no-bloom-rise'] }, {}, 'bloomMultiple', -1],
    ['aged roast: shorter bloom', { roastAgeDays: 20 }, {}, 'bloomS', -1],
    ['cone finer than flat bottom', {}, { brewer: { shape: 'flat-bottom', usualDoseG: 16 } }, 'grindUm', -1],
    [
      'small holes: coarser, whatever the shape',
      { brewer: { shape: 'cone', usualDoseG: 16, outletCount: 4, outletDiameterMm: 3 } },
      {},
      'grindUm',
      1,
    ],
    [
      'an open bottom in a flat brewer: finer',
      { brewer: { shape: 'flat-bottom', usualDoseG: 16, outletCount: 1, outletDiameterMm: 16 } },
      { brewer: { shape: 'flat-bottom', usualDoseG: 16 } },
      'grindUm',
      -1,
    ],
    ['no ribs: hotter', { brewer: { shape: 'cone', usualDoseG: 16, ribs: 'none' } }, {}, 'kettleC', 1],
    ['no ribs: coarser', { brewer: { shape: 'cone', usualDoseG: 16, ribs: 'none' } }, {}, 'grindUm', 1],
    ['a valve: coarser', { brewer: { shape: 'cone', usualDoseG: 16, hasValve: true } }, {}, 'grindUm', 1],
    ['thick paper: coarser', { paperPerM: PAPER_PER_M.thick }, {}, 'grindUm', 1],
    ['thick paper: cooler', { paperPerM: PAPER_PER_M.thick }, {}, 'kettleC', -1],
    ['fast paper: finer', { paperPerM: PAPER_PER_M.fast }, {}, 'grindUm', -1],
    ['delicate: a thin stream', { signs: ['delicate'] }, {}, 'flowGps', -1],
    ['not known where it grew: hotter', { elevation: null }, {}, 'kettleC', 1],
    [
      'large batch: stages',
      { brewer: { shape: 'carafe', usualDoseG: 45 } },
      { brewer: { shape: 'carafe', usualDoseG: 36 } },
      'mainPours',
      1,
    ],
    ['delicate: stiller', { signs: ['delicate'] }, {}, 'bloomSwirls', -1],
    ['prone to dryness: coarser', { signs: ['prone-to-dryness'] }, {}, 'grindUm', 1],
    ['prone to dryness: an earlier end', { signs: ['prone-to-dryness'] }, {}, 'drawdownS', -1],
    ['many fines: coarser', { signs: ['many-fines'] }, {}, 'grindUm', 1],
    ['many fines: calmer, fewer pours', { signs: ['many-fines'] }, {}, 'mainPours', -1],
    ['no bloom rise: a short bloom', { signs: ['no-bloom-rise'] }, {}, 'bloomS', -1],
    ['school without bloom', schools({ bloom: 'never' }), {}, 'bloomed', -1],
    [
      'school that blooms if it rises, and it does not',
      { ...schools({ bloom: 'if-it-rises' }), signs: ['no-bloom-rise'] },
      {},
      'bloomed',
      -1,
    ],
    ['short school', schools({ length: 'short' }), {}, 'drawdownS', -1],
    ['long school', schools({ length: 'long' }), {}, 'drawdownS', 1],
    ['still school', schools({ agitation: 'leave-still' }), {}, 'bloomSwirls', -1],
    ['still school', schools({ agitation: 'leave-still' }), {}, 'flowGps', -1],
    ['tight school', schools({ style: 'coarse-cool-tight' }), {}, 'ratio', -1],
    ['cool school', schools({ style: 'coarse-cool-tight' }), {}, 'kettleC', -1],
    ['coarse school', schools({ style: 'coarse-cool-tight' }), {}, 'grindUm', 1],
    ['school of drained beds', schools({ 'pour-when': 'when-drained' }), {}, 'pouredByPercent', 1],
    ['school of wet beds', schools({ 'pour-when': 'before-drained' }), {}, 'pouredByPercent', -1],
    ['lifting school', schools({ end: 'lift' }), {}, 'lifted', 1],
    ['diluting school', schools({ dilution: 'for-clarity' }), {}, 'bypassPercent', 1],
    ['school of needed swirls', schools({ swirls: 'when-needed' }), {}, 'bloomSwirls', -1],
    ['deep bed: longer', { brewer: { shape: 'cone', usualDoseG: 30 } }, {}, 'drawdownS', 1],
  ])('%s', (_, withSign, without, figure, direction) => {
    expect(Math.sign(valueOf(withSign, figure) - valueOf(without, figure))).toBe(direction);
  });

  it('lets the draining win for a long ferment grown low, and shows who was overruled', () => {
    const { reasons } = startingRecipe({ ...PLAIN, ...low, process: 'anaerobic' });
    const kettle = reasons.figures.find(({ figure }) => figure === 'kettleC');
    expect(kettle?.value).toBe(95);
    expect(kettle?.steps).toEqual([
      expect.objectContaining({ ruleId: 'low-elevation', by: 1, overruledBy: null }),
      expect.objectContaining({ ruleId: 'long-fermentation', by: -3, overruledBy: 'low-elevation' }),
    ]);
  });

  it('caps the kettle at the boiling point of a high lab and says so', () => {
    const facts = { ...PLAIN, ...high, roastLevel: 'light' as const, labElevationM: 2000 };
    const kettle = startingRecipe(facts).reasons.figures.find(({ figure }) => figure === 'kettleC');
    // Computed: water boils at 93.32 °C at 2000 m.
    expect(kettle).toMatchObject({ limitedBy: 'boiling-point', value: 93 });
  });

  it('steps the kettle as its thermostat does, never hotter, and says so', () => {
    const kettle = (kettleStepC: number) =>
      startingRecipe({ ...PLAIN, ...high, kettleStepC }).reasons.figures.find(
        ({ figure }) => figure === 'kettleC',
      );
    expect(kettle(1)).toMatchObject({ limitedBy: null, value: 96 });
    expect(kettle(5)).toMatchObject({ limitedBy: 'kettle-step', value: 95 });
  });

  it('pours as the house does: thin where it leaves the bed still, to the centre or in circles where it says so', () => {
    const mainOf = (stand: Partial<Schools>) => {
      const { pours } = startingRecipe({ ...PLAIN, ...schools(stand) }).plan;
      return pours.filter(({ isBloom }) => !isBloom);
    };
    expect(mainOf({ agitation: 'leave-still' }).map(({ flowGps }) => flowGps)).toEqual([5, 5]);
    expect(mainOf({}).map(({ flowGps, pattern }) => [flowGps, pattern])).toEqual([
      [8, undefined],
      [8, undefined],
    ]);
    expect(mainOf({ 'pour-when': 'when-drained' }).map(({ startsWhen }) => startsWhen)).toEqual([
      undefined,
      'through',
    ]);
    expect(mainOf({ 'pour-where': 'centre' }).map(({ pattern }) => pattern)).toEqual(['centre', 'centre']);
    expect(mainOf({ 'pour-where': 'circle' }).map(({ pattern }) => pattern)).toEqual(['circle', 'circle']);
  });

  it('does with the fines what the house does: left, sieved out, or a second grind mixed in', () => {
    const planOf = (fines: Schools['fines']) => startingRecipe({ ...PLAIN, ...schools({ fines }) }).plan;
    expect(planOf('leave')).not.toHaveProperty('sieveUm');
    expect(planOf('leave')).not.toHaveProperty('secondGrind');
    expect(planOf('sieve').sieveUm).toBe(300);
    const { grindUm, secondGrind } = planOf('blend-grinds');
    expect(secondGrind?.grindUm).toBe(Math.round((grindUm * 1.4) / 10) * 10);
  });

  it('asks for no more heat in a long fermented lot where it is not known where it grew', () => {
    for (const process of ['anaerobic', 'co-fermented', 'decaffeinated'] as const) {
      expect(valueOf({ process, elevation: null }, 'kettleC')).toBe(valueOf({ process }, 'kettleC'));
    }
  });

  it('lets heat give way in a lot that is prone to dryness, however high it grew', () => {
    const kettleOf = (facts: Partial<StartingFacts>) => valueOf({ ...high, ...facts }, 'kettleC');
    expect(kettleOf({})).toBe(96);
    expect(kettleOf({ signs: ['prone-to-dryness'] })).toBe(94);
    // The grind of a high-grown lot still speaks, beside the sign's own.
    const grindOf = (facts: Partial<StartingFacts>) => valueOf({ ...high, ...facts }, 'grindUm');
    expect(grindOf({ signs: ['prone-to-dryness'] }) - grindOf({})).toBe(30);
  });

  it('steps it down where the water boils below what the lot asks for: 93.3 °C at 2000 m', () => {
    const facts = { ...PLAIN, ...high, roastLevel: 'light' as const, labElevationM: 2000 };
    const kettle = (kettleStepC: number) =>
      startingRecipe({ ...facts, kettleStepC }).reasons.figures.find(({ figure }) => figure === 'kettleC')
        ?.value;
    expect([kettle(1), kettle(2), kettle(5)]).toEqual([93, 92, 90]);
  });

  it('lets no rule of age speak for a lot that is not roasted yet', () => {
    const rulesAt = (roastAgeDays: number) =>
      startingRecipe({ ...PLAIN, roastAgeDays }).reasons.figures.flatMap(({ steps }) =>
        steps.map(({ ruleId }) => ruleId),
      );
    const always = rulesAt(7).filter((id) => rulesAt(20).includes(id));
    expect(rulesAt(UNROASTED_AGE_DAYS)).toEqual(always);
    expect(rulesAt(7)).not.toEqual(always);
  });

  it('counts a roast of seven days as of the week, and of eight not', () => {
    const speaks = (ruleId: string, facts: Partial<StartingFacts>) =>
      startingRecipe({ ...PLAIN, ...facts }).reasons.figures.some(({ steps }) =>
        steps.some((step) => step.ruleId === ruleId),
      );
    expect([7, 8].map((roastAgeDays) => speaks('fresh-roast', { roastAgeDays }))).toEqual([true, false]);
    const needed = schools({ swirls: 'when-needed' });
    expect(
      [7, 8].map((roastAgeDays) => speaks('school-swirl-when-needed', { ...needed, roastAgeDays })),
    ).toEqual([false, true]);
  });

  it('treats a co-fermented lot by its own rule, not as a long fermented one', () => {
    const { figures } = startingRecipe({ ...PLAIN, process: 'co-fermented' }).reasons;
    const spoke = new Set(figures.flatMap(({ steps }) => steps.map(({ ruleId }) => ruleId)));
    expect(spoke).toContain('co-fermented');
    expect(spoke).not.toContain('long-fermentation');
  });

  it('says what the water does to the cup, since no figure answers to it', () => {
    const note = (alkalinityMgPerL: number, mineralsMgPerL: number) =>
      startingRecipe({
        ...PLAIN,
        water: { name: 'Tap', hardnessMgPerL: 60, alkalinityMgPerL, mineralsMgPerL },
      }).reasons.kitNotes?.[0]?.note;
    // Common practice: stated waters carry 80 to 120 mg/L; alkalinity takes acidity away.
    expect(note(40, 100)).toBe('Tap: 100 mg/L of minerals, as recipes are stated with');
    expect(note(120, 230)).toMatch(/more than the 80 to 120 .*; its alkalinity of 120 damps acidity/);
    expect(note(5, 20)).toMatch(/less than .*; its alkalinity of 5 leaves acidity unbuffered/);
    expect(startingRecipe(PLAIN).reasons.kitNotes).toBeUndefined();
  });

  it('takes a dose that somebody chose, with what a deep bed asks for, and says whose it is', () => {
    const { plan, reasons } = startingRecipe({ ...PLAIN, doseG: 30 });
    const usual = startingRecipe(PLAIN);
    expect(plan.doseG).toBe(30);
    expect(Math.abs(planWaterG(plan) / 30 - planWaterG(usual.plan) / 16)).toBeLessThan(0.2);
    expect(plan.grindUm).toBe(
      startingRecipe({ ...PLAIN, brewer: { shape: 'cone', usualDoseG: 30 } }).plan.grindUm,
    );
    expect(plan.grindUm).toBeGreaterThan(usual.plan.grindUm);
    const dose = (facts: Partial<StartingFacts>) =>
      startingRecipe({ ...PLAIN, ...facts }).reasons.derived.find(({ figure }) => figure === 'dose')?.because;
    expect(dose({ doseG: 30 })).toBe("30 g was asked for; this brewer's usual dose is 16 g");
    expect(dose({ doseG: 16 })).toBe('16 g is the usual dose of this brewer');
    expect(reasons.kitNotes).toBeUndefined();
  });

  it('tells where the water is more than the brewer takes', () => {
    const water = planWaterG(startingRecipe({ ...PLAIN, doseG: 30 }).plan);
    const notes = (capacityG: number) =>
      startingRecipe({ ...PLAIN, doseG: 30, brewer: { ...PLAIN.brewer, capacityG } }).reasons.kitNotes;
    expect(notes(water)).toBeUndefined();
    expect(notes(water - 1)).toEqual([
      { part: 'brewer', note: expect.stringContaining(`more than the ${water - 1} g`) as string },
    ]);
  });

  it('says where the lot asks for another kettle than the maker advises', () => {
    const { kettleC } = startingRecipe(PLAIN).plan;
    const notes = (advisedLowC: number | null, advisedHighC: number | null) =>
      startingRecipe({ ...PLAIN, brewer: { ...PLAIN.brewer, advisedLowC, advisedHighC } }).reasons.kitNotes;
    expect(notes(kettleC, kettleC)).toBeUndefined();
    expect(notes(null, null)).toBeUndefined();
    expect(notes(null, kettleC - 2)?.[0]?.note).toBe(
      `the maker advises up to ${kettleC - 2} °C; ${kettleC} °C is hotter, for what the lot asks`,
    );
    expect(notes(kettleC + 1, kettleC + 3)?.[0]?.note).toContain('is cooler');
  });

  it('blooms by kind: from 1.5 times the dose to 3.6', () => {
    const multiple = (more: Partial<StartingFacts>) => valueOf(more, 'bloomMultiple');
    expect(multiple({ roastAgeDays: 20, signs: ['no-bloom-rise'] })).toBe(1.5);
    expect(multiple({})).toBe(2.5);
    expect(multiple({ roastAgeDays: 3, roastLevel: 'light' })).toBe(3.6);
  });

  it('says what nobody told, and what is taken instead', () => {
    const told: StartingFacts = {
      ...PLAIN,
      ...high,
      roastLevel: 'light',
      paperPerM: PAPER_PER_M.ordinary,
      brewer: { ...PLAIN.brewer, outletCount: 1, outletDiameterMm: 18 },
    };
    const supposed = (more: Partial<StartingFacts>) =>
      (startingRecipe({ ...told, ...more }).reasons.supposed ?? []).map(({ fact }) => fact);
    expect(startingRecipe(told).reasons.supposed).toBeUndefined();
    expect(supposed({ process: 'not-known' })).toEqual(['process']);
    expect(supposed({ process: 'anaerobic' })).toEqual(['base process']);
    expect(supposed({ process: 'anaerobic', baseProcess: 'natural' })).toEqual([]);
    expect(supposed({ elevation: null, roastLevel: null })).toEqual(['elevation', 'roast level']);
    expect(supposed({ isRoasted: false })).toEqual(['roast age']);
    expect(supposed({ brewer: PLAIN.brewer })).toEqual(['brewer']);
    const { paperPerM: _, ...withoutPaper } = told;
    expect(startingRecipe(withoutPaper).reasons.supposed).toEqual([
      { fact: 'paper', instead: 'an ordinary one is taken' },
    ]);
  });

  it('explains every figure: house value and pushes add up, unless a limit is named', () => {
    const { reasons } = startingRecipe({ ...PLAIN, ...high, roastLevel: 'light', roastAgeDays: 3 });
    for (const { houseValue, steps, limitedBy, value } of reasons.figures) {
      const sum = steps
        .filter(({ overruledBy }) => overruledBy === null)
        .reduce((total, { by }) => total + by, houseValue);
      if (limitedBy === null) expect(value).toBeCloseTo(sum, 6);
    }
  });

  it('says where dose, water and pour times come from, which no rule pushes', () => {
    const { plan, reasons } = startingRecipe(PLAIN);
    expect(reasons.derived.map(({ figure }) => figure)).toEqual(['dose', 'water', 'pour times']);
    expect(reasons.derived[1]?.because).toContain(`${planWaterG(plan)} g`);
  });

  it('lets every stand that is not the usual one speak, in a figure or in a note', () => {
    const signs = { signs: ['no-bloom-rise'] as const };
    const usual = startingRecipe({ ...PLAIN, ...signs });
    for (const { point, stand, schools } of ONE_STAND_APART) {
      if (stand === USUAL_SCHOOLS[point]) continue;
      const { reasons } = startingRecipe({ ...PLAIN, ...signs, schools });
      const spoke = reasons.figures.some(({ steps }) => steps.some(({ school }) => school === point));
      const noted = reasons.notes?.find(({ school }) => school === point)?.note;
      const usuallyNoted = usual.reasons.notes?.find(({ school }) => school === point)?.note;
      expect({ point, stand, heard: spoke || noted !== usuallyNoted }).toMatchObject({ heard: true });
    }
  });

  it('leaves a rule out that was switched off, and still shows it', () => {
    const { reasons } = startingRecipe({ ...PLAIN, ...high }, { switchedOff: ['high-washed'] });
    const kettle = reasons.figures.find(({ figure }) => figure === 'kettleC');
    expect(kettle).toMatchObject({ value: 94, steps: [{ ruleId: 'high-washed', switchedOff: true }] });
  });

  it('hears an overruled push again when its winner is switched off', () => {
    const facts: StartingFacts = { ...PLAIN, ...low, process: 'anaerobic' };
    const { plan } = startingRecipe(facts, { switchedOff: ['low-elevation'] });
    expect(plan.kettleC).toBe(91);
  });

  it('has no rule that no lot can reach', () => {
    const reached = new Set<string>();
    for (const process of PROCESSES)
      for (const roastLevel of ROAST_LEVELS)
        for (const shape of BREWER_SHAPES)
          for (const elevationM of [900, 1450, 1900])
            for (const roastAgeDays of [2, 10, 30])
              for (const rule of STARTING_RULES)
                if (
                  rule.applies({
                    ...PLAIN,
                    signs: LOT_SIGNS,
                    process,
                    roastLevel,
                    roastAgeDays,
                    elevation: { fromM: elevationM, toM: elevationM },
                    brewer: { shape, usualDoseG: 30 },
                  })
                )
                  reached.add(rule.id);
    for (const facts of [
      ...Object.values(PAPER_PER_M).map((paperPerM) => ({ paperPerM })),
      { elevation: null },
      { brewer: { shape: 'carafe' as const, usualDoseG: 45 } },
      { brewer: { shape: 'cone' as const, usualDoseG: 16, ribs: 'none' as const } },
    ])
      for (const rule of STARTING_RULES) if (rule.applies({ ...PLAIN, ...facts })) reached.add(rule.id);
    for (const { schools } of ONE_STAND_APART)
      for (const rule of STARTING_RULES)
        if (rule.applies({ ...PLAIN, signs: LOT_SIGNS, schools })) reached.add(rule.id);
    expect([...reached].sort()).toEqual(STARTING_RULES.map(({ id }) => id).sort());
  });

  it('can always be brewed, and stays inside the usual spans', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PROCESSES),
        fc.constantFrom(...ROAST_LEVELS),
        fc.constantFrom(...BREWER_SHAPES),
        fc.option(fc.integer({ min: 0, max: 2500 }), { nil: null }),
        fc.integer({ min: 0, max: 90 }),
        fc.integer({ min: 12, max: 45 }),
        fc.integer({ min: 0, max: 2500 }),
        fc.subarray([...LOT_SIGNS]),
        fc.record({
          bloom: fc.constantFrom(...SCHOOLS.bloom),
          length: fc.constantFrom(...SCHOOLS.length),
          agitation: fc.constantFrom(...SCHOOLS.agitation),
          style: fc.constantFrom(...SCHOOLS.style),
          'pour-when': fc.constantFrom(...SCHOOLS['pour-when']),
          end: fc.constantFrom(...SCHOOLS.end),
          dilution: fc.constantFrom(...SCHOOLS.dilution),
        }),
        (process, roastLevel, shape, elevationM, roastAgeDays, usualDoseG, labElevationM, signs, stand) => {
          const elevation = elevationM === null ? null : { fromM: elevationM, toM: elevationM };
          const { plan } = startingRecipe({
            process,
            elevation,
            roastLevel,
            roastAgeDays,
            brewer: { shape, usualDoseG },
            labElevationM,
            signs,
            schools: { ...USUAL_SCHOOLS, ...stand },
          });
          expect(planFaults({ plan, boilingC: boilingPointC({ elevationM: labElevationM }) })).toEqual([]);
          // The water is in, and the bed has at least half a minute to drain.
          expect(plan.drawdownS - Math.max(...plan.pours.map(pourEndS))).toBeGreaterThanOrEqual(30);
          const ratio = planWaterG(plan) / plan.doseG;
          expect(ratio).toBeGreaterThanOrEqual(USUAL.ratio.low - 0.25);
          expect(ratio).toBeLessThanOrEqual(USUAL.ratio.high + 0.25);
        },
      ),
    );
  });
});
