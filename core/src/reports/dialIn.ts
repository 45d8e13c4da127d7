import { median } from 'simple-statistics';
import { counted, dayColumn, numberColumn, textColumn, type Report } from './report.js';

/** A lot that came to an accepted recipe. */
export interface LotDialledIn {
  lotId: number;
  lot: string;
  /** Calendar dates. */
  arrivedOn: string;
  acceptedOn: string;
  /** `null` where none of its recipes is public yet. */
  publishedOn: string | null;
  /** Real brews that count, up to the first acceptance. */
  brews: number;
  /** Of coffee in them. */
  grams: number;
}

const DAY_MS = 86_400_000;
/** Newer and older halves of fewer lots say nothing of where it goes (assumed). */
const FEWEST_TO_HALVE = 8;

/** What a lot takes from its first brew to a recipe that somebody accepts: the measure of the whole work. */
export function dialInReport(lots: readonly LotDialledIn[]): Report {
  const inOrder = lots.toSorted((a, b) => a.acceptedOn.localeCompare(b.acceptedOn) || a.lotId - b.lotId);
  return {
    answer: answerOf(inOrder),
    remark:
      'Brews up to the first recipe of the lot that was accepted; on the stand-ins and excluded ones left out. Medians: one hard lot does not move them.',
    columns: [
      textColumn('lot', 'Lot'),
      dayColumn('acceptedOn', 'Accepted'),
      numberColumn('brews', 'Brews'),
      numberColumn('grams', 'Coffee', 'g'),
      numberColumn('days', 'Arrival to card', 'days'),
    ],
    rows: inOrder.toReversed().map((lot) => ({
      lotId: lot.lotId,
      cells: {
        lot: lot.lot,
        acceptedOn: lot.acceptedOn,
        brews: lot.brews,
        grams: lot.grams,
        days: daysToCard(lot),
      },
    })),
    chart:
      inOrder.length === 0
        ? null
        : {
            kind: 'dots',
            x: 'day',
            quantity: 'none',
            yLabel: 'brews to an accepted recipe',
            decimals: 0,
            points: inOrder.map(({ acceptedOn, brews, lot }) => ({ x: acceptedOn, y: brews, of: lot })),
            line: { y: median(inOrder.map(({ brews }) => brews)), label: 'median' },
          },
  };
}

function answerOf(lots: readonly LotDialledIn[]): string {
  if (lots.length === 0) return 'No recipe was accepted in this time.';
  const days = lots.flatMap((lot) => daysToCard(lot) ?? []);
  const sentences = [
    `A lot takes ${counted(medianOf(lots, 'brews'), 'brew')} and ${Math.round(medianOf(lots, 'grams'))} g to an accepted recipe (median of ${counted(lots.length, 'lot')}).`,
  ];
  if (days.length > 0) {
    sentences.push(
      `From arrival to a public card it is ${counted(median(days), 'day')} (${counted(days.length, 'lot')}).`,
    );
  }
  if (lots.length >= FEWEST_TO_HALVE) {
    const half = Math.floor(lots.length / 2);
    const [older, newer] = [lots.slice(0, half), lots.slice(-half)];
    sentences.push(
      `The older half took ${medianOf(older, 'brews')} brews, the newer ${medianOf(newer, 'brews')}.`,
    );
  }
  return sentences.join(' ');
}

const medianOf = (lots: readonly LotDialledIn[], figure: 'brews' | 'grams') =>
  median(lots.map((lot) => lot[figure]));

/** `null` too where a lot was written down after its card: when it arrived is not known. */
const daysToCard = ({ arrivedOn, publishedOn }: LotDialledIn): number | null =>
  publishedOn === null || publishedOn < arrivedOn
    ? null
    : Math.round((Date.parse(publishedOn) - Date.parse(arrivedOn)) / DAY_MS);
