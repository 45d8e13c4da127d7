import { HtmlValidate } from 'html-validate';
import { describe, expect, it } from 'vitest';
import { CARD, OLD_CARD, view } from '../../testing/cards.js';
import { renderCardPage, renderRecalledPage, renderTroublePage } from './renderPage.js';

const ADDRESS = 'https://lab.example/r/ridge-cone';
const ASSETS = { scripts: ['/card/card.js'], styles: ['/card/card.css'], fonts: ['/card/words.woff2'] };
const page = (shown = view()) =>
  renderCardPage(shown, { address: ADDRESS, assets: ASSETS, qrSvgPath: '/r/ridge-cone/qr.svg' });

/** The page as a browser reads it, without running anything. */
function read(html: string): Document {
  return new DOMParser().parseFromString(html, 'text/html');
}
const words = (html: string) => {
  const { body } = read(html);
  for (const script of body.querySelectorAll('script')) script.remove();
  return body.textContent;
};

describe('the page of a card', () => {
  it('says all of it without a script', () => {
    const text = words(page());
    for (const told of [
      'Ridge',
      'Western slopes, Rwanda, Red Bourbon, washed, 1900 m',
      '201 °F',
      'Bloom: wet all grounds with 40 g in 5 s.',
      'to 250 g on the scale',
      'medium; 21 on Halyard, flat',
      'Let it cool.',
      'Water near boiling',
      '70 mg/L hardness',
      'Proven 9 to 11 days from roast',
      '1.31 %',
      '1.25 to 1.37 %'.replace(' to', ' % to'),
      'Brighter: grind 40 µm coarser',
    ]) {
      expect(text).toContain(told);
    }
  });

  it('gives the lot’s own trials before the rules, and only those that helped', () => {
    const tastes = [...read(page()).querySelectorAll('dt')].map(({ textContent }) => textContent);
    expect(tastes.slice(0, 2)).toEqual(['sour', 'sour, thin']);
    expect(words(page())).toContain('Grind 60 µm finer. In our trials of this coffee it was gone then.');
    expect(words(page())).not.toContain('2 °C hotter');
  });

  it('judges a drain time by what was proven', () => {
    // 165 s as proven, a fifth to either side.
    expect(words(page())).toMatch(/Drained before 2:10: grind finer. After 3:20: grind coarser/);
  });

  it('says of each grinder a setting with its range, or what to do where it is out of reach', () => {
    const [halyard, pebble] = [...read(page()).querySelectorAll('section li.break-inside-avoid')].map(
      ({ textContent }) => textContent,
    );
    expect(halyard).toMatch(/^Halyard, flat20 17 to 23$/);
    expect(pebble).toMatch(/^Pebble, conical out of reach at 1 it is 100 µm too coarse: use its finest/);
  });

  it('says where kitchens had it right, once enough have told', () => {
    const [grinder] = CARD.grinders ?? [];
    const rightAt = { setting: 22, low: 21, high: 23, count: 5 };
    const html = page(view({ ...CARD, grinders: grinder ? [{ ...grinder, rightAt }] : [] }));
    expect(words(html)).toContain('right at 22 in 5 kitchens');
  });

  it('has the pours in a table as well', () => {
    const rows = [...read(page()).querySelectorAll('table tr')].map((row) =>
      [...row.querySelectorAll('td, th')].map(({ textContent }) => textContent).join(' | '),
    );
    expect(rows).toEqual([
      'Pour | Start | Amount | On the scale',
      'Bloom | 0:00 | 40 g | 40 g',
      'Pour 2 | 0:40 | 100 g | 140 g',
      'Pour 3 | 1:15 | 110 g | 250 g',
    ]);
  });

  it('holds for cards older than all that', () => {
    const text = words(page(view(OLD_CARD)));
    expect(text).toContain('Let a fresh roast rest about a week');
    expect(text).not.toMatch(/undefined|NaN|As proven|As you like it/);
  });

  it('warns of additions and marks what is superseded', () => {
    const shown = view({ ...CARD, additions: 'mango' }, { standing: 'superseded' });
    expect(words(page(shown))).toContain('Co-fermented with mango. Check it against your allergies.');
    expect(words(page(shown))).toContain('An older version: the recipe that holds now');
  });

  it('says what changed between versions, and which editions there are', () => {
    const versions = [
      {
        number: 2,
        publishedAt: '2026-11-21T09:00:00Z',
        changes: [{ figure: 'grind' as const, from: '760 µm', to: '700 µm' }],
      },
      { number: 1, publishedAt: '2026-10-01T09:00:00Z', changes: [] },
    ];
    const html = page(
      view(CARD, { versions, editions: [{ slug: 'ridge-carafe', brewerName: 'Carafe', name: '' }] }),
    );
    expect(words(html)).toContain('Version 2, 21 Nov 2026: grind 760 µm → 700 µm');
    const links = [...read(html).querySelectorAll('a')].map((link) => link.getAttribute('href'));
    expect(links).toEqual(expect.arrayContaining(['/r/ridge-carafe', '/r/ridge-cone/version/1']));
  });

  it('tells machines the same, and lets no text of a lot end a script', () => {
    const html = page(view({ ...CARD, lotName: 'Ridge </script><script>alert(1)</script>' }));
    const document = read(html);
    expect([...document.querySelectorAll('script')].map(({ type }) => type)).toEqual([
      'module',
      'application/ld+json',
      'application/json',
    ]);
    const told = JSON.parse(
      document.querySelector('script[type="application/ld+json"]')?.textContent ?? '{}',
    ) as { '@graph': Record<string, unknown>[] };
    const [recipe, howTo] = told['@graph'];
    expect(recipe).toMatchObject({
      '@type': 'Recipe',
      name: 'Ridge </script><script>alert(1)</script>, Cone',
      totalTime: 'PT160S',
      recipeIngredient: ['16 g coffee', '250 g water'],
    });
    expect(recipe?.['recipeInstructions']).toHaveLength(9);
    expect(howTo).toMatchObject({ '@type': 'HowTo', step: recipe?.['recipeInstructions'] });
  });

  it('names the picture that stands beside a link to it', () => {
    const picture = read(page()).querySelector('meta[property="og:image"]')?.getAttribute('content');
    expect(picture).toBe('https://lab.example/api/published/ridge-cone/preview.png');
  });

  it('says what became of a recipe that was withdrawn, and keeps that out of searches', () => {
    const recalled = renderRecalledPage(
      { lotName: 'Ridge', houseName: 'Lab', recalledOn: '1 December 2026' },
      { address: ADDRESS, assets: ASSETS },
    );
    expect(words(recalled)).toContain('Lab withdrew this recipe on 1 December 2026.');
    expect(read(recalled).querySelector('meta[name=robots]')?.getAttribute('content')).toBe('noindex');
    expect(recalled).not.toContain('<script');
  });

  // Read by a validator of the standard's own rules.
  it.each([
    ['a card', page(view(CARD, { editions: [{ slug: 'b', brewerName: 'B', name: '' }] }))],
    ['an old one', page(view(OLD_CARD))],
    [
      'a withdrawn one',
      renderRecalledPage(
        { lotName: 'R', houseName: 'L', recalledOn: '1 May 2026' },
        { address: ADDRESS, assets: ASSETS },
      ),
    ],
    [
      'none',
      renderTroublePage(
        { title: 'No such recipe', words: 'Look again.' },
        { address: ADDRESS, assets: ASSETS },
      ),
    ],
  ])('is valid HTML: %s', async (_, html) => {
    const report = await new HtmlValidate({ extends: ['html-validate:standard'] }).validateString(html);
    expect(
      report.results.flatMap(({ messages }) =>
        messages.map(({ ruleId, message }) => `${ruleId}: ${message}`),
      ),
    ).toEqual([]);
  });
});
