import 'reflect-metadata';
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { BENCH_EVENTS, storableRecord } from '@vendu/core';
import { checkDto, NewLotDto, NewVersionDto, PutBrewDto, TastingDto, WeighBrewDto } from './index.js';

const LOT = { name: 'Ridge lot', country: 'RW', process: 'washed', roastedOn: '2026-01-10' };
const POUR = { startS: 0, amountG: 240, flowGps: 5, agitation: 'none', isBloom: false };
const PLAN = { doseG: 15, kettleC: 95, grindUm: 700, drawdownS: 160, pours: [POUR] };

describe('a lot taken in', () => {
  it('needs only name, country, process and roast date', () => {
    expect(checkDto(NewLotDto, LOT)).toEqual([]);
    expect(checkDto(NewLotDto, {}).map(({ field }) => field)).toEqual(
      expect.arrayContaining(['name', 'country', 'process', 'roastedOn']),
    );
  });

  it.each<[string, object, string, string]>([
    ['blank name', { name: '  ' }, 'name', 'Name is required.'],
    ['country that is none', { country: 'XX' }, 'country', 'Country must be chosen from the list.'],
    ['process off the list', { process: 'steamed' }, 'process', 'Process must be one of'],
    ['roast date in the future', { roastedOn: '2999-01-01' }, 'roastedOn', 'lies in the future'],
    ['roast date that is none', { roastedOn: '2026-02-31' }, 'roastedOn', 'must be a date'],
    ['elevation above any coffee', { elevationFromM: 9000 }, 'elevationFromM', '0 to 3000 m'],
    ['text in a number', { stockG: 'five' }, 'stockG', 'Stock must be 0 to 1000000 g.'],
    ['a field nobody knows', { colour: 'green' }, 'colour', 'should not exist'],
  ])('names the field of a %s', (_, change, field, message) => {
    const errors = checkDto(NewLotDto, { ...LOT, ...change });
    expect(errors).toEqual([
      expect.objectContaining({ field, message: expect.stringContaining(message) as string }),
    ]);
  });

  it('says the allowed range beside the message', () => {
    expect(checkDto(NewLotDto, { ...LOT, stockG: -1 })[0]?.allowed).toBe('0 to 1000000 g');
  });
});

describe('a list in the place of an object', () => {
  it.each<[string, unknown]>([
    ['none in it', []],
    ['the object in it', [PLAN]],
  ])('is refused with %s', (_, plan) => {
    expect(checkDto(NewVersionDto, { basedOn: 1, plan, note: '' }).map(({ field }) => field)).toContain(
      'plan',
    );
  });

  it('is refused in a list too', () => {
    const plan = { ...PLAN, pours: [[]] };
    expect(checkDto(NewVersionDto, { basedOn: 1, plan, note: '' })).not.toEqual([]);
  });
});

describe('a moment', () => {
  const brew = (startedAt: unknown) =>
    checkDto(PutBrewDto, { recipeVersionId: 1, roastBatchId: 1, startedAt, steps: [] });

  it.each(['2026-11-20T09:30:00Z', '2026-11-20T09:30:00.250+05:30', '2044-01-01T00:00:00Z'])(
    'is as RFC 3339 writes it: %s',
    (text) => {
      expect(brew(text)).toEqual([]);
    },
  );

  it.each([
    '2026-W05-1',
    '2026-034',
    '2026-11-20',
    '2026-11-20T09:30Z',
    '2026-02-30T10:00:00Z',
    1_700_000,
    null,
  ])('is not %s', (text) => {
    expect(brew(text)).toMatchObject([{ field: 'startedAt', allowed: 'a moment, as 2026-11-20T09:30:00Z' }]);
  });
});

describe('a record that core has made storable', () => {
  const anyText = fc
    .array(fc.integer({ min: 0, max: 0xffff }), { maxLength: 2500 })
    .map((units) => String.fromCharCode(...units));
  const steps = fc.array(
    fc.record({
      stepIndex: fc.integer({ min: 0, max: 39 }),
      atS: fc.double(),
      skipped: fc.boolean(),
      totalG: fc.option(fc.double()),
    }),
    { maxLength: 60 },
  );
  const events = fc.array(
    fc.record({
      kind: fc.constantFrom(...BENCH_EVENTS),
      atS: fc.double(),
      figure: fc.option(fc.double()),
      text: anyText,
    }),
    { maxLength: 250 },
  );
  it('is never refused, whatever the bench had', () => {
    fc.assert(
      fc.property(steps, events, anyText, anyText, (done, happened, note, scale) => {
        const brew = {
          recipeVersionId: 1,
          roastBatchId: 1,
          startedAt: '2026-11-20T09:30:00Z',
          isSimulated: false,
          ...storableRecord({ steps: done, events: happened, note, scale }),
        };
        expect(checkDto(PutBrewDto, brew)).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
});

describe('a plan', () => {
  it('is checked down to the pour, with its path', () => {
    const plan = { ...PLAN, pours: [POUR, { ...POUR, startS: 30.5, amountG: 0 }] };
    const fields = checkDto(NewVersionDto, { basedOn: 1, plan, note: '' }).map(({ field }) => field);
    expect(fields.sort()).toEqual(['plan.pours.1.amountG', 'plan.pours.1.startS']);
  });

  it.each([0, -3, 4.9, 121])('refuses a dose of %d g', (doseG) => {
    const errors = checkDto(NewVersionDto, { basedOn: 1, plan: { ...PLAN, doseG }, note: '' });
    expect(errors).toEqual([
      { field: 'plan.doseG', message: 'Dose must be 5 to 120 g.', allowed: '5 to 120 g' },
    ]);
  });
});

describe('what was weighed and tasted', () => {
  it('may leave out what nobody weighed, but takes no dose that cannot be', () => {
    expect(checkDto(WeighBrewDto, { revision: 0 })).toEqual([]);
    expect(checkDto(WeighBrewDto, { revision: 0, doseG: 15, beverageG: null, note: '' })).toEqual([]);
    expect(checkDto(WeighBrewDto, { revision: 0, doseG: 0 }).map(({ field }) => field)).toEqual(['doseG']);
  });

  it('takes intensities of 0 to 10 or none', () => {
    expect(checkDto(TastingDto, { notes: '', intensities: { acidity: 7, body: null } })).toEqual([]);
    expect(checkDto(TastingDto, { notes: '', intensities: { acidity: 11 } })[0]?.field).toBe(
      'intensities.acidity',
    );
  });
});
