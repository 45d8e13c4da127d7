import { addMonths, format, parse } from 'date-fns';
import { sumSimple } from 'simple-statistics';
import { counted, numberColumn, textColumn, type Report } from './report.js';

/** What a lot's brews took. */
export interface LotUse {
  lotId: number;
  lot: string;
  brews: number;
  grams: number;
  /** `null` where its stock was never weighed. */
  leftG: number | null;
  /** Of green; `null` where nobody wrote it down. */
  pricePerKg: number | null;
  /** Of the grams in green, before they lost weight in the roast; as they are where no loss is known. */
  greenG: number;
}

/** @param months - calendar months as 2026-11 in their order, with the grams brewed in each; one left out had none */
export function coffeeUsedReport(
  lots: readonly LotUse[],
  months: readonly { month: string; grams: number }[],
): Report {
  const priced = lots.flatMap((lot) => costOf(lot) ?? []);
  const brews = sumSimple(lots.map((lot) => lot.brews));
  const grams = sumSimple(lots.map((lot) => lot.grams));
  const inOrder = lots.toSorted((a, b) => b.grams - a.grams || a.lotId - b.lotId);
  return {
    answer:
      brews === 0
        ? 'Nothing was brewed in this time.'
        : [
            `${counted(brews, 'brew')} took ${(grams / 1000).toFixed(2)} kg of coffee, ${Math.round(grams / brews)} g a brew.`,
            priced.length === 0
              ? 'No lot has a price.'
              : `Its green cost ${sumSimple(priced).toFixed(2)} (${priced.length} of ${counted(lots.length, 'lot')} have a price).`,
          ].join(' '),
    remark:
      'Excluded brews took coffee too and count; those on the stand-ins took none. Costs are of the green, in the money its price is in; weight lost in the roast counts where it is written down.',
    columns: [
      textColumn('lot', 'Lot'),
      numberColumn('brews', 'Brews'),
      numberColumn('grams', 'Coffee', 'g'),
      numberColumn('leftG', 'Left', 'g'),
      numberColumn('pricePerKg', 'Price', 'a kg', 2),
      numberColumn('cost', 'Cost', '', 2),
    ],
    rows: inOrder.map((lot) => ({
      lotId: lot.lotId,
      cells: {
        lot: lot.lot,
        brews: lot.brews,
        grams: lot.grams,
        leftG: lot.leftG,
        pricePerKg: lot.pricePerKg,
        cost: costOf(lot),
      },
    })),
    chart:
      brews === 0
        ? null
        : {
            kind: 'bars',
            x: 'name',
            quantity: 'mass',
            yLabel: 'coffee brewed in a month, g',
            decimals: 0,
            points: everyMonth(months).map(({ month, grams: took }) => ({ x: month, y: took, of: month })),
            line: null,
          },
  };
}

const costOf = ({ pricePerKg, greenG }: LotUse): number | null =>
  pricePerKg === null ? null : (pricePerKg * greenG) / 1000;

/** A month in which nobody brewed has its place too. */
function everyMonth(months: readonly { month: string; grams: number }[]) {
  const [first, last] = [months[0]?.month, months.at(-1)?.month];
  const every: { month: string; grams: number }[] = [];
  if (first === undefined || last === undefined) return every;
  for (let month = first; month <= last; month = nextMonth(month)) {
    every.push({
      month: format(monthOf(month), 'MMM yyyy'),
      grams: months.find((each) => each.month === month)?.grams ?? 0,
    });
  }
  return every;
}

const MONTH = 'yyyy-MM';
const monthOf = (month: string) => parse(month, MONTH, new Date(0));
const nextMonth = (month: string) => format(addMonths(monthOf(month), 1), MONTH);
