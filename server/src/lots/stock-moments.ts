import { max } from 'date-fns';
import { BrewModel } from '../brews/brew.model.js';
import { LotModel } from './lot.model.js';

// What is left of a lot is what was weighed less what was brewed since. A server's clock may be set in between: what came
// after what is kept in the moments themselves, within the lock of the lot in which both are stored.

/** The moment of a weighing that is stored now: after every brew that was stored before it. */
export async function momentAfterBrews(lotId: number): Promise<Date> {
  const newest = await BrewModel.max<Date | null, BrewModel>('createdAt', { where: { lotId } });
  return newest === null ? new Date() : max([new Date(), new Date(new Date(newest).getTime() + 1)]);
}

/** The moment of a brew that is stored now: not before the weighing of the stock that it is taken from. */
export async function momentAfterWeighing(lotId: number): Promise<Date> {
  const { stockAt } = await LotModel.findByPk(lotId, { attributes: ['stockAt'], rejectOnEmpty: true });
  return stockAt === null ? new Date() : max([new Date(), stockAt]);
}
