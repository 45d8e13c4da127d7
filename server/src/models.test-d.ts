import { BrewModel } from './brews/brew.model.js';
import { ReadingModel } from './brews/reading.model.js';
import { LotModel } from './lots/lot.model.js';

// What the compiler refuses of the models. Nothing here runs: each expectation fails to compile where it does not hold.

/** A column that is not there, and a value that it does not take. */
export const wrongCreations = () => [
  // @ts-expect-error no column of this name
  ReadingModel.create({ brewId: 1, tdsPercent: 1.3, readBy: 1, strength: 1.3 }),
  // @ts-expect-error a reading is a number
  ReadingModel.create({ brewId: 1, tdsPercent: '1.3', readBy: 1 }),
  // @ts-expect-error whose reading it is has to be said
  ReadingModel.create({ brewId: 1, tdsPercent: 1.3 }),
  // @ts-expect-error no such source
  ReadingModel.create({ brewId: 1, tdsPercent: 1.3, readBy: 1, source: 'guessed' }),
];

export const wrongUpdates = (lot: LotModel) => [
  // @ts-expect-error no column of this name
  lot.update({ stock: 900 }),
  // @ts-expect-error a stage off the list
  LotModel.update({ stage: 'roasted' }, { where: { id: 1 } }),
];

export const wrongConditions = () => [
  // @ts-expect-error no column of this name
  BrewModel.findOne({ where: { brewKey: 'x' } }),
  // @ts-expect-error no column of this name in an order of conditions either
  BrewModel.findAll({ where: { lotId: 3, strength: 1.3 } }),
];

/** And what it takes. */
export const right = (lot: LotModel) => [
  ReadingModel.create({ brewId: 1, tdsPercent: 1.3, readBy: 1 }),
  lot.update({ stockG: null }),
  BrewModel.findOne({ where: { clientKey: 'x' } }),
];
