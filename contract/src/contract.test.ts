import 'reflect-metadata';
import { describe, expect, it } from 'vitest';
import { checkDto, NewLotDto, NewVersionDto, PutBrewDto, TastingDto, WeighBrewDto } from './index.js';

const LOT = { name: 'Ridge lot', country: 'RW', process: 'washed', roastedOn: '2026-01-10' };
const POUR = { startS: 0, amountG: 240, flowGps: 5, agitation: 'none', isBloom: false };
const PLAN = { doseG: 15, kettleC: 95, grindUm: 700, drawdownS: 160, pours: [POUR] };

describe('a lot taken in', () => {
  it('needs only name, country and process: green may not be roasted yet', () => {
    expect(checkDto(NewLotDto, LOT)).toEqual([]);
    expect(checkDto(NewLotDto, {}).map(({ field }) => field)).toEqual(
      expect.arrayContaining(['name', 'country', 'process']),
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

describe('the log of a brew', () => {
  const MARK = { device: 'd', number: 1, atMs: 5, kind: 'marked', stepIndex: 0, skipped: false, by: 'hand' };
  const errorsOf = (entries: unknown) =>
    checkDto(PutBrewDto, { recipeVersionId: 1, roastBatchId: 1, entries, isSimulated: false });

  it('is taken where every entry says what its kind says', () => {
    expect(errorsOf([MARK, { ...MARK, number: 2, kind: 'noted', text: 'flat' }])).toEqual([]);
  });

  it('is refused by the number of the entry and the field in it', () => {
    expect(errorsOf([MARK, { ...MARK, stepIndex: 99 }])).toMatchObject([
      { field: 'entries', message: 'Entry 2 of the brew: stepIndex is 99; allowed: 0 to 39.' },
    ]);
    expect(errorsOf('marks')).toMatchObject([{ field: 'entries', message: 'Entries must be a list.' }]);
    expect(errorsOf(Array(2001).fill(MARK))).toMatchObject([{ field: 'entries' }]);
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
