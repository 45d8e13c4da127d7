import { describe, expect, it } from 'vitest';
import { launchOutlook, outlookWords } from './launchOutlook.js';

const lot = { daysToLaunch: 6, brewsDone: 2, daysBrewed: 1, gramsLeft: 900, doseG: 16 };
const finished = [4, 5, 6, 7, 9].map((brews) => ({ brews, days: brews - 1 }));

describe('a launch', () => {
  it('is looked forward to by what four of five lots here took', () => {
    // The 80 % quantile of 4, 5, 6, 7, 9 lies between 7 and 9.
    const found = launchOutlook({ finished, ...lot });
    expect(found).toMatchObject({
      usualBrews: 8,
      usualDays: 7,
      brewsToGo: 6,
      daysToGo: 6,
      isInDanger: false,
    });
    expect(outlookWords(found)).toBe(
      'Lots here need up to 8 brews over 7 days (5 finished): about 6 brews and 6 days to go.',
    );
  });

  it('is in danger where days or grams will not do, and when it is past', () => {
    expect(launchOutlook({ finished, ...lot, daysToLaunch: 5 }).isInDanger).toBe(true);
    const short = launchOutlook({ finished, ...lot, gramsLeft: 80 });
    expect(short).toMatchObject({ gramsShort: 16, isInDanger: true });
    expect(outlookWords(short)).toMatch(/and it is 16 g short\.$/);
    expect(launchOutlook({ finished, ...lot, gramsLeft: null, daysToLaunch: 9 }).isInDanger).toBe(false);
    expect(
      launchOutlook({ finished, ...lot, brewsDone: 20, daysBrewed: 40, daysToLaunch: -1 }),
    ).toMatchObject({
      brewsToGo: 1,
      daysToGo: 1,
      isInDanger: true,
    });
  });

  it('of a house without a history rests on what is assumed, and says so', () => {
    const found = launchOutlook({ ...lot, finished: finished.slice(0, 3) });
    expect(found).toMatchObject({ usualBrews: 6, usualDays: 5, finishedLots: 0 });
    expect(outlookWords(found)).toMatch(/^A lot is taken to need 6 brews/);
  });
});
