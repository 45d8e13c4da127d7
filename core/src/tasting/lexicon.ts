import { asWord } from '../text/asWord.js';
import { saidIn } from '../text/saidIn.js';

/** Where a note would be looked for if it were not in a cup: families by place, as a cook would find them. */
export const NOTE_FAMILIES = [
  'flower bed',
  'hedge',
  'orchard',
  'citrus grove',
  'warm coast',
  'drying loft',
  'bakery',
  'nut bowl',
  'cocoa tin',
  'tea chest',
  'spice drawer',
  'cellar',
  'feel',
  'workshop',
] as const;
export type NoteFamily = (typeof NOTE_FAMILIES)[number];

/** Words of tasters (common practice), each in the one family where most would look for it first. */
const WORDS: Record<NoteFamily, string> = {
  'flower bed':
    'jasmine, rose, orange blossom, elderflower, hibiscus, honeysuckle, lavender, chamomile, violet, lilac, floral',
  hedge:
    'blackcurrant, redcurrant, currant, raspberry, strawberry, blackberry, blueberry, cranberry, gooseberry, cherry, rosehip, mulberry',
  orchard:
    'green apple, baked apple, apple, pear, quince, peach, apricot, nectarine, plum, red grape, white grape, grape, pomegranate',
  'citrus grove':
    'lemon, lime, orange peel, orange, mandarin, tangerine, grapefruit, bergamot, lemon rind, kumquat, citrus',
  'warm coast':
    'mango, passion fruit, pineapple, papaya, lychee, guava, banana, coconut, melon, tamarind, kiwi',
  'drying loft': 'raisin, date, fig, prune, sultana, dried apricot, dried apple',
  bakery:
    'caramel, toffee, brown sugar, cane sugar, honey, malt, biscuit, brioche, maple, molasses, vanilla, marzipan, nougat',
  'nut bowl': 'almond, hazelnut, walnut, pecan, peanut, cashew, chestnut',
  'cocoa tin': 'cocoa nib, cocoa, dark chocolate, milk chocolate, chocolate',
  'tea chest':
    'black tea, green tea, white tea, oolong, rooibos, hay, lemongrass, mint, thyme, basil, tea, tobacco',
  'spice drawer': 'cinnamon, clove, cardamom, pepper, ginger, nutmeg, aniseed, saffron',
  cellar: 'wine, rum, brandy, whisky, liquorice, boozy, cider, yoghurt, vinegar, plum skin, grape skin',
  feel: 'silky, creamy, juicy, round, syrupy, crisp, light, long, short, thin, watery, heavy, drying, astringent, hollow, muddled',
  workshop:
    'paper, cardboard, smoke, ash, rubber, wood, earth, cereal, straw, salt, metallic, mould, stale, sour, bitter',
};

export interface LexiconWord {
  word: string;
  family: NoteFamily;
}

export const LEXICON: readonly LexiconWord[] = NOTE_FAMILIES.flatMap((family) =>
  WORDS[family].split(', ').map((word) => ({ word, family })),
);

/** Longer words first: orange peel is no orange. */
const LONGEST_FIRST = [...LEXICON].sort((a, b) => b.word.length - a.word.length);

/** The words of the lexicon that stand in a text, where it does not deny them. */
export function notesIn(text: string): LexiconWord[] {
  let rest = text;
  return LONGEST_FIRST.filter(({ word }) => {
    const pattern = asWord(word);
    if (saidIn(rest, pattern) === null) return false;
    rest = rest.replace(pattern, '·');
    return true;
  });
}
