import { describe, expect, it } from 'vitest';
import { editWords } from './editWords';

const said = (field: string, from: unknown, to: unknown) =>
  Object.values(editWords({ field, from, to })).join(' | ');

describe('a field that was changed', () => {
  it('is said with its unit, in the words of its form where it has one', () => {
    expect(said('elevationFromM', 1700, 1750)).toBe('elevation from | 1700 m | 1750 m');
    expect(said('farm', '', 'Umuseke Hill')).toBe('farm or station | none | Umuseke Hill');
    expect(said('topDiameterMm', 116, 118)).toBe('top diameter | 116 mm | 118 mm');
    expect(said('resistancePerM', 2e8, 2.1e8)).toBe('resistance | 200000000 1/m | 210000000 1/m');
    expect(said('hardnessMgPerL', 60, 80)).toBe('hardness | 60 mg/L | 80 mg/L');
    expect(said('roomC', 21, null)).toBe('room | 21 °C | none');
    expect(said('name', 'Tarn', 'Tarn white')).toBe('name | Tarn | Tarn white');
  });

  it('says days, moments and yes or no', () => {
    expect(said('isDecaffeinated', false, true)).toBe('is decaffeinated | no | yes');
    expect(said('launchOn', null, '2026-12-05')).toBe('launch | none | 5 Dec 2026');
    expect(said('leftAt', null, '2026-12-05T08:00:00.000Z')).toMatch(/^left \| none \| 5 Dec, /);
  });

  it('says of a brew what a verdict was, and whether it counts', () => {
    expect(said('verdict', null, 'on-aim')).toBe('verdict | none | On aim');
    expect(said('verdict', 'close', 'off-aim')).toBe('verdict | Close | Off aim');
    expect(said('setAsideAt', null, '2026-12-05T08:00:00.000Z')).toMatch(/^excluded \| none \| 5 Dec, /);
  });

  it('says of a cup of a split brew what was read of it', () => {
    expect(said('startS', 20, 22.5)).toBe('from | 20 s | 22.5 s');
    expect(said('beverageG', 31, 30)).toBe('mass | 31 g | 30 g');
    expect(said('isWanted', true, false)).toBe('wanted | yes | no');
  });

  it('says of whom a code is asked', () => {
    expect(said('askedOf', 'nobody', 'makers')).toBe(
      'code at sign-in asked of | nobody | everybody but guest tasters',
    );
  });

  it('says what somebody is written by now', () => {
    expect(said('email', 'joss@old.example', 'joss@new.example')).toBe(
      'e-mail | joss@old.example | joss@new.example',
    );
  });

  it('only names what has parts, and what is another thing', () => {
    expect(said('points', [{ setting: 1 }], [{ setting: 2 }])).toBe('points');
    expect(said('paperId', 1, 2)).toBe('paper');
    expect(said('schools', null, { 'first-lever': 'grind' })).toBe('house style');
  });
});
