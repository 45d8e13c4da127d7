// The texts and figures of a green lot, each described once: the checks, the form, files, the page and the API document
// read them from here. A new one is an entry here, a property of `LotFactsDto`, a column, and a place on the form; the
// compiler names whichever of these is forgotten.

export interface TextField {
  label: string;
  max: number;
  required?: boolean;
  hint?: string;
  /** Other headings of a column of a file that mean it. */
  alsoCalled: readonly string[];
}

export interface FigureField {
  label: string;
  /** Empty for a bare number. */
  unit: string;
  min: number;
  max: number;
  decimals: number;
  hint?: string;
  alsoCalled: readonly string[];
}

export const LOT_TEXTS = {
  name: { label: 'Name', max: 120, required: true, alsoCalled: ['Lot'] },
  region: { label: 'Region', max: 120, alsoCalled: [] },
  farm: { label: 'Farm or station', max: 120, alsoCalled: ['Farm', 'Station'] },
  producer: { label: 'Producer', max: 120, alsoCalled: [] },
  variety: { label: 'Variety', max: 120, alsoCalled: [] },
  harvest: { label: 'Harvest', max: 120, alsoCalled: [] },
  supplier: { label: 'Supplier', max: 120, alsoCalled: [] },
  drying: { label: 'Drying', max: 120, alsoCalled: [] },
  screenSize: {
    label: 'Screen size',
    max: 60,
    hint: 'of the green, as 15-18 or 90 % above 16',
    alsoCalled: ['Screen', 'Screens'],
  },
  greenLook: {
    label: 'Look and smell',
    max: 300,
    hint: 'of the green: colour, silverskin, broken or insect-bitten beans, smell',
    alsoCalled: ['Look', 'Smell', 'Green look'],
  },
  fermentationNote: { label: 'Fermentation note', max: 500, alsoCalled: ['Fermentation'] },
  /** What was added in a co-ferment: an allergen fact, shown wherever the lot is tasted or published. */
  additions: {
    label: 'Added fruit or yeast',
    max: 200,
    hint: 'shown wherever the lot is brewed, tasted or published: it can be an allergen',
    alsoCalled: ['Additions', 'Added'],
  },
} as const satisfies Record<string, TextField>;
export type LotText = keyof typeof LOT_TEXTS;

/** What the label promises in the cup: a list, typed and read as one line. */
export const LABEL_NOTES = {
  label: 'Label notes',
  mostNotes: 12,
  longestNote: 60,
  hint: 'what the label promises in the cup, one after a comma',
  alsoCalled: ['Notes'],
};

export const LOT_FIGURES = {
  densityGPerL: {
    label: 'Density',
    unit: 'g/L',
    min: 400,
    max: 1000,
    decimals: 0,
    hint: 'of the green, poured loosely: most lie at 650 to 800',
    alsoCalled: ['Density g/L', 'Bulk density'],
  },
  moisturePercent: {
    label: 'Moisture',
    unit: '%',
    min: 4,
    max: 25,
    decimals: 1,
    hint: 'of the green: sound at 9 to 12.5',
    alsoCalled: ['Moisture %', 'Moisture content'],
  },
  waterActivity: {
    label: 'Water activity',
    unit: '',
    min: 0.2,
    max: 0.9,
    decimals: 2,
    hint: 'of the green: keeps at 0.45 to 0.60',
    alsoCalled: ['aw'],
  },
  pricePerKg: {
    label: 'Price',
    unit: 'a kg',
    min: 0,
    max: 100_000,
    decimals: 2,
    hint: 'of the green, in your own money: reports reckon with it',
    alsoCalled: ['Price per kg', 'Price/kg', 'Cost per kg'],
  },
} as const satisfies Record<string, FigureField>;
export type LotFigure = keyof typeof LOT_FIGURES;

export const LOT_TEXT_NAMES = Object.keys(LOT_TEXTS) as LotText[];
export const LOT_FIGURE_NAMES = Object.keys(LOT_FIGURES) as LotFigure[];

/** A figure as it is read: with its decimals and its unit. */
export function lotFigureWords(name: LotFigure, value: number): string {
  const { unit, decimals }: FigureField = LOT_FIGURES[name];
  return `${Number(value.toFixed(decimals))}${unit === '' ? '' : ` ${unit}`}`;
}
