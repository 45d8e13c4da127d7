import { describe, expect, it } from 'vitest';
import { PLAN } from '../testing/brews.js';
import { earlierLots, similarLots, type FinishedLot, type LotCharacter } from './similarLots.js';

const at = (elevationM: number) => ({ fromM: elevationM, toM: elevationM });
const LOT: LotCharacter = {
  process: 'washed',
  baseProcess: null,
  elevation: at(1800),
  roastLevel: 'light',
  variety: 'Bourbon',
  brewerShape: 'cone',
};
const finished = (lotId: number, other: Partial<LotCharacter>): FinishedLot => ({
  ...LOT,
  ...other,
  lotId,
  name: `Lot ${lotId}`,
  startGrindUm: 700,
  plan: PLAN,
  evidence: null,
});
/** What a lot has in common with another one, and how much that is. */
function shared(lot: Partial<LotCharacter>, other: Partial<LotCharacter>) {
  const [found] = similarLots({ ...LOT, ...lot }, [finished(1, other)]);
  return found && { likeness: found.likeness, because: found.because };
}
/** Of what else differs: brewer, roast and variety. */
const ELSE_UNLIKE = { brewerShape: 'carafe', roastLevel: 'medium', variety: 'Gesha' } as const;

describe('what two lots have in common', () => {
  it('is all of it for lots of one kind, the most telling first', () => {
    expect(shared({}, {})).toEqual({
      likeness: 1,
      because: ['same process', 'same elevation', 'same kind of brewer', 'same roast level', 'same variety'],
    });
    // The variety tells a tenth, an elevation as a word an eighth.
    expect(shared({ elevation: 'high' }, { roastLevel: 'medium' })?.because).toEqual([
      'same process',
      'same kind of brewer',
      'both grown high',
      'same variety',
    ]);
  });

  it.each<[string, Partial<LotCharacter>, Partial<LotCharacter>, number, string | null]>([
    [
      'processes without anything in common',
      {},
      { process: 'anaerobic', baseProcess: 'natural' },
      0.65,
      null,
    ],
    ['a process that nobody knows', { process: 'not-known' }, { process: 'not-known' }, 0.65, null],
    [
      'one said to be on a base, one not',
      { process: 'anaerobic', baseProcess: 'natural' },
      { process: 'anaerobic' },
      0.91,
      'same process, as far as it is told',
    ],
    [
      'one process on two bases',
      { process: 'anaerobic', baseProcess: 'natural' },
      { process: 'anaerobic', baseProcess: 'washed' },
      0.83,
      'same process on another base',
    ],
    [
      'long fermentations of two kinds',
      { process: 'anaerobic', baseProcess: 'natural' },
      { process: 'carbonic-maceration', baseProcess: 'washed' },
      0.83,
      'both long fermented',
    ],
    ['a base under a process', {}, { process: 'decaffeinated', baseProcess: 'washed' }, 0.83, 'both washed'],
    [
      'what was decaffeinated besides',
      {},
      { isDecaffeinated: true },
      0.83,
      'same process, but for what was done besides',
    ],
    [
      'what was co-fermented besides',
      { process: 'anaerobic', additions: 'cinnamon' },
      { process: 'anaerobic' },
      0.83,
      'same process, but for what was done besides',
    ],
  ])('counts %s', (_, lot, other, likeness, words) => {
    const found = shared(lot, other);
    expect(found?.likeness).toBeCloseTo(likeness, 2);
    const ofProcess = found?.because.filter((each) => !/elevation|brewer|roast|variety/.test(each));
    expect(ofProcess).toEqual(words === null ? [] : [words]);
  });

  it.each<[string, LotCharacter['elevation'], LotCharacter['elevation'], number, string | null]>([
    ['so near that it is one', at(1800), at(1824), 1, 'same elevation'],
    ['a little apart', at(1800), at(1900), 0.97, '100 m apart in elevation'],
    ['as far as it tells', at(1800), at(2100), 0.84, '300 m apart in elevation'],
    ['farther than is worth a word', at(1800), at(2150), 0.81, null],
    ['by the middle of a span', at(1800), { fromM: 1700, toM: 1900 }, 1, 'same elevation'],
    ['high, as a word', at(1800), 'high', 0.88, 'both grown high'],
    ['low, as a word', 'low', at(900), 0.88, 'both grown low'],
    ['high and low', 'low', 'high', 0.75, null],
    ['a word against what is neither', at(1400), 'high', 0.75, null],
    ['not known', at(1800), null, 0.75, null],
  ])('counts the elevation %s', (_, a, b, likeness, words) => {
    const found = shared({ elevation: a }, { elevation: b });
    expect(found?.likeness).toBeCloseTo(likeness, 2);
    const ofElevation = found?.because.filter((each) => /elevation|grown/.test(each));
    expect(ofElevation).toEqual(words === null ? [] : [words]);
  });

  it('counts roasts that are the same or next to each other, and varieties however they are written', () => {
    expect(shared({}, { roastLevel: 'medium-light' })).toMatchObject({
      likeness: 0.93,
      because: expect.arrayContaining(['neighbouring roast level']) as string[],
    });
    for (const roastLevel of ['medium', null] as const) {
      expect(shared({}, { roastLevel })?.likeness).toBe(0.85);
      expect(shared({ roastLevel }, {})?.likeness).toBe(0.85);
    }
    // None of two that nobody knows are the same.
    expect(shared({ roastLevel: null }, { roastLevel: null })?.likeness).toBe(0.85);
    expect(shared({ variety: ' bourbon ' }, { variety: 'BOURBON' })?.likeness).toBe(1);
    expect(shared({ variety: 'Gesha' }, {})?.likeness).toBe(0.9);
    expect(shared({ variety: '' }, { variety: ' ' })?.likeness).toBe(0.9);
  });

  it('is worth showing from a third on, and of four lots at most', () => {
    // The process alone: 0.35.
    expect(shared({}, { elevation: null, ...ELSE_UNLIKE })).toEqual({
      likeness: 0.35,
      because: ['same process'],
    });
    expect(
      shared({}, { process: 'natural', elevation: null, ...ELSE_UNLIKE, brewerShape: 'cone' }),
    ).toBeUndefined();
    const many = [7, 3, 9, 5, 1].map((lotId) => finished(lotId, lotId === 9 ? {} : { variety: '' }));
    expect(similarLots(LOT, many).map(({ lotId }) => lotId)).toEqual([9, 1, 3, 5]);
  });
});

describe('what the finished lots of a house teach the next', () => {
  const evidence = (of: number) => ({ information: [[of]], informationVector: [of] });
  const taught = (lotId: number, brewerShape: LotCharacter['brewerShape'], of: number | null) => ({
    lotId,
    brewerShape,
    evidence: of === null ? null : evidence(of),
  });

  it('is each lot once, by its recipe in the same kind of brewer, and half as much by another', () => {
    const lots = [
      taught(1, 'carafe', 10),
      taught(1, 'cone', 11),
      taught(1, 'cone', 12),
      taught(2, 'cone', null),
      taught(3, 'carafe', 30),
      taught(3, 'carafe', 31),
    ];
    expect(earlierLots({ brewerShape: 'cone' }, lots)).toEqual([
      { evidence: evidence(11), likeness: 1 },
      { evidence: evidence(30), likeness: 0.5 },
    ]);
  });
});
